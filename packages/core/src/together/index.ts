/** What is chosen for the whole course together, not exercise by exercise. */
export { type FewerNeedles, fewerNeedles, type NeedleChange, provenValues, type Solved, type Solver } from './choose.ts'
export { changesWithin } from './changes-within.ts'
export { type FewerThreads, fewerThreads, type ThreadChange } from './fewer-threads.ts'
export { solutionOf, type TogetherModel, type TogetherOption, writeTogether } from './together-model.ts'
export { NEW_THREAD, ON_HAND, threadCourse, type ThreadCourse, type ThreadRow, type ThreadSetting } from './thread-course.ts'
export { courseCost, EACH_NEEDLE, type NeedleCourse, needleCost, needleCourse, type NeedleRow, writeModel } from './model.ts'
export { needleId } from './needle-id.ts'
