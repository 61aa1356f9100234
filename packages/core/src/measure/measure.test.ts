/** Difficulty, minutes and thread as functions of their loads. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Motion, MotionCounts } from '../work/index.ts'
import {
  measureMinutes,
  type PassLoads,
  rateDifficulty,
  rateStitch,
  SECONDS,
  secondHandMotions,
  secondsOf,
  type SettingLoads,
  type StitchLoads,
  untwistEvery,
} from './index.ts'

const pass = (motions: MotionCounts, more: Partial<PassLoads> = {}): PassLoads => ({ repeats: 10, motions, moves: 2, ...more })
const plain = pass({ up: 10, down: 10 })
const stitch: StitchLoads = { passes: [plain], composite: false, special: 0 }
const setting: SettingLoads = { lengthOverMin: 1.5, bend: 0, corners: 0, unmarked: 0, strands: 2, minutes: 10 }
const MOTIONS = Object.keys(SECONDS.beginner) as Motion[]

describe('difficulty', () => {
  it('rises with each load where all else is held', () => {
    const base = rateDifficulty(stitch, setting).score
    const harder: [Partial<StitchLoads>, Partial<SettingLoads>][] = [
      [{ passes: [{ ...plain, moves: 4 }] }, {}],
      [{ special: 2 }, {}],
      [{}, { lengthOverMin: 1 }],
      [{}, { bend: 0.5 }],
      [{}, { corners: 3 }],
      [{}, { unmarked: 1 }],
      [{}, { strands: 1 }],
      [{}, { minutes: 60 }],
      ...MOTIONS.map((motion): [Partial<StitchLoads>, Partial<SettingLoads>] => [{ passes: [pass({ up: 10, down: 10, [motion]: 20 })] }, {}]),
    ]
    for (const [more, worse] of harder)
      expect(rateDifficulty({ ...stitch, ...more }, { ...setting, ...worse }).score, JSON.stringify([more, worse])).toBeGreaterThan(base)
  })

  it('never falls, stays under 100, and its parts add up, whatever the loads', () => {
    const somePass = fc.record({ motions: fc.dictionary(fc.constantFrom(...MOTIONS), fc.nat(60)), repeats: fc.nat(40), moves: fc.nat(12) })
    const someStitch = fc.record({ passes: fc.array(somePass, { minLength: 1, maxLength: 3 }), composite: fc.boolean(), special: fc.nat(3) })
    const someSetting = fc.record({
      lengthOverMin: fc.option(fc.double({ min: 0, max: 5, noNaN: true })),
      bend: fc.double({ min: 0, max: 5, noNaN: true }),
      corners: fc.nat(20),
      unmarked: fc.double({ min: 0, max: 1, noNaN: true }),
      strands: fc.integer({ min: 1, max: 6 }),
      minutes: fc.double({ min: 0, max: 500, noNaN: true }),
    })
    fc.assert(
      fc.property(someStitch, someSetting, fc.constantFrom(...MOTIONS), (one, around, motion) => {
        const { score, parts } = rateDifficulty(one, around)
        expect(score).toBeGreaterThanOrEqual(0)
        expect(score).toBeLessThanOrEqual(100)
        expect(parts.reduce((total, part) => total + part.score, 0)).toBeCloseTo(score, 6)
        expect(rateStitch(one).score).toBeLessThanOrEqual(score + 1e-9)
        const [first, ...rest] = one.passes as [PassLoads, ...PassLoads[]]
        const passes = [{ ...first, motions: { ...first.motions, [motion]: (first.motions[motion] ?? 0) + 5 } }, ...rest]
        expect(rateDifficulty({ ...one, passes }, around).score).toBeGreaterThanOrEqual(score - 1e-9)
      }),
      { seed: 91, numRuns: 500 },
    )
  })

  it('of a stitch leaves the setting of its row out', () => {
    // Raw: up 1.6 + down 0.4 + two moves at 0.6 = 3.2; 100 (1 - e^(-3.2 / 45)) = 6.86.
    expect(rateStitch(stitch).score).toBeCloseTo(6.864, 2)
    expect(rateStitch(stitch).parts.map((part) => part.group)).not.toContain('setting')
  })

  it('of a composite is its base in full and its own pass besides', () => {
    const whip = pass({ 'pass-under': 10 }, { moves: 1 })
    const whole = rateStitch({ passes: [plain, whip], composite: true, special: 0 })
    // 3.2 of the base; sliding under 4.5 and one move 0.6: 8.3.
    expect(whole.score).toBeCloseTo(100 * (1 - Math.exp(-8.3 / 45)), 9)
  })

  it('of passes that are one stitch is that of the hardest of them, motion by motion', () => {
    const back = pass({ up: 10, down: 10, 'turn-back': 10 })
    // Out 3.2; back 3.2 + 1.1: not 7.5.
    expect(rateStitch({ passes: [plain, back], composite: false, special: 0 }).score).toBeCloseTo(100 * (1 - Math.exp(-4.3 / 45)), 9)
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
