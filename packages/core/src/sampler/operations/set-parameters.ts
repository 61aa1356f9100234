import { byId, entriesBefore, type ExerciseId, success, withEntries, withFields } from '../../base/index.ts'
import { EXERCISE_FIELDS } from '../fields.ts'
import type { Exercise } from '../types.ts'
import { gone, type SamplerTools } from './tools.ts'

/** Lengths and counts of the stitch; what is cleared is the usual again. */
export interface SetParameters {
  readonly kind: 'set-parameters'
  readonly id: ExerciseId
  readonly set: Readonly<Record<string, number>>
  readonly clear?: readonly string[] | undefined
}

export const setParameters: SamplerTools<SetParameters> = {
  apply: (sampler, { id, set, clear = [] }) => {
    const was = byId(sampler.exercises, id)
    if (!was) return gone('exercise', id)
    const parameters = withEntries(was.parameters, set, clear)
    const made = withFields<Exercise>(was, { parameters }, parameters ? [] : ['parameters'], EXERCISE_FIELDS)
    return success({ ...sampler, exercises: sampler.exercises.map((one) => (one === was ? made : one)) })
  },
  invert: (before, { id, set, clear = [] }) => {
    const was = byId(before.exercises, id)
    return was ? { kind: 'set-parameters', id, ...entriesBefore(was.parameters, [...Object.keys(set), ...clear]) } : null
  },
}
