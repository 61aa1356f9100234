import { byId, type FieldChange, fieldsBefore, type GuideId, success, withFields } from '../../base/index.ts'
import { GUIDE_FIELDS } from '../fields.ts'
import type { DrawnGuide } from '../types.ts'
import { gone, type SamplerTools } from './tools.ts'

export type ClearableGuideField = 'name' | 'layer' | 'draft' | 'copies'

export interface ChangeGuide {
  readonly kind: 'change-guide'
  readonly id: GuideId
  readonly set: FieldChange<Omit<DrawnGuide, 'id'>>
  readonly clear?: readonly ClearableGuideField[] | undefined
}

export const changeGuide: SamplerTools<ChangeGuide> = {
  apply: (sampler, { id, set, clear = [] }) => {
    const { guides } = sampler.drawing
    if (!byId(guides, id)) return gone('guide', id)
    const changed = guides.map((one) => (one.id === id ? withFields<DrawnGuide>(one, set, clear, GUIDE_FIELDS) : one))
    return success({ ...sampler, drawing: { ...sampler.drawing, guides: changed } })
  },
  invert: (before, { id, set, clear = [] }) => {
    const was = byId(before.drawing.guides, id)
    if (!was) return null
    const back = fieldsBefore<DrawnGuide>(was, set, clear)
    return { kind: 'change-guide', id, set: back.set, clear: back.clear as ClearableGuideField[] }
  },
}
