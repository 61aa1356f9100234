/** What is bought, as a sheet of figures: quoted where it must be, and nothing in it is taken for a formula. */
import type { Bought } from '@lemmata/core/kit'
import { unparse } from 'papaparse'

const COLUMNS = ['Group', 'What', 'How many', 'Of', 'In the stores', 'To buy', 'Price', 'In each kit', 'Instead'] as const

/** With the mark by which tables know the letters' coding. */
export function shoppingCsv(list: readonly Bought[]): string {
  const round = (value: number): number => Number(value.toFixed(2))
  const rows = list.map(({ group, what, count, unit, onHand, missing, price, each, instead }) => [
    ...[group, what, count, unit, round(onHand), missing, price ?? '', each, instead ?? ''],
  ])
  return `\uFEFF${unparse({ fields: [...COLUMNS], data: rows }, { escapeFormulae: true })}\r\n`
}
