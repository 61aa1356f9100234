import { changePassword, deleteAccount, forgottenPassword, makeAccount, newPassword, type SessionAnswer, signIn, type TeacherAnswer } from '@lemmata/contract'
import { Router } from 'express'
import type { Logger } from 'pino'
import type { Sequelize } from 'sequelize'
import { Teacher } from '../database/index.ts'
import { limitTries } from '../http/limit-tries.ts'
import { parseBody } from '../http/parse.ts'
import type { Post } from '../mail/index.ts'
import { principalOf } from '../access/index.ts'
import { beginSession, csrfToken, endSession } from '../http/sessions.ts'
import { deleteTeacher, everythingOf } from './everything.ts'
import { resetPassword, sendReset } from './forgotten.ts'
import { endOtherSessions, sessionsOf } from './own-sessions.ts'
import { changeTeacherPassword, checkTeacher, makeTeacher } from './service.ts'

const answerFor = (teacher: Teacher): TeacherAnswer => ({ id: teacher.id, email: teacher.email, name: teacher.name })

export interface AccountSettings {
  readonly sequelize: Sequelize
  readonly log: Logger
  readonly post: Post
  /** Under which people reach it, without a last slash; none where it is what they have asked for. */
  readonly address: string | undefined
  /** Wrong sign-ins from one address in five minutes. */
  readonly mostTries: number
}

export function accountRoutes({ mostTries, sequelize, log, post, address }: AccountSettings): Router {
  const routes = Router()
  const limit = limitTries(mostTries, 'account.too-many-tries')

  routes.get('/session', async (request, response) => {
    const { teacherId } = request.session
    const teacher = teacherId ? await Teacher.findByPk(teacherId) : null
    const answer: SessionAnswer = { teacher: teacher ? answerFor(teacher) : null, csrf: csrfToken(request) }
    response.json(answer)
  })

  routes.post('/accounts', limit, async (request, response) => {
    const teacher = await makeTeacher(parseBody(makeAccount, request.body))
    await beginSession(request, teacher.id)
    response.status(201).json({ teacher: answerFor(teacher), csrf: csrfToken(request) } satisfies SessionAnswer)
  })

  routes.post('/session', limit, async (request, response) => {
    const teacher = await checkTeacher(parseBody(signIn, request.body))
    await beginSession(request, teacher.id)
    response.json({ teacher: answerFor(teacher), csrf: csrfToken(request) } satisfies SessionAnswer)
  })

  routes.delete('/session', async (request, response) => {
    await endSession(request)
    response.status(204).end()
  })

  routes.put('/account/password', async (request, response) => {
    const { id } = principalOf(request)
    await changeTeacherPassword(id, parseBody(changePassword, request.body))
    // Whoever knew the old one is out.
    await endOtherSessions(id, request.sessionID)
    response.status(204).end()
  })

  const limitForgotten = limitTries(mostTries, 'account.too-many-tries', { countsAll: true })
  routes.post('/account/forgotten', limitForgotten, (request, response) => {
    const { email } = parseBody(forgottenPassword, request.body)
    const at = address ?? `${request.protocol}://${request.get('host') ?? ''}`
    void sendReset(post, email, at).catch((error: unknown) => log.error({ err: error }, 'a message could not be sent'))
    response.status(204).end()
  })

  routes.post('/account/new-password', limit, async (request, response) => {
    await resetPassword(sequelize, parseBody(newPassword, request.body))
    response.status(204).end()
  })

  routes.get('/account/sessions', async (request, response) => {
    response.json({ sessions: await sessionsOf(principalOf(request).id, request.sessionID) })
  })

  routes.delete('/account/sessions', async (request, response) => {
    await endOtherSessions(principalOf(request).id, request.sessionID)
    response.status(204).end()
  })

  routes.get('/account/everything', async (request, response) => {
    response.json(await everythingOf(principalOf(request).id))
  })

  routes.delete('/account', limit, async (request, response) => {
    await deleteTeacher(principalOf(request).id, parseBody(deleteAccount, request.body).password)
    await endSession(request)
    response.status(204).end()
  })
  return routes
}
