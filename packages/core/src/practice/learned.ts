/**
 * What classes took against what was reckoned. Each learner's ratios are of pieces that she can do and said minutes of; logarithms, for half
 * and twice as long are as far off. A class's pace is the middle half of its learners' paces, averaged, so that one wild learner hardly moves
 * it; an exercise's own is what is left when everyone's pace is taken out. Both are drawn toward the table by as many imagined learners who
 * took what it says: little told changes little.
 */
import type { ExerciseId } from '../base/index.ts'
import type { ExercisePractice, LearnerPractice } from './types.ts'

/** Imagined learners who took what the table says. */
const OF_PACE = 3
const OF_EXERCISE = 6
/** What was told of less than this is of a piece that was hardly worked at home: minutes, needlefuls. */
const LEAST = 1

export interface LearnedMinutes {
  /** Minutes at home, by what was told. */
  readonly minutes: number
  /** Who told of it. */
  readonly learners: number
}

export interface Learned {
  /** Of all exercises: 1 as reckoned, above it longer. */
  readonly pace: number
  readonly learners: number
  readonly exercises: ReadonlyMap<ExerciseId, LearnedMinutes>
}

/** `practices`: of all learners of all classes that it is learned from. `planned`: minutes at home as they are reckoned; 0 where there are none. */
export const learnedFrom = (practices: readonly LearnerPractice[], planned: (exercise: ExerciseId) => number): Learned =>
  learnedRatios(practices, planned, (hers) => hers.minutes)

/** Of whatever is told as a number: `of` what she told, 0 nothing. What is less than one, told or planned, says nothing. */
export function learnedRatios(
  practices: readonly LearnerPractice[],
  planned: (exercise: ExerciseId) => number,
  of: (hers: ExercisePractice) => number,
): Learned {
  const told = practices.map((practice) =>
    [...practice.exercises].flatMap(([exercise, hers]) =>
      hers.state === 'can' && of(hers) >= LEAST && planned(exercise) >= LEAST ? [{ exercise, ratio: Math.log(of(hers) / planned(exercise)) }] : [],
    ),
  )
  const hers = told.filter((one) => one.length > 0).map((ratios) => ({ ratios, pace: middleHalf(ratios.map((one) => one.ratio)) }))
  const pace = drawn(middleHalf(hers.map((one) => one.pace)), hers.length, OF_PACE)
  const left = new Map<ExerciseId, number[]>()
  for (const one of hers) for (const { exercise, ratio } of one.ratios) left.set(exercise, [...(left.get(exercise) ?? []), ratio - one.pace])
  const exercises = new Map<ExerciseId, LearnedMinutes>()
  for (const [exercise, all] of left) {
    const own = drawn(middleHalf(all), all.length, OF_EXERCISE)
    exercises.set(exercise, { minutes: planned(exercise) * Math.exp(pace + own), learners: all.length })
  }
  return { pace: Math.exp(pace), learners: hers.length, exercises }
}

/** Toward nothing, as `imagined` learners would draw it. */
const drawn = (found: number, learners: number, imagined: number): number => (found * learners) / (learners + imagined)

/** The mean without the quarter that is lowest and the quarter that is highest; 0 of nothing. */
function middleHalf(values: readonly number[]): number {
  if (values.length === 0) return 0
  const sorted = [...values].sort((a, b) => a - b)
  const cut = Math.floor(values.length / 4)
  const kept = sorted.slice(cut, values.length - cut)
  return kept.reduce((sum, one) => sum + one, 0) / kept.length
}
