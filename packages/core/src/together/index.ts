/** What is chosen for the whole course together, not exercise by exercise. */
export { type FewerNeedles, fewerNeedles, type NeedleChange, provenValues, type Solved, type Solver } from './fewer-needles.ts'
export { type FewerThreads, fewerThreads, type ThreadChange } from './fewer-threads.ts'
export { changesWithin, followingRows } from './following.ts'
export { EACH_NEEDLE, type NeedleCourse, needleCourse, needleModel, type NeedleRow } from './needle-course.ts'
export { NEW_THREAD, ON_HAND, threadCourse, type ThreadCourse, type ThreadRow, type ThreadSetting } from './thread-course.ts'
export { costOfAll, EACH_CHANGE, solutionOf, type TogetherModel, type TogetherOption, writeTogether } from './together-model.ts'
