import { byId, insertAt, refused, success } from '../../base/index.ts'
import type { Learner } from '../types.ts'
import type { ClassTools } from './tools.ts'

export interface AddLearner {
  readonly kind: 'add-learner'
  readonly learner: Learner
  readonly at: number
}

export const addLearner: ClassTools<AddLearner> = {
  apply: (one, { learner, at }) =>
    byId(one.learners, learner.id)
      ? refused('class.learner-there', { name: learner.name })
      : success({ ...one, learners: insertAt(one.learners, learner, at) }),
  invert: (_before, { learner }) => ({ kind: 'remove-learner', id: learner.id }),
}
