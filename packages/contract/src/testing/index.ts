/** Samplers and classes that tests of every part share: small, and known by heart. */
export { bandSampler } from './band-sampler.ts'
export { dialClass, dialSampler } from './dial-sampler.ts'
export { anyOperation, editedSampler } from './random-operations.ts'
