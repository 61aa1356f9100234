import { bookRequest, sheetRequest } from '@lemmata/contract'
import { type Response, Router } from 'express'
import { principalOf } from '../access/index.ts'
import { classDocumentOf, findClass, findLearner } from '../classes/index.ts'
import { parseBody } from '../http/parse.ts'
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
    const { page, hand, lesson, bar: barMm } = wanted
    const pdf = await print({ document, page, hand, learner, barMm, as: { kind: 'sheet', lesson }, made: new Date().toISOString() })
    // Printing changes no document: only the note of which revision is on paper.
    await row.update({ printedRevision: row.revision })
    send(response, pdf, fileName(document.name))
  })
  routes.get('/samplers/:id/book.pdf', async (request, response) => {
    const who = principalOf(request)
    const row = await findSampler(who, request.params.id)
    const { page, hand, form, bar: barMm, ...of } = parseBody(bookRequest, request.query)
    const document = documentOf(row)
    const calendar = of.class === undefined ? undefined : classDocumentOf(await findClass(who, of.class)).calendar
    const learner = of.class !== undefined && of.learner !== undefined ? await findLearner(who, of.class, of.learner) : undefined
    const as = { kind: 'book', form, calendar, version: String(row.revision) } as const
    const pdf = await print({ document, page, hand, learner, barMm, as, made: new Date().toISOString() })
    await row.update({ printedRevision: row.revision })
    send(response, pdf, `${fileName(document.name)} book`)
  })
  return routes
}

function send(response: Response, pdf: Uint8Array, name: string): void {
  response
    .type('application/pdf')
    .set('content-disposition', `inline; filename="${encodeURIComponent(name)}.pdf"`)
    .set('cache-control', 'no-store')
    .send(Buffer.from(pdf))
}
