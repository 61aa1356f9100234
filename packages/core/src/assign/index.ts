/** Thread, strands and needle for each thread of an exercise, with reasons. */
export { adviseStrands, mainLength } from './advise-strands.ts'
export { assignMaterials, threadOfRole } from './assign.ts'
export type { Assigned, AssignedThread } from './assign.ts'
export { strandsInWords } from './choice.ts'
export type { Choice } from './choice.ts'
export { readCloth, surroundingsOf } from './context.ts'
export type { Surroundings } from './context.ts'
export { materialValues } from './material-values.ts'
