/**
 * Saves by itself: half a second after an edit the pending operations are sent. A lost connection keeps them
 * and tries again; they are also kept for this tab, so that a reload loses nothing.
 */
import type { SentOperation } from '@lemmata/contract'
import { api, ApiError, ConnectionLost, isStale } from '../api/client.ts'
import type { connectionBack, edited } from './sampler.ts'
import { connectionLost, type OpenSampler, rebased, refused, sendingBegan, sent, sessionLost } from './sampler.ts'

interface SaverStore {
  readonly getState: () => { readonly sampler: { readonly open: OpenSampler | null } }
  readonly dispatch: (
    action:
      | ReturnType<typeof edited>
      | ReturnType<typeof sent>
      | ReturnType<typeof rebased>
      | ReturnType<typeof refused>
      | ReturnType<typeof sendingBegan>
      | ReturnType<typeof connectionLost>
      | ReturnType<typeof connectionBack>
      | ReturnType<typeof sessionLost>,
  ) => unknown
  readonly subscribe: (listener: () => void) => () => void
}

const PAUSE_MS = 500
const LONGEST_PAUSE_MS = 15_000

export function startSaver(store: SaverStore): void {
  let timer: ReturnType<typeof setTimeout> | null = null
  let busy = false
  let retryMs = 1000
  let keptFor: readonly SentOperation[] | null = null

  const schedule = (ms: number): void => {
    if (timer !== null) clearTimeout(timer)
    timer = setTimeout(() => {
      timer = null
      void send()
    }, ms)
  }

  const send = async (): Promise<void> => {
    const { open } = store.getState().sampler
    if (busy || !open || open.pending.length === 0 || open.status === 'signed-out') return
    busy = true
    const batch = open.pending.slice(0, 100)
    const ids = batch.map((one) => one.id)
    store.dispatch(sendingBegan())
    try {
      const { version } = await api.sendOperations(open.id, open.version, batch)
      store.dispatch(sent({ ids, version }))
      retryMs = 1000
    } catch (error) {
      await recover(error, open, ids)
    } finally {
      busy = false
      const after = store.getState().sampler.open
      if (after && after.pending.length > 0 && after.status === 'waiting') schedule(0)
    }
  }

  const recover = async (error: unknown, open: OpenSampler, ids: readonly string[]): Promise<void> => {
    if (isStale(error)) {
      store.dispatch(rebased({ answer: error.body.current, applied: error.body.applied }))
      return
    }
    if (error instanceof ConnectionLost || (error instanceof ApiError && error.status >= 500) || (error instanceof ApiError && error.status === 429)) {
      store.dispatch(connectionLost())
      schedule(retryMs)
      retryMs = Math.min(LONGEST_PAUSE_MS, retryMs * 2)
      return
    }
    if (error instanceof ApiError && (error.status === 401 || error.status === 403)) {
      store.dispatch(sessionLost())
      return
    }
    const message = error instanceof Error ? error.message : 'A change was refused.'
    try {
      store.dispatch(refused({ answer: await api.sampler(open.id), ids, message }))
    } catch {
      store.dispatch(connectionLost())
      schedule(retryMs)
    }
  }

  store.subscribe(() => {
    const { open } = store.getState().sampler
    if (!open) return
    if (open.pending !== keptFor) {
      keptFor = open.pending
      keepPending(open.id, open.pending)
    }
    if (open.status === 'waiting' && !busy && timer === null) schedule(PAUSE_MS)
  })
  window.addEventListener('online', () => schedule(0))
  window.addEventListener('beforeunload', (event) => {
    const { open } = store.getState().sampler
    if (open && open.pending.length > 0) event.preventDefault()
  })
}

const keyFor = (id: string): string => `lemmata-pending-${id}`

function keepPending(id: string, pending: readonly SentOperation[]): void {
  try {
    if (pending.length === 0) sessionStorage.removeItem(keyFor(id))
    else sessionStorage.setItem(keyFor(id), JSON.stringify(pending))
  } catch {
    // A full or forbidden store: the page still holds them.
  }
}

/** What this tab had not sent when it was reloaded. */
export function keptPending(id: string): readonly SentOperation[] {
  try {
    const kept: unknown = JSON.parse(sessionStorage.getItem(keyFor(id)) ?? '[]')
    return Array.isArray(kept) ? (kept as SentOperation[]) : []
  } catch {
    return []
  }
}
