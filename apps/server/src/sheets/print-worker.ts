/** Runs in a worker thread: one sampler in, one PDF of its sheets or its book out. */
import { parentPort } from 'node:worker_threads'
import { readSampler } from '@lemmata/contract'
import { printBook, printSampler } from '@lemmata/print'
import type { PrintJob, PrintReply } from './printer.ts'

parentPort?.on('message', (job: PrintJob) => {
  void print(job).then((reply) => parentPort?.postMessage(reply))
})

async function print(job: PrintJob): Promise<PrintReply> {
  try {
    const sampler = readSampler(job.document)
    if (!sampler.ok) return { id: job.id, problems: sampler.problems }
    const { page, hand, learner, barMm, as } = job
    const order = { sampler: sampler.value, page, hand, learner, barMm, made: new Date(job.made) }
    const printed = await (as.kind === 'book' ? printBook({ ...order, ...as }) : printSampler({ ...order, lesson: as.lesson }))
    return printed.ok ? { id: job.id, pdf: printed.value, problems: printed.problems } : { id: job.id, problems: printed.problems }
  } catch (error) {
    return { id: job.id, problems: [], failed: error instanceof Error ? (error.stack ?? error.message) : String(error) }
  }
}
