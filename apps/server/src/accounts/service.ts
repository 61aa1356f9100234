/** Accounts of teachers. */
import { UniqueConstraintError } from 'sequelize'
import { Teacher } from '../database/index.ts'
import { HttpProblem, notSignedIn } from '../http/problem.ts'
import { hashPassword, passwordMatches } from './passwords.ts'
import { refuseWeak } from './weak-password.ts'

export interface NewTeacher {
  readonly email: string
  readonly name: string
  readonly passwordHash: string
}

/** What is kept of a new account; refused where its password is weak. */
export async function newTeacher({ email, name, password }: { readonly email: string; readonly name: string; readonly password: string }): Promise<NewTeacher> {
  refuseWeak(password, { email, name })
  return { email, name, passwordHash: await hashPassword(password) }
}

export async function makeTeacher({ email, name, passwordHash }: NewTeacher): Promise<Teacher> {
  try {
    return await Teacher.create({ email, name, passwordHash })
  } catch (error) {
    if (error instanceof UniqueConstraintError)
      throw new HttpProblem(409, 'account.taken', 'There is an account with this address already. Sign in with it, or use another address.')
    throw error
  }
}

export const wrongSignIn = (): HttpProblem => new HttpProblem(401, 'account.wrong', 'This address and password do not go together. Check both and try again.')

/** Null where the two do not go together; how long it takes is the same. */
export async function checkTeacher(given: { email: string; password: string }): Promise<Teacher | null> {
  const teacher = await Teacher.findOne({ where: { email: given.email } })
  const matches = await passwordMatches(given.password, teacher?.passwordHash ?? null)
  return matches ? teacher : null
}

export async function changeTeacherPassword(teacherId: string, given: { current: string; next: string }): Promise<void> {
  const teacher = await Teacher.findByPk(teacherId)
  if (!teacher) throw notSignedIn()
  if (!(await passwordMatches(given.current, teacher.passwordHash)))
    throw new HttpProblem(422, 'account.password', 'Your present password is not this one. Type it again.')
  refuseWeak(given.next, teacher)
  teacher.passwordHash = await hashPassword(given.next)
  await teacher.save()
}
