import { byId, type FieldChange, fieldOrder, fieldsBefore, type LearnerId, success, withFields } from '../../base/index.ts'
import type { Learner } from '../types.ts'
import { type ClassTools, learnerGone } from './tools.ts'

export interface ChangeLearner {
  readonly kind: 'change-learner'
  readonly id: LearnerId
  readonly set: FieldChange<Pick<Learner, 'name' | 'hand' | 'settled'>>
  readonly clear?: readonly ('hand' | 'settled')[] | undefined
}

export const LEARNER_FIELDS = fieldOrder<Learner>({ id: 0, name: 1, hand: 2, settled: 3, choices: 4 })

export const changeLearner: ClassTools<ChangeLearner> = {
  apply: (one, { id, set, clear = [] }) =>
    byId(one.learners, id)
      ? success({ ...one, learners: one.learners.map((learner) => (learner.id === id ? withFields<Learner>(learner, set, clear, LEARNER_FIELDS) : learner)) })
      : learnerGone(id),
  invert: (before, { id, set, clear = [] }) => {
    const was = byId(before.learners, id)
    if (!was) return null
    const back = fieldsBefore<Learner>(was, set, clear)
    return { kind: 'change-learner', id, set: back.set, clear: back.clear as ('hand' | 'settled')[] }
  },
}
