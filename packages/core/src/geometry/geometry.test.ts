import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  areaOf,
  chordsOfRegion,
  insetRegion,
  isInRegion,
  lengthOf,
  measurePath,
  nearestPlace,
  parsePath,
  packSpots,
  placeAt,
  ringPath,
  scatterSpots,
  shrinkRegion,
  splineThrough,
  tightestRadius,
  shareMet,
} from './index.ts'
import { sentenceOf } from '../testing/index.ts'

const path = (data: string) => {
  const parsed = parsePath(data)
  if (!parsed.ok) throw new Error(sentenceOf(parsed.problems))
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
      expect(sentenceOf(parsed.problems)).toMatch(/[.?]$/)
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

  it('area', () => {
    expect(areaOf(square)).toBe(60)
  })

  it('chords run from left of the progress to right', () => {
    // Going right along x, left is up: a is the upper end.
    expect(chordsOfRegion([square], { x: 1, y: 0 }, 4)).toEqual([{ a: { x: 4, y: 0 }, b: { x: 4, y: 6 } }])
    expect(chordsOfRegion([square], { x: 1, y: 0 }, 11)).toEqual([])
  })
})

describe('regions', () => {
  const outer = [
    { x: 0, y: 0 },
    { x: 20, y: 0 },
    { x: 20, y: 12 },
    { x: 0, y: 12 },
  ]
  const hole = [
    { x: 8, y: 4 },
    { x: 12, y: 4 },
    { x: 12, y: 8 },
    { x: 8, y: 8 },
  ]
  const region = [outer, hole]

  it('a chord through a hole is two', () => {
    const chords = chordsOfRegion(region, { x: 0, y: 1 }, 6)
    expect(chords.map(({ a, b }) => [Math.min(a.x, b.x), Math.max(a.x, b.x)]).sort((one, other) => (one[0] ?? 0) - (other[0] ?? 0))).toEqual([
      [0, 8],
      [12, 20],
    ])
    expect(isInRegion(region, { x: 4, y: 6 })).toBe(true)
    expect(isInRegion(region, { x: 10, y: 6 })).toBe(false)
    expect(isInRegion(region, { x: 21, y: 6 })).toBe(false)
  })

  it('shrinks from both outline and hole, keeps the region on the left, and vanishes', () => {
    // 1 mm in: 18 x 10 outside, 6 x 6 round the hole.
    const rings = shrinkRegion(region, 1)
    expect(rings.map((ring) => areaOf(ring)).sort((a, b) => a - b)).toEqual([expect.closeTo(36, 3), expect.closeTo(180, 3)])
    for (const ring of rings) {
      const path = ringPath(ring)
      if (!path) throw new Error('no ring')
      expect(path.corners.length).toBe(4)
      const { at, direction } = placeAt(path, 1)
      expect(isInRegion(rings, { x: at.x + direction.y * 0.2, y: at.y - direction.x * 0.2 })).toBe(true)
    }
    expect(shrinkRegion(region, 5)).toEqual([])
    expect(insetRegion(region, 5).length).toBeGreaterThan(0)
  })

  it('scatters spots evenly: never too near, the same every time, none in a hole', () => {
    const spots = scatterSpots(region, 1.5)
    expect(scatterSpots(region, 1.5)).toEqual(spots)
    expect(spots.length).toBeGreaterThan(50)
    for (const [index, a] of spots.entries()) {
      expect(isInRegion(region, a)).toBe(true)
      for (const b of spots.slice(index + 1)) expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(1.5 - 1e-9)
    }
    // A honeycomb of 1.5 mm has one spot for each 1.95 mm2; 224 mm2 less the rim.
    expect(packSpots(region, 1.5).length).toBeGreaterThan(95)
    expect(scatterSpots(region, 0)).toEqual([])
    expect(scatterSpots(region, 1e-4)).toEqual([])
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

it('two ways meet at a share of the first, ends included; alike or apart they do not', () => {
  const at = (x: number, y: number) => ({ x, y })
  expect(shareMet(at(0, 0), at(10, 0), at(4, -1), at(4, 3))).toBeCloseTo(0.4, 12)
  expect(shareMet(at(0, 0), at(10, 0), at(10, 0), at(10, 5))).toBe(1)
  expect(shareMet(at(0, 0), at(10, 0), at(4, 1), at(4, 3))).toBeNull()
  expect(shareMet(at(0, 0), at(10, 0), at(0, 0), at(5, 0))).toBeNull()
})
