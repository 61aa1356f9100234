/** What goes on behind, reckoned by hand; the ways against all ways there are. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { workSampler } from '../exercise/index.ts'
import { distance, type Point } from '../geometry/index.ts'
import { carryLimit, lightness } from '../materials/index.ts'
import { newSampler, type Sampler } from '../sampler/index.ts'
import { bestWay, exactWay, goodWay, type Leg } from './best-way.ts'
import { planBehind, totalsBehind } from './index.ts'
import { needlefulStops } from './needlefuls.ts'
import { carryCost } from './plan.ts'

const at = (x: number, y: number): Point => ({ x, y })
const cost = (limit: number) => (from: Point, to: Point) => carryCost(distance(from, to), limit)

/** Every order and every turning, one after another. */
function cheapest(legs: readonly Leg[], costOf: (from: Point, to: Point) => number): number {
  let best = Infinity
  const go = (left: readonly number[], here: Point | null, sum: number): void => {
    if (sum >= best) return
    if (left.length === 0) {
      best = sum
      return
    }
    for (const index of left) {
      const leg = legs[index] as Leg
      for (const turned of leg.canTurn ? [false, true] : [false]) {
        const [into, out] = turned ? [leg.to, leg.from] : [leg.from, leg.to]
        go(
          left.filter((one) => one !== index),
          out,
          sum + (here ? costOf(here, into) : 0),
        )
      }
    }
  }
  go([...legs.keys()], null, 0)
  return best
}

const place = fc.record({ x: fc.integer({ min: 0, max: 60 }), y: fc.integer({ min: 0, max: 60 }) })
const leg = fc.record({ from: place, to: place, canTurn: fc.boolean() })

/** As pieces are: a few millimetres long, on a part of a hoop. */
const short = fc
  .record({ from: place, dx: fc.integer({ min: -15, max: 15 }), dy: fc.integer({ min: -15, max: 15 }), canTurn: fc.boolean() })
  .map(({ from, dx, dy, canTurn }): Leg => ({ from, to: at(from.x + dx, from.y + dy), canTurn }))

describe('the best way through pieces', () => {
  it('of up to six, in 200 cases, none is cheaper among all there are', () => {
    fc.assert(
      fc.property(fc.array(leg, { minLength: 1, maxLength: 6 }), fc.constantFrom(0, 8, 20, 200), (legs, limit) => {
        const way = bestWay(legs, cost(limit), null)
        expect(way.steps.map((step) => step.leg).sort()).toEqual([...legs.keys()])
        expect(way.cost).toBeCloseTo(cheapest(legs, cost(limit)), 6)
      }),
      { numRuns: 200 },
    )
  })

  it('what is used for very many is nearly always within 5 % of the best of ten, and 2 % in the mean', () => {
    const cases = fc.sample(fc.tuple(fc.array(short, { minLength: 8, maxLength: 10 }), fc.constantFrom(8, 20, 200), fc.option(place, { nil: null })), {
      numRuns: 60,
      seed: 11,
    })
    const ratios = cases.map(([legs, limit, start]) => {
      const [good, best] = [goodWay(legs, cost(limit), start).cost, exactWay(legs, cost(limit), start).cost]
      expect(good).toBeGreaterThanOrEqual(best - 1e-5)
      return best < 1 ? 1 : good / best
    })
    expect(ratios.reduce((total, one) => total + one, 0) / ratios.length).toBeLessThan(1.02)
    expect(ratios.filter((one) => one > 1.05).length).toBeLessThanOrEqual(3)
  }, 60_000)

  it('three lines end to end, the middle one drawn backwards: turned, nothing is carried further than the gaps', () => {
    const legs: Leg[] = [
      { from: at(0, 0), to: at(10, 0), canTurn: true },
      { from: at(22, 0), to: at(12, 0), canTurn: true },
      { from: at(24, 0), to: at(34, 0), canTurn: true },
    ]
    const way = bestWay(legs, cost(20), null)
    expect(way.cost).toBeCloseTo(1.05 * 4, 9)
    const fixed = legs.map((one) => ({ ...one, canTurn: false }))
    // Not turned: into 22 over 12, out of 12 to 24 over 12.
    expect(bestWay(fixed, cost(20), null).cost).toBeCloseTo(1.05 * 24, 9)
    expect(bestWay([], cost(20), null)).toEqual({ steps: [], cost: 0 })
  })
})

describe('how far a thread may go behind', () => {
  it('dark on fine pale lawn hardly at all, near the cloth colour twice as far and more, behind felt anywhere near', () => {
    expect(lightness('#ffffff')).toBeCloseTo(100, 6)
    expect(lightness('#000000')).toBe(0)
    // Mid grey #777777 has L* 50.0.
    expect(lightness('#777777')).toBeCloseTo(50, 0)
    expect(carryLimit('high', '#22365A', '#F5F1E8')).toBe(2)
    expect(carryLimit('high', '#E0D8C8', '#F5F1E8')).toBe(6)
    expect(carryLimit('opaque', '#22365A', '#D9D2C2')).toBe(15)
    expect(carryLimit('very-high', '#F5F1E8', '#F5F1E8')).toBe(0)
  })
})

describe('where needlefuls end', () => {
  const spent = (...used: number[]) => used.map((usedMm, index) => ({ usedMm, at: at(usedMm, 0), isCorner: index === 1 }))

  it('between pieces where the next would not be finished, and not where it would', () => {
    // 320 mm: two pieces of 150 fit with their carry; of a third nothing is begun.
    expect(needlefulStops([spent(50, 100, 150), spent(50, 100, 150), spent(50, 100, 150)], [0, 10, 10], 320)).toEqual([
      { piece: 1, why: 'between', at: at(150, 0) },
    ])
    expect(needlefulStops([spent(50, 100), spent(50, 100)], [0, 10], 320)).toEqual([])
  })

  it('beginning anew takes two tails of what is left', () => {
    // 320 - 150 = 170, less 130 of tails leaves 40: not enough for the 50 to come, though 150 + 50 would fit.
    expect(needlefulStops([spent(150), spent(50)], [0, 130], 320)).toEqual([{ piece: 0, why: 'between', at: at(150, 0) }])
    expect(needlefulStops([spent(150), spent(30)], [0, 130], 320)).toEqual([])
  })

  it('within a long one at a corner that is near the end, else where it ends', () => {
    expect(needlefulStops([spent(100, 280, 300, 500)], [0], 320)).toEqual([{ piece: 0, why: 'corner', at: at(280, 0) }])
    expect(needlefulStops([spent(100, 150, 300, 500)], [0], 320)).toEqual([{ piece: 0, why: 'within', at: at(300, 0) }])
    expect(needlefulStops([spent(900)], [0], 320)).toEqual([{ piece: 0, why: 'within', at: at(900, 0) }])
  })
})

describe('a lesson behind', () => {
  const row = (id: string, path: string) => ({ id, guide: { kind: 'line' as const, path } })
  const sampler: Sampler = {
    ...newSampler('Rain'),
    threads: [{ id: 't', kind: 'stranded-cotton', colour: { name: 'Night', hex: '#22365A' } }],
    drawing: {
      groups: [],
      guides: [
        row('a', 'M 20 20 L 60 20'),
        row('b', 'M 20 30 L 60 30'),
        row('c', 'M 20 80 L 60 80'),
        {
          id: 'd',
          guide: {
            kind: 'spots',
            at: [
              [100, 20],
              [104, 20],
              [140, 20],
            ],
          },
        },
      ],
    },
    exercises: [
      { id: 'e', name: 'Rain', stitch: 'running-stitch', on: [{ guide: 'a' }, { guide: 'b' }, { guide: 'c' }] },
      { id: 'f', name: 'Hail', stitch: 'french-knot', on: [{ guide: 'd' }] },
    ],
    lessons: [{ id: 'l', title: 'First', exercises: ['e', 'f'] }],
  }
  const plan = (given: Partial<Sampler>) => planBehind({ ...sampler, ...given }, workSampler({ ...sampler, ...given }).done)

  it('the second line is worked back, the third begun anew where the cloth does not hide so long a way', () => {
    const [lesson] = plan({ cloth: { ...sampler.cloth, kind: 'linen-cotton' } })
    const rain = lesson?.threads[0]
    // Behind linen-cotton 8 mm of dark thread: ten from row to row is too far already.
    expect(rain?.limitMm).toBe(8)
    expect(rain?.carries.map((one) => one.kind)).toEqual(['begun-anew', 'begun-anew', 'begun-anew'])
    const thick = plan({ cloth: { ...sampler.cloth, kind: 'denim', colour: { name: 'Ice', hex: '#5B6B86' } } })[0]?.threads[0]
    expect(thick?.limitMm).toBe(20)
    expect(thick?.runs.slice(0, 3).map(({ piece, turned }) => [piece, turned])).toEqual([
      ['a/0', false],
      ['b/0', true],
      ['c/0', false],
    ])
    expect(thick?.carries[0]).toMatchObject({ kind: 'carried', mm: expect.closeTo(10, 0) as number })
    expect(thick?.carries[1]?.kind).toBe('begun-anew')
  })

  it('knots 36 mm apart are said, those 4 mm apart are not', () => {
    const [lesson] = plan({ cloth: { ...sampler.cloth, kind: 'denim' } })
    const hops = lesson?.threads.flatMap((one) => one.longHops) ?? []
    expect(hops.map((one) => Math.round(one.mm))).toEqual([36])
    expect(totalsBehind(lesson?.threads ?? [])).toMatchObject({ longHops: 1, begunAnew: 2 })
  })

  it('a shade has its own rows only, and the back of a broad band is no way too long', () => {
    const shaded = plan({
      threads: ['#22365A', '#2F6496', '#5886AC'].map((hex, index) => ({ id: `t${index}`, kind: 'stranded-cotton', colour: { name: `Shade ${index}`, hex } })),
      drawing: {
        groups: [],
        guides: [
          { id: 'a', guide: { kind: 'shape', path: 'M 40 40 L 80 40 L 80 80 L 40 80 Z' } },
          { id: 'b', guide: { kind: 'band', path: 'M 100 40 L 100 80', widthMm: 18 } },
        ],
      },
      exercises: [
        { id: 'e', name: 'Cloud', stitch: 'long-and-short', on: [{ guide: 'a' }], materials: { main: { thread: 't0', shades: ['t0', 't1', 't2'] } } },
        { id: 'f', name: 'Bar', stitch: 'satin-stitch', on: [{ guide: 'b' }] },
      ],
    })[0]
    const threads = shaded?.threads ?? []
    expect(threads.map((one) => one.thread.id)).toEqual(expect.arrayContaining(['t0', 't1', 't2']))
    // Each shade begins and ends in rows of its own.
    const [first, second] = ['t0', 't1'].map((id) => threads.find((one) => one.thread.id === id)?.runs[0])
    expect(first?.from).not.toEqual(second?.from)
    expect(threads.flatMap((one) => one.longHops)).toEqual([])
  })

  it('what is taught in no lesson is planned by itself', () => {
    expect(plan({ lessons: [] }).map((one) => one.lesson)).toEqual([null])
    expect(planBehind(sampler, [])).toEqual([])
  })
})
