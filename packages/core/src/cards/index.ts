/** Exercise cards and row labels, to print on card and cut. */
export { type CardOrder, makeCards } from './make-cards.ts'
export { photoCard, photoCheckLine } from './photo-card.ts'
