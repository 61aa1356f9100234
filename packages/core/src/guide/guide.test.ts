/** Guides of every kind, carried, taken apart and practised on. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  carryPoint,
  distance,
  inTurn,
  isMirrored,
  type Matrix,
  mirrorIn,
  moveBy,
  parsePath,
  nearestPlace,
  type Point,
  scaleAbout,
  scaleOf,
  turnAbout,
} from '../geometry/index.ts'
import {
  GUIDE_KINDS,
  type Guide,
  gridPoint,
  handlesOf,
  moveHandle,
  partOfGuide,
  partsOf,
  practiceFor,
  practiceGuide,
  readGuide,
  type ReadGuide,
  transformGuide,
  withSize,
} from './index.ts'
import { sentenceOf } from '../testing/index.ts'

/** Every coordinate that a guide is drawn by, whatever field holds it: paths as their points, pairs as they are. */
function coordinatesOf(value: unknown): readonly (readonly [number, number])[] {
  if (typeof value === 'string') {
    const path = parsePath(value)
    return path.ok ? path.value.points.map(({ x, y }) => [x, y] as const) : []
  }
  if (Array.isArray(value)) {
    const [x, y] = value as unknown[]
    if (value.length === 2 && typeof x === 'number' && typeof y === 'number') return [[x, y]]
    return value.flatMap(coordinatesOf)
  }
  return value !== null && typeof value === 'object' ? Object.entries(value).flatMap(([key, one]) => (key === 'turnsRad' ? [] : coordinatesOf(one))) : []
}

const GUIDES: readonly Guide[] = [
  { kind: 'line', path: 'M 10 20 C 20 0 40 40 60 20 L 70 40' },
  { kind: 'band', path: 'M 10 20 L 60 22', widthMm: 8 },
  { kind: 'band', rails: ['M 10 10 L 60 12', 'M 10 18 L 60 22'] },
  {
    kind: 'shape',
    path: 'M 10 10 A 12 6 0 0 1 34 10 A 12 6 0 0 1 10 10 Z',
    vein: 'M 10 10 L 34 10',
    directions: ['M 20 4 L 21 16'],
    holes: ['M 20 9 L 22 9 L 21 11 Z'],
  },
  { kind: 'spot', at: [3, 4], turnRad: 0.5 },
  {
    kind: 'spots',
    at: [
      [0, 0],
      [8, 1],
      [16, 5],
    ],
    turnRad: 0.3,
  },
  {
    kind: 'spots',
    at: [
      [0, 0],
      [8, 1],
    ],
    turnsRad: [0.2, -2],
  },
  { kind: 'ring', at: [20, 30], radiusMm: 6 },
  { kind: 'square', at: [5, 5], sideMm: 6, repeat: 3, turnRad: 0.4 },
  { kind: 'grid', at: [4, 6], columns: 5, rows: 3, cellMm: 2.5 },
  {
    kind: 'pins',
    base: [10, 30],
    pins: [
      [6, 20],
      [10, 18],
      [14, 20],
    ],
  },
]
const carried: fc.Arbitrary<Matrix> = fc
  .tuple(fc.double({ min: -3, max: 3, noNaN: true }), fc.double({ min: 0.5, max: 2, noNaN: true }), fc.double({ min: -50, max: 50, noNaN: true }), fc.boolean())
  .map(([turn, factor, by, mirror]) => {
    const turned = inTurn(inTurn(turnAbout({ x: 7, y: -3 }, turn), scaleAbout({ x: 1, y: 2 }, factor)), moveBy({ x: by, y: -by / 2 }))
    return mirror ? inTurn(turned, mirrorIn({ x: 0, y: 1 }, { x: 3, y: 5 })) : turned
  })

/** Places that say where a guide is and which way round. */
function placesOf(read: ReadGuide): Point[] {
  if (read.kind === 'line') return [...read.path.points.filter((_, index) => index % 20 === 0), ...(read.centre ? [read.centre] : [])]
  if (read.kind === 'shape') return read.region.flat().filter((_, index) => index % 30 === 0)
  if (read.kind === 'grid') return [0, read.columns].flatMap((column) => [0, read.rows].map((row) => gridPoint(read, column, row)))
  return read.kind === 'pins' ? [read.base, ...read.pins] : [...read.at]
}

const readOk = (guide: Guide): ReadGuide => {
  const read = readGuide(guide)
  if (!read.ok) throw new Error(sentenceOf(read.problems))
  return read.value
}

describe('a carried guide', () => {
  it('lies where its places are carried, whatever its kind', () => {
    fc.assert(
      fc.property(fc.constantFrom(...GUIDES), carried, (guide, matrix) => {
        const before = placesOf(readOk(guide)).map((at) => carryPoint(matrix, at))
        const after = readOk(transformGuide(guide, matrix))
        // A grid's corners may change places when mirrored; a ring is looked at as a circle.
        for (const at of before) expect(gapTo(after, at)).toBeLessThan(0.01)
      }),
      { seed: 11, numRuns: 400 },
    )
  })

  it('keeps its lengths but for the scale, and comes back as it was', () => {
    fc.assert(
      fc.property(fc.constantFrom(...GUIDES), carried, (guide, matrix) => {
        const [was, now] = [readOk(guide), readOk(transformGuide(guide, matrix))]
        if (was.kind === 'line' && now.kind === 'line') expect(now.path.length / was.path.length).toBeCloseTo(scaleOf(matrix), 3)
        if (was.kind === 'grid' && now.kind === 'grid') expect(now.cellMm / was.cellMm).toBeCloseTo(scaleOf(matrix), 3)
        const back = readOk(transformGuide(transformGuide(guide, matrix), inverse(matrix)))
        for (const at of placesOf(was)) expect(gapTo(back, at)).toBeLessThan(0.01)
      }),
      { seed: 12, numRuns: 300 },
    )
  })

  it('a quarter turn by hand: the ring begins a quarter later, the spot faces down, the grid stands on its side', () => {
    const quarter = turnAbout({ x: 0, y: 0 }, Math.PI / 2)
    // (x, y) goes to (-y, x) where y points down.
    expect(transformGuide({ kind: 'spot', at: [10, 0] }, quarter)).toMatchObject({ at: [0, 10], turnRad: Math.PI / 2 })
    const ring = readOk(transformGuide({ kind: 'ring', at: [10, 0], radiusMm: 2 }, quarter))
    expect(ring.kind === 'line' && ring.path.points[0]).toMatchObject({ x: expect.closeTo(0, 6), y: expect.closeTo(12, 6) })
    const grid = readOk(transformGuide({ kind: 'grid', at: [0, 0], columns: 2, rows: 1, cellMm: 3 }, quarter))
    expect(grid.kind === 'grid' && gridPoint(grid, 2, 1)).toMatchObject({ x: expect.closeTo(-3, 6), y: expect.closeTo(6, 6) })
  })

  it('mirrored, a grid still counts its columns to the right of its own corner', () => {
    const upright = mirrorIn({ x: 0, y: 0 }, { x: 0, y: 1 })
    expect(isMirrored(upright)).toBe(true)
    expect(transformGuide({ kind: 'grid', at: [4, 6], columns: 5, rows: 3, cellMm: 2 }, upright)).toEqual({
      kind: 'grid',
      at: [-14, 6],
      columns: 5,
      rows: 3,
      cellMm: 2,
    })
  })
})

describe('the parts of a guide', () => {
  it.each([
    ['shape', ['outline', 'vein']],
    ['band', ['left-rail', 'right-rail', 'centre-line']],
    ['ring', ['outline']],
    ['square', ['outline']],
    ['grid', ['outline']],
    ['line', []],
    ['pins', []],
  ])('of a %s are %j', (kind, parts) => {
    const guide = GUIDES.find((one) => one.kind === kind) as Guide
    expect(partsOf(guide)).toEqual(parts)
  })

  it('rails of a level band lie half its width above and below, the left one above as it is worked to the right', () => {
    const band: Guide = { kind: 'band', path: 'M 10 20 L 60 20', widthMm: 8 }
    expect(partOfGuide(band, 'left-rail')).toMatchObject({ value: { kind: 'line', path: 'M 10 16 L 60 16' } })
    expect(partOfGuide(band, 'right-rail')).toMatchObject({ value: { path: 'M 10 24 L 60 24' } })
    expect(partOfGuide(band, 'centre-line')).toMatchObject({ value: { path: 'M 10 20 L 60 20' } })
  })

  it('the outline of a row of three squares is one rectangle, that of a ring as long as its circle', () => {
    const row = partOfGuide({ kind: 'square', at: [3, 3], sideMm: 6, repeat: 3 }, 'outline')
    expect(row).toMatchObject({ value: { path: 'M 0 0 L 18 0 L 18 6 L 0 6 Z' } })
    const ring = partOfGuide({ kind: 'ring', at: [0, 0], radiusMm: 8 }, 'outline')
    const read = ring.ok ? readOk(ring.value) : null
    // 2 pi 8 = 50.265 mm.
    expect(read?.kind === 'line' && read.path.length).toBeCloseTo(50.265, 1)
  })

  it('one that is not there is a sentence', () => {
    const asked = partOfGuide({ kind: 'shape', path: 'M 0 0 L 9 0 L 9 9 Z' }, 'vein')
    expect(asked.ok).toBe(false)
    if (!asked.ok) expect(sentenceOf(asked.problems)).toMatch(/no vein of this shape.*an outline/)
  })
})

describe('guides that cannot be worked', () => {
  it.each<[Guide, RegExp]>([
    [{ kind: 'band', path: 'M 0 0 L 40 0', widthMm: 0.05 }, /0\.05 mm wide.*draw a line/],
    [{ kind: 'band', rails: ['M 0 0 L 40 0', 'M 0 0 L 40 0'] }, /lie on each other/],
    [{ kind: 'band', path: 'M 0 0 L 0.1 0', widthMm: 5 }, /0\.1 mm long/],
    [{ kind: 'band', rails: ['M 0 0 L 40 0', 'M 40 6 L 0 6'] }, /opposite directions/],
    [{ kind: 'shape', path: 'M 0 0 L 20 20 L 20 0 L 0 20 Z' }, /crosses itself/],
    [{ kind: 'shape', path: 'M 0 0 L 20 20 L 20 5 L 0 20 Z' }, /crosses itself/],
    [{ kind: 'shape', path: 'M 0 0 L 60 0 L 60 0.1 L 0 0.1 Z' }, /sliver, 0\.1 mm wide/],
    [
      {
        kind: 'spots',
        at: [
          [0, 0],
          [5, 5],
        ],
        turnsRad: [1],
      },
      /2 spots and 1 turns/,
    ],
    [{ kind: 'grid', at: [0, 0], columns: 400, rows: 400, cellMm: 1 }, /160000 cells/],
  ])('%j', (guide, words) => {
    const read = readGuide(guide)
    expect(read.ok).toBe(false)
    if (!read.ok) expect(sentenceOf(read.problems)).toMatch(words)
  })
})

describe('handles and sizes', () => {
  it('a handle taken somewhere is there afterwards, to a tenth of a millimetre, on every kind', () => {
    for (const guide of GUIDES) {
      for (const handle of handlesOf(guide)) {
        const to = { x: handle.at.x + 3, y: handle.at.y + 2 }
        const again = handlesOf(moveHandle(guide, handle, to)).find((one) => one.id === handle.id)
        expect(again && distance(again.at, to), `${guide.kind} ${handle.id}`).toBeLessThan(0.15)
      }
    }
  })

  it('every kind has a practice guide that can be read, and only its own sizes can be set', () => {
    for (const kind of GUIDE_KINDS) {
      const guide = practiceGuide(practiceFor({ guide: [kind] }), 50, 50, 100)
      expect(readGuide(guide).ok, kind).toBe(true)
      expect(withSize(guide, 'nothing', 3)).toBe(guide)
    }
  })
})

/** How far a place is from the guide: from its line, its rings, its corners or spots. */
function gapTo(read: ReadGuide, at: Point): number {
  if (read.kind === 'line') return Math.min(nearestPlace(read.path, at).distance, read.centre ? distance(read.centre, at) : Infinity)
  if (read.kind === 'shape') return Math.min(...read.region.map((ring) => nearestOf(ring, at)))
  return nearestOf(placesOf(read), at)
}

function nearestOf(points: readonly Point[], to: Point): number {
  let best = Infinity
  for (const [index, at] of points.entries()) {
    const next = points[(index + 1) % points.length] as Point
    const share = Math.max(0, Math.min(1, ((to.x - at.x) * (next.x - at.x) + (to.y - at.y) * (next.y - at.y)) / Math.max(1e-12, distance(at, next) ** 2)))
    best = Math.min(best, distance({ x: at.x + (next.x - at.x) * share, y: at.y + (next.y - at.y) * share }, to))
  }
  return best
}

function inverse([a, b, c, d, e, f]: Matrix): Matrix {
  const det = a * d - b * c
  return [d / det, -b / det, -c / det, a / det, (c * f - d * e) / det, (b * e - a * f) / det]
}

describe('a guide that is moved', () => {
  it.each(GUIDES)('$kind %# leaves nothing behind: vein, directions, holes, rails and pins go with it', (guide) => {
    const before = coordinatesOf(guide)
    const after = coordinatesOf(transformGuide(guide, moveBy({ x: 12.5, y: -7 })))
    expect(after.length).toBe(before.length)
    before.forEach(([x, y], index) => {
      expect(after[index]?.[0]).toBeCloseTo(x + 12.5, 1)
      expect(after[index]?.[1]).toBeCloseTo(y - 7, 1)
    })
  })
})
