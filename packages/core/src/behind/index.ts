/** What goes on behind the cloth: the order of pieces, what is carried, where thread is finished off and needlefuls end. */
export { planBehind, totalsBehind } from './plan.ts'
export type { BehindTotals, Carry, LessonBehind, LongHop, NeedlefulPlace, ThreadBehind, WorkedRun } from './plan.ts'
export { behindInWords, inOrderInWords, pieceOrderInWords } from './in-words.ts'
export { bestWay, type Leg } from './best-way.ts'
