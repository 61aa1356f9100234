/** Needlefuls as they were threaded beside those that are reckoned, and whether what a kit has for unpicking is enough. */
import type { ExerciseId } from '../base/index.ts'
import { learnedRatios } from './learned.ts'
import type { LearnedUnpicking } from '../sampler/index.ts'
import { type Quarters, quartersOf } from './quarters.ts'
import type { LearnerPractice } from './types.ts'

export interface ThreadTold {
  readonly exercise: ExerciseId
  /** Without what is unpicked. */
  readonly reckoned: number
  readonly told: Quarters | null
}

export interface ThreadLearned {
  readonly rows: readonly ThreadTold[]
  /** Of all exercises: 1 as reckoned, above it more. Drawn toward 1 as a class's pace is. */
  readonly times: number
  readonly learners: number
}

/** A kit whose spare thread is just used up by a class is too small for half of it: so much stays over, of what is reckoned. */
const STAYS_OVER = 0.05

const MOST_SPARE = 2

/** What kits have for unpicking when they are cut by this class, in whole hundredths; nothing where nobody counted. */
export function unpickedLearned({ times, learners }: Pick<ThreadLearned, 'times' | 'learners'>, on: string): LearnedUnpicking | null {
  if (learners === 0) return null
  const share = Math.min(MOST_SPARE, Math.max(0, times - 1) + STAYS_OVER)
  // What comes to a whole hundredth but for a machine's rounding is not the next.
  return { share: Math.ceil(100 * share - 1e-9) / 100, learners, on }
}

/** `spareShare`: added to a kit for unpicking, of what is reckoned. */
export const isSpareEnough = ({ times }: Pick<ThreadLearned, 'times'>, spareShare: number): boolean => times - 1 <= spareShare - STAYS_OVER + 1e-9

/** `reckoned`: needlefuls of an exercise in all its colours; 0 where it is not known. */
export function threadTold(practices: readonly LearnerPractice[], exercises: readonly ExerciseId[], reckoned: (exercise: ExerciseId) => number): ThreadLearned {
  const { pace: times, learners } = learnedRatios(practices, reckoned, (hers) => hers.needlefuls)
  return {
    times,
    learners,
    rows: exercises.map((exercise) => ({ exercise, reckoned: reckoned(exercise), told: quartersOf(practices, exercise, (hers) => hers.needlefuls) })),
  }
}
