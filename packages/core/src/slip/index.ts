/** Correction slips: what changed between two prints of a sampler. */
export { type Change, type ChangeKind, changesBetween, type PrintedSampler } from './changes.ts'
export { makeSlip, type SlipOrder } from './make-slip.ts'
