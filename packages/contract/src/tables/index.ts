/** Tables that people keep in other programs. */
export { readNumber } from './read-number.ts'
export { calendarCsv } from './calendar-csv.ts'
export { notebookCsv, type NotebookSetting } from './notebook-csv.ts'
export { readCsv, storesCsv } from './stores-csv.ts'
export { readStoresTable, type StoresTable, TABLE_COLUMNS, type TableLine, writeStoresTable } from './stores-table.ts'
