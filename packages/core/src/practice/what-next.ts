/**
 * What a learner does next, and why: one thing, the most pressing first. Who is stuck is helped before anything else; what the class has
 * had and she cannot do yet is caught up in the order of the course; then what is on this week; then nothing, or the next lesson ahead.
 */
import type { ExerciseId, LessonId } from '../base/index.ts'
import { type Advice, adviseLast } from '../photo/index.ts'
import { UNTOUCHED } from './practice-of.ts'
import type { ExercisePractice, LearnerPractice } from './types.ts'

export interface CourseLesson {
  readonly id: LessonId
  readonly exercises: readonly ExerciseId[]
  /** Its (first) date; null where it has none. */
  readonly on: string | null
}

export type WhatNext =
  | { readonly kind: 'help'; readonly exercise: ExerciseId; readonly step: number | null }
  /** Lessons held before the last one, with what she cannot do of them. */
  | { readonly kind: 'catch-up'; readonly lessons: readonly LessonId[]; readonly exercise: ExerciseId }
  /** `advice`: what her last photographed row asks for; none where she has photographed none. */
  | { readonly kind: 'practise'; readonly exercise: ExerciseId; readonly minutes: number; readonly planned: number; readonly advice?: Advice }
  | { readonly kind: 'ready'; readonly lesson: LessonId }
  | { readonly kind: 'ahead'; readonly exercise: ExerciseId }
  | { readonly kind: 'finished' }

/** `today`: a day as 2027-01-14. `planned`: minutes at home of an exercise. */
export function whatNext(practice: LearnerPractice, lessons: readonly CourseLesson[], today: string, planned: (exercise: ExerciseId) => number): WhatNext {
  const of = (exercise: ExerciseId) => practice.exercises.get(exercise) ?? UNTOUCHED
  const all = lessons.flatMap((one) => one.exercises)
  const stuck = all.find((one) => of(one).state === 'stuck')
  if (stuck !== undefined) return { kind: 'help', exercise: stuck, step: of(stuck).stuckAt }
  const isOpen = (exercise: ExerciseId): boolean => of(exercise).state !== 'can'
  // Without dates nobody is behind or ahead: she goes through it in its order.
  const isDated = lessons.some((one) => one.on !== null)
  const undated = lessons.filter((one) => one.exercises.some(isOpen)).slice(0, 1)
  const held = isDated ? lessons.filter((one) => one.on !== null && one.on <= today) : undated
  const behind = held.slice(0, -1).filter((one) => one.exercises.some(isOpen))
  const first = behind[0]?.exercises.find(isOpen)
  if (first !== undefined) return { kind: 'catch-up', lessons: behind.map((one) => one.id), exercise: first }
  const now = held.at(-1)?.exercises.find(isOpen)
  if (now !== undefined) return { kind: 'practise', exercise: now, minutes: of(now).minutes, planned: planned(now), ...adviceOf(of(now)) }
  const coming = lessons.filter((one) => !held.includes(one))
  const begun = coming.flatMap((one) => one.exercises).find((one) => isOpen(one) && of(one).state !== 'untouched')
  if (begun !== undefined) return { kind: 'ahead', exercise: begun }
  const [next] = coming.filter((one) => one.exercises.some(isOpen))
  return next ? { kind: 'ready', lesson: next.id } : { kind: 'finished' }
}

function adviceOf({ rows }: ExercisePractice): { readonly advice?: Advice } {
  const advice = adviseLast(rows)
  return advice ? { advice } : {}
}

/** The lesson that is on: the last that was held, or the first where none was yet; null in a course without lessons. */
export function lessonNow(lessons: readonly CourseLesson[], today: string): LessonId | null {
  return (lessons.filter((one) => one.on !== null && one.on <= today).at(-1) ?? lessons[0])?.id ?? null
}
