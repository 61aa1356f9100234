/** The stores as a file for other programs, and back: the parsing is a package's, what the cells mean is ours. */
import type { Stores } from '@lemmata/core/stores'
import papaparse from 'papaparse'
import { TABLE_COLUMNS, type TableLine, writeStoresTable } from './stores-table.ts'

/** With the mark by which tables know the letters' coding; nothing in it is taken for a formula. */
export function storesCsv(stores: Stores): string {
  return `\uFEFF${papaparse.unparse({ fields: [...TABLE_COLUMNS], data: writeStoresTable(stores).map((row) => [...row]) }, { escapeFormulae: true })}\r\n`
}

/** Commas, semicolons or tabs, as the file has them; every row with the line on which it begins. */
export function readCsv(text: string): readonly TableLine[] {
  const plain = text.replace(/^\uFEFF/, '')
  const lines: TableLine[] = []
  let line = 1
  let from = 0
  papaparse.parse<string[]>(plain, {
    delimitersToGuess: [';', ',', '\t', '|'],
    step: ({ data, meta }) => {
      lines.push({ line, cells: data })
      line += plain.slice(from, meta.cursor).match(/\r\n|\n|\r/g)?.length ?? 0
      from = meta.cursor
    },
  })
  return lines
}
