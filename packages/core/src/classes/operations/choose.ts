import { byId, type ExerciseId, type FieldChange, fieldOrder, fieldsBefore, type LearnerId, success, withEntries, withFields } from '../../base/index.ts'
import type { Learner, LearnerChoice } from '../types.ts'
import { type ClassTools, learnerGone } from './tools.ts'

/** One learner's settings of one exercise; what is cleared is as the sampler says. */
export interface Choose {
  readonly kind: 'choose'
  readonly learner: LearnerId
  readonly exercise: ExerciseId
  readonly set: FieldChange<LearnerChoice>
  readonly clear?: readonly (keyof LearnerChoice)[] | undefined
}

const CHOICE_FIELDS = fieldOrder<LearnerChoice>({ stitch: 0, thread: 1, strands: 2, parameters: 3, marks: 4 })

export const choose: ClassTools<Choose> = {
  apply: (one, { learner: id, exercise, set, clear = [] }) => {
    const was = byId(one.learners, id)
    if (!was) return learnerGone(id)
    const choice = withFields<LearnerChoice>(was.choices[exercise] ?? {}, set, clear, CHOICE_FIELDS)
    const nothing = Object.keys(choice).length === 0
    const choices = withEntries<LearnerChoice>(was.choices, nothing ? {} : { [exercise]: choice }, nothing ? [exercise] : []) ?? {}
    const made: Learner = { ...was, choices }
    return success({ ...one, learners: one.learners.map((learner) => (learner === was ? made : learner)) })
  },
  invert: (before, { learner: id, exercise, set, clear = [] }) => {
    const was = byId(before.learners, id)
    if (!was) return null
    const back = fieldsBefore<LearnerChoice>(was.choices[exercise] ?? {}, set, clear)
    return { kind: 'choose', learner: id, exercise, set: back.set, clear: back.clear }
  },
}
