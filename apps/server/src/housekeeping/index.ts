/** What is put away by itself, once a day. */
export { COMPACTED_AFTER_DAYS, PURGED_AFTER_DAYS, tidy } from './tidy.ts'
