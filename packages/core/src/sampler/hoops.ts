import type { Sampler } from './types.ts'

/** The sampler with one of its hoops changed (absent: taken away), its fields in the order in which they are written. */
export function withHoops(sampler: Sampler, change: Pick<Sampler, 'workingHoop'> | Pick<Sampler, 'displayHoop'>): Sampler {
  const { workingHoop, displayHoop } = { ...sampler, ...change }
  const { format, version, name, units, brief, cloth, workingHoop: _working, displayHoop: _display, ...rest } = sampler
  return { format, version, name, units, brief, cloth, ...(workingHoop ? { workingHoop } : {}), ...(displayHoop ? { displayHoop } : {}), ...rest }
}
