/** Each learner's next practice row, to print: what to change, her row at its true size with its marks, and the card to photograph it by. */
export { makeNextRows, type NextRowsOrder } from './make-next-rows.ts'
export { type NextRow, nextRow } from './next-row.ts'
