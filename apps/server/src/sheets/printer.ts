/**
 * Prints off the main thread, in workers that are begun when first needed; a job tells how far it is, and can be stopped. Accounts are
 * served in turn; time and memory of a job are limited, and one that is lost takes no other with it.
 */
import { Worker } from 'node:worker_threads'
import type { Problem } from '@lemmata/core/base'
import type { BookForm, BookInk } from '@lemmata/core/book'
import type { ClassDocument, Learner } from '@lemmata/core/classes'
import type { PracticeEvent } from '@lemmata/core/practice'
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
  readonly events: readonly PracticeEvent[] | undefined
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

/** Forty exercises take about two seconds; a job this long is stuck. Counted from its own beginning. */
const LONGEST_MS = 30_000
/** What is stopped lets go at its next page; what does not is ended. */
const LET_GO_MS = 2000
/** Of one account, beside the one that is being made; and of all together. */
const MOST_WAITING_EACH = 4
const MOST_WAITING = 40
const WORKERS = 2
/** The largest sampler that is worked takes a third of it. */
const MOST_MEMORY_MB = 500

export interface PrintWatch {
  readonly onShare?: (share: number) => void
  /** Nobody waits for it any more. */
  readonly signal?: AbortSignal
}

interface Job extends Required<Pick<PrintWatch, 'onShare'>> {
  readonly account: string
  readonly job: PrintJob
  readonly resolve: (pdf: Uint8Array) => void
  readonly reject: (error: Error) => void
}

export const printStopped = (): HttpProblem => new HttpProblem(410, 'print.stopped', 'Making this PDF was stopped.')

const busy = (): HttpProblem => new HttpProblem(503, 'print.busy', 'Many sheets are being printed just now. Try again in a minute.')
const tooMany = (): HttpProblem => new HttpProblem(429, 'print.too-many', 'Several of your sheets are being made already. Wait for one of them, or stop it.')
const tooLong = (): HttpProblem =>
  new HttpProblem(422, 'print.too-long', 'This takes too long to make. Print one lesson at a time, or divide the largest exercise.')
const tooLarge = (): HttpProblem =>
  new HttpProblem(422, 'print.too-large', 'This holds too much to be made. Print one lesson at a time, or divide the largest exercise.')

/** Built, the worker is a file beside this one; from source it needs the loader that reads TypeScript. */
const PRINT_WORKER = import.meta.url.endsWith('.ts') ? './print-worker.mjs' : './print-worker.js'

let nextId = 1
/** Of each account in turn: the one that was served last stands last. */
const waiting = new Map<string, Job[]>()
const crew = new Set<Slot>()

/** One at a time for an account, so that nobody waits for somebody else's many. */
export function print(account: string, order: Omit<PrintJob, 'id'>, { onShare = () => undefined, signal }: PrintWatch = {}): Promise<Uint8Array> {
  const own = waiting.get(account) ?? []
  if (own.length >= MOST_WAITING_EACH) return Promise.reject(tooMany())
  if ([...waiting.values()].flat().length >= MOST_WAITING) return Promise.reject(busy())
  if (signal?.aborted === true) return Promise.reject(printStopped())
  return new Promise((resolve, reject) => {
    const one: Job = { account, job: { ...order, id: nextId++ }, onShare, resolve, reject }
    waiting.set(account, [...own, one])
    signal?.addEventListener('abort', () => {
      takeOut(one)
      for (const slot of crew) slot.stop(one)
      reject(printStopped())
    })
    next()
  })
}

function takeOut(one: Job): void {
  const left = (waiting.get(one.account) ?? []).filter((other) => other !== one)
  waiting.delete(one.account)
  if (left.length > 0) waiting.set(one.account, left)
}

/** Whoever may be served next is, as long as a worker is free. */
function next(): void {
  const served = new Set([...crew].flatMap((slot) => slot.account() ?? []))
  const first = [...waiting].find(([account]) => !served.has(account))?.[1][0]
  const slot = first && ([...crew].find((one) => one.account() === null) ?? (crew.size < WORKERS ? makeSlot() : null))
  if (!first || !slot) return
  takeOut(first)
  slot.begin(first)
  next()
}

interface Slot {
  /** Whose job it makes; null where none. */
  readonly account: () => string | null
  readonly begin: (job: Job) => void
  /** Where it makes this one. */
  readonly stop: (job: Job) => void
  readonly end: () => Promise<unknown>
}

/** A worker with what it is making. Lost, it is made anew for the next; no other job hears of it. */
function makeSlot(): Slot {
  const worker = new Worker(new URL(PRINT_WORKER, import.meta.url), { resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB } })
  let now: Job | null = null
  let timer: NodeJS.Timeout | undefined
  const done = (): Job | null => {
    const was = now
    clearTimeout(timer)
    now = null
    return was
  }
  const lose = (error: Error): void => {
    crew.delete(slot)
    done()?.reject(error)
    void worker.terminate()
    next()
  }
  const slot: Slot = {
    account: () => now?.account ?? null,
    begin: (job) => {
      now = job
      timer = setTimeout(() => lose(tooLong()), LONGEST_MS)
      worker.postMessage(job.job satisfies PrintMessage)
    },
    stop: (job) => {
      if (now !== job) return
      worker.postMessage({ stop: job.job.id } satisfies PrintMessage)
      clearTimeout(timer)
      timer = setTimeout(() => lose(printStopped()), LET_GO_MS)
    },
    end: () => worker.terminate(),
  }
  worker.on('message', (reply: PrintReply | PrintMeanwhile) => {
    if (now?.job.id !== reply.id) return
    if ('share' in reply) return now.onShare(reply.share)
    const one = done()
    if (reply.pdf) one?.resolve(reply.pdf)
    else one?.reject(reply.failed ? new Error(reply.failed) : wrongInput(reply.problems.filter((problem) => problem.severity === 'error')))
    next()
  })
  worker.on('error', (error: NodeJS.ErrnoException) => lose(error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? tooLarge() : error))
  worker.on('exit', () => {
    if (crew.has(slot)) lose(new Error('the printing worker stopped'))
  })
  worker.unref()
  crew.add(slot)
  return slot
}

/** Of all accounts together. */
export function printing(): { readonly making: number; readonly waiting: number } {
  return { making: [...crew].filter((slot) => slot.account() !== null).length, waiting: [...waiting.values()].flat().length }
}

export async function stopPrinting(): Promise<void> {
  const lost = [...crew]
  crew.clear()
  await Promise.all(lost.map((slot) => slot.end()))
}
