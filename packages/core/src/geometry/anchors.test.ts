/** Paths by their places: read and written they are the same, and what is done to one place leaves the others. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addAnchor, type AnchoredPath, isSmooth, moveAnchor, moveCurve, readAnchors, removeAnchor, sharpAnchor, smoothAnchor, writeAnchors } from './anchors.ts'
import { nearestPlace, placeAt } from './measured-path.ts'
import { parsePath } from './svg-path.ts'

const read = (data: string): AnchoredPath => {
  const path = readAnchors(data)
  if (!path) throw new Error(data)
  return path
}
/** The furthest that one path lies from the other, looked for at sixty places. */
function apart(a: string, b: string): number {
  const [one, other] = [parsePath(a), parsePath(b)]
  if (!one.ok || !other.ok) throw new Error('not read')
  return Math.max(...Array.from({ length: 61 }, (_, index) => nearestPlace(other.value, placeAt(one.value, (one.value.length * index) / 60.001).at).distance))
}

const PATHS = [
  'M 10 10 L 50 10',
  'M 10 10 H 50 V 30',
  'M 10 10 C 20 0 40 20 50 10 L 60 30',
  'M 10 10 Q 30 -10 50 10',
  'M 20 20 A 10 10 0 0 1 40 20',
  'M 20 20 A 10 10 0 1 1 20 19.99 Z',
  'M 10 10 L 40 10 L 25 30 Z',
  'm 5 5 l 10 0 c 5 0 5 10 0 10 z',
] as const

describe('a path and its places', () => {
  it.each(PATHS)('%s comes back as it was, within a thousandth', (data) => {
    expect(apart(writeAnchors(read(data)), data)).toBeLessThan(0.002)
    expect(apart(data, writeAnchors(read(data)))).toBeLessThan(0.002)
    expect(read(writeAnchors(read(data))).closed).toBe(read(data).closed)
  })

  it('what cannot be read, or is one place, is none', () => {
    for (const data of ['', 'M 1 1', 'L', 'M x y', 'Z']) expect(readAnchors(data)).toBeNull()
  })

  it('a place that was closed onto the first is one place', () => {
    expect(read('M 0 0 L 10 0 L 10 10 L 0 0 Z').anchors).toHaveLength(3)
  })
})

describe('a place', () => {
  it('is taken elsewhere with its curves; the others stay', () => {
    const moved = moveAnchor(read('M 0 0 C 5 5 15 5 20 0 L 30 0'), 1, { x: 22, y: 3 })
    expect(writeAnchors(moved)).toBe('M 0 0 C 5 5 17 8 22 3 L 30 0')
  })

  it('more, anywhere on the path, leaves its form', () => {
    for (const data of PATHS)
      for (const share of [0.1, 0.37, 0.8]) {
        const path = parsePath(data)
        if (!path.ok) throw new Error(data)
        const near = placeAt(path.value, path.value.length * share).at
        const { path: more, index } = addAnchor(read(data), near)
        expect(more.anchors).toHaveLength(read(data).anchors.length + 1)
        expect(Math.hypot((more.anchors[index]?.at.x ?? 0) - near.x, (more.anchors[index]?.at.y ?? 0) - near.y)).toBeLessThan(1)
        expect(apart(writeAnchors(more), data)).toBeLessThan(0.005)
      }
  })

  it('is taken away, but never below a line of two or a shape of three', () => {
    expect(writeAnchors(removeAnchor(read('M 0 0 L 10 0 L 20 5'), 1))).toBe('M 0 0 L 20 5')
    const line = read('M 0 0 L 10 0')
    expect(removeAnchor(line, 0)).toBe(line)
    const triangle = read('M 0 0 L 10 0 L 5 8 Z')
    expect(removeAnchor(triangle, 0)).toBe(triangle)
  })

  it('is made smooth as its neighbours run, and sharp again', () => {
    const corner = read('M 0 0 L 10 0 L 10 10')
    const smooth = smoothAnchor(corner, 1)
    expect(isSmooth(smooth.anchors[1] as AnchoredPath['anchors'][number])).toBe(true)
    // The chord from (0, 0) to (10, 10) runs at 45 degrees; a third of 10 to either side.
    expect(smooth.anchors[1]?.after?.x).toBeCloseTo(10 + 10 / 3 / Math.SQRT2, 9)
    expect(smooth.anchors[1]?.before?.y).toBeCloseTo(-10 / 3 / Math.SQRT2, 9)
    expect(sharpAnchor(smooth, 1)).toEqual(corner)
  })

  it('whose curve is pulled stays smooth if it was, and free if it was not', () => {
    const smooth = read('M 0 0 C 0 5 5 10 10 10 C 15 10 20 5 20 0')
    const pulled = moveCurve(smooth, 1, 'after', { x: 10, y: 16 })
    expect(pulled.anchors[1]?.before).toEqual({ x: 10, y: 5 })
    const corner = read('M 0 0 C 0 5 5 10 10 10 C 10 5 20 5 20 0')
    expect(moveCurve(corner, 1, 'after', { x: 12, y: 4 }).anchors[1]?.before).toEqual({ x: 5, y: 10 })
  })

  it('any path, any place: moved there and back it is what it was', () => {
    const coordinate = fc.integer({ min: -500, max: 500 }).map((value) => value / 10)
    const at = fc.record({ x: coordinate, y: coordinate })
    const anchor = fc.record({ at, before: fc.option(at, { nil: null }), after: fc.option(at, { nil: null }) })
    fc.assert(
      fc.property(fc.array(anchor, { minLength: 3, maxLength: 6 }), fc.boolean(), fc.nat(), at, (anchors, closed, pick, to) => {
        const path: AnchoredPath = { anchors, closed }
        const index = pick % anchors.length
        const back = moveAnchor(moveAnchor(path, index, to), index, (anchors[index] as { at: { x: number; y: number } }).at)
        expect(writeAnchors(back)).toBe(writeAnchors(path))
      }),
    )
  })
})
