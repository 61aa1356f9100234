/** Prints off the main thread, one job after another, in a worker that is begun when first needed. */
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

/** Forty exercises take about two seconds; a job this long is stuck. */
const LONGEST_MS = 60_000
const MOST_WAITING = 20

interface Waiting {
  readonly resolve: (pdf: Uint8Array) => void
  readonly reject: (error: Error) => void
  readonly timer: NodeJS.Timeout
}

/** Built, the worker is a file beside this one; from source it needs the loader that reads TypeScript. */
const PRINT_WORKER = import.meta.url.endsWith('.ts') ? './print-worker.mjs' : './print-worker.js'

let worker: Worker | null = null
let nextId = 1
const waiting = new Map<number, Waiting>()

export function print(job: Omit<PrintJob, 'id'>): Promise<Uint8Array> {
  if (waiting.size >= MOST_WAITING) return Promise.reject(new HttpProblem(503, 'print.busy', 'Many sheets are being printed just now. Try again in a minute.'))
  return new Promise((resolve, reject) => {
    const id = nextId++
    const timer = setTimeout(() => {
      end(new HttpProblem(503, 'print.too-long', 'This sheet took too long to make. Print one lesson at a time.'))
    }, LONGEST_MS)
    waiting.set(id, { resolve, reject, timer })
    running().postMessage({ ...job, id } satisfies PrintJob)
  })
}

function running(): Worker {
  if (worker) return worker
  const started = new Worker(new URL(PRINT_WORKER, import.meta.url))
  started.on('message', (reply: PrintReply) => {
    const one = waiting.get(reply.id)
    if (!one) return
    waiting.delete(reply.id)
    clearTimeout(one.timer)
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
