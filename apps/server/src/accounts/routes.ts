import {
  accountArchive,
  changePassword,
  deleteAccount,
  forgottenPassword,
  makeAccount,
  newPassword,
  openAccount,
  type SentAnswer,
  type SessionAnswer,
  signIn,
  type TeacherAnswer,
} from '@lemmata/contract'
import { type Request, type Response, Router } from 'express'
import type { Logger } from 'pino'
import type { Sequelize } from 'sequelize'
import { Teacher } from '../database/index.ts'
import { limitTries } from '../http/limit-tries.ts'
import { parseBody } from '../http/parse.ts'
import type { Post } from '../mail/index.ts'
import { principalOf, roomOf } from '../access/index.ts'
import { beginSession, csrfToken, endSession } from '../http/sessions.ts'
import { bringBack } from './bring-back.ts'
import { deleteTeacher, everythingOf } from './everything.ts'
import { resetPassword, sendReset } from './forgotten.ts'
import { endOtherSessions, sessionsOf } from './own-sessions.ts'
import { sendWanted, unseal } from './by-message.ts'
import { changeTeacherPassword, checkTeacher, makeTeacher, newTeacher, wrongSignIn } from './service.ts'
import { note, noteFailedSignIn, trailOf } from './trail.ts'

const answerFor = (teacher: Teacher): TeacherAnswer => ({ id: teacher.id, email: teacher.email, name: teacher.name })

export interface AccountSettings {
  readonly sequelize: Sequelize
  readonly log: Logger
  readonly post: Post
  /** Messages are really sent: a new account is made by one. */
  readonly byMessage?: boolean
  /** What is given to people to bring back is sealed with it. */
  readonly secret: string
  /** Under which people reach it, without a last slash; none where it is what they have asked for. */
  readonly address: string | undefined
  /** Wrong sign-ins from one address in five minutes. */
  readonly mostTries: number
  /** New accounts from one address in an hour. */
  readonly mostSignUps: number
}

/** Of what may be tried at one address, a third at one account: a class behind one address has many accounts. */
const AT_ONE_ACCOUNT = 3

export function accountRoutes({ mostTries, mostSignUps, sequelize, log, post, byMessage = false, secret, address }: AccountSettings): Router {
  const routes = Router()
  const tries = { most: mostTries, code: 'account.too-many-tries' } as const
  const limit = limitTries(sequelize, { ...tries, of: 'account' })
  const limitSignUp = limitTries(sequelize, { ...tries, most: mostSignUps, of: 'sign-up', minutes: 60, countsAll: true })
  const limitForgotten = limitTries(sequelize, { ...tries, of: 'forgotten', countsAll: true })
  const atOne = { ...tries, most: Math.ceil(mostTries / AT_ONE_ACCOUNT), minutes: 15 } as const
  // Whether there is such an account or not.
  const limitAddress = limitTries(sequelize, { ...atOne, of: 'one-address', by: (request) => emailIn(request.body) })
  const limitOwn = limitTries(sequelize, { ...atOne, of: 'one-account', by: (request) => request.session.teacherId ?? null })

  routes.get('/session', async (request, response) => {
    const { teacherId } = request.session
    const teacher = teacherId ? await Teacher.findByPk(teacherId) : null
    const answer: SessionAnswer = { teacher: teacher ? answerFor(teacher) : null, csrf: csrfToken(request) }
    response.json(answer)
  })

  const addressOf = (request: Request): string => address ?? `${request.protocol}://${request.get('host') ?? ''}`
  const beginFirst = async (request: Request, response: Response, teacher: Teacher): Promise<void> => {
    await beginSession(request, teacher.id)
    await note(request, 'signed-up', teacher.id)
    response.status(201).json({ teacher: answerFor(teacher), csrf: csrfToken(request) } satisfies SessionAnswer)
  }

  routes.post('/accounts', limit, limitSignUp, async (request, response) => {
    const wanted = await newTeacher(parseBody(makeAccount, request.body))
    if (!byMessage) return beginFirst(request, response, await makeTeacher(wanted))
    void sendWanted(post, wanted, secret, addressOf(request)).catch((error: unknown) => log.error({ err: error }, 'a message could not be sent'))
    response.status(202).json({ sent: true } satisfies SentAnswer)
  })

  routes.post('/accounts/by-message', limit, async (request, response) =>
    beginFirst(request, response, await makeTeacher(unseal(secret, parseBody(openAccount, request.body).token))),
  )

  routes.post('/session', limit, limitAddress, async (request, response) => {
    const given = parseBody(signIn, request.body)
    const teacher = await checkTeacher(given)
    if (!teacher) {
      await noteFailedSignIn(request, given.email)
      throw wrongSignIn()
    }
    await beginSession(request, teacher.id)
    await note(request, 'signed-in', teacher.id)
    response.json({ teacher: answerFor(teacher), csrf: csrfToken(request) } satisfies SessionAnswer)
  })

  routes.delete('/session', async (request, response) => {
    await endSession(request)
    response.status(204).end()
  })

  routes.put('/account/password', limitOwn, async (request, response) => {
    const { id } = principalOf(request)
    await changeTeacherPassword(id, parseBody(changePassword, request.body))
    // Whoever knew the old one is out.
    await endOtherSessions(id, request.sessionID)
    await note(request, 'password-changed', id)
    response.status(204).end()
  })

  routes.post('/account/forgotten', limitForgotten, (request, response) => {
    const { email } = parseBody(forgottenPassword, request.body)
    void sendReset(post, email, addressOf(request), (teacherId) => note(request, 'reset-asked', teacherId)).catch((error: unknown) =>
      log.error({ err: error }, 'a message could not be sent'),
    )
    response.status(204).end()
  })

  routes.post('/account/new-password', limit, async (request, response) => {
    await note(request, 'reset-done', await resetPassword(sequelize, parseBody(newPassword, request.body)))
    response.status(204).end()
  })

  routes.get('/account/sessions', async (request, response) => {
    response.json({ sessions: await sessionsOf(principalOf(request).id, request.sessionID) })
  })

  routes.delete('/account/sessions', async (request, response) => {
    const { id } = principalOf(request)
    await endOtherSessions(id, request.sessionID)
    await note(request, 'signed-out-elsewhere', id)
    response.status(204).end()
  })

  routes.get('/account/trail', async (request, response) => {
    response.json({ happened: await trailOf(principalOf(request).id) })
  })

  routes.get('/account/room', async (request, response) => {
    response.json(await roomOf(principalOf(request).id))
  })

  routes.get('/account/everything', async (request, response) => {
    const { id } = principalOf(request)
    const everything = await everythingOf(id)
    await note(request, 'everything-exported', id)
    response.json(everything)
  })

  const limitBringing = limitTries(sequelize, {
    ...tries,
    of: 'bringing',
    most: 20,
    minutes: 60,
    countsAll: true,
    by: (request) => request.session.teacherId ?? null,
  })
  routes.post('/account/everything', limitBringing, async (request, response) => {
    const { id } = principalOf(request)
    const brought = await bringBack(sequelize, id, parseBody(accountArchive, request.body))
    await note(request, 'everything-brought-back', id)
    response.status(201).json(brought)
  })

  routes.delete('/account', limit, limitOwn, async (request, response) => {
    const { id } = principalOf(request)
    await deleteTeacher(id, parseBody(deleteAccount, request.body).password)
    await note(request, 'account-deleted', id)
    await endSession(request)
    response.status(204).end()
  })
  return routes
}

/** Of a body that is not checked yet. */
function emailIn(body: unknown): string | null {
  const email: unknown = typeof body === 'object' && body !== null && 'email' in body ? body.email : null
  return typeof email === 'string' ? email.trim().toLowerCase().slice(0, 200) : null
}
