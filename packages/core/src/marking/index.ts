/** Marking the cloth: with what, why, how it comes off, and what of it thread does not cover. */
export { adviseMarking } from './advise.ts'
export type { MarkAdvice, MarkVerdict } from './advise.ts'
export { bareMarks, bareShareOf, marksUnder, seenMarks } from './bare-marks.ts'
export type { BareMarks } from './bare-marks.ts'
export { findMarkMethod, MARK_METHOD_IDS, MARK_METHODS } from './methods.ts'
export type { MarkMethod, MarkRemoval } from './methods.ts'
export { GERMAN_MARKING, GERMAN_METHODS } from './german.ts'
export { MARKING_SENTENCES } from './problems.ts'
