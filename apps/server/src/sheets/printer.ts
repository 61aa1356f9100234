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
import { keptPrints, keyOfPrint } from './kept-prints.ts'

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

/** Of one account, beside the one that is being made; and of all together. */
const MOST_WAITING_EACH = 4
const MOST_WAITING = 40
const WORKERS = 2
/** What is stopped lets go at its next page; what does not is ended. */
const LET_GO_MS = 2000

export interface PrintLimits {
  /** Counted from a job's own beginning. */
  readonly longestMs: number
  /** Of a worker's objects. */
  readonly mostMemoryMb: number
}

/** Forty exercises take about two seconds: a job fifteen times as long is stuck. The largest sampler that is worked takes a third of the memory. */
const LIMITS: PrintLimits = { longestMs: 30_000, mostMemoryMb: 500 }

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

export interface Printer {
  /** One at a time for an account, so that nobody waits for somebody else's many. */
  readonly print: (account: string, order: Omit<PrintJob, 'id'>, watch?: PrintWatch) => Promise<Uint8Array>
  /** Of all accounts together. */
  readonly printing: () => { readonly making: number; readonly waiting: number }
  readonly stop: () => Promise<void>
}

export function makePrinter(limits: PrintLimits = LIMITS): Printer {
  let nextId = 1
  /** Of each account in turn: the one that was served last stands last. */
  const waiting = new Map<string, Job[]>()
  const crew = new Set<Slot>()
  const kept = keptPrints()

  function print(account: string, order: Omit<PrintJob, 'id'>, { onShare = () => undefined, signal }: PrintWatch = {}): Promise<Uint8Array> {
    const own = waiting.get(account) ?? []
    if (signal?.aborted === true) return Promise.reject(printStopped())
    const key = keyOfPrint(order)
    const known = kept.find(key)
    if (known) return Promise.resolve(known)
    if (own.length >= MOST_WAITING_EACH) return Promise.reject(tooMany())
    if ([...waiting.values()].flat().length >= MOST_WAITING) return Promise.reject(busy())
    return new Promise((resolve, reject) => {
      const made = (pdf: Uint8Array): void => {
        kept.keep(key, pdf)
        resolve(pdf)
      }
      const one: Job = { account, job: { ...order, id: nextId++ }, onShare, resolve: made, reject }
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
    const slot = first && ([...crew].find((one) => one.account() === null) ?? (crew.size < WORKERS ? addSlot() : null))
    if (!first || !slot) return
    takeOut(first)
    slot.begin(first)
    next()
  }

  /** Lost, a worker is made anew for the next job; no other hears of it. */
  function addSlot(): Slot {
    const slot = makeSlot(limits, {
      free: next,
      isOfCrew: () => crew.has(slot),
      leave: () => void crew.delete(slot),
    })
    crew.add(slot)
    return slot
  }

  return {
    print,
    printing: () => ({ making: [...crew].filter((slot) => slot.account() !== null).length, waiting: [...waiting.values()].flat().length }),
    stop: async () => {
      const lost = [...crew]
      crew.clear()
      await Promise.all(lost.map((slot) => slot.end()))
    },
  }
}

interface Slot {
  /** Whose job it makes; null where none. */
  readonly account: () => string | null
  readonly begin: (job: Job) => void
  /** Where it makes this one. */
  readonly stop: (job: Job) => void
  readonly end: () => Promise<unknown>
}

interface Crew {
  /** Told when a job is over. */
  readonly free: () => void
  readonly isOfCrew: () => boolean
  readonly leave: () => void
}

/** A worker with what it is making. */
function makeSlot({ longestMs, mostMemoryMb }: PrintLimits, { free, isOfCrew, leave }: Crew): Slot {
  const worker = new Worker(new URL(PRINT_WORKER, import.meta.url), { resourceLimits: { maxOldGenerationSizeMb: mostMemoryMb } })
  let now: Job | null = null
  let timer: NodeJS.Timeout | undefined
  const done = (): Job | null => {
    const was = now
    clearTimeout(timer)
    now = null
    return was
  }
  const lose = (error: Error): void => {
    leave()
    done()?.reject(error)
    void worker.terminate()
    free()
  }
  worker.on('message', (reply: PrintReply | PrintMeanwhile) => {
    if (now?.job.id !== reply.id) return
    if ('share' in reply) return now.onShare(reply.share)
    const one = done()
    if (reply.pdf) one?.resolve(reply.pdf)
    else one?.reject(reply.failed ? new Error(reply.failed) : wrongInput(reply.problems.filter((problem) => problem.severity === 'error')))
    free()
  })
  worker.on('error', (error: NodeJS.ErrnoException) => lose(error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? tooLarge() : error))
  worker.on('exit', () => {
    if (isOfCrew()) lose(new Error('the printing worker stopped'))
  })
  worker.unref()
  return {
    account: () => now?.account ?? null,
    begin: (job) => {
      now = job
      timer = setTimeout(() => lose(tooLong()), longestMs)
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
}

/** This process's own. */
export const { print, printing, stop: stopPrinting } = makePrinter()
