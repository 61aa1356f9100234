import { success } from '../../base/index.ts'
import type { Sampler } from '../types.ts'
import type { SamplerTools } from './tools.ts'

export interface SetUnits {
  readonly kind: 'set-units'
  readonly units: Sampler['units']
}

export const setUnits: SamplerTools<SetUnits> = {
  apply: (sampler, { units }) => success({ ...sampler, units }),
  invert: (before) => ({ kind: 'set-units', units: before.units }),
}
