/** The interpreter on stitches of the library and on stitches that this test invents. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { materialValues } from '../assign/index.ts'
import { parsePath } from '../geometry/index.ts'
import type { ReadGuide } from '../guide/index.ts'
import { makeBundle, findThreadKind, type ThreadKind } from '../materials/index.ts'
import { applyBase, resolveParameters, type StitchDocument } from '../notation/index.ts'
import { findStitch, LIBRARY } from '../stitches/index.ts'
import { type StitchWork, type WorkedStitch, wayRoundPost, workStitch } from './index.ts'
import { sentenceOf } from '../testing/index.ts'

const bundle = makeBundle(findThreadKind('stranded-cotton', undefined) as ThreadKind, 2)
const materials = materialValues(bundle, { name: 'cloth', threadsPerCm: 24, thicknessMm: 0.3 }, 0.62)

function line(data: string): ReadGuide {
  const path = parsePath(data)
  if (!path.ok) throw new Error(sentenceOf(path.problems))
  return { kind: 'line', path: path.value }
}

function request(document: StitchDocument, guide: ReadGuide, given: Record<string, number> = {}): StitchWork {
  const parameters = resolveParameters(document, materials, given)
  if (!parameters.ok) throw new Error(sentenceOf(parameters.problems))
  return { document, guide, parameters: parameters.value, materials, leftHand: false }
}

function work(document: StitchDocument, guide: ReadGuide, given: Record<string, number> = {}): WorkedStitch {
  const worked = workStitch(request(document, guide, given))
  if (!worked.ok) throw new Error(sentenceOf(worked.problems))
  return worked.value
}

const LINES = LIBRARY.filter((document) => document.guide.includes('line')).map((document) => {
  const whole = applyBase(document, (id) => findStitch(id), {})
  if (!whole) throw new Error(`${document.id} has no base`)
  return whole
})
const stitch = (moves: Partial<StitchDocument>): StitchDocument => ({
  format: 'lemmata-stitch',
  version: 1,
  id: 'invented',
  name: 'Invented',
  guide: ['line'],
  parameters: { L: 4 },
  passes: [],
  ...moves,
})
const along = { along: { step: ['L'], tail: 0 } }

describe('every line stitch of the library', () => {
  it.each(LINES.map((document) => [document.id, document] as const))(
    '%s: thread is linear in repeats, and never under the straight distances',
    (_id, document) => {
      fc.assert(
        fc.property(fc.integer({ min: 20, max: 60 }), (length) => {
          // On lines that hold exactly k and 2k and 3k repeats the differences are equal.
          const one = work(document, line('M 0 0 L 60 0')).fitted.askedMm
          const used = [1, 2, 3].map((times) => parts(work(document, line(`M 0 0 L ${one * length * times} 0`))))
          for (const part of ['front', 'back', 'trips'] as const) {
            const [a, b, c] = used.map((use) => use[part]) as [number, number, number]
            expect((c - b) / Math.max(1e-9, b - a)).toBeCloseTo(1, 1)
          }
        }),
        { seed: 31, numRuns: 6 },
      )
      const worked = work(document, line('M 0 0 C 20 -15 40 15 60 0'))
      for (const segment of worked.segments) {
        const [a, b] = [segment.points[0], segment.points.at(-1)]
        expect(segment.lengthMm).toBeGreaterThanOrEqual(Math.hypot((a?.x ?? 0) - (b?.x ?? 0), (a?.y ?? 0) - (b?.y ?? 0)) - 1e-9)
      }
    },
  )

  it.each(LINES.map((document) => [document.id, document] as const))(
    '%s: the reflected guide is worked as the reflection, and twice is the same',
    (_id, document) => {
      // Work on a guide and on its mirror image with the hand exchanged: the left hand walks from the other
      // end, so the mirror image is laid the other way round.
      const given = 'M 0 0 C 15 -14 45 16 60 2'
      const left = workStitch({ ...request(document, line(given)), leftHand: true })
      if (!left.ok) throw new Error(sentenceOf(left.problems))
      const mirrored = work(document, line('M -60 2 C -45 16 -15 -14 0 0'))
      // Reflecting about x = 0 turns the left hand's work on the given guide into the right hand's on the mirrored one.
      expect(left.value.holes.length).toBe(mirrored.holes.length)
      const ties = left.value.segments.some((segment) => segment.label === 'tie')
      for (const [index, hole] of left.value.holes.entries()) {
        const other = mirrored.holes[index] as { x: number; y: number; move: string }
        expect(hole.move).toBe(other.move)
        // A chain's tie is left over at the other end, so the whole row lies that much further on.
        expect(Math.hypot(-hole.x - other.x, hole.y - other.y)).toBeLessThan(ties ? 0.8 : 1e-6)
      }
    },
  )

  it.each(LINES.map((document) => [document.id, document] as const))(
    '%s works on zigzag, closed, tiny and short-legged guides without a problem',
    (_id, document) => {
      for (const data of [
        'M 0 0 L 30 0 L 40 20 L 50 0 L 90 0',
        'M 0 0 L 40 0 L 20 30 Z',
        'M 0 0 L 20 0 L 20 1 L 40 1',
        'M 0 0 L 1.5 0',
        'M 20 0 A 20 20 0 1 1 -20 0 A 20 20 0 1 1 20 0 Z',
      ]) {
        const worked = work(document, line(data))
        expect(worked.segments.length).toBeGreaterThan(0)
        for (const segment of worked.segments) for (const point of segment.points) expect(Number.isFinite(point.x + point.y + point.z)).toBe(true)
      }
    },
  )

  it.each(LINES.map((document) => [document.id, document] as const))('%s lands a hole on every corner', (_id, document) => {
    // A knotted line straddles its corner as it straddles its line: measured on a straight guide first.
    const straight = work(document, line('M 0 0 L 60 0'))
    const nearest = (holes: WorkedStitch['holes'], at: { x: number; y: number }): number =>
      Math.min(...holes.map((hole) => Math.hypot(hole.x - at.x, hole.y - at.y)))
    const straddle = nearest(straight.holes, { x: straight.fitted.pitchMm * 2, y: 0 })
    const { holes } = work(document, line('M 0 0 L 30 0 L 30 25 L 60 25'))
    for (const corner of [
      { x: 30, y: 0 },
      { x: 30, y: 25 },
    ])
      expect(nearest(holes, corner)).toBeLessThan(straddle * 1.2 + 1e-6)
  })
})

function parts(worked: WorkedStitch): { front: number; back: number; trips: number } {
  const sum = (side: string): number => worked.segments.filter((segment) => segment.side === side).reduce((total, segment) => total + segment.lengthMm, 0)
  return { front: sum('front'), back: sum('back'), trips: worked.holes.length }
}

describe('a stitch that nobody has seen', () => {
  it('a row of crossed loops with a bead of a knot is worked from its document alone', () => {
    const document = stitch({
      parameters: { L: 4, o: 0.9 },
      passes: [
        {
          name: 'line',
          place: { along: { step: ['L'], tail: 'e' } },
          start: [{ up: [0, 0] }],
          repeat: [
            { down: ['0.15*L', 'o'], loose: true, as: 'loop' },
            { up: ['L', 0], round: 'cross' },
          ],
          end: [{ wrap: 2 }, { down: ['e', 0], as: 'knot' }],
        },
      ],
    })
    const worked = work(document, line('M 0 0 L 40.42 0'))
    expect(worked.repeats).toBe(10)
    expect(worked.motions['cross-loop']).toBe(10)
    expect(worked.motions.wrap).toBe(2)
    expect(worked.segments.filter((segment) => segment.kind === 'knot').length).toBe(1)
  })

  it('a cycle of two lists alternates', () => {
    const document = stitch({ parameters: { L: 4, h: 0 }, passes: [] })
    expect(() => work(document, line('M 0 0 L 40 0'))).toThrow(/may not be called "h"/)
    const zigzag = stitch({
      passes: [
        {
          name: 'line',
          place: along,
          repeat: [
            [{ up: [0, 1] }, { down: ['L', 1] }],
            [{ up: [0, -1] }, { down: ['L', -1] }],
          ],
        },
      ],
    })
    const { holes } = work(zigzag, line('M 0 0 L 40 0'))
    expect(holes.filter((_, index) => index % 4 < 2).every((hole) => hole.y === -1)).toBe(true)
    expect(holes.filter((_, index) => index % 4 >= 2).every((hole) => hole.y === 1)).toBe(true)
  })
})

describe('documents that cannot be worked say which move and why', () => {
  const guide = line('M 0 0 L 40 0')
  it.each<[string, StitchDocument['passes'], RegExp]>([
    ['down first', [{ name: 'a', place: along, repeat: [{ down: [0, 0] }] }], /repeat, move 1.*Come up first/],
    ['up twice', [{ name: 'a', place: along, repeat: [{ up: [0, 0] }, { up: ['L', 0] }] }], /move 2.*already in front/],
    ['the same hole', [{ name: 'a', place: along, repeat: [{ up: [0, 0] }, { down: [0, 0] }] }], /pull out/],
    [
      'up where it has just gone down',
      [
        {
          name: 'a',
          place: along,
          repeat: [{ up: [0, 0] }, { down: ['L', 0] }],
        },
      ],
      /comes up in the very hole/,
    ],
    ['a loop not caught', [{ name: 'a', place: along, repeat: [{ up: [0, 0] }, { down: ['L/2', 0], loose: true }] }], /not caught/],
    ['a catch without a loop', [{ name: 'a', place: along, repeat: [{ up: [0, 0], round: 'inside' }, { down: ['L/2', 0] }] }], /no loose loop/],
    ['a label that nothing has', [{ name: 'a', place: along, repeat: [{ up: [0, 0] }, { down: ['L/2', 0], split: 'st' }] }], /nothing is labelled "st"/],
    ['division by zero', [{ name: 'a', place: along, repeat: [{ up: [0, 0] }, { down: ['L/(L-4)', 0] }] }], /divides by zero/],
    ['a name that means nothing', [{ name: 'a', place: along, repeat: [{ up: [0, 0] }, { down: ['X', 0] }] }], /nothing called "X"/],
    ['an end in front', [{ name: 'a', place: along, repeat: [{ up: [0, 0] }] }], /in front/],
    ['a step of nothing', [{ name: 'a', place: { along: { step: [0] } }, repeat: [{ up: [0, 0] }, { down: ['L/2', 0] }] }], /longer than 0\./],
    ['too many wraps', [{ name: 'a', place: along, repeat: [{ up: [0, 0] }, { wrap: 1e9 }, { down: ['L/2', 0] }] }], /wraps cannot be made/],
    ['a point that a line has not', [{ name: 'a', place: along, repeat: [{ up: 'a' }, { down: ['L/2', 0] }] }], /no point called "a"/],
    ['millions of stitches', [{ name: 'a', place: { along: { step: [1e-5] } }, repeat: [{ up: [0, 0] }, { down: ['L/2', 0] }] }], /make more than/],
  ])('%s', (_what, passes, words) => {
    const worked = workStitch(request(stitch({ passes }), guide))
    expect(worked.ok).toBe(false)
    if (!worked.ok) expect(sentenceOf(worked.problems)).toMatch(words)
  })
})

describe('the post rule', () => {
  it('is finite for every place of A, B and C, and mirrors exactly', () => {
    const at = fc.record({ x: fc.double({ min: -6, max: 6, noNaN: true }), y: fc.double({ min: -6, max: 6, noNaN: true }) })
    fc.assert(
      fc.property(at, at, at, fc.constantFrom('inside' as const, 'cross' as const, 'left' as const, 'right' as const), (a, b, c, round) => {
        const post = { a, b, c, round, direction: { x: 1, y: 0 }, mirror: 1 as const, diameterMm: 0.4, lineWidthMm: 0.44 }
        for (const one of wayRoundPost(post)) expect(Number.isFinite(one.x + one.y)).toBe(true)
      }),
      { seed: 41, numRuns: 500 },
    )
    const flip = (p: { x: number; y: number }) => ({ x: p.x, y: -p.y })
    const [a, b, c] = [
      { x: 0, y: 0.4 },
      { x: 0.2, y: -0.9 },
      { x: 3, y: 0.1 },
    ]
    const right = wayRoundPost({ a, b, c, round: 'inside', direction: { x: 1, y: 0 }, mirror: 1, diameterMm: 0.4, lineWidthMm: 0.44 })
    const left = wayRoundPost({
      a: flip(a),
      b: flip(b),
      c: flip(c),
      round: 'inside',
      direction: { x: 1, y: 0 },
      mirror: -1,
      diameterMm: 0.4,
      lineWidthMm: 0.44,
    })
    for (const [index, one] of right.entries()) {
      expect(one.x).toBeCloseTo(left[index]?.x ?? 0, 12)
      expect(one.y).toBeCloseTo(-(left[index]?.y ?? 0), 12)
    }
  })
})

describe('a thread that is to be split', () => {
  const splitAt = (aside: number) =>
    workStitch(
      request(
        stitch({
          passes: [
            {
              name: 'line',
              place: along,
              repeat: [{ up: [0, 0] }, { down: ['L', 0], as: 'st' }, { up: ['0.5*L', aside], split: 'st' }, { down: ['L', aside + 3] }],
            },
          ],
        }),
        line('M 0 0 L 4 0'),
      ),
    )

  it('is split from 1.5 mm beside 4 mm of it (half a millimetre and a quarter of its length), and not from 1.6', () => {
    expect(splitAt(1.4).ok).toBe(true)
    const beside = splitAt(1.6)
    expect(beside.ok ? '' : sentenceOf(beside.problems)).toContain('the hole lies 1.6 mm beside "st", so the needle would not split it')
  })
})

describe('a leg that has a label of its own', () => {
  const held = (moves: Partial<StitchDocument>) => workStitch(request(stitch(moves), line('M 0 0 L 20 0')))
  const row = { name: 'row', place: along, repeat: [{ up: [0, 0] }, { down: ['L/2', 0], as: 'st' }] } as const

  it('slid under a thread and back into its own hole is held there: it would not pull out', () => {
    const whip = { name: 'whip', place: { times: 1 }, repeat: [{ up: [0, 3] }, { under: ['st[k]'], as: 'leg' }, { down: [0, 3] }] } as const
    const worked = held({ passes: [row, whip] })
    expect(worked.ok ? '' : sentenceOf(worked.problems)).toBe('')
  })

  it('up and down in one hole with nothing between would, and is refused', () => {
    const worked = held({ passes: [{ name: 'row', place: along, repeat: [{ up: [0, 0] }, { down: [0, 0] }] }] })
    expect(worked.ok ? '' : sentenceOf(worked.problems)).toMatch(/down the very hole it came up by, so the stitch would pull out/)
  })
})
