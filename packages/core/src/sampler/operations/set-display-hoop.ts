import { success } from '../../base/index.ts'
import { withHoops } from '../hoops.ts'
import type { DisplayHoop } from '../types.ts'
import type { SamplerTools } from './tools.ts'

/** The hoop that the finished piece hangs in. */
export interface SetDisplayHoop {
  readonly kind: 'set-display-hoop'
  readonly hoop: DisplayHoop | null
}

export const setDisplayHoop: SamplerTools<SetDisplayHoop> = {
  apply: (sampler, { hoop }) => success(withHoops(sampler, { displayHoop: hoop ?? undefined })),
  invert: (before) => ({ kind: 'set-display-hoop', hoop: before.displayHoop ?? null }),
}
