import { sheetRequest } from '@lemmata/contract'
import { Router } from 'express'
import { parseBody } from '../http/parse.ts'
import { principalOf } from '../access/index.ts'
import { findLearner } from '../classes/index.ts'
import { documentOf, fileName, findSampler } from '../samplers/index.ts'
import { print } from './printer.ts'

export function sheetRoutes(): Router {
  const routes = Router()
  routes.get('/samplers/:id/sheet.pdf', async (request, response) => {
    const who = principalOf(request)
    const row = await findSampler(who, request.params.id)
    const wanted = parseBody(sheetRequest, request.query)
    const document = documentOf(row)
    const learner = wanted.class !== undefined && wanted.learner !== undefined ? await findLearner(who, wanted.class, wanted.learner) : undefined
    const pdf = await print({ document, page: wanted.page, hand: wanted.hand, lesson: wanted.lesson, learner, made: new Date().toISOString() })
    // Printing changes no document: only the note of which revision is on paper.
    await row.update({ printedRevision: row.revision })
    response
      .type('application/pdf')
      .set('content-disposition', `inline; filename="${encodeURIComponent(fileName(document.name))}.pdf"`)
      .set('cache-control', 'no-store')
      .send(Buffer.from(pdf))
  })
  return routes
}
