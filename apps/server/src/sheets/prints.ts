/**
 * Prints under way and those just made, by the account that asked for them: told how far they are, stopped, fetched, and forgotten after a
 * while. A print is of this process and lost with it: whoever asks for it then is told to make it again.
 */
import { randomUUID } from 'node:crypto'
import type { PrintState } from '@lemmata/contract'
import { HttpProblem } from '../http/problem.ts'

interface Print {
  readonly account: string
  readonly stop: AbortController
  readonly begunAt: number
  state: PrintState
  pdf: Uint8Array | null
  readonly name: string
}

/** A print that is made is kept for so long. */
const KEPT_MS = 10 * 60_000
/** More of one account are not under way at once: the first are stopped. */
const MOST_OF_ONE = 3
/** Of all accounts, kept: the oldest go first. */
const MOST_BYTES = 128 * 1024 * 1024

const prints = new Map<string, Print>()

export const noSuchPrint = (): HttpProblem => new HttpProblem(404, 'print.none', 'This PDF is no longer kept here. Make it again.')

/** `make`: resolves to the PDF; rejects with what is to be said. */
export function beginPrint(
  account: string,
  name: string,
  make: (watch: { readonly onShare: (share: number) => void; readonly signal: AbortSignal }) => Promise<Uint8Array>,
): string {
  forget()
  const own = [...prints.values()].filter((one) => one.account === account && one.state.state === 'making')
  for (const one of own.slice(0, Math.max(0, own.length - MOST_OF_ONE + 1))) one.stop.abort()
  const id = randomUUID()
  const print: Print = { account, stop: new AbortController(), begunAt: Date.now(), state: { state: 'making', share: 0 }, pdf: null, name }
  prints.set(id, print)
  const onShare = (share: number): void => {
    // A book that is set once more, closer, does not go back in what is told of it.
    if (print.state.state === 'making') print.state = { state: 'making', share: Math.max(print.state.share, share) }
  }
  make({ onShare, signal: print.stop.signal }).then(
    (pdf) => {
      print.pdf = pdf
      print.state = { state: 'made', bytes: pdf.byteLength }
    },
    (error: unknown) => {
      const known = error instanceof HttpProblem ? error : new HttpProblem(500, 'print.failed', 'This PDF could not be made. Nothing of the sampler is lost.')
      print.state = { state: 'failed', error: known.answer().error }
    },
  )
  return id
}

export const printState = (account: string, id: string): PrintState => find(account, id).state

export function printedFile(account: string, id: string): { readonly pdf: Uint8Array; readonly name: string } {
  const { pdf, name } = find(account, id)
  if (!pdf) throw noSuchPrint()
  return { pdf, name }
}

export function stopPrint(account: string, id: string): void {
  find(account, id).stop.abort()
  prints.delete(id)
}

function find(account: string, id: string): Print {
  const one = prints.get(id)
  // Another's is as none.
  if (!one || one.account !== account) throw noSuchPrint()
  return one
}

function forget(): void {
  let bytes = 0
  for (const [id, one] of [...prints].reverse()) {
    bytes += one.pdf?.byteLength ?? 0
    const isOver = one.state.state !== 'making' && (Date.now() - one.begunAt > KEPT_MS || bytes > MOST_BYTES)
    if (isOver) prints.delete(id)
  }
}
