/** Mistakes, and what comes undone. */
export { cutThread, END_MM, pullEnd, safeCut } from './hold.ts'
export type { SafeCut, Undone } from './hold.ts'
export { showMistake } from './show-mistake.ts'
export type { ShownMistake } from './show-mistake.ts'
