/** Sheets as PDF, made in a worker thread. */
export { printing, stopPrinting } from './printer.ts'
export { sheetRoutes } from './routes.ts'
