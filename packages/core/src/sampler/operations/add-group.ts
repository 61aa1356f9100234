import { byId, insertAt, success } from '../../base/index.ts'
import type { GuideGroup } from '../types.ts'
import { already, type SamplerTools } from './tools.ts'

export interface AddGroup {
  readonly kind: 'add-group'
  readonly group: GuideGroup
  readonly at: number
}

export const addGroup: SamplerTools<AddGroup> = {
  apply: (sampler, { group, at }) =>
    byId(sampler.drawing.groups, group.id)
      ? already('group', group.name ?? group.id)
      : success({ ...sampler, drawing: { ...sampler.drawing, groups: insertAt(sampler.drawing.groups, group, at) } }),
  invert: (_before, { group }) => ({ kind: 'remove-group', id: group.id }),
}
