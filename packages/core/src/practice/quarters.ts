/** What those who can do an exercise told of it, in quarters. */
import type { ExerciseId } from '../base/index.ts'
import type { ExercisePractice, LearnerPractice } from './types.ts'

/** A quarter took less than `low`, half less than `middle`, a quarter more than `high`. */
export interface Quarters {
  readonly low: number
  readonly middle: number
  readonly high: number
  readonly learners: number
}

/** What is still being practised is not done, and says nothing yet; null where nobody told. */
export function quartersOf(practices: readonly LearnerPractice[], exercise: ExerciseId, told: (hers: ExercisePractice) => number): Quarters | null {
  const all = practices.flatMap((one) => {
    const hers = one.exercises.get(exercise)
    return hers?.state === 'can' && told(hers) > 0 ? [told(hers)] : []
  })
  const sorted = all.sort((a, b) => a - b)
  return sorted.length === 0 ? null : { low: at(sorted, 0.25), middle: at(sorted, 0.5), high: at(sorted, 0.75), learners: sorted.length }
}

/** Between two of them where it falls between: the usual rule of quartiles (Hyndman and Fan's seventh). */
function at(sorted: readonly number[], share: number): number {
  const place = share * (sorted.length - 1)
  const [below, above] = [sorted[Math.floor(place)] ?? 0, sorted[Math.ceil(place)] ?? 0]
  return below + (above - below) * (place - Math.floor(place))
}
