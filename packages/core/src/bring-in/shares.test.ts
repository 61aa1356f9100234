/** A picture in cells: counted by hand on pictures of a few pixels. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { MOST_CELLS, type Pixels, sharesOf } from './index.ts'

const COLOURS = { r: [166, 43, 42, 255], b: [47, 100, 150, 255], w: [255, 255, 255, 255], _: [0, 0, 0, 0] } as const
/** A letter a pixel. */
function picture(...rows: readonly string[]): Pixels {
  const data = rows.flatMap((row) => [...row].flatMap((letter) => [...COLOURS[letter as keyof typeof COLOURS]]))
  return { width: rows[0]?.length ?? 0, height: rows.length, data }
}
const THREADS = ['#A62B2A', '#2F6496']
const LINEN = '#F1EADB'

describe('shares of colour', () => {
  it('each cell takes the nearest thread; white is nearer to the cloth, and what is transparent is cloth', () => {
    const shares = sharesOf(picture('rrbb', 'rrbb', 'ww__', 'wwbb'), 4, THREADS, LINEN)
    expect(shares).toEqual({ columns: 4, rows: 4, cells: [0, 0, 1, 1, 0, 0, 1, 1, -1, -1, -1, -1, -1, -1, 1, 1], counts: [4, 6], bare: 6 })
  })

  it('a cell of several pixels is what most of them are: three of four red is red', () => {
    expect(sharesOf(picture('rrbb', 'rwbb'), 2, THREADS, LINEN)?.cells).toEqual([0, 1])
  })

  it('cells are square: twice as wide as high is half as many rows; a single row is the least', () => {
    expect(sharesOf(picture('rrrr', 'bbbb'), 2, THREADS, LINEN)).toMatchObject({ columns: 2, rows: 1 })
    expect(sharesOf(picture('rrrrrrrr'), 4, THREADS, LINEN)).toMatchObject({ rows: 1, counts: [4, 0] })
  })

  it('nothing, no thread, or more cells than anybody works, is none', () => {
    expect(sharesOf({ width: 0, height: 0, data: [] }, 4, THREADS, LINEN)).toBeNull()
    expect(sharesOf(picture('r'), 1, [], LINEN)).toBeNull()
    expect(sharesOf(picture('r'), MOST_CELLS, THREADS, LINEN)).toBeNull()
  })

  it('all cells are counted, whatever the picture', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 1, max: 20 }),
        fc.infiniteStream(fc.nat(255)),
        (w, h, columns, bytes) => {
          const data = Array.from({ length: 4 * w * h }, () => bytes.next().value as number)
          const shares = sharesOf({ width: w, height: h, data }, columns, THREADS, LINEN)
          const all = (shares?.counts ?? []).reduce((a, b) => a + b, shares?.bare ?? 0)
          expect(all).toBe((shares?.columns ?? 0) * (shares?.rows ?? 0))
        },
      ),
      { numRuns: 60 },
    )
  })
})
