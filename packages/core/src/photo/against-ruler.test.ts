/** Figures of a photograph against a ruler: what is compared, and when they are no longer on trial. */
import { describe, expect, it } from 'vitest'
import { alongRuler, MEASURING, RULED_ENOUGH, type RulerCheck, rulerMean, standingOf } from './index.ts'

const check = (off: number, method = MEASURING): RulerCheck => ({ method, kind: 'end-to-end', measuredMm: 2.5 * (1 + off), rulerMm: 2.5 })
const dozen = (...offs: readonly number[]): RulerCheck[] => Array.from({ length: RULED_ENOUGH }, (_, index) => check(offs[index] ?? 0.01))

describe('a row along a ruler', () => {
  it('is divided by its stitches; where the last has a gap behind it, or its end is not seen, by one less', () => {
    expect(rulerMean('end-to-end', 60, 24)).toBe(2.5)
    expect(rulerMean('beside-the-last', 60, 24)).toBe(2.5)
    expect(rulerMean('crossed', 60, 20)).toBe(3)
    // Ten stitches of 3 mm with gaps of 3 mm begin 54 mm apart, the first from the last.
    expect(rulerMean('apart', 54, 10)).toBe(6)
    expect(rulerMean('looped', 57, 20)).toBe(3)
    expect(alongRuler('apart')).toBe('first-begins-to-last-begins')
  })

  it('of stitches side by side is how far they reach across, however many they are', () => {
    expect(rulerMean('side-by-side', 6, 60)).toBe(6)
    expect(alongRuler('side-by-side')).toBe('across')
  })

  it('of no length, or of one stitch where two are needed, is none', () => {
    expect(rulerMean('end-to-end', 0, 24)).toBeNull()
    expect(rulerMean('end-to-end', Number.NaN, 24)).toBeNull()
    expect(rulerMean('apart', 54, 1)).toBeNull()
  })
})

describe('figures are on trial', () => {
  it('until a dozen rows agree', () => {
    expect(standingOf([]).state).toBe('trial')
    expect(standingOf(dozen().slice(1))).toMatchObject({ state: 'trial', rows: RULED_ENOUGH - 1 })
    const { state, offBy, leansBy } = standingOf(dozen(0.02, -0.02))
    expect(state).toBe('agrees')
    expect(offBy).toBeCloseTo((10 * 0.01 + 0.04) / 12, 9)
    expect(leansBy).toBeCloseTo((10 * 0.01) / 12, 9)
  })

  it('as long as they are off on average, or more than one row is far off', () => {
    expect(standingOf(dozen(...Array.from({ length: 12 }, () => 0.035))).state).toBe('differs')
    expect(standingOf(dozen(0.08)).state).toBe('agrees')
    expect(standingOf(dozen(0.08, -0.08)).state).toBe('differs')
  })

  it('anew with another way of measuring', () => {
    expect(standingOf([...dozen().slice(1), check(0, MEASURING + 1)])).toMatchObject({ state: 'trial', rows: RULED_ENOUGH - 1 })
  })
})
