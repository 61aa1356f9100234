/** Sheets as PDF, made in a worker thread; where several processes serve, in one queue of all. */
export { printing } from './print.ts'
export { print as printHere, type PrintJob, stopPrinting } from './printer.ts'
export { sheetRoutes } from './routes.ts'
