/** Printing: drawings to PDF, samplers to sheets. */
export { FONT_FILES } from './fonts.ts'
export { makeMeasure, writePdf } from './write-pdf.ts'
export { bookAsWebPage, type BookKind, type BookPrint, layBook, printBook } from './print-book.ts'
export { printSampler } from './print-sampler.ts'
export type { PrintOrder } from './print-sampler.ts'
export type { Watch } from './watch.ts'
