/** What is wrong with an exercise where it lies, and the edits that would put it right. */
export { mendFor } from './mend-for.ts'
export type { Mend } from './mend-for.ts'
export { outsideProblem } from './outside.ts'
export { placeOfProblem, problemsOnCloth, setAsideOnCloth } from './on-cloth.ts'
export { MEND_SENTENCES } from './problems.ts'
