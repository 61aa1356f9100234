/** Exercises worked and measured. */
export { workExercise, workLeftHand } from './work-exercise.ts'
export type { WorkedExercise } from './work-exercise.ts'
export { fittedLength, fittedShare } from './fitted-length.ts'
export { rememberWork, workSampler } from './work-sampler.ts'
export type { WorkExercise } from './work-sampler.ts'
export type { Mark } from './marks.ts'
export { nameOfStitch, possibleSubstitutes, workSubstitutes } from './substitutes.ts'
