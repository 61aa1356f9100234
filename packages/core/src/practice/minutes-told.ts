/** Minutes as they were told beside those that are reckoned, exercise by exercise; of a class as what the middle half of it took. */
import type { ExerciseId } from '../base/index.ts'
import { PACE } from '../calendar/index.ts'
import type { LearnerPractice } from './types.ts'

export interface MinutesTold {
  readonly exercise: ExerciseId
  /** At home, as reckoned: usual hands, and the band from quick to slow ones. */
  readonly reckoned: number
  readonly quick: number
  readonly slow: number
  /** Of those who can do it and told of it: a quarter took less than `low`, half less than `middle`, a quarter more than `high`. */
  readonly told: { readonly low: number; readonly middle: number; readonly high: number; readonly learners: number } | null
}

/** What is still being practised is not done, and says nothing yet of how long it takes. */
export function minutesTold(
  practices: readonly LearnerPractice[],
  exercises: readonly ExerciseId[],
  reckoned: (exercise: ExerciseId) => number,
): readonly MinutesTold[] {
  return exercises.map((exercise): MinutesTold => {
    const usual = reckoned(exercise)
    const all = practices.flatMap((one) => {
      const hers = one.exercises.get(exercise)
      return hers?.state === 'can' && hers.minutes > 0 ? [hers.minutes] : []
    })
    const sorted = all.sort((a, b) => a - b)
    const told = sorted.length === 0 ? null : { low: at(sorted, 0.25), middle: at(sorted, 0.5), high: at(sorted, 0.75), learners: sorted.length }
    return { exercise, reckoned: usual, quick: usual * PACE.quick, slow: usual * PACE.slow, told }
  })
}

/** Between two of them where it falls between: the usual rule of quartiles (Hyndman and Fan's seventh). */
function at(sorted: readonly number[], share: number): number {
  const place = share * (sorted.length - 1)
  const [below, above] = [sorted[Math.floor(place)] ?? 0, sorted[Math.ceil(place)] ?? 0]
  return below + (above - below) * (place - Math.floor(place))
}
