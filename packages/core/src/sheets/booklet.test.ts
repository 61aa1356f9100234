/** A folded booklet: in the order of its sheets every page once, each beside the one it faces or wraps. */
import { describe, expect, it } from 'vitest'
import type { Drawing } from '../drawing/index.ts'
import { bookletSides, drawBookletSide } from './booklet.ts'

describe('a booklet', () => {
  it('of 28 pages is seven sheets, the outermost with the last and the first page', () => {
    const sides = bookletSides(28)
    expect(sides.slice(0, 4).map((one) => [one.left, one.right])).toEqual([
      [28, 1],
      [2, 27],
      [26, 3],
      [4, 25],
    ])
    expect(sides.at(-1)).toEqual({ left: 14, right: 15, sheet: 7 })
  })

  it.each([1, 3, 4, 26, 29, 40])('of %i pages has every page once, odd ones at the right, and sheets enough', (pages) => {
    const sides = bookletSides(pages)
    const all = sides.flatMap((one) => [one.left, one.right]).filter((one) => one !== null)
    expect([...all].sort((a, b) => a - b)).toEqual(Array.from({ length: pages }, (_, index) => index + 1))
    expect(sides).toHaveLength(2 * Math.ceil(pages / 4))
    for (const { left, right } of sides) {
      if (left !== null) expect(left % 2).toBe(0)
      if (right !== null) expect(right % 2).toBe(1)
    }
  })

  it('lays them side by side, further in by a tenth a sheet', () => {
    const page = (number: number): Drawing => ({
      ...{ left: 0, top: 0, widthMm: 210, heightMm: 297 },
      layers: [{ name: 'book', items: [{ kind: 'words', at: { x: 20, y: 20 }, text: String(number), sizeMm: 4, face: 'text', colour: '#111111' }] }],
    })
    const side = drawBookletSide({ left: 4, right: 25, sheet: 3 }, { widthMm: 210, heightMm: 297 }, page)
    expect([side.widthMm, side.heightMm]).toEqual([420, 297])
    const at = side.layers.flatMap((layer) => layer.items.flatMap((item) => (item.kind === 'words' ? [[item.text, item.at.x]] : [])))
    expect(at).toEqual([
      ['4', 20.2],
      ['25', 229.8],
    ])
  })
})
