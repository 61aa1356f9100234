import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { areaOf, chordsAt, isConvex, lengthOf, measurePath, nearestPlace, parsePath, placeAt, splineThrough, tightestRadius } from './index.ts'

const path = (data: string) => {
  const parsed = parsePath(data)
  if (!parsed.ok) throw new Error(parsed.problems[0]?.message)
  return parsed.value
}

describe('measured paths', () => {
  it('measures lines, curves and arcs', () => {
    expect(path('M 10 20 L 13 24').length).toBe(5)
    // A quarter circle of radius 10: 15.708 mm.
    expect(path('M 10 0 A 10 10 0 0 1 0 10').length).toBeCloseTo((Math.PI / 2) * 10, 2)
    // A straight cubic is as long as its chord.
    expect(path('M 0 0 C 10 0 20 0 30 0').length).toBeCloseTo(30, 9)
    expect(path('M 0 0 h 10 v 10 h -10 z').length).toBe(40)
  })

  it('finds corners over 45 degrees at given points only', () => {
    expect(path('M 0 0 L 50 0 L 50 30').corners).toEqual([50])
    // 40 degrees is a bend.
    expect(path(`M 0 0 L 10 0 L ${10 + 10 * Math.cos(0.7)} ${10 * Math.sin(0.7)}`).corners).toEqual([])
    expect(path('M 8 0 A 8 8 0 0 1 -8 0 A 8 8 0 0 1 8 0 Z').corners).toEqual([])
    expect(path('M 0 0 L 10 0 L 10 10 L 0 10 Z').corners).toEqual([0, 10, 20, 30])
  })

  it.each([
    ['', 'geometry.path-empty'],
    ['not a path', 'geometry.path-unreadable'],
    ['M 0 0', 'geometry.path-empty'],
    ['M 0 0 L 0 0', 'geometry.path-empty'],
    ['M 0 0 L NaN 5', 'geometry.path-unreadable'],
    ['M 0 0 L 1e300 0', 'geometry.path-too-far'],
    ['M 0 0 L 5 5 M 9 9 L 12 12', 'geometry.path-parts'],
    [`M 0 0 ${'L 1 1 L 2 2 '.repeat(20_000)}`, 'geometry.path-too-long'],
  ])('refuses %.20s with a sentence', (data, code) => {
    const parsed = parsePath(data)
    expect(parsed.ok).toBe(false)
    if (!parsed.ok) {
      expect(parsed.problems[0]?.code).toBe(code)
      expect(parsed.problems[0]?.message).toMatch(/[.?]$/)
    }
  })

  const point = fc.record({ x: fc.double({ min: -200, max: 200, noNaN: true }), y: fc.double({ min: -200, max: 200, noNaN: true }) })

  it('there and back: the points in reverse give the same places from the other end', () => {
    fc.assert(
      fc.property(fc.array(point, { minLength: 2, maxLength: 12 }), fc.double({ min: 0, max: 1, noNaN: true }), (points, share) => {
        const measured = measurePath(points)
        if (!measured) return
        const back = measurePath([...points].reverse()) as NonNullable<typeof measured>
        const a = placeAt(measured, share * measured.length).at
        const b = placeAt(back, back.length - share * measured.length).at
        expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeLessThan(1e-6)
      }),
      { seed: 3, numRuns: 200 },
    )
  })

  it('the nearest place to a place of the path is that place', () => {
    fc.assert(
      fc.property(fc.array(point, { minLength: 2, maxLength: 12 }), fc.double({ min: 0, max: 1, noNaN: true }), (points, share) => {
        const measured = measurePath(points)
        if (!measured) return
        const at = placeAt(measured, share * measured.length).at
        expect(nearestPlace(measured, at).distance).toBeLessThan(1e-6)
      }),
      { seed: 4, numRuns: 200 },
    )
  })

  it('goes on beyond an open end and round a closed one', () => {
    expect(placeAt(path('M 0 0 L 10 0'), 13).at).toEqual({ x: 13, y: 0 })
    const square = path('M 0 0 L 10 0 L 10 10 L 0 10 Z')
    expect(placeAt(square, 45).at).toEqual({ x: 5, y: 0 })
    expect(placeAt(square, -5).at).toEqual({ x: 0, y: 5 })
  })

  it('knows the tightest bend of a circle', () => {
    expect(tightestRadius(path('M 8 0 A 8 8 0 0 1 -8 0 A 8 8 0 0 1 8 0 Z'), 2)).toBeCloseTo(8, 0)
    expect(tightestRadius(path('M 0 0 L 50 0'), 2)).toBe(Number.POSITIVE_INFINITY)
  })
})

describe('shapes', () => {
  const square = [
    { x: 0, y: 0 },
    { x: 10, y: 0 },
    { x: 10, y: 6 },
    { x: 0, y: 6 },
  ]

  it('area and convexity', () => {
    expect(areaOf(square)).toBe(60)
    expect(isConvex(square)).toBe(true)
    expect(isConvex([...square.slice(0, 2), { x: 5, y: 3 }, ...square.slice(2)])).toBe(false)
  })

  it('chords run from left of the progress to right', () => {
    // Going right along x, left is up: a is the upper end.
    expect(chordsAt(square, { x: 1, y: 0 }, 4)).toEqual([{ a: { x: 4, y: 0 }, b: { x: 4, y: 6 } }])
    expect(chordsAt(square, { x: 1, y: 0 }, 11)).toEqual([])
  })
})

describe('splines', () => {
  it('are straight through two points and through points in line', () => {
    const two = splineThrough([
      { x: 0, y: 0, z: 0 },
      { x: 3, y: 4, z: 0 },
    ])
    expect(lengthOf(two)).toBe(5)
    const three = splineThrough([
      { x: 0, y: 0, z: 0 },
      { x: 3, y: 0, z: 0 },
      { x: 5, y: 0, z: 0 },
    ])
    expect(lengthOf(three)).toBeCloseTo(5, 9)
  })

  it('are finite and no shorter than their chord, whatever the way-points', () => {
    const at = fc.record({
      x: fc.double({ min: -9, max: 9, noNaN: true }),
      y: fc.double({ min: -9, max: 9, noNaN: true }),
      z: fc.double({ min: -1, max: 1, noNaN: true }),
    })
    fc.assert(
      fc.property(fc.array(at, { minLength: 2, maxLength: 8 }), (points) => {
        const path = splineThrough(points)
        for (const one of path) expect(Number.isFinite(one.x + one.y + one.z)).toBe(true)
        const [a, b] = [points[0], points.at(-1)]
        if (a && b) expect(lengthOf(path)).toBeGreaterThanOrEqual(Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z) - 1e-3)
      }),
      { seed: 5, numRuns: 300 },
    )
  })
})
