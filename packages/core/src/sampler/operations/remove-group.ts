import { byId, type GroupId, placeOf, success, withoutId } from '../../base/index.ts'
import { gone, type SamplerTools } from './tools.ts'

/** The group goes, its guides stay; copies that it made go with it. */
export interface RemoveGroup {
  readonly kind: 'remove-group'
  readonly id: GroupId
}

export const removeGroup: SamplerTools<RemoveGroup> = {
  apply: (sampler, { id }) =>
    byId(sampler.drawing.groups, id)
      ? success({ ...sampler, drawing: { ...sampler.drawing, groups: withoutId(sampler.drawing.groups, id) } })
      : gone('group', id),
  invert: (before, { id }) => {
    const group = byId(before.drawing.groups, id)
    return group ? { kind: 'add-group', group, at: placeOf(before.drawing.groups, id) } : null
  },
}
