/** Thread used, by hand; width and coverage of what was worked. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import type { Guide } from '../guide/index.ts'
import { newSampler } from '../sampler/index.ts'
import { sentenceOf, workAlone } from '../testing/index.ts'
import { addRuns, measureThread, runsOf, sumUses, type ThreadRun, type ThreadUseSettings } from './index.ts'

const NONE: ThreadRun = { front: 0, back: 0, loops: 0, wraps: 0, trips: 0 }
const hoop: ThreadUseSettings = { thicknessMm: 0.3, diameterMm: 0.4, handling: 'stab', needlefulMm: 450 }
const around = surroundingsOf(newSampler('Thread'))
const line: Guide = { kind: 'line', path: 'M 20 60 L 80 60' }

describe('a thread', () => {
  it('worked by hand: 100 mm in front, 90 behind, 20 trips, one needleful', () => {
    // A trip in a hoop 0.8 x (0.3 + 0.4) = 0.56; twenty are 11.2. (100 + 90 + 11.2) x 1.05 = 211.26; tails 130: 341.26.
    const use = measureThread({ ...NONE, front: 100, back: 90, trips: 20 }, hoop)
    expect(use.through).toBeCloseTo(11.2, 9)
    expect(use.slack).toBeCloseTo(10.06, 9)
    expect(use.needlefuls).toBe(1)
    expect(use.total).toBeCloseTo(341.26, 9)
  })

  it('sewn in the hand takes three quarters of a trip for each', () => {
    const trips = (handling: ThreadUseSettings['handling']) => measureThread({ ...NONE, front: 10, trips: 10 }, { ...hoop, handling }).through
    expect(trips('sew') / trips('stab')).toBeCloseTo(0.75, 9)
  })

  it('goes on with another needleful where one ends: 450 mm less its tails are 320 to stitch with', () => {
    const needlefuls = (front: number) => measureThread({ ...NONE, front }, hoop).needlefuls
    // 320 / 1.05 = 304.76.
    expect([needlefuls(304), needlefuls(305), needlefuls(609), needlefuls(610)]).toEqual([1, 2, 2, 3])
    expect(measureThread({ ...NONE, front: 610 }, hoop).tails).toBe(3 * 130)
  })

  it('cut too short to stitch with is reckoned as if fifty millimetres of it were', () => {
    expect(measureThread({ ...NONE, front: 100 }, { ...hoop, needlefulMm: 100 }).needlefuls).toBe(Math.ceil(105 / 50))
  })

  it('of several pieces is what all of them take, one tail fewer for each that goes on with the same needleful', () => {
    const run = fc.record({ front: fc.nat(500), back: fc.nat(500), loops: fc.nat(50), wraps: fc.nat(50), trips: fc.nat(200) })
    fc.assert(
      fc.property(run, run, (one, other) => {
        const together = measureThread(addRuns(one, other), hoop)
        const apart = sumUses([measureThread(one, hoop), measureThread(other, hoop)])
        expect(together.needlefuls).toBeLessThanOrEqual(apart.needlefuls)
        expect(together.total).toBeLessThanOrEqual(apart.total + 1e-9)
        expect(together.front).toBe(apart.front)
        expect(together.slack).toBeCloseTo(apart.slack, 9)
      }),
      { seed: 41, numRuns: 200 },
    )
  })
})

describe('what was worked', () => {
  it('is counted to the thread and row that it was worked with, every millimetre of it once', () => {
    for (const stitch of ['back-stitch', 'couching-stitch', 'whipped-back', 'chain-stitch']) {
      const worked = workAlone({ id: 'e', name: 'x', stitch, guide: line }, around)
      if (!worked.ok) throw new Error(sentenceOf(worked.problems))
      const { segments, holes } = worked.value.worked
      const runs = runsOf({ segments, holes })
      const all = runs.map((one) => one.run).reduce(addRuns, NONE)
      expect(all.front + all.back + all.loops).toBeCloseTo(
        segments.reduce((total, one) => total + one.lengthMm, 0),
        6,
      )
      expect(all.trips).toBe(holes.length)
      expect(new Set(runs.map((one) => one.role))).toEqual(new Set(segments.map((one) => one.thread)))
      expect(new Set(runs.map((one) => `${one.role} ${one.row}`)).size).toBe(runs.length)
    }
  })

  it('of an interlocking fill goes by its rows, so that each shade has its own length', () => {
    const shape: Guide = { kind: 'shape', path: 'M 20 20 h 16 v 24 h -16 Z', directions: ['M 28 20 L 28 44'] }
    const worked = workAlone({ id: 'e', name: 'x', stitch: 'long-and-short', guide: shape }, around)
    if (!worked.ok) throw new Error(sentenceOf(worked.problems))
    const rows = runsOf(worked.value.worked).map((one) => one.row)
    expect(rows.length).toBeGreaterThan(2)
    expect(rows.every((row) => row !== null)).toBe(true)
  })
})
