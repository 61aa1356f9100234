/** What is bought, as a sheet of figures: quoted where it must be, and nothing in it is taken for a formula. */
import type { ToBuy } from '@lemmata/core/kit'
import { unparse } from 'papaparse'

const COLUMNS = ['Group', 'What', 'How many', 'Of', 'In each kit', 'Instead'] as const

/** With the mark by which tables know the letters' coding. */
export function shoppingCsv(list: readonly ToBuy[]): string {
  const rows = list.map(({ group, what, count, unit, each, instead }) => [group, what, count, unit, each, instead ?? ''])
  return `\uFEFF${unparse({ fields: [...COLUMNS], data: rows }, { escapeFormulae: true })}\r\n`
}
