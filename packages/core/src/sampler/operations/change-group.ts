import { byId, type FieldChange, fieldsBefore, type GroupId, success, withFields } from '../../base/index.ts'
import { GROUP_FIELDS } from '../fields.ts'
import type { GuideGroup } from '../types.ts'
import { gone, type SamplerTools } from './tools.ts'

export interface ChangeGroup {
  readonly kind: 'change-group'
  readonly id: GroupId
  readonly set: FieldChange<Omit<GuideGroup, 'id'>>
  readonly clear?: readonly ('name' | 'copies')[] | undefined
}

export const changeGroup: SamplerTools<ChangeGroup> = {
  apply: (sampler, { id, set, clear = [] }) => {
    const { groups } = sampler.drawing
    if (!byId(groups, id)) return gone('group', id)
    const changed = groups.map((one) => (one.id === id ? withFields<GuideGroup>(one, set, clear, GROUP_FIELDS) : one))
    return success({ ...sampler, drawing: { ...sampler.drawing, groups: changed } })
  },
  invert: (before, { id, set, clear = [] }) => {
    const was = byId(before.drawing.groups, id)
    if (!was) return null
    const back = fieldsBefore<GuideGroup>(was, set, clear)
    return { kind: 'change-group', id, set: back.set, clear: back.clear as ('name' | 'copies')[] }
  },
}
