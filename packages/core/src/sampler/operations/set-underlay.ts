import { success } from '../../base/index.ts'
import type { Underlay } from '../types.ts'
import type { SamplerTools } from './tools.ts'

/** The picture that lies under the drawing while one draws; without one there is none. */
export interface SetUnderlay {
  readonly kind: 'set-underlay'
  readonly underlay: Underlay | null
}

export const setUnderlay: SamplerTools<SetUnderlay> = {
  apply: (sampler, { underlay }) => {
    const { underlay: _before, ...drawing } = sampler.drawing
    return success({ ...sampler, drawing: underlay ? { ...drawing, underlay } : drawing })
  },
  invert: (before) => ({ kind: 'set-underlay', underlay: before.drawing.underlay ?? null }),
}
