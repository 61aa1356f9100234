/** Samplers and classes that tests of every part share: small, and known by heart. */
export { bandClass, bandSampler } from './band-sampler.ts'
export { dialClass, dialSampler } from './dial-sampler.ts'
