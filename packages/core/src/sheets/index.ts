/** Lesson sheets: pages as drawings in millimetres. */
export { countInWords, roleWord, sizeInWords } from './said.ts'
export { letterOf, makeSheets, sheetTitle } from './make-sheets.ts'
export type { SheetOrder } from './make-sheets.ts'
export type { MeasureText } from './flow.ts'
export { wrapText } from './flow.ts'
export { CHECK_BAR_MM, CHECK_SQUARE_MM, contentArea, PAGE_SIZES } from './furniture.ts'
export type { PageSize } from './furniture.ts'
export { GENERAL_CAUTIONS } from './cautions.ts'
