import { bookRequest, sheetRequest } from '@lemmata/contract'
import { type Request, type Response, Router } from 'express'
import { principalOf } from '../access/index.ts'
import { classDocumentOf, findClass, findLearner } from '../classes/index.ts'
import { parseBody } from '../http/parse.ts'
import { practiceOfClass } from '../learning/index.ts'
import { documentOf, fileName, findSampler } from '../samplers/index.ts'
import { readVersion } from '../versions/index.ts'
import { print } from './print.ts'
import type { BookJob, PrintJob } from './printer.ts'
import { tellPrint } from './told-print.ts'

export function sheetRoutes(): Router {
  const routes = Router()
  routes.get('/samplers/:id/sheet.pdf', async (request, response) => {
    const { account, job, name, printed } = await sheetOf(request)
    const pdf = await print(account, job)
    await printed()
    send(response, pdf, name)
  })
  routes.get('/samplers/:id/book.pdf', async (request, response) => {
    const { account, job, name, printed } = await bookOf(request, false)
    const pdf = await print(account, job)
    await printed()
    send(response, pdf, name)
  })
  routes.get('/samplers/:id/book.html', async (request, response) => {
    const { account, job, name, printed } = await bookOf(request, true)
    const page = await print(account, job)
    await printed()
    // Kept as a file and opened from there: it holds what teachers wrote, and is no part of this application.
    response.type('text/html; charset=utf-8').set('content-disposition', `attachment; filename="${encodeURIComponent(name)}.html"`)
    response.set('cache-control', 'no-store').send(Buffer.from(page))
  })
  // The same, told how far it is while it is made, and stopped by hanging up.
  for (const [what, of] of [['sheet', sheetOf] as const, ['book', (request: Request) => bookOf(request, false)] as const])
    routes.post(`/samplers/:id/${what}.pdf`, async (request, response) => {
      const { account, job, name, printed } = await of(request)
      await tellPrint(response, name, (watch) => print(account, job, watch), printed)
    })
  return routes
}

interface Ordered {
  readonly account: string
  readonly job: Omit<PrintJob, 'id'>
  readonly name: string
  /** Printing changes no document: only the note of which revision is on paper. */
  readonly printed: () => Promise<unknown>
}

async function sheetOf(request: Request): Promise<Ordered> {
  const who = principalOf(request)
  const row = await findSampler(who, String(request.params.id))
  const { page, hand, lesson, bar: barMm, pattern: patternPage, ...of } = parseBody(sheetRequest, request.query)
  const document = documentOf(row)
  const learner = of.class !== undefined && of.learner !== undefined ? await findLearner(who, of.class, of.learner) : undefined
  const job = { document, page, hand, learner, barMm, patternPage, as: { kind: 'sheet', lesson }, made: new Date().toISOString() } as const
  const { revision } = row
  return { account: who.id, job, name: fileName(document.name), printed: () => row.update({ printedRevision: revision }) }
}

async function bookOf(request: Request, onTheWeb: boolean): Promise<Ordered> {
  const who = principalOf(request)
  const row = await findSampler(who, String(request.params.id))
  const { page, hand, form, ink, kind, bar: barMm, pattern: patternPage, booklet, ...of } = parseBody(bookRequest, request.query)
  const document = documentOf(row)
  const group = of.class === undefined ? undefined : classDocumentOf(await findClass(who, of.class))
  const learner = of.class !== undefined && of.learner !== undefined ? await findLearner(who, of.class, of.learner) : undefined
  const events = kind === 'rows' && of.class !== undefined ? await practiceOfClass(of.class) : undefined
  const since = of.since === undefined ? undefined : await readVersion(who, row.id, of.since)
  const as: BookJob = {
    ...{ kind: 'book', what: kind, onTheWeb, form, ink, booklet: booklet === 'yes', group, events, version: String(row.revision) },
    since: since && { document: since.document, version: since.name },
  }
  const job = { document, page, hand, learner, barMm, patternPage, as, made: new Date().toISOString() }
  const { revision } = row
  return {
    account: who.id,
    job,
    name: `${fileName(document.name)} ${FILES[kind]}`,
    printed: async () => (kind === 'rows' ? undefined : row.update({ printedRevision: revision })),
  }
}

const FILES = { learner: 'book', teacher: 'teacher', cards: 'cards', slip: 'slip', rows: 'next rows' } as const

function send(response: Response, pdf: Uint8Array, name: string): void {
  response
    .type('application/pdf')
    .set('content-disposition', `inline; filename="${encodeURIComponent(name)}.pdf"`)
    .set('cache-control', 'no-store')
    .send(Buffer.from(pdf))
}
