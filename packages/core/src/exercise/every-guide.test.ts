/** Every stitch of the library on every kind of guide that it claims, at the ends and the middle of every parameter. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import type { StitchDocument } from '../notation/index.ts'
import type { Guide } from '../guide/index.ts'
import { newSampler } from '../sampler/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import { leftAlone, sentenceOf, sentencesOf, type ShortExercise, workAlone, type WorkedAlone } from '../testing/index.ts'

const around = surroundingsOf(newSampler('Test'))

const GUIDES: Readonly<Record<string, Readonly<Record<string, Guide>>>> = {
  line: {
    straight: { kind: 'line', path: 'M 10 50 L 90 50' },
    wavy: { kind: 'line', path: 'M 0 0 C 20 -15 30 15 50 0 S 80 -15 100 0' },
    cornered: { kind: 'line', path: 'M 0 0 L 30 0 L 45 20 L 75 20 L 75 45' },
    short: { kind: 'line', path: 'M 0 0 L 6 0' },
    long: { kind: 'line', path: 'M 0 0 L 280 30' },
    'closed round': { kind: 'line', path: 'M 0 15 A 15 15 0 0 1 30 15 A 15 15 0 0 1 0 15 Z' },
    'closed with corners': { kind: 'line', path: 'M 0 0 L 30 0 L 15 26 Z' },
  },
  band: {
    straight: { kind: 'band', path: 'M 0 0 L 70 0', widthMm: 6 },
    wavy: { kind: 'band', path: 'M 0 0 C 30 -20 50 20 80 0', widthMm: 5 },
    narrow: { kind: 'band', path: 'M 0 0 L 14 0', widthMm: 3 },
    'between rails': { kind: 'band', rails: ['M 0 0 L 60 5', 'M 0 12 L 60 9'] },
  },
  ring: {
    small: { kind: 'ring', at: [0, 0], radiusMm: 2.5 },
    usual: { kind: 'ring', at: [0, 0], radiusMm: 6 },
    large: { kind: 'ring', at: [0, 0], radiusMm: 15 },
  },
  shape: {
    oval: { kind: 'shape', path: 'M 0 6 A 11 6 0 0 1 22 6 A 11 6 0 0 1 0 6 Z' },
    rectangle: { kind: 'shape', path: 'M 0 0 L 18 0 L 18 12 L 0 12 Z' },
    small: { kind: 'shape', path: 'M 0 2.5 A 4 2.5 0 0 1 8 2.5 A 4 2.5 0 0 1 0 2.5 Z' },
    large: { kind: 'shape', path: 'M 0 15 A 25 15 0 0 1 50 15 A 25 15 0 0 1 0 15 Z' },
    hollow: { kind: 'shape', path: 'M 0 0 L 24 0 L 24 8 L 9 8 L 9 20 L 0 20 Z' },
    'with a hole': {
      kind: 'shape',
      path: 'M 0 10 A 15 10 0 0 1 30 10 A 15 10 0 0 1 0 10 Z',
      holes: ['M 12 10 A 3 3 0 0 1 18 10 A 3 3 0 0 1 12 10 Z'],
    },
    'a leaf with a vein': { kind: 'shape', path: 'M 0 6 C 6 -2 18 -2 26 5 C 18 13 6 13 0 6 Z', vein: 'M 0 6 C 8 5 18 5 26 5' },
    'with turning directions': {
      kind: 'shape',
      path: 'M 0 12 A 20 20 0 0 1 34 4 L 30 12 A 11 11 0 0 0 10 20 Z',
      directions: ['M 0 12 L 10 20', 'M 10 3 L 14 13', 'M 34 4 L 30 12'],
    },
  },
  spot: { one: { kind: 'spot', at: [5, 5], turnRad: 0.6 } },
  spots: {
    some: {
      kind: 'spots',
      at: [
        [0, 0],
        [14, 2],
        [27, -3],
      ],
      turnRad: -1,
    },
  },
  square: { one: { kind: 'square', at: [0, 0], sideMm: 5 }, row: { kind: 'square', at: [0, 0], sideMm: 7, repeat: 5, turnRad: 0.3 } },
  grid: { one: { kind: 'grid', at: [0, 0], columns: 1, rows: 1, cellMm: 4 }, many: { kind: 'grid', at: [0, 0], columns: 9, rows: 5, cellMm: 3 } },
  pins: { short: { kind: 'pins', base: [0, 0], pins: [[0, -6]] }, tall: { kind: 'pins', base: [0, 0], pins: [[8, -16]] } },
}

function work(document: StitchDocument, guide: Guide, more: Partial<ShortExercise> = {}): WorkedAlone {
  const result = workAlone({ id: 'e1', name: 'Test', stitch: document.id, guide, strands: 2, ...more }, around)
  if (!result.ok) throw new Error(sentencesOf(result.problems).join(' '))
  return result.value
}

function isSound(done: WorkedAlone): void {
  expect(done.worked.segments.length).toBeGreaterThan(0)
  const wild = done.worked.segments.filter((segment) => !Number.isFinite(segment.lengthMm) || segment.points.some((at) => !Number.isFinite(at.x + at.y + at.z)))
  expect(wild).toEqual([])
  expect(done.problems.filter((problem) => problem.severity === 'error')).toEqual([])
  const left = leftAlone(done)
  expect(left.ok ? '' : sentenceOf(left.problems)).toBe('')
  expect(Number.isFinite(done.difficulty.score + done.thread.total + done.minutes.total + done.widthMm + done.coverage)).toBe(true)
}

/** Fills that leave no cloth. French knots, seed, lattice, lace and open leaves do, on purpose. */
const SOLID = [
  'satin-stitch',
  'fishbone-stitch',
  'padded-satin',
  'satin-leaf',
  'long-and-short',
  'padded-long-and-short',
  'chain-filling',
  'split-filling',
  'stem-filling',
  'back-filling',
  'brick-stitch',
  'couched-filling',
  'zigzag-couching',
  'diamond-couching',
  'bokhara-couching',
]

/** What the versions with several pins stand on. */
const FANS: Readonly<Record<string, Guide>> = {
  'three pins': {
    kind: 'pins',
    base: [0, 0],
    pins: [
      [-3, -9],
      [0, -10],
      [3, -9],
    ],
  },
  'five pins aslant': {
    kind: 'pins',
    base: [4, 2],
    pins: [
      [-10, -4],
      [-8, -8],
      [-5, -11],
      [-1, -13],
      [4, -13],
    ],
  },
}

/** Every version of every stitch on the guides it is for. */
const versions = LIBRARY.flatMap((document) =>
  Object.entries(document.variants ?? {}).flatMap(([variant, { guide: kinds = document.guide, practice }]) => {
    const fanned = practice?.kind === 'pins' && (practice.pins ?? 1) > 1
    const guides = fanned
      ? FANS
      : Object.fromEntries(kinds.flatMap((kind) => Object.entries(GUIDES[kind] ?? {}).map(([name, guide]) => [`${kind}, ${name}`, guide])))
    return Object.entries(guides).map(([name, guide]) => [document.id, variant, name, document, guide] as const)
  }),
)

const claims = LIBRARY.flatMap((document) =>
  document.guide.flatMap((kind) => Object.entries(GUIDES[kind] ?? {}).map(([name, guide]) => [document.id, kind, name, document, guide] as const)),
)

describe('every guide that a stitch claims', () => {
  it('has guides to try for every kind', () => {
    for (const document of LIBRARY) for (const kind of document.guide) expect(Object.keys(GUIDES[kind] ?? {}), kind).not.toEqual([])
  })

  it.each(claims)('%s on a %s, %s', (_id, _kind, _name, document, guide) => {
    isSound(work(document, guide))
  })

  it.each(versions)('%s (%s) on %s', (_id, variant, _name, document, guide) => {
    isSound(work(document, guide, { variant }))
  })
})

describe('solid fills', () => {
  const cases = SOLID.flatMap((id) => Object.entries(GUIDES['shape'] ?? {}).map(([name, guide]) => [id, name, guide] as const))
  // In a shape 8 by 5 mm a link or a straight stitch of 2 mm cannot follow the curve: a teacher would halve its length.
  it.each(cases)('%s leaves no cloth in %s', (id, name, guide) => {
    const document = LIBRARY.find((one) => one.id === id) as StitchDocument
    const { coverage, problems } = work(document, guide)
    // What lies behind a hole cannot be reached from a vein: that much is said.
    const bare = problems.find((one) => one.code === 'exercise.bare-behind-hole')?.figures['percent'] ?? 0
    const least = bare !== 0 ? 0.9 : (id === 'chain-filling' || id === 'back-filling') && name === 'small' ? 0.8 : 0.95
    expect(coverage + Number(bare) / 100).toBeGreaterThanOrEqual(least)
  })
})

describe('line stitches', () => {
  const lines = LIBRARY.filter((document) => document.guide.includes('line') && document.base === undefined)
  it.each(lines.map((document) => [document.id, document] as const))(
    '%s begins and ends at the ends of its line, and counts length over pitch',
    (_id, document) => {
      const done = work(document, (GUIDES['line'] as { straight: Guide }).straight)
      const { fitted, holes } = done.worked
      const along = holes.map((hole) => hole.x)
      // A tie or a whip goes in a little beside the end; a tie over a laid thread stands one interval inside it.
      expect(Math.min(...along)).toBeGreaterThan(10 - 1)
      expect(Math.min(...along)).toBeLessThan(10 + 0.6)
      expect(Math.max(...along)).toBeLessThan(90 + 1)
      expect(Math.max(...along)).toBeGreaterThan(90 - 0.6)
      // Out and back; both arms of a spray; a long stitch and a short one.
      const inAdvance = ['double-running', 'fern-stitch', 'uneven-running'].includes(document.id) ? 2 : 1
      // The loops of a rope are several advances long, and the last one ends with the line.
      const lapped = document.id === 'rope-stitch' ? 4 : 1.51
      expect(Math.abs(fitted.count / inAdvance - fitted.lengthMm / fitted.pitchMm)).toBeLessThanOrEqual(lapped)
    },
  )
})

describe('every parameter', () => {
  const settings = LIBRARY.flatMap((document) => {
    const kind = document.guide[0] as string
    const guide = Object.values(GUIDES[kind] ?? {})[kind === 'pins' || kind === 'ring' ? 1 : 0] as Guide
    const usual = work(document, guide)
    return [...usual.assigned.parameters.values()].flatMap(({ id, min, max }) =>
      [min, max].flatMap((value) => (value === null ? [] : [[document.id, id, value, document, guide] as const])),
    )
  })
  it.each(settings)('%s with %s at %d', (_id, parameter, value, document, guide) => {
    isSound(work(document, guide, { parameters: { [parameter]: value } }))
  })
})
