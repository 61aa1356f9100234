/** The sampler document: its types and what it begins with. */
export type * from './types.ts'
export { newSampler, USUAL_BRIEF, USUAL_WAYS, usualCloth, waysFor } from './defaults.ts'
export { applyOperation, invertOperation } from './operations.ts'
export type { BriefChange, ExerciseChange, Operation } from './operations.ts'
