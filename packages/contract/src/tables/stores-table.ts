/** The stores as one table: a line a thing, on whatever shelf it lies. What cannot be read is named by its line, and keeps no other out. */
import { error, type Problem } from '@lemmata/core/base'
import { CLOTH_KINDS, findNeedle, NEEDLE_FAMILIES, THREAD_KINDS } from '@lemmata/core/materials'
import {
  type Brought,
  SHELF_NAMES,
  type ShelfName,
  type Stored,
  type StoredCloth,
  type StoredHoop,
  type StoredNeedle,
  type Stores,
  type StoredThread,
} from '@lemmata/core/stores'
import { MM_PER_INCH } from '@lemmata/core/units'
import { problemsOf } from '../documents/read.ts'
import { STORED } from '../documents/stores.ts'
import { readNumber } from './read-number.ts'

export const TABLE_COLUMNS = ['Shelf', 'What', 'Size', 'Colour', 'Hex', 'Left', 'Unit', 'Price', 'Width', 'Shaft', 'Note'] as const
type Column = (typeof TABLE_COLUMNS)[number]
type Cells = Readonly<Partial<Record<Column, string>>>

/** A line of a table, by its number in the file. */
export interface TableLine {
  readonly line: number
  readonly cells: readonly string[]
}

export interface StoresTable {
  readonly good: readonly Brought[]
  readonly bad: readonly { readonly line: number; readonly problem: Problem }[]
}

const figure = (value: number | undefined): string => (value === undefined ? '' : String(value))

/** Lengths in metres, widths and shafts in millimetres. */
export function writeStoresTable(stores: Stores): readonly (readonly string[])[] {
  const end = ({ price, note }: Stored, width = '', shaft = ''): readonly string[] => [figure(price), width, shaft, note ?? '']
  return [
    ...stores.threads.map((one) => ['threads', threadWord(one), one.weight ?? '', one.colour.name, one.colour.hex, figure(one.left / 1000), 'm', ...end(one)]),
    ...stores.needles.map((one) => ['needles', familyWord(one), String(one.size), '', '', figure(one.left), '', ...end(one, '', figure(one.shaftMm))]),
    ...stores.cloths.map((one) => [
      'cloths',
      clothWord(one),
      '',
      one.colour.name,
      one.colour.hex,
      figure(one.left / 1000),
      'm',
      ...end(one, figure(one.widthMm)),
    ]),
    ...stores.hoops.map((one) => ['hoops', one.shape, sizeWord(one), '', '', figure(one.left), '', ...end(one)]),
    ...stores.tools.map((one) => ['tools', one.name, '', '', '', figure(one.left), '', ...end(one)]),
  ]
}

const threadWord = ({ kind }: StoredThread): string => THREAD_KINDS.find((one) => one.id === kind)?.name ?? kind
const familyWord = ({ kind }: StoredNeedle): string => NEEDLE_FAMILIES.find((one) => one.id === kind)?.name ?? kind
const clothWord = ({ kind }: StoredCloth): string => CLOTH_KINDS.find((one) => one.id === kind)?.name ?? kind
const sizeWord = ({ shape, sizeMm: [across, down] }: StoredHoop): string => (shape === 'round' ? String(across) : `${across} x ${down}`)

/** `newId`: a fresh id for each line. The first line names the columns, in any order and in capitals or not. */
export function readStoresTable(lines: readonly TableLine[], newId: () => string): StoresTable {
  const [head, ...rest] = lines
  const known = new Map(TABLE_COLUMNS.map((column) => [word(column), column] as const))
  const columns = (head?.cells ?? []).map((cell) => known.get(word(cell)))
  const good: { shelf: ShelfName; item: Stored }[] = []
  const bad: { line: number; problem: Problem }[] = []
  const missing = (['Shelf', 'What', 'Left'] as const).find((column) => !columns.includes(column))
  if (missing) return { good, bad: [{ line: head?.line ?? 1, problem: error('table.no-column', [], { column: missing }) }] }
  for (const { line, cells } of rest) {
    if (cells.every((cell) => cell.trim() === '')) continue
    const named: Partial<Record<Column, string>> = {}
    for (const [index, column] of columns.entries()) if (column && cells[index]?.trim()) named[column] = unescaped(cells[index].trim())
    const read = readLine(named, newId())
    if ('problem' in read) bad.push({ line, problem: read.problem })
    else good.push(read)
  }
  return { good, bad }
}

/** A mark before what a table might take for a formula is not part of it. */
const unescaped = (cell: string): string => (/^'[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell)

type Read = { readonly shelf: ShelfName; readonly item: Stored } | { readonly problem: Problem }
const wrong = (code: string, figures: Problem['figures'] = {}): Read => ({ problem: error(`table.${code}`, [], figures) })

function readLine(cells: Cells, id: string): Read {
  const shelf = SHELF_NAMES.find((one) => one === word(cells.Shelf ?? '') || one === `${word(cells.Shelf ?? '')}s`)
  if (!shelf) return wrong('no-shelf', { given: cells.Shelf ?? '', shelves: SHELF_NAMES.join(', ') })
  const number = (column: Column): number | null | undefined => (cells[column] === undefined ? undefined : readNumber(cells[column]))
  for (const column of ['Left', 'Price', 'Width', 'Shaft'] as const)
    if (number(column) === null) return wrong('no-number', { column, given: cells[column] ?? '' })
  const kind = kindOn(shelf, cells)
  if (kind === null) return wrong('no-kind', { given: cells.What ?? '', shelf: shelf.replace(/s$/, '') })
  if (shelf === 'needles' && number('Shaft') === undefined && !findNeedle(kind.fields.kind ?? '', kind.fields.size ?? 0))
    return wrong('no-size', { kind: cells.What ?? '', size: cells.Size ?? '' })
  const left = amountOf(shelf, number('Left') ?? null, cells, kind)
  if (left === null) return wrong(cells.Left === undefined ? 'no-amount' : 'no-unit', { unit: cells.Unit ?? '' })
  const optional = (key: string, value: unknown) => (value === undefined || value === null ? {} : { [key]: value })
  const item = {
    id,
    ...kind.fields,
    ...(shelf === 'threads' || shelf === 'cloths' ? { colour: { name: cells.Colour ?? '', hex: cells.Hex ?? '' } } : {}),
    ...(shelf === 'cloths' ? { widthMm: number('Width') ?? 1400 } : {}),
    ...(shelf === 'needles' ? optional('shaftMm', number('Shaft')) : {}),
    left,
    ...optional('price', number('Price')),
    ...optional('note', cells.Note),
  }
  const parsed = STORED[shelf].safeParse(item)
  return parsed.success ? { shelf, item: parsed.data } : { problem: problemsOf(parsed.error)[0] ?? error('table.no-kind', []) }
}

interface Kind {
  readonly fields: { readonly kind?: string; readonly size?: number; readonly [field: string]: unknown }
  /** mm in one put-up of thread. */
  readonly putUp?: { readonly word: string; readonly lengthMm: number }
}

/** By its name, or its id. A weight may stand after the name. */
function kindOn(shelf: ShelfName, cells: Cells): Kind | null {
  const what = word(cells.What ?? '')
  if (what === '') return null
  if (shelf === 'threads') {
    const size = word(cells.Size ?? '')
    const kind =
      THREAD_KINDS.find((one) => [one.id, word(one.name)].includes(what) && (one.weight ?? '') === size) ??
      THREAD_KINDS.find((one) => word(`${one.name} ${one.weight ?? ''}`) === what)
    return kind ? { fields: { kind: kind.id, ...(kind.weight === null ? {} : { weight: kind.weight }) }, putUp: kind.putUp } : null
  }
  if (shelf === 'needles') {
    const family = NEEDLE_FAMILIES.find((one) => [one.id, word(one.name), ...one.also.split(', ').filter((also) => also !== '')].includes(what))
    return family ? { fields: { kind: family.id, size: readNumber(cells.Size ?? '') ?? 0 } } : null
  }
  if (shelf === 'cloths') {
    const kind = CLOTH_KINDS.find((one) => [one.id, word(one.name)].includes(what))
    return kind ? { fields: { kind: kind.id } } : null
  }
  if (shelf === 'hoops') {
    const sizes = (cells.Size ?? '').split(/x|×|by/i).map((one) => readNumber(one) ?? 0)
    return { fields: { shape: what, sizeMm: [sizes[0] ?? 0, sizes[1] ?? sizes[0] ?? 0] } }
  }
  return { fields: { name: cells.What } }
}

const UNITS_MM: Readonly<Record<string, number>> = { m: 1000, cm: 10, mm: 1, yd: 36 * MM_PER_INCH, in: MM_PER_INCH, '': 1000 }

/** mm of thread and cloth; skeins, balls and reels are as long as their kind is sold. */
function amountOf(shelf: ShelfName, left: number | null, { Unit = '' }: Cells, { putUp }: Kind): number | null {
  if (left === null || (shelf !== 'threads' && shelf !== 'cloths')) return left
  const unit = word(Unit)
  if (putUp && (unit === putUp.word || unit === `${putUp.word}s`)) return left * putUp.lengthMm
  const scale = UNITS_MM[unit]
  return scale === undefined ? null : left * scale
}

function word(text: string): string {
  return text.trim().toLowerCase()
}
