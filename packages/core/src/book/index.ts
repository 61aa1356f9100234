/** The learner's book: a course on paper, laid out whole and drawn page by page. */
export type { BookForm, BookInk } from '../pages/index.ts'
export { type Book, bookInSteps, makeBook, MOST_PAGES } from './make-book.ts'
export type { BookOrder } from './types.ts'
