/** Choosing the course's needles together, in a worker that can be stopped. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import { type FewerNeedles, fewerNeedles, needleCourse } from '@lemmata/core/together'
import { useEffect, useState } from 'react'
import type { NeedleService } from '../compute/needles.worker.ts'
import needlesWorker from '../compute/needles.worker.ts?beside-page'
import { runWorker } from '../compute/protocol.ts'

export type Choosing =
  | { readonly state: 'busy' }
  | { readonly state: 'done'; readonly answer: FewerNeedles; readonly unserved: readonly string[] }
  | { readonly state: 'failed'; readonly sentence: string }

/** Begun when it is shown; ended with it. */
export function useFewerNeedles(done: readonly WorkedExercise[]): Choosing {
  const [choosing, setChoosing] = useState<Choosing>({ state: 'busy' })
  useEffect(() => {
    let dropped = false
    const course = needleCourse(done)
    const running = runWorker<NeedleService>(() => new Worker(needlesWorker, { type: 'module' }), 'Choosing the needles')
    fewerNeedles(course, (lp) => running.ask((service) => service.solve(lp)))
      .then((answer) => {
        if (dropped) return
        setChoosing(
          answer
            ? { state: 'done', answer, unserved: course.left.map((row) => row.name) }
            : { state: 'failed', sentence: 'No choice was found that serves every thread. The needles stay as they are.' },
        )
      })
      .catch((thrown: unknown) => {
        if (!dropped) setChoosing({ state: 'failed', sentence: thrown instanceof Error ? thrown.message : 'Choosing the needles stopped.' })
      })
      .finally(() => running.end())
    return () => {
      dropped = true
      running.end()
    }
  }, [done])
  return choosing
}
