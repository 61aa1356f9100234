/** Thread, strands and needle for an exercise, with reasons. */
export { adviseStrands, assignMaterials, mainLength, materialValues, strandsInWords } from './assign.ts'
export type { Assigned, Choice } from './assign.ts'
export { readCloth, surroundingsOf } from './context.ts'
export type { Surroundings } from './context.ts'
