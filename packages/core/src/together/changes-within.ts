/** How often the needle or the thread is changed within the lessons: each change is a needle put down and one taken up. */
import type { ExerciseId } from '../base/index.ts'
import type { Sampler } from '../sampler/index.ts'

/** `settingsOf`: what an exercise is worked with, one after the other; none where it is not worked. */
export function changesWithin({ lessons }: Pick<Sampler, 'lessons'>, settingsOf: (exercise: ExerciseId) => readonly string[]): number {
  let changes = 0
  for (const { exercises } of lessons) {
    const all = exercises.flatMap(settingsOf)
    for (let at = 1; at < all.length; at += 1) if (all[at] !== all[at - 1]) changes += 1
  }
  return changes
}
