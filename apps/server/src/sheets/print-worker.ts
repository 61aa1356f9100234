/** Runs in a worker thread: a sampler in, a PDF of its sheets or its book out; several by turns, a page or an exercise of each. */
import { parentPort } from 'node:worker_threads'
import { readSampler } from '@lemmata/contract'
import { type Result, success } from '@lemmata/core/base'
import { bookAsWebPage, type BookPrint, printBook, printSampler, type Watch } from '@lemmata/print'
import type { BookJob, PrintJob, PrintMeanwhile, PrintMessage, PrintReply } from './printer.ts'

const stopped = new Set<number>()
const underWay = new Set<number>()

parentPort?.on('message', (message: PrintMessage) => {
  if ('stop' in message) {
    if (underWay.has(message.stop)) stopped.add(message.stop)
    return
  }
  underWay.add(message.id)
  void print(message).then((reply) => {
    underWay.delete(message.id)
    stopped.delete(message.id)
    parentPort?.postMessage(reply)
  })
})

/** Tells how far a job is, and lets other jobs and messages come between. */
const watchOf =
  (id: number): Watch =>
  async (share) => {
    parentPort?.postMessage({ id, share } satisfies PrintMeanwhile)
    await new Promise((resolve) => setImmediate(resolve))
    if (stopped.has(id)) throw new Error('stopped')
  }

async function print(job: PrintJob): Promise<PrintReply> {
  try {
    const sampler = readSampler(job.document)
    if (!sampler.ok) return { id: job.id, problems: sampler.problems }
    const { page, hand, learner, barMm, patternPage, as } = job
    const order = { sampler: sampler.value, page, hand, learner, barMm, patternPage, made: new Date(job.made) }
    const watch = watchOf(job.id)
    const printed = await (as.kind === 'book' ? printAs(as, order, watch) : printSampler({ ...order, lesson: as.lesson }, watch))
    return printed.ok ? { id: job.id, pdf: printed.value, problems: printed.problems } : { id: job.id, problems: printed.problems }
  } catch (error) {
    return { id: job.id, problems: [], failed: error instanceof Error ? (error.stack ?? error.message) : String(error) }
  }
}

type Order = Omit<BookPrint, 'kind' | 'since'>

async function printAs({ what, since, onTheWeb, ...as }: BookJob, order: Order, watch: Watch): Promise<Result<Uint8Array>> {
  const before = since ? readSampler(since.document) : null
  if (before && !before.ok) return before
  const book = { ...order, ...as, kind: what, since: before && since ? { sampler: before.value, version: since.version } : undefined }
  if (!onTheWeb) return printBook(book, watch)
  const page = bookAsWebPage(book)
  return page.ok ? success(new TextEncoder().encode(page.value), page.problems) : page
}
