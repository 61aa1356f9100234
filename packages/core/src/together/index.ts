/** What is chosen for the whole course together, not exercise by exercise. */
export { type FewerNeedles, fewerNeedles, type NeedleChange, provenValues, type Solved, type Solver } from './choose.ts'
export { courseCost, EACH_NEEDLE, type NeedleCourse, needleCost, needleCourse, needleId, type NeedleRow, writeModel } from './model.ts'
