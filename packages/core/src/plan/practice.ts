/**
 * How long a row must be before a learner's stitches are even enough. Holes fall about their marks with a spread that
 * shrinks with practice, sigma(N) = sigma(1) N^-b with b = 0.25 within the first sessions; a stitch whose motion is known
 * begins at two thirds. Below 30 stitches a measured spread cannot tell good from novice, so no row is shorter. Spreads
 * of beginners and of good work are estimates of teachers (0.45 and 0.25 mm); take the answer as a guide.
 */
import type { Exercise, Level } from '../sampler/index.ts'

/** Standard deviation of the holes about their marks at the first stitches of a new motion, mm. */
const AT_FIRST_MM: Readonly<Record<Level, number>> = { beginner: 0.45, improver: 0.34, experienced: 0.25 }
/** What is good enough, mm: as excellent work, as good work, and wider. */
export const TARGET_MM: Readonly<Record<NonNullable<Exercise['hold']>, number>> = { tight: 0.12, easy: 0.25, free: 0.35 }
const LEARNING = 0.25
const KNOWN_MOTION = 0.66
const TO_JUDGE = 30

export interface PracticeAsked {
  readonly stitches: number
  readonly rowMm: number
  /** Stitches that the exercise has. */
  readonly has: number
  readonly enough: boolean
  readonly sentence: string
}

export function practiceAsked(how: {
  readonly level: Level
  readonly hold: NonNullable<Exercise['hold']>
  /** Everything in it has been taught before. */
  readonly known: boolean
  readonly pitchMm: number
  readonly count: number
}): PracticeAsked {
  const target = TARGET_MM[how.hold]
  const begins = AT_FIRST_MM[how.level] * (how.known ? KNOWN_MOTION : 1)
  const toReach = begins <= target ? 1 : Math.ceil((begins / target) ** (1 / LEARNING))
  const stitches = Math.max(TO_JUDGE, toReach)
  const rowMm = stitches * how.pitchMm
  const enough = how.count >= stitches
  const learning =
    toReach === 1
      ? `Your learners can do that from the start; ${TO_JUDGE} in a go show it.`
      : `That takes about ${toReach} stitches${toReach <= TO_JUDGE ? `, and ${TO_JUDGE} in a go to be judged by` : ''}.`
  const has = enough ? `The ${how.count} here are enough.` : `There are ${how.count} here: a practice row of ${Math.round(rowMm)} mm would do.`
  return {
    stitches,
    rowMm,
    has: how.count,
    enough,
    sentence: `Held ${how.hold}: holes within ${target} mm. ${learning} ${has}`,
  }
}
