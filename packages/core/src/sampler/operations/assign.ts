import { byId, type ExerciseId, fieldOrder, type FieldChange, fieldsBefore, success, withEntries, withFields } from '../../base/index.ts'
import type { ThreadRole } from '../../notation/index.ts'
import { EXERCISE_FIELDS } from '../fields.ts'
import type { Exercise, Material } from '../types.ts'
import { gone, type SamplerTools } from './tools.ts'

/** Thread, strands, needle or shades of one of an exercise's threads; what is cleared is chosen again. */
export interface Assign {
  readonly kind: 'assign'
  readonly id: ExerciseId
  readonly role: ThreadRole
  readonly set: FieldChange<Material>
  readonly clear?: readonly (keyof Material)[] | undefined
}

const MATERIAL_FIELDS = fieldOrder<Material>({ thread: 0, strands: 1, needle: 2, shades: 3 })

export const assign: SamplerTools<Assign> = {
  apply: (sampler, { id, role, set, clear = [] }) => {
    const was = byId(sampler.exercises, id)
    if (!was) return gone('exercise', id)
    const made = withMaterial(was, role, withFields<Material>(was.materials?.[role] ?? {}, set, clear, MATERIAL_FIELDS))
    return success({ ...sampler, exercises: sampler.exercises.map((one) => (one === was ? made : one)) })
  },
  invert: (before, { id, role, set, clear = [] }) => {
    const was = byId(before.exercises, id)
    if (!was) return null
    const back = fieldsBefore<Material>(was.materials?.[role] ?? {}, set, clear)
    return { kind: 'assign', id, role, set: back.set, clear: back.clear }
  },
}

/** A thread of which nothing is said is not written. */
function withMaterial(exercise: Exercise, role: ThreadRole, material: Material): Exercise {
  const nothing = Object.keys(material).length === 0
  const materials = withEntries(
    exercise.materials as Readonly<Record<string, Material>> | undefined,
    nothing ? {} : { [role]: material },
    nothing ? [role] : [],
  )
  return withFields<Exercise>(exercise, { materials }, materials ? [] : ['materials'], EXERCISE_FIELDS)
}
