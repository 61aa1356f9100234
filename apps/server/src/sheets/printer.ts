/** Prints off the main thread, in a worker that is begun when first needed; a job tells how far it is, and can be stopped. */
import { Worker } from 'node:worker_threads'
import type { Problem } from '@lemmata/core/base'
import type { BookForm, BookInk } from '@lemmata/core/book'
import type { ClassDocument, Learner } from '@lemmata/core/classes'
import type { PatternSize } from '@lemmata/core/sheets'
import type { BookKind } from '@lemmata/print'
import { HttpProblem, wrongInput } from '../http/problem.ts'

export interface PrintJob {
  readonly id: number
  readonly document: unknown
  readonly page: 'a4' | 'letter'
  readonly hand: 'right' | 'left' | undefined
  readonly learner: Learner | undefined
  readonly barMm: number | undefined
  readonly patternPage: PatternSize | undefined
  /** The lesson sheet of one lesson or of all, or the whole book. */
  readonly as: { readonly kind: 'sheet'; readonly lesson: string | undefined } | BookJob
  readonly made: string
}

export interface BookJob {
  readonly kind: 'book'
  readonly what: BookKind
  /** As a page of the web, not as a PDF. */
  readonly onTheWeb: boolean
  readonly ink: BookInk | undefined
  readonly booklet: boolean
  readonly group: ClassDocument | undefined
  readonly since: { readonly document: unknown; readonly version: string } | undefined
  readonly form: BookForm | undefined
  readonly version: string
}

export interface PrintReply {
  readonly id: number
  readonly pdf?: Uint8Array
  readonly problems: readonly Problem[]
  readonly failed?: string
}

export interface PrintMeanwhile {
  readonly id: number
  /** 0 to 1. */
  readonly share: number
}

export type PrintMessage = PrintJob | { readonly stop: number }

/** Forty exercises take about two seconds; a job this long is stuck. */
const LONGEST_MS = 60_000
const MOST_WAITING = 20

interface Waiting {
  readonly resolve: (pdf: Uint8Array) => void
  readonly reject: (error: Error) => void
  readonly timer: NodeJS.Timeout
  readonly onShare: (share: number) => void
}

export interface PrintWatch {
  readonly onShare?: (share: number) => void
  /** Nobody waits for it any more. */
  readonly signal?: AbortSignal
}

export const printStopped = (): HttpProblem => new HttpProblem(410, 'print.stopped', 'Making this PDF was stopped.')

/** Built, the worker is a file beside this one; from source it needs the loader that reads TypeScript. */
const PRINT_WORKER = import.meta.url.endsWith('.ts') ? './print-worker.mjs' : './print-worker.js'

let worker: Worker | null = null
let nextId = 1
const waiting = new Map<number, Waiting>()

export function print(job: Omit<PrintJob, 'id'>, { onShare, signal }: PrintWatch = {}): Promise<Uint8Array> {
  if (waiting.size >= MOST_WAITING) return Promise.reject(new HttpProblem(503, 'print.busy', 'Many sheets are being printed just now. Try again in a minute.'))
  if (signal?.aborted === true) return Promise.reject(printStopped())
  return new Promise((resolve, reject) => {
    const id = nextId++
    const timer = setTimeout(() => {
      end(new HttpProblem(503, 'print.too-long', 'This sheet took too long to make. Print one lesson at a time.'))
    }, LONGEST_MS)
    waiting.set(id, { resolve, reject, timer, onShare: onShare ?? (() => undefined) })
    running().postMessage({ ...job, id } satisfies PrintMessage)
    signal?.addEventListener('abort', () => {
      if (!take(id)) return
      worker?.postMessage({ stop: id } satisfies PrintMessage)
      reject(printStopped())
    })
  })
}

/** Whoever waits for a job, who from now on waits no longer. */
function take(id: number): Waiting | undefined {
  const one = waiting.get(id)
  if (one) clearTimeout(one.timer)
  waiting.delete(id)
  return one
}

function running(): Worker {
  if (worker) return worker
  const started = new Worker(new URL(PRINT_WORKER, import.meta.url))
  started.on('message', (reply: PrintReply | PrintMeanwhile) => {
    if ('share' in reply) {
      waiting.get(reply.id)?.onShare(reply.share)
      return
    }
    const one = take(reply.id)
    if (!one) return
    if (reply.pdf) one.resolve(reply.pdf)
    else one.reject(reply.failed ? new Error(reply.failed) : wrongInput(reply.problems.filter((problem) => problem.severity === 'error')))
  })
  started.on('error', (error) => end(error))
  started.on('exit', () => {
    if (worker === started) end(new Error('the printing worker stopped'))
  })
  started.unref()
  worker = started
  return started
}

/** The worker is lost: whoever waits is told, the next job begins a new one. */
function end(error: Error): void {
  const lost = worker
  worker = null
  for (const one of waiting.values()) {
    clearTimeout(one.timer)
    one.reject(error)
  }
  waiting.clear()
  void lost?.terminate()
}

export async function stopPrinting(): Promise<void> {
  const lost = worker
  worker = null
  await lost?.terminate()
}
