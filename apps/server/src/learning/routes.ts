import { askWeek, joinClass, joinCode, markPractice, openLink as openLinkSchema, rulerCheck, sentPictureOf, showPicture, tellPractice } from '@lemmata/contract'
import express, { type Request, Router } from 'express'
import type { Sequelize } from 'sequelize'
import { type LearnerPrincipal, principalOf } from '../access/index.ts'
import { classDocumentOf, findClass } from '../classes/index.ts'
import { limitTries } from '../http/limit-tries.ts'
import { parseBody } from '../http/parse.ts'
import { HttpProblem } from '../http/problem.ts'
import { learnerOf } from './keys.ts'
import { keepMarked, keepTold } from './practice.ts'
import { dropRulerCheck, keepRulerCheck, rulerChecksOf } from './ruler.ts'
import { allowShowing, pictureOfClass, sendPicture, takeBack } from './sent-pictures.ts'
import {
  classNamed,
  deleteLearner,
  endCode,
  endLink,
  exportLearner,
  join,
  learningOf,
  linkNamed,
  noSuchLearner,
  openLink,
  renewCode,
  renewLink,
} from './service.ts'
import { weekOf } from './week.ts'

/** A window laid flat, as a browser writes it: no photograph as it was taken. */
const MOST_PICTURE = '2mb'

export interface LearningSettings {
  /** Codes, links and words that were not right, from one address in five minutes. */
  readonly mostTries: number
}

/** Asked by learners' devices, which have a key and no session: nothing here reads a cookie, so none can be misused. */
export function learnerRoutes(sequelize: Sequelize, { mostTries }: LearningSettings): Router {
  const routes = Router()
  const limit = limitTries(sequelize, { of: 'learning', most: mostTries, code: 'learning.too-many-tries' })
  routes.use('/learn', express.json({ limit: '256kb' }), (_request, response, next) => {
    response.set('cache-control', 'no-store')
    next()
  })
  routes.get('/learn/codes/:code', limit, async (request, response) => {
    response.json(await classNamed(parseBody(joinCode, request.params.code)))
  })
  routes.post('/learn/join', limit, async (request, response) => {
    response.status(201).json(await join(sequelize, parseBody(joinClass, request.body)))
  })
  routes.get('/learn/links/:link', limit, async (request, response) => {
    response.json(await linkNamed(String(request.params.link)))
  })
  routes.post('/learn/open', limit, async (request, response) => {
    response.json(await openLink(parseBody(openLinkSchema, request.body)))
  })
  routes.get('/learn/week', async (request, response) => {
    response.json(await weekOf(await learnerOf(request), parseBody(askWeek, request.query).known))
  })
  routes.post('/learn/events', async (request, response) => {
    const who = await learnerOf(request)
    response.json({ kept: await keepTold(who, parseBody(tellPractice, request.body).events) })
  })
  routes.post('/learn/pictures', express.raw({ type: 'image/*', limit: MOST_PICTURE }), async (request, response) => {
    const who = await learnerOf(request)
    const sent: unknown = request.body
    if (!Buffer.isBuffer(sent) || sent.length === 0) throw new HttpProblem(415, 'picture.none', 'This is not a picture.')
    response.status(201).json(await sendPicture(who, parseBody(sentPictureOf, request.query).exercise, sent))
  })
  routes.patch('/learn/pictures/:id', async (request, response) => {
    const who = await learnerOf(request)
    response.json(await allowShowing(who, request.params.id, parseBody(showPicture, request.body).mayShow))
  })
  routes.delete('/learn/pictures/:id', async (request, response) => {
    await takeBack(await learnerOf(request), request.params.id)
    response.status(204).end()
  })
  routes.get('/learn/everything', async (request, response) => {
    response.json(await exportLearner(await learnerOf(request)))
  })
  routes.delete('/learn/everything', async (request, response) => {
    await deleteLearner(sequelize, await learnerOf(request))
    response.status(204).end()
  })
  return routes
}

/** Asked by the class's teacher. */
export function learningRoutes(sequelize: Sequelize): Router {
  const routes = Router()
  routes.get('/classes/:id/learning', async (request, response) => {
    response.json(await learningOf(principalOf(request), request.params.id))
  })
  routes.post('/classes/:id/join-code', async (request, response) => {
    response.status(201).json({ code: await renewCode(principalOf(request), request.params.id) })
  })
  routes.delete('/classes/:id/join-code', async (request, response) => {
    await endCode(principalOf(request), request.params.id)
    response.status(204).end()
  })
  routes.post('/classes/:id/learners/:learner/link', async (request, response) => {
    response.status(201).json({ link: await renewLink(principalOf(request), request.params.id, request.params.learner) })
  })
  routes.delete('/classes/:id/learners/:learner/link', async (request, response) => {
    await endLink(principalOf(request), request.params.id, request.params.learner)
    response.status(204).end()
  })
  routes.post('/classes/:id/practice', async (request, response) => {
    const row = await findClass(principalOf(request), request.params.id)
    const { events } = parseBody(markPractice, request.body)
    const learners = new Set(classDocumentOf(row).learners.map((one) => one.id as string))
    if (!events.every((one) => learners.has(one.learner))) throw noSuchLearner()
    response.json({ kept: await keepMarked(row.id, events) })
  })
  routes.get('/classes/:id/pictures/:picture', async (request, response) => {
    const row = await findClass(principalOf(request), request.params.id)
    // She may take it back at any time: nobody keeps it on the way.
    response.set({ 'content-type': 'image/webp', 'cache-control': 'no-store' }).send(await pictureOfClass(row.id, request.params.picture))
  })
  routes.get('/ruler-checks', async (request, response) => {
    response.json({ checks: await rulerChecksOf(principalOf(request)) })
  })
  routes.post('/ruler-checks', async (request, response) => {
    response.status(201).json(await keepRulerCheck(principalOf(request), parseBody(rulerCheck, request.body)))
  })
  routes.delete('/ruler-checks/:id', async (request, response) => {
    await dropRulerCheck(principalOf(request), request.params.id)
    response.status(204).end()
  })
  routes.get('/classes/:id/learners/:learner/everything', async (request, response) => {
    response.set('cache-control', 'no-store').json(await exportLearner(await learnerOfTeacher(request)))
  })
  routes.delete('/classes/:id/learners/:learner/everything', async (request, response) => {
    await deleteLearner(sequelize, await learnerOfTeacher(request))
    response.status(204).end()
  })
  return routes
}

async function learnerOfTeacher(request: Request): Promise<LearnerPrincipal> {
  const row = await findClass(principalOf(request), String(request.params.id))
  const learnerId = String(request.params.learner)
  if (!classDocumentOf(row).learners.some((one) => one.id === learnerId)) throw noSuchLearner()
  return { kind: 'learner', classId: row.id, learnerId }
}
