/**
 * One protocol for the workers: a service of plain functions, called through a typed proxy. A worker that breaks, or that
 * cannot be begun, is told as a sentence and ends every call that waits for it.
 */
import { type Remote, wrap } from 'comlink'

export class WorkerFailed extends Error {
  constructor(what: string) {
    super(`${what} stopped unexpectedly. Your work is as it was: change something or reload the page to try again.`)
  }
}

export interface RunningWorker<Service> {
  readonly service: Remote<Service>
  /** The answer of a call, or that the worker has failed meanwhile. */
  readonly ask: <T>(call: (service: Remote<Service>) => Promise<T>) => Promise<T>
  readonly end: () => void
}

/** `what`: as it is told when it breaks: "Working the stitches". */
export function runWorker<Service>(make: () => Worker, what: string): RunningWorker<Service> {
  const worker = make()
  const service = wrap<Service>(worker)
  let fail: (error: Error) => void = () => undefined
  const failed = new Promise<never>((_resolve, reject) => {
    fail = reject
  })
  // Nobody may be waiting just now: the failure is kept for whoever asks next.
  failed.catch(() => undefined)
  const broken = (): void => fail(new WorkerFailed(what))
  worker.addEventListener('error', broken)
  worker.addEventListener('messageerror', broken)
  return {
    service,
    ask: (call) => Promise.race([call(service), failed]),
    end: () => worker.terminate(),
  }
}
