/** The workers themselves, which may be begun before anything that asks them is there: their code is read beside the page's. */

import workWorker from './work.worker.ts?beside-page'

/**
 * The page keeps half of a small machine, and most of a large one's is left to others. On two cores a second worker has everything later, not
 * sooner: each of them has its code compiled for itself, which takes as long as what it works.
 */
export const WORKERS = Math.min(4, Math.max(1, Math.floor((typeof navigator === 'undefined' ? 2 : navigator.hardwareConcurrency) / 2)))

/** Changes with every build of what works stitches; none while the program is being written, when nothing is to be kept. */
export const PROGRAM = import.meta.env.PROD ? workWorker : null

const waiting = new Set<Worker>()

const start = (name = ''): Worker => new Worker(workWorker, { type: 'module', name })

/** The first of them is told by its name what the page shows, and how finely: it may begin on that before it can be asked. */
export function startWorkers(): void {
  while (waiting.size < WORKERS) {
    const worker = start(waiting.size === 0 ? `${window.devicePixelRatio || 1} ${location.pathname}` : '')
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
