import { byId, insertAt, success } from '../../base/index.ts'
import type { DrawnGuide } from '../types.ts'
import { already, type SamplerTools } from './tools.ts'

export interface AddGuide {
  readonly kind: 'add-guide'
  readonly guide: DrawnGuide
  readonly at: number
}

export const addGuide: SamplerTools<AddGuide> = {
  apply: (sampler, { guide, at }) =>
    byId(sampler.drawing.guides, guide.id)
      ? already('guide', guide.name ?? guide.id)
      : success({ ...sampler, drawing: { ...sampler.drawing, guides: insertAt(sampler.drawing.guides, guide, at) } }),
  invert: (_before, { guide }) => ({ kind: 'remove-guide', id: guide.id }),
}
