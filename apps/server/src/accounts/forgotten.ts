/** A forgotten password: a link to the address of the account, good once and for an hour. Nothing tells whether there is such an account. */
import { createHash, randomBytes } from 'node:crypto'
import { Op, type Sequelize } from 'sequelize'
import { ResetRow, SessionRow, Teacher } from '../database/index.ts'
import { HttpProblem } from '../http/problem.ts'
import type { Post } from '../mail/index.ts'
import { hashPassword } from './passwords.ts'
import { refuseWeak } from './weak-password.ts'

const GOOD_FOR_MS = 3600 * 1000
const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex')
const stillGood = () => ({ [Op.gt]: new Date(Date.now() - GOOD_FOR_MS) })

/** Answered before any of it is done: how long it takes would tell whether there is an account. */
export async function sendReset(post: Post, email: string, address: string, asked: (teacherId: string) => Promise<void>): Promise<void> {
  const teacher = await Teacher.findOne({ where: { email } })
  if (!teacher) return
  await asked(teacher.id)
  const token = randomBytes(24).toString('base64url')
  // The one before is none any more.
  await ResetRow.destroy({ where: { teacherId: teacher.id } })
  await ResetRow.create({ tokenHash: hashOf(token), teacherId: teacher.id })
  await post({
    to: teacher.email,
    subject: 'A new password for Lemmata',
    text: [
      `${teacher.name},`,
      '',
      'somebody, most likely you, has asked for a new password. Set it here within an hour:',
      '',
      `${address}/sign-in?new-password=${token}`,
      '',
      'If it was not you, leave it: your password stays as it is.',
      '',
    ].join('\n'),
  })
}

/** Every session of hers ends: whoever had the old one is out. Whose it is. */
export async function resetPassword(sequelize: Sequelize, { token, next }: { readonly token: string; readonly next: string }): Promise<string> {
  const passwordHash = await hashPassword(next)
  return sequelize.transaction(async (transaction) => {
    const row = await ResetRow.findOne({ where: { tokenHash: hashOf(token), createdAt: stillGood() }, transaction, lock: transaction.LOCK.UPDATE })
    if (!row) throw new HttpProblem(422, 'account.link', 'This link is not good any more. Ask for another one.')
    const teacher = await Teacher.findByPk(row.teacherId, { transaction })
    if (teacher) refuseWeak(next, teacher)
    await teacher?.update({ passwordHash }, { transaction })
    await ResetRow.destroy({ where: { teacherId: row.teacherId }, transaction })
    await SessionRow.destroy({ where: { teacherId: row.teacherId }, transaction })
    return row.teacherId
  })
}
