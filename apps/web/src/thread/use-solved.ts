/** A small optimisation of the whole course, solved in a worker that can be stopped. Begun when it is shown; ended with it. */
import type { Solver } from '@lemmata/core/together'
import { useEffect, useState } from 'react'
import type { NeedleService } from '../compute/needles.worker.ts'
import needlesWorker from '../compute/needles.worker.ts?beside-page'
import { runWorker } from '../compute/protocol.ts'

export type Solving<Answer> =
  | { readonly state: 'busy' }
  | { readonly state: 'done'; readonly answer: Answer }
  | { readonly state: 'failed'; readonly sentence: string }

/** `run` is remembered by whoever asks: another one is another question. Null: what it is asked of is not there yet. */
export function useSolved<Answer>(title: string, run: ((solve: Solver) => Promise<Answer | null>) | null): Solving<Answer> {
  const [solving, setSolving] = useState<Solving<Answer>>({ state: 'busy' })
  useEffect(() => {
    if (!run) return
    let dropped = false
    setSolving({ state: 'busy' })
    const running = runWorker<NeedleService>(() => new Worker(needlesWorker, { type: 'module' }), title)
    run((lp) => running.ask((service) => service.solve(lp)))
      .then((answer) => {
        if (dropped) return
        setSolving(
          answer === null ? { state: 'failed', sentence: 'No choice was found that serves every thread. All stays as it is.' } : { state: 'done', answer },
        )
      })
      .catch((thrown: unknown) => {
        if (!dropped) setSolving({ state: 'failed', sentence: thrown instanceof Error ? thrown.message : `${title} stopped.` })
      })
      .finally(() => running.end())
    return () => {
      dropped = true
      running.end()
    }
  }, [title, run])
  return solving
}
