/** The workers themselves, which may be begun before anything that asks them is there: their code is read beside the page's. */

import workWorker from './work.worker.ts?beside-page'

/** The page keeps half of a small machine and most of a large one's is left to others. */
export const WORKERS = Math.min(4, Math.max(2, Math.floor((typeof navigator === 'undefined' ? 2 : navigator.hardwareConcurrency) / 2)))

const waiting = new Set<Worker>()

const start = (): Worker => new Worker(workWorker, { type: 'module' })

export function startWorkers(): void {
  while (waiting.size < WORKERS) {
    const worker = start()
    waiting.add(worker)
    // Nobody hears of one that breaks before it is asked: whoever asks gets another.
    worker.addEventListener('error', () => waiting.delete(worker))
  }
}

export function takeWorker(): Worker {
  const [first] = waiting
  if (!first) return start()
  waiting.delete(first)
  return first
}
