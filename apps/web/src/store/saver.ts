/**
 * Saves by itself: half a second after an edit the pending operations are sent, as many as one request may hold. A lost
 * connection keeps them and tries again; a refused one goes alone, and is said. One listener a kind of document.
 */
import { error } from '@lemmata/core/base'
import { type DocumentAnswer, MOST_BODY_BYTES, type Refusal, type SentOperation, type StaleAnswer, type WrittenAnswer } from '@lemmata/contract'
import type { ListenerEffectAPI, ThunkDispatch, TypedStartListening, UnknownAction } from '@reduxjs/toolkit'
import { ApiError, ConnectionLost } from '../api/client.ts'
import type { OpenDocument } from './open-document.ts'
import { keepUnsent } from './unsent.ts'

const PAUSE_MS = 500
const FIRST_RETRY_MS = 1000
const LONGEST_PAUSE_MS = 15_000
const MOST_AT_ONCE = 100
/** Room for the frame round the operations. */
const BATCH_BYTES = MOST_BODY_BYTES * 0.8

export interface Saving<State, Document, One> {
  /** What the unsent edits of a document are kept under. */
  readonly keyOf: (id: string) => string
  readonly open: (state: State) => OpenDocument<Document, One> | null
  readonly send: (id: string, baseRevision: number, operations: readonly SentOperation<One>[]) => Promise<WrittenAnswer>
  readonly staleCode: string
  readonly began: () => UnknownAction
  readonly acknowledged: (written: { ids: readonly string[]; revision: number; refused: readonly Refusal[] }) => UnknownAction
  readonly rebased: (answer: DocumentAnswer<Document>, applied: readonly string[]) => UnknownAction
  readonly connectionLost: () => UnknownAction
  readonly sessionLost: () => UnknownAction
}

type Dispatching<State> = ListenerEffectAPI<State, ThunkDispatch<State, unknown, UnknownAction>>

/** Asked for when the connection is known to be back. */
export const SEND_NOW = 'saver/sendNow'

export function startSaving<State, Document, One>(
  startListening: TypedStartListening<State, ThunkDispatch<State, unknown, UnknownAction>>,
  saving: Saving<State, Document, One>,
): void {
  // One loop at a time: what is edited while a request is on its way is kept at once and sent with the next.
  let running = false
  let wake: (() => void) | null = null
  const pause = (ms: number): Promise<void> =>
    new Promise((resolve) => {
      const timer = setTimeout(resolve, ms)
      wake = () => {
        clearTimeout(timer)
        resolve()
      }
    })
  startListening({
    predicate: (action, now, before) => saving.open(now)?.pending !== saving.open(before)?.pending || action.type === SEND_NOW,
    effect: async (action, api) => {
      const was = saving.open(api.getOriginalState())
      const is = saving.open(api.getState())
      if (is) await keepUnsent(saving.keyOf(is.id), was?.id === is.id ? was.pending : [], is.pending)
      if (action.type === SEND_NOW) wake?.()
      if (running) return
      running = true
      try {
        if (action.type !== SEND_NOW) await pause(PAUSE_MS)
        await sendAll(api, saving, pause)
      } finally {
        running = false
      }
    },
  })
}

async function sendAll<State, Document, One>(
  api: Dispatching<State>,
  saving: Saving<State, Document, One>,
  pause: (ms: number) => Promise<void>,
): Promise<void> {
  let retryMs = FIRST_RETRY_MS
  let alone = false
  for (;;) {
    const open = saving.open(api.getState())
    if (!open || open.pending.length === 0 || open.status === 'signed-out') return
    const outcome: Outcome = await sendOnce(api, saving, open, alone)
    if (outcome === 'stopped') return
    alone = outcome === 'alone'
    if (outcome === 'wait') {
      await pause(retryMs)
      retryMs = Math.min(LONGEST_PAUSE_MS, retryMs * 2)
    } else retryMs = FIRST_RETRY_MS
  }
}

type Outcome = 'sent' | 'wait' | 'alone' | 'stopped'

async function sendOnce<State, Document, One>(
  api: Dispatching<State>,
  saving: Saving<State, Document, One>,
  open: OpenDocument<Document, One>,
  alone: boolean,
): Promise<Outcome> {
  const batch = alone ? open.pending.slice(0, 1) : firstBatch(open.pending)
  const ids = batch.map((one) => one.id)
  api.dispatch(saving.began())
  // What comes back is for this document, and another may have been opened meanwhile.
  const isOpenStill = (): boolean => saving.open(api.getState())?.id === open.id
  try {
    const written = await saving.send(open.id, open.revision, batch)
    if (isOpenStill()) api.dispatch(saving.acknowledged({ ids, ...written }))
    else await keepUnsent(saving.keyOf(open.id), batch, [])
    return 'sent'
  } catch (thrown) {
    return isOpenStill() ? recover(api, saving, thrown, open, ids) : 'sent'
  }
}

function recover<State, Document, One>(
  api: Dispatching<State>,
  saving: Saving<State, Document, One>,
  thrown: unknown,
  open: OpenDocument<Document, One>,
  ids: readonly string[],
): Outcome {
  if (thrown instanceof ApiError && thrown.code === saving.staleCode) {
    const { current, applied } = thrown.body as StaleAnswer<DocumentAnswer<Document>>
    api.dispatch(saving.rebased(current, applied))
    return 'sent'
  }
  if (thrown instanceof ConnectionLost || (thrown instanceof ApiError && (thrown.status >= 500 || thrown.status === 429))) {
    api.dispatch(saving.connectionLost())
    return 'wait'
  }
  if (thrown instanceof ApiError && (thrown.status === 401 || thrown.status === 403)) {
    api.dispatch(saving.sessionLost())
    return 'stopped'
  }
  // Refused as a whole, without saying which: each is sent by itself, until the one that cannot be kept is found.
  if (ids.length > 1) return 'alone'
  const message = thrown instanceof Error ? thrown.message : 'It was refused.'
  const problem = error('operation.refused', [], { said: message })
  api.dispatch(saving.acknowledged({ ids, revision: open.revision, refused: ids.map((id) => ({ id, problems: [problem] })) }))
  return 'alone'
}

/** As many as one request may hold, by number and by bytes; one that is too large by itself is sent, and refused by itself. */
export function firstBatch<One>(pending: readonly SentOperation<One>[]): readonly SentOperation<One>[] {
  const batch: SentOperation<One>[] = []
  let bytes = 0
  for (const one of pending.slice(0, MOST_AT_ONCE)) {
    bytes += bytesOf(one)
    if (batch.length > 0 && bytes > BATCH_BYTES) break
    batch.push(one)
  }
  return batch
}

function bytesOf(one: unknown): number {
  return new TextEncoder().encode(JSON.stringify(one)).length
}
