/** Plans over the whole course: what rests on what, the order, where a new exercise goes. */
export { courseOf, motionsOf, restsOn } from './course.ts'
export type { CourseItem, RestsOn } from './course.ts'
export { brokenRules, describeOrder, findOrder, motionWord, orderCost } from './order.ts'
export type { BrokenRule, OrderAnswer } from './order.ts'
export { newExercise, newRows, placeNew, rowValues } from './layout.ts'
export type { RowOfRows } from './layout.ts'
export { totalThread } from './thread-totals.ts'
export type { ThreadTotal } from './thread-totals.ts'
