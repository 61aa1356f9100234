import { byId, type ExerciseId, insertAt, type LessonId, success } from '../../base/index.ts'
import { lessonOf } from '../teaching-order.ts'
import { gone, type SamplerTools } from './tools.ts'

/** To a place in a lesson (counted without itself), or out of every lesson. */
export interface MoveExercise {
  readonly kind: 'move-exercise'
  readonly id: ExerciseId
  readonly to: { readonly lesson: LessonId; readonly at: number } | null
}

export const moveExercise: SamplerTools<MoveExercise> = {
  apply: (sampler, { id, to }) => {
    if (!byId(sampler.exercises, id)) return gone('exercise', id)
    if (to && !byId(sampler.lessons, to.lesson)) return gone('lesson', to.lesson)
    const lessons = sampler.lessons.map((lesson) => {
      const rest = lesson.exercises.filter((one) => one !== id)
      if (lesson.id === to?.lesson) return { ...lesson, exercises: insertAt(rest, id, to.at) }
      return rest.length === lesson.exercises.length ? lesson : { ...lesson, exercises: rest }
    })
    return success({ ...sampler, lessons })
  },
  invert: (before, { id }) => {
    if (!byId(before.exercises, id)) return null
    const was = lessonOf(before, id)
    return { kind: 'move-exercise', id, to: was ? { lesson: was.id, at: was.exercises.indexOf(id) } : null }
  },
}
