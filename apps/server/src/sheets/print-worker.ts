/** Runs in a worker thread: one sampler in, one PDF out. */
import { parentPort } from 'node:worker_threads'
import { readSampler } from '@lemmata/contract'
import { printSampler } from '@lemmata/print'
import type { PrintJob, PrintReply } from './printer.ts'

parentPort?.on('message', (job: PrintJob) => {
  void print(job).then((reply) => parentPort?.postMessage(reply))
})

async function print(job: PrintJob): Promise<PrintReply> {
  try {
    const sampler = readSampler(job.document)
    if (!sampler.ok) return { id: job.id, problems: sampler.problems }
    const printed = await printSampler({
      sampler: sampler.value,
      page: job.page,
      hand: job.hand,
      lesson: job.lesson,
      learner: job.learner,
      made: new Date(job.made),
    })
    return printed.ok ? { id: job.id, pdf: printed.value, problems: printed.problems } : { id: job.id, problems: printed.problems }
  } catch (error) {
    return { id: job.id, problems: [], failed: error instanceof Error ? (error.stack ?? error.message) : String(error) }
  }
}
