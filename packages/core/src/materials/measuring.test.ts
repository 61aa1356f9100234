/** Measured at the table, worked by hand. */
import { describe, expect, it } from 'vitest'
import { byTen, byWeight, byWraps, countOverLength, findThreadKind, kindOf, makeBundle, nameThread } from './index.ts'

describe('measured at the table', () => {
  it('wraps give the diameter: 37 over 10 mm are 0.27 mm; the longer and the oftener, the surer', () => {
    const once = byWraps(37, 10)
    expect(once?.value).toBeCloseTo(0.27, 3)
    // 0.5 of 37, 0.5 of 10 mm, and a hand's ten per cent: 1.35, 5 and 10 %.
    expect(once?.within).toBeCloseTo(Math.hypot(0.0135, 0.05, 0.1), 3)
    expect(byWraps(111, 30, 3)?.within).toBeLessThan(0.065)
  })

  it('a length and its mass give tex: 20 m of 0.8 g are 40', () => {
    expect(byWeight(20_000, 0.8)?.value).toBeCloseTo(40, 6)
    expect(byWeight(20_000, 0.8, 0.005)?.within).toBeCloseTo(Math.hypot(0.005 / 0.8, 0.01), 6)
  })

  it('55 threads over 5 cm are 11 to the cm; ten needles 6.1 mm wide are 0.61 each', () => {
    expect(countOverLength(55, 50)?.value).toBe(11)
    expect(byTen(6.1)?.value).toBeCloseTo(0.61, 9)
    expect(byTen(6.1)?.within).toBeCloseTo(0.041, 3)
  })

  it('nothing is made of nothing', () => {
    for (const one of [byWraps(0, 10), byWraps(10, 0), byWeight(0, 1), byWeight(1, Number.NaN), countOverLength(0, 5), byTen(-1)]) expect(one).toBeNull()
  })
})

describe('a thread that is not as its kind usually is', () => {
  it('has its own figures where she has measured, and its kind\u2019s elsewhere', () => {
    const usual = findThreadKind('stranded-cotton', undefined)
    const own = kindOf({ kind: 'stranded-cotton', figures: { name: 'Market floss', diameterMm: 0.33, putUpMm: 10_000, from: 'measured', within: 0.06 } })
    expect(own && nameThread(own)).toBe('Market floss')
    expect(own?.tex).toBe(usual?.tex)
    expect(own?.putUp).toEqual({ word: 'skein', lengthMm: 10_000, strands: 6 })
    // 1.1 x 1.05 x 0.33 x the root of two.
    expect(own && makeBundle(own, 2).lineWidthMm).toBeCloseTo(0.539, 3)
    expect(kindOf({ kind: 'stranded-cotton' })).toBe(usual)
    expect(kindOf({ kind: 'spider-silk', figures: { from: 'label' } })).toBeNull()
  })
})
