/** Pieces that have a thread, strands or a needle of their own: what they are worked with is in every kit too, and is not chosen anew. */
import type { WorkedExercise } from '../exercise/index.ts'
import { needleKey } from '../materials/index.ts'

export type UsedThread = WorkedExercise['threads'][number]

export function ownPieces({ threads, assigned }: WorkedExercise): readonly UsedThread[] {
  return threads.filter(
    (used) =>
      !assigned.threads.some(
        (one) =>
          one.role === used.role &&
          one.strands.value === used.strands.value &&
          needleKey(one.needle.value) === needleKey(used.needle.value) &&
          [one.thread.value, ...one.shades].some((thread) => thread.id === used.thread.id),
      ),
  )
}
