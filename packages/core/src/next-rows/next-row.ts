/** Which row a learner works next, of what measure, and which of its holes are still marked: as her last photographed row asks. */
import type { ExerciseId } from '../base/index.ts'
import type { Learner } from '../classes/index.ts'
import { forLearner } from '../exercise/index.ts'
import { type Advice, adviseLast, type PracticeRow, practiceRow } from '../photo/index.ts'
import { type CourseLesson, type LearnerPractice, UNTOUCHED, type WhatNext, whatNext } from '../practice/index.ts'
import type { Exercise, Sampler } from '../sampler/index.ts'

export interface NextRow {
  readonly learner: Learner
  readonly next: WhatNext
  /** Of what she works next; null where all of it is worked. */
  readonly exercise: Exercise | null
  /** What her last row of it asks for; null where she has photographed none. */
  readonly advice: Advice | null
  /** Null where it is not worked in a row that a photograph could tell apart. */
  readonly row: PracticeRow | null
  /** It is larger than the exercise, because three rows became no more even. */
  readonly isLarger: boolean
  /** Every how many stitches one is marked; 0 where only the line is drawn. */
  readonly markEvery: number
}

/** So much larger: a quarter, which the hand feels and the eye hardly sees. */
const LARGER = 1.25

export function nextRow(
  sampler: Sampler,
  learner: Learner,
  practice: LearnerPractice,
  lessons: readonly CourseLesson[],
  today: string,
  planned: (exercise: ExerciseId) => number,
): NextRow {
  const next = whatNext(practice, lessons, today, planned)
  const id = exerciseOf(next, lessons)
  const hers = forLearner(sampler, learner).sampler
  const exercise = hers.exercises.find((one) => one.id === id) ?? null
  const advice = id === null ? null : adviseLast((practice.exercises.get(id) ?? UNTOUCHED).rows)
  const usual = exercise && practiceRow(hers, exercise)
  const larger = usual && advice?.kind === 'larger' ? largerRow(hers, exercise, usual) : null
  const row = larger ?? usual
  return { learner, next, exercise, advice, row, isLarger: larger !== null, markEvery: row ? markEvery(row, advice) : 0 }
}

function exerciseOf(next: WhatNext, lessons: readonly CourseLesson[]): ExerciseId | null {
  if (next.kind === 'finished') return null
  if (next.kind !== 'ready') return next.exercise
  return lessons.find((one) => one.id === next.lesson)?.exercises[0] ?? null
}

/** Longer by the length that the stitch is spoken of by; null where it has none, or cannot be worked so. */
function largerRow(sampler: Sampler, exercise: Exercise, { done }: PracticeRow): PracticeRow | null {
  const own = [...done.assigned.parameters].find(([, one]) => one.kind === 'length')
  if (!own) return null
  const [name, { value }] = own
  return practiceRow(sampler, { ...exercise, parameters: { ...exercise.parameters, [name]: Math.round(value * LARGER * 10) / 10 } })
}

/**
 * Marks fade: every hole of a first row or of one whose measure is to change, every third while lengths vary, none after two good
 * rows. Where stitches lie side by side there is one upright line every few millimetres instead.
 */
function markEvery({ plan }: PracticeRow, advice: Advice | null): number {
  if (advice?.kind === 'go-on') return 0
  const [all, some] = plan.kind === 'side-by-side' ? [Math.round(UPRIGHT_MM / plan.pitchMm), Math.round((2 * UPRIGHT_MM) / plan.pitchMm)] : [1, 3]
  return advice && FEWER.has(advice.kind) ? some : all
}

const UPRIGHT_MM = 4
const FEWER: ReadonlySet<Advice['kind']> = new Set(['uneven', 'drifting-lengths', 'off-the-line', 'once-more'])
