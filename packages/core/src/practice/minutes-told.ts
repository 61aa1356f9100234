/** Minutes as they were told beside those that are reckoned, exercise by exercise; of a class as what the middle half of it took. */
import type { ExerciseId } from '../base/index.ts'
import { PACE } from '../calendar/index.ts'
import { type Quarters, quartersOf } from './quarters.ts'
import type { LearnerPractice } from './types.ts'

export interface MinutesTold {
  readonly exercise: ExerciseId
  /** At home, as reckoned: usual hands, and the band from quick to slow ones. */
  readonly reckoned: number
  readonly quick: number
  readonly slow: number
  readonly told: Quarters | null
}

/** What is still being practised is not done, and says nothing yet of how long it takes. */
export function minutesTold(
  practices: readonly LearnerPractice[],
  exercises: readonly ExerciseId[],
  reckoned: (exercise: ExerciseId) => number,
): readonly MinutesTold[] {
  return exercises.map((exercise): MinutesTold => {
    const usual = reckoned(exercise)
    const told = quartersOf(practices, exercise, (hers) => hers.minutes)
    return { exercise, reckoned: usual, quick: usual * PACE.quick, slow: usual * PACE.slow, told }
  })
}
