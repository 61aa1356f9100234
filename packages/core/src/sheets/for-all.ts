/** What is said once on a sheet, of all its exercises together: the back, and before one begins. */
import type { Sampler } from '../sampler/index.ts'
import type { BehindOnSheet } from './behind-on-sheet.ts'
import { GENERAL_CAUTIONS } from './cautions.ts'
import { type Flow, WALNUT } from './flow.ts'
import { markingInWords } from './marking-in-words.ts'

export function writeBehind(flow: Flow, { lines, numbered }: BehindOnSheet): void {
  if (lines.length === 0) return
  flow.space(2)
  flow.text('Behind', { sizeMm: 4.4, face: 'heading' })
  for (const line of lines) flow.text(line, { sizeMm: 3.2, colour: WALNUT })
  if (numbered.size > 0) flow.text('The numbers of the pieces stand on the pattern, where each begins.', { sizeMm: 3.2, colour: WALNUT })
  flow.space(4)
}

export function writeCautions(flow: Flow, sampler: Sampler): void {
  if (flow.room < 30) flow.turn()
  flow.text('Before you begin', { sizeMm: 4.4, face: 'heading' })
  for (const text of [...markingInWords(sampler), ...GENERAL_CAUTIONS]) flow.text(text, { sizeMm: 3.2, indentMm: 4, marker: '!' })
}
