/** What books, cards and slips are set with: blocks that know their height, put whole on pages of a grid. */
export {
  baseline,
  beside,
  besideOrUnder,
  bullet,
  figure,
  framed,
  gap,
  heading,
  heightOf,
  hint,
  INDIGO,
  line,
  noteLines,
  rule,
  stack,
  table,
  text,
  tick,
  title,
} from './blocks.ts'
export type { Block, Cell, Column, Setting, TextStyle } from './blocks.ts'
export { type BookForm, pageArea, type PageArea, STEP_GRIDS, type StepGrid } from './grid.ts'
export { type BookPage, Pager } from './pager.ts'
export { boxOfAll, exercisePicture, finishedPiece, swatch, thumbnail } from './pictures.ts'
export { type BookInk, inBlack, withoutColour } from './ink.ts'
export { type TypeSize, typeFor, type TypeScale } from './type.ts'
