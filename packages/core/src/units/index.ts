/** Lengths, minutes and thread as people read and type them. */
export { formatLength, formatStitchLength, MM_PER_INCH, parseLength } from './length.ts'
export type { LengthUnit } from './length.ts'
export { formatMinutes, formatThread } from './duration.ts'
export { capitalised, countWord, counted, listInWords } from './words.ts'
