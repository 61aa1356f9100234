/**
 * Threads that have to do with each other: needles changed within a pass, what is drawn in by a later move, places where threads
 * cross, rows of one pass, pieces made whole. Lines run along y = 0 to the right, so left is up (y negative); L = 4 mm on 20 mm.
 */
import { describe, expect, it } from 'vitest'
import { materialValues } from '../assign/index.ts'
import { type Guide, readGuide, type ReadGuide } from '../guide/index.ts'
import { findThreadKind, makeBundle, type ThreadKind } from '../materials/index.ts'
import { type Move, type Pass, resolveParameters, type StitchDocument } from '../notation/index.ts'
import { sentenceOf } from '../testing/index.ts'
import { type Segment, workStitch, type WorkedStitch } from './index.ts'

const bundle = makeBundle(findThreadKind('stranded-cotton', undefined) as ThreadKind, 2)
const materials = materialValues(bundle, { name: 'cloth', threadsPerCm: 24, thicknessMm: 0.3 }, 0.62)

const guideOf = (guide: Guide): ReadGuide => {
  const read = readGuide(guide)
  if (!read.ok) throw new Error(sentenceOf(read.problems))
  return read.value
}
const LINE = guideOf({ kind: 'line', path: 'M 0 0 H 20' })
const BAND = guideOf({ kind: 'band', path: 'M 0 0 H 20', widthMm: 6 })
const ALONG: Pass['place'] = { along: { step: ['L'], tail: 0 } }

function tried(passes: readonly Pass[], guide: ReadGuide) {
  const document: StitchDocument = {
    ...{ format: 'lemmata-stitch', version: 1, id: 'invented', name: 'Invented', guide: ['line'], parameters: { L: 4 } },
    passes,
  }
  const parameters = resolveParameters(document, materials, {})
  if (!parameters.ok) throw new Error(sentenceOf(parameters.problems))
  return workStitch({ document, guide, parameters: parameters.value, materials, leftHand: false })
}
function work(passes: readonly Pass[], guide: ReadGuide = LINE): WorkedStitch {
  const worked = tried(passes, guide)
  if (!worked.ok) throw new Error(sentenceOf(worked.problems))
  return worked.value
}
const refusal = (passes: readonly Pass[], guide: ReadGuide = LINE): string => {
  const worked = tried(passes, guide)
  return worked.ok ? 'worked' : sentenceOf(worked.problems)
}
const one = (repeat: readonly Move[], more: Partial<Pass> = {}): readonly Pass[] => [{ name: 'only', place: ALONG, repeat, ...more }]
const fronts = ({ segments }: WorkedStitch): readonly Segment[] => segments.filter((segment) => segment.side === 'front')
const places = ({ holes }: WorkedStitch): readonly (readonly [string, number, string])[] => holes.map(({ move, x, thread }) => [move, x, thread] as const)

describe('another needle within a pass', () => {
  // A chain in two colours: each loop is held by the thread of the other.
  const CHAIN: readonly Pass[] = [
    {
      name: 'line',
      place: ALONG,
      start: [{ up: [0, 0] }],
      repeat: [
        [{ down: [0, 0], loose: true, as: 'loop' }, { take: 'second' }, { up: ['L', 0], round: 'inside' }],
        [{ down: [0, 0], loose: true, as: 'loop' }, { take: 'main' }, { up: ['L', 0], round: 'inside' }],
      ],
      end: [{ down: [0.5, 0], as: 'tie' }],
    },
  ]

  it('each thread goes on where it was left, and its loop keeps its own colour', () => {
    const worked = work(CHAIN)
    expect(places(worked).slice(0, 7)).toEqual([
      ['up', 0, 'main'],
      ['down', 0, 'main'],
      ['up', 4, 'second'],
      ['down', 4, 'second'],
      ['up', 8, 'main'],
      ['down', 8, 'main'],
      ['up', 12, 'second'],
    ])
    const loops = worked.segments.filter((segment) => segment.kind === 'loop')
    expect(loops.map((loop) => loop.thread)).toEqual(['main', 'second', 'main', 'second', 'main'])
    // Held by the hole of the other thread.
    expect(loops.map((loop) => worked.holes[loop.heldBy ?? -1]?.thread)).toEqual(['second', 'main', 'second', 'main', 'second'])
  })

  it('behind, each colour runs two loops at a time', () => {
    const behind = work(CHAIN).segments.filter((segment) => segment.side === 'back')
    expect(behind.map((segment) => [segment.thread, segment.lengthMm])).toEqual([
      ['main', 8],
      ['second', 8],
      ['main', 8],
      ['second', 8],
    ])
  })

  it('a thread left waiting in front is refused', () => {
    expect(refusal(one([{ up: [0, 0] }, { take: 'second' }, { up: [1, 1] }, { down: [2, 1] }], { place: { whole: true } }))).toMatch(/in front/)
  })
})

describe('drawn in by a later move', () => {
  // A bar of 4 mm, drawn 1.5 mm to its right at the middle, then passed under and gone down.
  const BAR = one(
    [
      { up: [0, 1] },
      { down: ['L', 1], as: 'bar' },
      { up: [0, -1] },
      { drawn: ['bar'], by: [0, -1.5] },
      { under: ['bar'], at: 0.5, from: 'left' },
      { down: ['L', -1], as: 'leg' },
    ],
    { place: { once: true } },
  )
  const SPOT = guideOf({ kind: 'spots', at: [[0, 0]] })
  const bar = (): Segment => work(BAR, SPOT).segments.find((segment) => segment.label === 'bar') as Segment

  it('is held at both ends, lies where it is drawn to in the middle, and is longer by the two slants', () => {
    const { points, lengthMm } = bar()
    expect([points[0], points.at(-1)].map((at) => [at?.x, at?.y])).toEqual([
      [0, -1],
      [4, -1],
    ])
    const middle = points[(points.length - 1) / 2]
    expect([middle?.x, middle?.y]).toEqual([expect.closeTo(2, 6), expect.closeTo(0.5, 6)])
    // Two slants over 2 mm along and 1.5 mm aside are 5 mm; toward the rounded bend they are a little fuller.
    expect(lengthMm).toBeGreaterThan(5)
    expect(lengthMm).toBeLessThan(5.1)
  })

  it('remembers how it lay, and that three holes were made by then', () => {
    const { asLaid } = bar()
    expect(asLaid?.points.map(({ x, y }) => [x, y])).toEqual([
      [0, -1],
      [4, -1],
    ])
    expect([asLaid?.holes, asLaid?.surfaceMoves]).toEqual([3, 0])
  })

  it('what passes it passes where it lies now', () => {
    expect(work(BAR, SPOT).surfaceMoves.map(({ at }) => [at.x, at.y])).toEqual([[expect.closeTo(2, 6), expect.closeTo(0.5, 6)]])
  })
})

describe('where two threads cross', () => {
  it('is a place: a cross and a stitch out of its middle', () => {
    const worked = work(
      one([{ up: [0, 1] }, { down: [4, -1], as: 'a' }, { up: [0, -1] }, { down: [4, 1], as: 'b' }, { up: { cross: ['a', 'b'] } }, { down: [2, 3] }], {
        place: { once: true },
      }),
      guideOf({ kind: 'spots', at: [[10, 10]] }),
    )
    expect([worked.holes[4]?.x, worked.holes[4]?.y]).toEqual([12, 10])
  })

  it('threads that do not cross are said by their names', () => {
    const said = refusal(
      one([{ up: [0, 1] }, { down: [4, 1], as: 'a' }, { up: [0, -1] }, { down: [4, -1], as: 'b' }, { up: { cross: ['a', 'b'] } }, { down: [2, 3] }], {
        place: { once: true },
      }),
      guideOf({ kind: 'spots', at: [[10, 10]] }),
    )
    expect(said).toMatch(/a and b do not cross/)
  })
})

describe('only where it is more than nothing', () => {
  it('a move is made in some cells and not in others', () => {
    const grid = guideOf({ kind: 'grid', at: [0, 0], columns: 3, rows: 2, cellMm: 2 })
    const worked = work(
      one([{ up: 'sw' }, { down: 'ne', as: 'st' }, { up: 'se', if: 'col-columns+2' }, { down: 'nw', if: 'col-columns+2' }], { place: { cells: {} } }),
      grid,
    )
    // Six slants, and a second one in the last column of each row.
    expect(worked.holes.filter((hole) => hole.move === 'up')).toHaveLength(8)
    expect(worked.holes.filter((hole) => hole.move === 'up').map(({ x, y }) => [x, y])).toContainEqual([6, 2])
  })
})

describe('a pass in rows', () => {
  const BARS: Pass = { name: 'bars', place: ALONG, repeat: [{ up: [0, -3] }, { down: [0, 3], as: 'bar' }] }
  const OVER: Pass = {
    name: 'rows',
    thread: 'lacing',
    place: { along: { step: ['L'], times: 'count(bar)', again: 3 } },
    start: [{ up: [-1, '2*(row-1)'] }],
    repeat: [{ under: ['bar[k]'], at: '(row+0.5)/rows', from: 'ahead' }],
    end: [{ down: [-1, '2*(row-1)'] }],
  }

  it('goes over the same bars three times, each at its own height', () => {
    const { surfaceMoves, holes } = work([BARS, OVER], BAND)
    const bars = holes.filter((hole) => hole.made.pass === 0 && hole.move === 'up').length
    expect(surfaceMoves).toHaveLength(3 * bars)
    // Bars run from y = 3 up to y = -3: a sixth, a half and five sixths of the way.
    expect([...new Set(surfaceMoves.map(({ at }) => Math.round(at.y * 1000) / 1000))]).toEqual([2, 0, -2])
    expect(surfaceMoves.every(({ side }) => (side?.x ?? 0) > 0.99)).toBe(true)
    expect(holes.filter((hole) => hole.thread === 'lacing')).toHaveLength(6)
  })
})

describe('a link', () => {
  it('the thread turned round the needle lies straight to the hole, and its loop begins there', () => {
    const worked = work(
      one(
        [
          { down: [1, 0], loose: true, wraps: 1, as: 'loop' },
          { up: ['L', 0], round: 'inside' },
        ],
        { start: [{ up: [0, 0] }], end: [{ down: [0.3, 0] }] },
      ),
    )
    const [link, loop] = worked.segments.filter((segment) => segment.side === 'front')
    expect(link?.lengthMm).toBe(1)
    expect([loop?.kind, loop?.points[0]?.x, loop?.points.at(-1)?.x]).toEqual(['loop', 1, 1])
    expect(worked.motions).toMatchObject({ wind: 5, wrap: 5, 'catch-loop': 5 })
  })
})

describe('pieces on spots', () => {
  const SPOTS = guideOf({
    kind: 'spots',
    at: [
      [0, 0],
      [20, 0],
      [40, 0],
    ],
  })
  // A web: three spokes, then once over and under them, all in one needleful.
  const WEB: readonly Pass[] = [
    {
      name: 'spokes',
      place: { once: true },
      repeat: [{ up: [3, 0] }, { down: [0, 0], as: 'spoke' }, { up: [-2, 2] }, { down: [0, 0], as: 'spoke' }, { up: [-2, -2] }, { down: [0, 0], as: 'spoke' }],
    },
    {
      name: 'weaving',
      continues: true,
      place: { times: 3 },
      start: [{ up: [0.5, 0.5] }],
      repeat: [[{ over: ['spoke[k]'], at: 0.6 }], [{ under: ['spoke[k]'], at: 0.6 }]],
      end: [{ down: [0.5, -0.5] }],
    },
  ]

  it('each is finished before the next, and its labels are its own', () => {
    const worked = work(WEB, SPOTS)
    expect(worked.holes.map(({ made }) => made.pass)).toEqual([0, 0, 0, 0, 0, 0, 1, 1, 0, 0, 0, 0, 0, 0, 1, 1, 0, 0, 0, 0, 0, 0, 1, 1])
    // Every spot is woven about its own spokes.
    expect(worked.surfaceMoves.map(({ at }) => Math.round(at.x / 20) + 0)).toEqual([0, 0, 0, 1, 1, 1, 2, 2, 2])
    expect(worked.fitted.lengthMm).toBe(40)
    expect(fronts(worked).filter((segment) => segment.label === 'spoke')).toHaveLength(9)
  })

  it('where a later pass takes another needle, all are worked in the first thread before the second', () => {
    const second = WEB.map(
      (pass, index): Pass =>
        index === 0
          ? pass
          : { ...pass, continues: false, thread: 'second', place: { once: true }, repeat: [{ over: ['spoke[3*k]'], at: 0.6 }], start: [], end: [] },
    )
    const worked = work(
      second.map((pass, index) => (index === 0 ? pass : { ...pass, repeat: [{ up: [1, 1] }, { over: ['spoke[3*k]'], at: 0.6 }, { down: [1, -1] }] })),
      SPOTS,
    )
    expect(worked.holes.map(({ made }) => made.pass)).toEqual([...Array<number>(18).fill(0), ...Array<number>(6).fill(1)])
  })
})

describe('bundles of a drawn strip', () => {
  it('say from where to where the cloth threads are drawn together, and when', () => {
    const { patches } = work(one([{ up: [0, -3] }, { down: ['L/2', -3] }, { bundle: [0, 'L'], at: -3 }], { start: [{ withdraw: [-3, 3] }] }), BAND)
    expect(patches.map(({ kind, holes }) => [kind, holes])).toEqual([
      ['drawn', 0],
      ['bundle', 2],
      ['bundle', 4],
      ['bundle', 6],
      ['bundle', 8],
      ['bundle', 10],
    ])
    expect(patches[1]?.outline.map(({ x, y }) => [x, y])).toEqual([
      [0, 3],
      [4, 3],
    ])
  })
})

describe('a pass that has lost its place', () => {
  it('is off by what its steps have added up to', () => {
    const base: Pass = { name: 'base', place: ALONG, repeat: [{ up: [0, 0] }, { down: ['L/2', 0], as: 'st' }] }
    const lace = (times: string, index: string): Pass => ({
      name: 'lace',
      thread: 'lacing',
      place: { along: { step: ['L'], times } },
      start: [{ up: [0, -1] }],
      repeat: [{ under: [index], from: 'right' }],
      end: [{ down: [0, 1] }],
    })
    expect(work([base, lace('count(st)', 'st[k]')]).driftMm).toBe(0)
    // Five steps, and always the first stitch, passed at 1 mm: the last frame is at 16, eleven beyond an advance.
    expect(work([base, lace('count(st)', 'st[0]')]).driftMm).toBeCloseTo(11, 1)
  })
})

describe('within the shape', () => {
  // A field 20 by 10 with a hole of 4 by 4 in its middle; an upright cross of 6 mm about every place.
  const FIELD = guideOf({ kind: 'shape', path: 'M 0 0 H 20 V 10 H 0 Z', holes: ['M 8 3 V 7 H 12 V 3 Z'] })
  const crosses = (within: boolean): WorkedStitch =>
    work(
      one([{ up: [-3, 0] }, { down: [3, 0], as: 'st' }, { up: [0, -3] }, { down: [0, 3], as: 'st' }], {
        place: { scatter: { apart: 2.5, inset: 0 } },
        ...(within ? { within } : {}),
      }),
      FIELD,
    )
  const isOut = ({ x, y }: { readonly x: number; readonly y: number }): boolean =>
    x < -1e-6 || x > 20 + 1e-6 || y < -1e-6 || y > 10 + 1e-6 || (x > 8 + 1e-6 && x < 12 - 1e-6 && y > 3 + 1e-6 && y < 7 - 1e-6)

  it('arms that would cross an edge end on it, the others stay as they are', () => {
    const [free, kept] = [crosses(false), crosses(true)]
    expect(free.holes.filter(isOut).length).toBeGreaterThan(4)
    expect(kept.holes.filter(isOut)).toEqual([])
    expect(kept.holes).toHaveLength(free.holes.length)
    for (const [index, hole] of kept.holes.entries()) {
      const [before, opposite] = [free.holes[index], free.holes[index ^ 1]]
      if (!before || !opposite) throw new Error('every hole has its opposite')
      const middle = { x: (before.x + opposite.x) / 2, y: (before.y + opposite.y) / 2 }
      const [reach, full] = [Math.hypot(hole.x - middle.x, hole.y - middle.y), Math.hypot(before.x - middle.x, before.y - middle.y)]
      // On the way from the middle to where it would have been, and no further.
      expect((hole.x - middle.x) * (before.y - middle.y)).toBeCloseTo((hole.y - middle.y) * (before.x - middle.x), 6)
      expect(reach).toBeLessThan(full + 1e-9)
      if (isOut(before)) expect(reach).toBeLessThan(full)
    }
    const whole = kept.holes.filter((hole, index) => hole.x === free.holes[index]?.x && hole.y === free.holes[index]?.y)
    expect(whole.length).toBeGreaterThan(4)
  })

  it('goes no further than the first edge: an arm does not leap a hole in the shape', () => {
    for (const { points } of fronts(crosses(true))) {
      const [a, b] = [points[0], points[points.length - 1]] as const
      if (!a || !b) throw new Error('a stitch has two ends')
      for (const share of [0.25, 0.5, 0.75]) expect(isOut({ x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share })).toBe(false)
    }
  })
})
