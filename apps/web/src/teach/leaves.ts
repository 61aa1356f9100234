/** What a lesson is shown as, one after another: what it begins with, each exercise's hand and what to look at, what comes after. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { TaughtLesson } from '@lemmata/core/plan'

export type Leaf = { readonly kind: 'begin' } | { readonly kind: 'show' | 'look'; readonly done: WorkedExercise } | { readonly kind: 'end' }

export function leavesOf({ exercises }: TaughtLesson): readonly Leaf[] {
  return [
    { kind: 'begin' },
    ...exercises.flatMap((done): readonly Leaf[] => [
      { kind: 'show', done },
      { kind: 'look', done },
    ]),
    { kind: 'end' },
  ]
}

/** Where an exercise's hand is shown, for whoever comes from it. */
export function placeOf(lessons: readonly TaughtLesson[], exercise: string): { readonly lesson: string; readonly leaf: number } | null {
  const lesson = lessons.find((one) => one.exercises.some((done) => done.exercise.id === exercise)) ?? lessons[0]
  if (!lesson) return null
  return {
    lesson: lesson.lesson.id,
    leaf: Math.max(
      0,
      leavesOf(lesson).findIndex((one) => one.kind === 'show' && one.done.exercise.id === exercise),
    ),
  }
}
