/** Samplers of version 1, read and brought to version 2 with the same meaning. */
export { samplerVersion1 } from './sampler-1.ts'
export { upgrade1To2 } from './upgrade.ts'
