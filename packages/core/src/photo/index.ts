/** A practice row measured in a photograph, by the printed card that lies round it. */
export { CARD_MM, DOT_MM, DOTS, LONGEST_ROW_MM, TARGET_MM, TARGETS, WINDOW } from './card.ts'
export type { PictureQuality, Refusal, RowFigures, Verdict } from './judge.ts'
export { measureOpened, measureRow, MEASURING, type Opened, type OpenedPicture, openPicture } from './measure-row.ts'
export { type Picture, smoothed } from './picture.ts'
export { practiceRow, ROW_MM } from './practice-row.ts'
export { type RowKind, type RowPlan, rowPlanOf } from './row-plan.ts'
