import { byId, type LearnerId, placeOf, success, withoutId } from '../../base/index.ts'
import { type ClassTools, learnerGone } from './tools.ts'

export interface RemoveLearner {
  readonly kind: 'remove-learner'
  readonly id: LearnerId
}

export const removeLearner: ClassTools<RemoveLearner> = {
  apply: (one, { id }) => (byId(one.learners, id) ? success({ ...one, learners: withoutId(one.learners, id) }) : learnerGone(id)),
  invert: (before, { id }) => {
    const learner = byId(before.learners, id)
    return learner ? { kind: 'add-learner', learner, at: placeOf(before.learners, id) } : null
  },
}
