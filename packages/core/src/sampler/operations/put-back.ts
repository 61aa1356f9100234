import { success } from '../../base/index.ts'
import type { Sampler } from '../types.ts'
import type { SamplerTools } from './tools.ts'

/** The whole sampler as it was when a version of it was kept. What others have changed since goes with it, and comes back with undo. */
export interface PutBack {
  readonly kind: 'put-back'
  readonly document: Sampler
}

export const putBack: SamplerTools<PutBack> = {
  apply: (_sampler, { document }) => success(document),
  invert: (before) => ({ kind: 'put-back', document: before }),
}
