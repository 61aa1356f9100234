/** What is said once on a sheet, of all its exercises together: the back, and before one begins. */
import type { Sampler } from '../sampler/index.ts'
import type { BehindOnSheet } from './behind-on-sheet.ts'
import { type Flow, WALNUT } from './flow.ts'
import { markingInWords } from './marking-in-words.ts'
import type { SheetWords } from './sheet-words.ts'

export function writeBehind(flow: Flow, { lines, numbered }: BehindOnSheet, said: SheetWords): void {
  if (lines.length === 0) return
  flow.space(2)
  flow.text(said.behind, { sizeMm: 4.4, face: 'heading' })
  for (const line of lines) flow.text(line, { sizeMm: 3.2, colour: WALNUT })
  if (numbered.size > 0) flow.text(said.numbersOnPattern, { sizeMm: 3.2, colour: WALNUT })
  flow.space(4)
}

export function writeCautions(flow: Flow, sampler: Sampler, said: SheetWords): void {
  if (flow.room < 30) flow.turn()
  flow.text(said.beforeYouBegin, { sizeMm: 4.4, face: 'heading' })
  for (const text of [...markingInWords(sampler), ...said.cautions]) flow.text(text, { sizeMm: 3.2, indentMm: 4, marker: '!' })
}
