import { type FieldChange, fieldsBefore, success, withFields } from '../../base/index.ts'
import { CLOTH_FIELDS } from '../fields.ts'
import type { SamplerCloth } from '../types.ts'
import type { SamplerTools } from './tools.ts'

export interface ChangeCloth {
  readonly kind: 'change-cloth'
  readonly set: FieldChange<SamplerCloth>
  readonly clear?: readonly ('threadsPerCm' | 'thicknessMm')[] | undefined
}

export const changeCloth: SamplerTools<ChangeCloth> = {
  apply: (sampler, { set, clear = [] }) => success({ ...sampler, cloth: withFields<SamplerCloth>(sampler.cloth, set, clear, CLOTH_FIELDS) }),
  invert: ({ cloth }, { set, clear = [] }) => {
    const before = fieldsBefore<SamplerCloth>(cloth, set, clear)
    return { kind: 'change-cloth', set: before.set, clear: before.clear as ('threadsPerCm' | 'thicknessMm')[] }
  },
}
