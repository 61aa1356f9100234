/** The stores as a file for other programs, and back: the parsing is the package's, what the cells mean is the contract's. */
import { TABLE_COLUMNS, type TableLine, writeStoresTable } from '@lemmata/contract'
import type { Stores } from '@lemmata/core/stores'
import { parse, unparse } from 'papaparse'

/** With the mark by which tables know the letters' coding; nothing in it is taken for a formula. */
export function storesCsv(stores: Stores): string {
  return `\uFEFF${unparse({ fields: [...TABLE_COLUMNS], data: writeStoresTable(stores).map((row) => [...row]) }, { escapeFormulae: true })}\r\n`
}

/** Commas, semicolons or tabs, as the file has them; every row with the line on which it begins. */
export function readCsv(text: string): readonly TableLine[] {
  const plain = text.replace(/^\uFEFF/, '')
  const lines: TableLine[] = []
  let line = 1
  let from = 0
  parse<string[]>(plain, {
    delimitersToGuess: [';', ',', '\t', '|'],
    step: ({ data, meta }) => {
      lines.push({ line, cells: data })
      line += plain.slice(from, meta.cursor).match(/\r\n|\n|\r/g)?.length ?? 0
      from = meta.cursor
    },
  })
  return lines
}
