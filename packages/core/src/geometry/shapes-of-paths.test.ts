/** Cells that find things again, outlines that cross themselves, curves and their radii. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CellIndex, crossesItself, distance, type MeasuredPath, measurePath, nearestPlace, parsePath, placeAt, type Point, tightestRadius } from './index.ts'
import { sentenceOf } from '../testing/index.ts'

function path(data: string): MeasuredPath {
  const parsed = parsePath(data)
  if (!parsed.ok) throw new Error(sentenceOf(parsed.problems))
  return parsed.value
}

describe('cells', () => {
  it('give back everything that was put into them, the newest first, whatever the cell', () => {
    const cell = fc.tuple(fc.integer({ min: -100_000, max: 100_000 }), fc.integer({ min: -100_000, max: 100_000 }))
    fc.assert(
      fc.property(fc.array(fc.oneof(cell, fc.constant([3, 4] as [number, number])), { minLength: 1, maxLength: 60 }), (cells) => {
        const index = new CellIndex()
        for (const [column, row] of cells) index.add(column, row)
        for (const [at, [column, row]] of cells.entries()) {
          const found: number[] = []
          for (let one = index.in(column, row); one >= 0; one = index.before(one)) found.push(one)
          expect(found).toContain(at)
          expect([...found].sort((a, b) => b - a)).toEqual(found)
        }
      }),
      { seed: 4, numRuns: 200 },
    )
  })

  it('are empty where nothing was put', () => {
    const index = new CellIndex()
    expect(index.in(0, 0)).toBe(-1)
    index.add(1, 1)
    expect(index.in(2, 1)).toBe(-1)
    expect(index.before(0)).toBe(-1)
  })
})

describe('an outline that crosses itself', () => {
  it.each([
    ['a bow-tie', 'M 0 0 L 20 20 L 20 0 L 0 20 Z', true],
    ['an eight of curves', 'M 0 0 C 20 -20 20 20 0 0 C -20 -20 -20 20 0 0 Z', false],
    ['a loop on a side', 'M 0 0 L 30 0 C 40 30 10 30 20 -5 L 0 -20 Z', true],
    ['a star of five points', 'M 0 -10 L 5.9 8.1 L -9.5 -3.1 L 9.5 -3.1 L -5.9 8.1 Z', true],
    ['a square', 'M 0 0 L 20 0 L 20 20 L 0 20 Z', false],
    ['a crescent', 'M 0 0 C 10 20 30 20 40 0 C 30 10 10 10 0 0 Z', false],
    ['a circle', 'M 10 0 A 10 10 0 1 1 -10 0 A 10 10 0 1 1 10 0 Z', false],
    ['a square that touches itself at one corner', 'M 0 0 L 20 0 L 20 20 L 10 0 L 0 20 Z', false],
  ])('%s', (_name, data, crosses) => {
    expect(crossesItself(path(data))).toBe(crosses)
  })

  it('turned, moved or made larger it crosses as before', () => {
    const shape: readonly Point[] = [
      { x: 0, y: 0 },
      { x: 20, y: 21 },
      { x: 20, y: 0 },
      { x: 0, y: 20 },
    ]
    fc.assert(
      fc.property(fc.double({ min: 0, max: 6.28, noNaN: true }), fc.double({ min: 0.2, max: 10, noNaN: true }), (turn, size) => {
        const points = [...shape, shape[0] as Point].map(({ x, y }) => ({
          x: 100 + size * (x * Math.cos(turn) - y * Math.sin(turn)),
          y: 100 + size * (x * Math.sin(turn) + y * Math.cos(turn)),
        }))
        const measured = measurePath(points, true)
        expect(measured && crossesItself(measured)).toBe(true)
      }),
      { seed: 5, numRuns: 100 },
    )
  })
})

describe('curves', () => {
  it('a circle has its radius everywhere, whatever its size and the span it is judged by', () => {
    for (const radius of [2, 5, 12, 40]) {
      const circle = path(`M ${radius} 0 A ${radius} ${radius} 0 1 1 ${-radius} 0 A ${radius} ${radius} 0 1 1 ${radius} 0 Z`)
      for (const span of [radius / 5, radius / 3]) expect(tightestRadius(circle, span) / radius).toBeCloseTo(1, 1)
    }
  })

  it('a Bezier curve ends at its control points and stays within half a micrometre of itself drawn finely', () => {
    // (1-t)^3 p0 + 3 (1-t)^2 t p1 + 3 (1-t) t^2 p2 + t^3 p3 at t = 0.3: x = 0 + 0 + 0.189 x 20 + 0.027 x 30 = 4.59; y = 0.441 x 10 - 0.189 x 10 = 2.52.
    const cubic = path('M 0 0 C 0 10 20 -10 30 0')
    expect(nearestPlace(cubic, { x: 4.59, y: 2.52 }).distance).toBeLessThan(0.001)
    // (1-t)^2 p0 + 2 (1-t) t p1 + t^2 p2 at t = 0.5: the quarter of both ends and half of the middle.
    const quadratic = path('M 0 0 Q 10 20 20 0')
    expect(nearestPlace(quadratic, { x: 10, y: 10 }).distance).toBeLessThan(0.001)
    expect(placeAt(cubic, cubic.length, true).at).toEqual({ x: 30, y: 0 })
  })

  it('the nearest place is no farther than any other, and its offset has the sign of its side', () => {
    const wave = path('M 0 0 C 10 -20 20 20 30 0')
    fc.assert(
      fc.property(fc.double({ min: -5, max: 35, noNaN: true }), fc.double({ min: -15, max: 15, noNaN: true }), (x, y) => {
        const near = nearestPlace(wave, { x, y })
        for (let index = 0; index <= 60; index += 1)
          expect(distance(placeAt(wave, (wave.length * index) / 60, true).at, { x, y })).toBeGreaterThanOrEqual(near.distance - 1e-6)
        expect(Math.abs(near.offset)).toBeLessThanOrEqual(near.distance + 1e-6)
      }),
      { seed: 6, numRuns: 100 },
    )
    // y grows downwards: to the left of a line that runs to the right is up.
    expect(nearestPlace(path('M 0 0 L 10 0'), { x: 5, y: -2 })).toMatchObject({ offset: 2, distance: 2, travelled: 5 })
    expect(nearestPlace(path('M 0 0 L 10 0'), { x: 5, y: 3 }).offset).toBe(-3)
  })
})
