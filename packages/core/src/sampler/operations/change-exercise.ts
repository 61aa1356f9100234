import { byId, type ExerciseId, type FieldChange, fieldsBefore, success, withFields } from '../../base/index.ts'
import { EXERCISE_FIELDS } from '../fields.ts'
import type { Exercise } from '../types.ts'
import { gone, type SamplerTools } from './tools.ts'

/** Materials and parameters have finer operations of their own (`assign`, `set-parameters`). */
export type ExerciseChange = FieldChange<Omit<Exercise, 'id' | 'materials' | 'parameters'>>
export type ClearableExerciseField = Exclude<keyof ExerciseChange, 'name' | 'stitch' | 'on'>

export interface ChangeExercise {
  readonly kind: 'change-exercise'
  readonly id: ExerciseId
  readonly set: ExerciseChange
  readonly clear?: readonly ClearableExerciseField[] | undefined
}

export const changeExercise: SamplerTools<ChangeExercise> = {
  apply: (sampler, { id, set, clear = [] }) =>
    byId(sampler.exercises, id)
      ? success({ ...sampler, exercises: sampler.exercises.map((one) => (one.id === id ? withFields<Exercise>(one, set, clear, EXERCISE_FIELDS) : one)) })
      : gone('exercise', id),
  invert: (before, { id, set, clear = [] }) => {
    const was = byId(before.exercises, id)
    if (!was) return null
    const back = fieldsBefore<Exercise>(was, set, clear)
    return { kind: 'change-exercise', id, set: back.set, clear: back.clear as ClearableExerciseField[] }
  },
}
