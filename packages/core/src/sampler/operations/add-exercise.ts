import { byId, insertAt, type LessonId, success } from '../../base/index.ts'
import type { Exercise } from '../types.ts'
import { already, type SamplerTools } from './tools.ts'

export interface AddExercise {
  readonly kind: 'add-exercise'
  readonly exercise: Exercise
  /** Its place in the list. */
  readonly at: number
  /** Where it is taught; in no lesson yet when left out. A lesson that has gone meanwhile leaves it in none. */
  readonly taught?: { readonly lesson: LessonId; readonly at: number } | undefined
}

export const addExercise: SamplerTools<AddExercise> = {
  apply: (sampler, { exercise, at, taught }) => {
    if (byId(sampler.exercises, exercise.id)) return already('exercise', exercise.name)
    const lessons = taught
      ? sampler.lessons.map((lesson) => (lesson.id === taught.lesson ? { ...lesson, exercises: insertAt(lesson.exercises, exercise.id, taught.at) } : lesson))
      : sampler.lessons
    return success({ ...sampler, exercises: insertAt(sampler.exercises, exercise, at), lessons })
  },
  invert: (_before, { exercise }) => ({ kind: 'remove-exercise', id: exercise.id }),
}
