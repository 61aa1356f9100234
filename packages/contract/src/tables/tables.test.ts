/** Tables from other programs: what is good comes in, what is bad is named by its line. */
import { emptyStores, type Stores } from '@lemmata/core/stores'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { stores as storesSchema } from '../documents/stores.ts'
import { problemInWords } from '../problem-words.ts'
import { readNumber, readStoresTable, TABLE_COLUMNS, type TableLine, writeStoresTable } from './index.ts'

let ids = 0
const newId = () => `i${(ids += 1)}`
const lines = (...rows: readonly (readonly string[])[]): TableLine[] => rows.map((cells, index) => ({ line: index + 1, cells }))
const HEAD = [...TABLE_COLUMNS]

describe('a figure', () => {
  it.each([
    ['12.5', 12.5],
    ['12,5', 12.5],
    [' 1 234,56 ', 1234.56],
    ['1.234,56', 1234.56],
    ['1,234.56', 1234.56],
    ['1.234.567', 1_234_567],
    ['1,234', 1.234],
    ['-3', -3],
    [',5', 0.5],
    ['0', 0],
  ])('%s is %d', (text, value) => expect(readNumber(text)).toBe(value))
  it.each(['', 'x', '1e5', '12,34.5.6', '1,23,4', '0x10', 'Infinity', '1 m', '--1', '1.2.3,4'])('%s is none', (text) => expect(readNumber(text)).toBeNull())
  it('any of two decimals comes back, with either mark', () => {
    fc.assert(
      fc.property(fc.integer({ min: -1_000_000, max: 1_000_000 }), (hundredths) => {
        const text = (hundredths / 100).toFixed(2)
        expect(readNumber(text)).toBe(hundredths / 100)
        expect(readNumber(text.replace('.', ','))).toBe(hundredths / 100)
      }),
    )
  })
})

describe('a table of the stores', () => {
  it('is read with columns in any order, by names as people write them', () => {
    const read = readStoresTable(
      lines(
        ['colour', 'SHELF', 'what', 'size', 'hex', 'left', 'unit', 'price', 'nobody knows'],
        ['Rainwater', 'thread', 'Stranded cotton', '', '#4B6D8F', '2,5', 'skeins', '1,40', 'x'],
        ['Slate', 'threads', 'pearl cotton 8', '', '#5A6470', '60', 'm', '', ''],
        ['', 'needles', 'crewel', '8', '', '25', '', '0.2', ''],
        ['', 'hoops', 'round', '203', '', '10', '', '', ''],
        ['', 'hoops', 'Oval', '200 x 150', '', '1', '', '', ''],
        ['', 'tools', 'Glass-headed pins', '', '', '200', '', '', ''],
        ['', '', '', '', '', '', '', '', ''],
      ),
      newId,
    )
    expect(read.bad).toEqual([])
    expect(read.good.map(({ item: { id: _, ...item } }) => item)).toEqual([
      { kind: 'stranded-cotton', colour: { name: 'Rainwater', hex: '#4B6D8F' }, left: 20_000, price: 1.4 },
      { kind: 'pearl-cotton', weight: '8', colour: { name: 'Slate', hex: '#5A6470' }, left: 60_000 },
      { kind: 'embroidery', size: 8, left: 25, price: 0.2 },
      { shape: 'round', sizeMm: [203, 203], left: 10 },
      { shape: 'oval', sizeMm: [200, 150], left: 1 },
      { name: 'Glass-headed pins', left: 200 },
    ])
  })

  it('says of every bad line which it is and why, and takes the good ones', () => {
    const { good, bad } = readStoresTable(
      lines(
        HEAD,
        ['threads', 'Stranded cotton', '', 'Fog', '#B9C2C9', '8', 'm'],
        ['attic', 'Stranded cotton', '', 'Fog', '#B9C2C9', '8', 'm'],
        ['threads', 'Unicorn', '', 'Fog', '#B9C2C9', '8', 'm'],
        ['threads', 'Stranded cotton', '', 'Fog', 'grey', '8', 'm'],
        ['threads', 'Stranded cotton', '', 'Fog', '#B9C2C9', 'many', 'm'],
        ['threads', 'Stranded cotton', '', 'Fog', '#B9C2C9', '8', 'ells'],
        ['threads', 'Stranded cotton', '', 'Fog', '#B9C2C9', '', 'm'],
        ['needles', 'tapestry', '7', '', '', '5'],
        ['threads', 'Stranded cotton', '', 'Fog', '#B9C2C9', '-8', 'm'],
      ),
      newId,
    )
    expect(good).toHaveLength(1)
    expect(bad.map(({ line, problem }) => `${line}: ${problemInWords(problem)}`)).toEqual([
      '3: "attic" is no shelf; write one of threads, needles, cloths, hoops, tools.',
      '4: "Unicorn" is no kind of thread that is known here.',
      '5: colour.hex: write a colour as #4B6D8F.',
      '6: "many" under Left is no figure.',
      '7: The unit "ells" is not known; write m, cm, yd, or skein, ball, reel as it is sold.',
      '8: How much of it is left is missing.',
      '9: tapestry needles have no size "7"; measure the shaft and give it under Shaft.',
      '10: left: there cannot be less than none of it.',
    ])
  })

  it('without what it must say takes nothing', () => {
    const { good, bad } = readStoresTable(lines(['Shelf', 'Left'], ['threads', '8']), newId)
    expect([good, bad.map((one) => one.problem.figures.column)]).toEqual([[], ['What']])
    expect(readStoresTable([], newId).bad).toHaveLength(1)
  })

  it('that was written comes back the same', () => {
    const kept = { left: 3, price: 2.25, note: 'left; of "spring"\nclass' }
    const all: Stores = {
      ...emptyStores(),
      threads: [{ id: 'a', kind: 'pearl-cotton', weight: '8', colour: { name: '=SUM(A1)', hex: '#5A6470' }, ...kept, left: 12_345.678 }],
      needles: [{ id: 'b', kind: 'milliner', size: 3, shaftMm: 0.88, ...kept }],
      cloths: [{ id: 'c', kind: 'calico', colour: { name: 'Unbleached', hex: '#EFE6D2' }, widthMm: 1400, ...kept, left: 2500 }],
      hoops: [{ id: 'd', shape: 'frame', sizeMm: [300, 220], ...kept }],
      tools: [{ id: 'e', name: 'Stiletto', ...kept }],
    }
    expect(storesSchema.safeParse(all).success).toBe(true)
    const { good, bad } = readStoresTable(lines(HEAD, ...writeStoresTable(all)), newId)
    expect(bad).toEqual([])
    const same = good.map(({ shelf, item: { id: _, ...item } }) => ({ shelf, item }))
    const was = (['threads', 'needles', 'cloths', 'hoops', 'tools'] as const).flatMap((shelf) => all[shelf].map(({ id: _, ...item }) => ({ shelf, item })))
    expect(same).toEqual(was)
  })
})
