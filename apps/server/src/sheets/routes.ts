import { bookRequest, sheetRequest } from '@lemmata/contract'
import { type Request, type Response, Router } from 'express'
import { principalOf } from '../access/index.ts'
import { classDocumentOf, findClass, findLearner } from '../classes/index.ts'
import { parseBody } from '../http/parse.ts'
import { documentOf, fileName, findSampler } from '../samplers/index.ts'
import { readVersion } from '../versions/index.ts'
import { type BookJob, print } from './printer.ts'

export function sheetRoutes(): Router {
  const routes = Router()
  routes.get('/samplers/:id/sheet.pdf', async (request, response) => {
    const who = principalOf(request)
    const row = await findSampler(who, request.params.id)
    const wanted = parseBody(sheetRequest, request.query)
    const document = documentOf(row)
    const learner = wanted.class !== undefined && wanted.learner !== undefined ? await findLearner(who, wanted.class, wanted.learner) : undefined
    const { page, hand, lesson, bar: barMm, pattern: patternPage } = wanted
    const pdf = await print({ document, page, hand, learner, barMm, patternPage, as: { kind: 'sheet', lesson }, made: new Date().toISOString() })
    // Printing changes no document: only the note of which revision is on paper.
    await row.update({ printedRevision: row.revision })
    send(response, pdf, fileName(document.name))
  })
  routes.get('/samplers/:id/book.pdf', async (request, response) => {
    const { pdf, name } = await bookOf(request, false)
    send(response, pdf, name)
  })
  routes.get('/samplers/:id/book.html', async (request, response) => {
    const { pdf, name } = await bookOf(request, true)
    // Kept as a file and opened from there: it holds what teachers wrote, and is no part of this application.
    response.type('text/html; charset=utf-8').set('content-disposition', `attachment; filename="${encodeURIComponent(name)}.html"`)
    response.set('cache-control', 'no-store').send(Buffer.from(pdf))
  })
  return routes
}

async function bookOf(request: Request, onTheWeb: boolean): Promise<{ readonly pdf: Uint8Array; readonly name: string }> {
  const who = principalOf(request)
  const row = await findSampler(who, String(request.params.id))
  const { page, hand, form, ink, kind, bar: barMm, pattern: patternPage, booklet, ...of } = parseBody(bookRequest, request.query)
  const document = documentOf(row)
  const group = of.class === undefined ? undefined : classDocumentOf(await findClass(who, of.class))
  const learner = of.class !== undefined && of.learner !== undefined ? await findLearner(who, of.class, of.learner) : undefined
  const since = of.since === undefined ? undefined : await readVersion(who, row.id, of.since)
  const as: BookJob = {
    ...{ kind: 'book', what: kind, onTheWeb, form, ink, booklet: booklet === 'yes', group, version: String(row.revision) },
    since: since && { document: since.document, version: since.name },
  }
  const pdf = await print({ document, page, hand, learner, barMm, patternPage, as, made: new Date().toISOString() })
  await row.update({ printedRevision: row.revision })
  return { pdf, name: `${fileName(document.name)} ${FILES[kind]}` }
}

const FILES = { learner: 'book', teacher: 'teacher', cards: 'cards', slip: 'slip' } as const

function send(response: Response, pdf: Uint8Array, name: string): void {
  response
    .type('application/pdf')
    .set('content-disposition', `inline; filename="${encodeURIComponent(name)}.pdf"`)
    .set('cache-control', 'no-store')
    .send(Buffer.from(pdf))
}
