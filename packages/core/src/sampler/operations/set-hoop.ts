import { success } from '../../base/index.ts'
import { withHoops } from '../hoops.ts'
import type { Hoop } from '../types.ts'
import type { SamplerTools } from './tools.ts'

/** The hoop it is worked in; without one it is worked in hand. */
export interface SetHoop {
  readonly kind: 'set-hoop'
  readonly hoop: Hoop | null
}

export const setHoop: SamplerTools<SetHoop> = {
  apply: (sampler, { hoop }) => success(withHoops(sampler, { workingHoop: hoop ?? undefined })),
  invert: (before) => ({ kind: 'set-hoop', hoop: before.workingHoop ?? null }),
}
