/** Exercise cards and row labels, to print on card and cut. */
export { type CardOrder, makeCards } from './make-cards.ts'
