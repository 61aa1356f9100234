/** A practice row measured in a photograph, by the printed card that lies round it; and the one thing to change. */
export { type Advice, advise, adviseLast, GOOD } from './advise.ts'
export {
  type AlongRuler,
  alongRuler,
  heldAgainstRuler,
  RULED_ENOUGH,
  type RulerCheck,
  rulerMean,
  type Standing,
  standingOf,
  UNRULED,
} from './against-ruler.ts'
export { CARD_MM, DOT_MM, DOTS, LONGEST_ROW_MM, TARGET_MM, TARGETS, WINDOW } from './card.ts'
export { drawCard } from './draw-card.ts'
export type { PictureQuality, Refusal, RowFigures, Verdict } from './judge.ts'
export { marksOf } from './marks.ts'
export { measureOpened, measureRow, MEASURING, type Opened, type OpenedPicture, openPicture, type SaidOfPicture } from './measure-row.ts'
export { canPutRight, figuresOfStitches, putRight, type PutRight, type ReadStitches } from './put-right.ts'
export { type Picture, smoothed } from './picture.ts'
export { areAlike, type PracticeRow, practiceRow, ROW_MM, rowsAlike } from './practice-row.ts'
export { flattened } from './rectify.ts'
export type { RowKind, RowPlan } from './row-plan.ts'
export { type RowSummary, summaryOf, unevenness } from './summary.ts'
export { ROW_WORDS, type RowWords } from './words.ts'
