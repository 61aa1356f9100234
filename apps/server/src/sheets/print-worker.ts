/** Runs in a worker thread: one sampler in, one PDF of its sheets or its book out. */
import { parentPort } from 'node:worker_threads'
import { readSampler } from '@lemmata/contract'
import { type Result, success } from '@lemmata/core/base'
import { bookAsWebPage, type BookPrint, printBook, printSampler } from '@lemmata/print'
import type { BookJob, PrintJob, PrintReply } from './printer.ts'

parentPort?.on('message', (job: PrintJob) => {
  void print(job).then((reply) => parentPort?.postMessage(reply))
})

async function print(job: PrintJob): Promise<PrintReply> {
  try {
    const sampler = readSampler(job.document)
    if (!sampler.ok) return { id: job.id, problems: sampler.problems }
    const { page, hand, learner, barMm, patternPage, as } = job
    const order = { sampler: sampler.value, page, hand, learner, barMm, patternPage, made: new Date(job.made) }
    const printed = await (as.kind === 'book' ? printAs(as, order) : printSampler({ ...order, lesson: as.lesson }))
    return printed.ok ? { id: job.id, pdf: printed.value, problems: printed.problems } : { id: job.id, problems: printed.problems }
  } catch (error) {
    return { id: job.id, problems: [], failed: error instanceof Error ? (error.stack ?? error.message) : String(error) }
  }
}

type Order = Omit<BookPrint, 'kind' | 'since'>

async function printAs({ what, since, onTheWeb, ...as }: BookJob, order: Order): Promise<Result<Uint8Array>> {
  const before = since ? readSampler(since.document) : null
  if (before && !before.ok) return before
  const book = { ...order, ...as, kind: what, since: before && since ? { sampler: before.value, version: since.version } : undefined }
  if (!onTheWeb) return printBook(book)
  const page = bookAsWebPage(book)
  return page.ok ? success(new TextEncoder().encode(page.value), page.problems) : page
}
