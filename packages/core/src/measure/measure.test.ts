/** Difficulty, minutes and thread as functions of their loads. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Motion } from '../work/index.ts'
import { type DifficultyLoads, measureMinutes, rateDifficulty, SECONDS, secondHandMotions, secondsOf, untwistEvery } from './index.ts'

const loads: DifficultyLoads = {
  motions: { up: 10, down: 10 },
  repeats: 10,
  moves: 2,
  special: 0,
  lengthOverMin: 1.5,
  bend: 0,
  corners: 0,
  unmarked: 0,
  strands: 2,
  minutes: 10,
}
const MOTIONS = Object.keys(SECONDS.beginner) as Motion[]

describe('difficulty', () => {
  it('rises with each load where all else is held', () => {
    const base = rateDifficulty(loads).score
    const harder: Partial<DifficultyLoads>[] = [
      { moves: 4 },
      { special: 2 },
      { lengthOverMin: 1 },
      { bend: 0.5 },
      { corners: 3 },
      { unmarked: 1 },
      { strands: 1 },
      { minutes: 60 },
    ]
    for (const change of harder) expect(rateDifficulty({ ...loads, ...change }).score, JSON.stringify(change)).toBeGreaterThan(base)
    for (const motion of MOTIONS) expect(rateDifficulty({ ...loads, motions: { ...loads.motions, [motion]: 20 } }).score, motion).toBeGreaterThan(base)
  })

  it('never falls, stays under 100, and its parts add up, whatever the loads', () => {
    const some = fc.record({
      motions: fc.dictionary(fc.constantFrom(...MOTIONS), fc.nat(60)),
      repeats: fc.integer({ min: 1, max: 40 }),
      moves: fc.nat(12),
      special: fc.nat(3),
      lengthOverMin: fc.option(fc.double({ min: 0, max: 5, noNaN: true })),
      bend: fc.double({ min: 0, max: 5, noNaN: true }),
      corners: fc.nat(20),
      unmarked: fc.double({ min: 0, max: 1, noNaN: true }),
      strands: fc.integer({ min: 1, max: 6 }),
      minutes: fc.double({ min: 0, max: 500, noNaN: true }),
    })
    fc.assert(
      fc.property(some, fc.constantFrom(...MOTIONS), (one, motion) => {
        const { score, parts } = rateDifficulty(one)
        expect(score).toBeGreaterThanOrEqual(0)
        expect(score).toBeLessThanOrEqual(100)
        expect(parts.reduce((total, part) => total + part.score, 0)).toBeCloseTo(score, 6)
        const more = rateDifficulty({ ...one, motions: { ...one.motions, [motion]: (one.motions[motion] ?? 0) + 5 } })
        expect(more.score).toBeGreaterThanOrEqual(score - 1e-9)
      }),
      { seed: 91, numRuns: 500 },
    )
  })
})

describe('minutes', () => {
  it('practised hands are quicker at everything', () => {
    for (const motion of MOTIONS) {
      expect(SECONDS.improver[motion]).toBeLessThan(SECONDS.beginner[motion])
      expect(SECONDS.experienced[motion]).toBeLessThan(SECONDS.improver[motion])
    }
  })

  it('count stitching with what is unpicked, needlefuls and setting out', () => {
    // 100 x (2.54 + 2.54) s, a beginner unpicks 12 %, each costing three: x 1.36 = 690.9 s.
    const minutes = measureMinutes({ up: 100, down: 100 }, 2, 100, 'beginner')
    expect(minutes.stitching).toBeCloseTo((secondsOf({ up: 100, down: 100 }, 'beginner') * 1.36) / 60, 9)
    expect(minutes.needlefuls).toBeCloseTo((2 * 185) / 60, 9)
    expect(minutes.settingOut).toBe(1)
    expect(minutes.total).toBeCloseTo(minutes.stitching + minutes.needlefuls + minutes.settingOut, 9)
  })
})

describe('handling', () => {
  const fitted = { count: 10, pitchMm: 3, lengthMm: 30, legs: [], askedMm: 3 }

  it('says how often to untwist: two trips a stitch is a twelfth of a turn, so every twelve; a knot of two wraps, every one', () => {
    expect(untwistEvery({ fitted, motions: { up: 10, down: 10 } })).toBe(12)
    expect(untwistEvery({ fitted, motions: { up: 10, down: 10, wrap: 20 } })).toBe(1)
    expect(untwistEvery({ fitted: { ...fitted, count: 0 }, motions: {} })).toBe(50)
  })

  it('names what wants the second hand', () => {
    expect(secondHandMotions({ up: 9, down: 9, split: 8 })).toEqual([])
    expect(secondHandMotions({ up: 9, 'leave-loop': 3, wind: 2 })).toEqual(['wind', 'leave-loop'])
  })
})
