/** The process that leads: it begins those that serve, begins anew whichever ends by itself, and does what only one may do. */
import cluster, { type Worker } from 'node:cluster'
import { refusalOf } from './ask-leader.ts'
import type { FromLeader, ToLeader } from './messages.ts'

export interface Led {
  /** So many serve. */
  readonly processes: number
  readonly print: (account: string, order: unknown, watch: { readonly onShare: (share: number) => void; readonly signal: AbortSignal }) => Promise<Uint8Array>
  /** Of all of them together. */
  readonly figures: () => Promise<string>
  /** The first of them serves. */
  readonly onReady: (port: number) => void
  /** One has ended by itself, and is begun anew. */
  readonly onEnded: (sentence: string) => void
  /** They end again and again. */
  readonly onLost: (sentence: string) => void
}

/** Whoever ends sooner has not been able to serve. */
const WELL_AFTER_MS = 10_000
const PAUSE_MS = 1000
/** One after another that could not serve. */
const MOST_FAILURES = 8

/** Answers with what ends them: what they have under way is finished first. */
export function lead({ processes, print, figures, onReady, onEnded, onLost }: Led): () => Promise<void> {
  cluster.setupPrimary({ serialization: 'advanced' })
  const under = new Map<Worker, Map<number, AbortController>>()
  let stopping = false
  let failures = 0
  let isReady = false

  const begin = (place: number): void => {
    const began = Date.now()
    const worker = cluster.fork({ PROCESS: String(place) })
    under.set(worker, new Map())
    worker.on('message', (asked: ToLeader) => answer(worker, asked))
    worker.on('listening', ({ port }) => {
      if (isReady) return
      isReady = true
      onReady(port)
    })
    worker.on('exit', (code, signal) => {
      // Nobody waits any more for what it had asked for.
      for (const stop of under.get(worker)?.values() ?? []) stop.abort()
      under.delete(worker)
      if (stopping) return
      // What kept the first from serving it has said itself.
      if (!isReady) return onLost('The server could not be started.')
      failures = Date.now() - began > WELL_AFTER_MS ? 0 : failures + 1
      if (failures >= MOST_FAILURES) return onLost(`A server process ended with ${signal ?? code}, again and again.`)
      onEnded(`A server process ended with ${signal ?? code}. It is begun anew.`)
      setTimeout(() => !stopping && begin(place), failures <= 1 ? 0 : PAUSE_MS)
    })
  }

  const tell = (worker: Worker, said: FromLeader): void => {
    if (worker.isConnected()) worker.send(said)
  }
  const answer = (worker: Worker, asked: ToLeader): void => {
    const { id } = asked
    if (asked.kind === 'stop-print') return under.get(worker)?.get(id)?.abort()
    if (asked.kind === 'figures') {
      figures().then(
        (text) => tell(worker, { kind: 'figures', id, text }),
        (thrown: unknown) => tell(worker, { kind: 'refused', id, refusal: refusalOf(thrown) }),
      )
      return
    }
    if (asked.kind !== 'print') return
    const stop = new AbortController()
    under.get(worker)?.set(id, stop)
    print(asked.account, asked.order, { signal: stop.signal, onShare: (share) => tell(worker, { kind: 'share', id, share }) })
      .then(
        (pdf) => tell(worker, { kind: 'made', id, pdf }),
        (thrown: unknown) => tell(worker, { kind: 'refused', id, refusal: refusalOf(thrown) }),
      )
      .finally(() => under.get(worker)?.delete(id))
  }

  for (let place = 1; place <= processes; place += 1) begin(place)
  return async () => {
    stopping = true
    const all = [...under.keys()]
    const ended = all.map((worker) => new Promise((resolve) => worker.once('exit', resolve)))
    for (const worker of all) worker.process.kill('SIGTERM')
    await Promise.all(ended)
  }
}
