import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { makeRuler, readRuler } from './index.ts'

describe('the ruler', () => {
  it('takes the shorter stitch on a tie: 10 mm asked at 4 mm is 3 of 3.33', () => {
    // 10 / 4 = 2.5: two of 5 and three of 3.33 are equally near.
    expect(makeRuler({ legs: [10], closed: false, steps: [4], tail: 0 }).repeats).toBe(3)
  })

  it('lets a corner fall after the stitch or after the gap, whichever is nearer', () => {
    // 25 mm of 5 and 5: five steps, so the corner comes after a stitch; 20 mm: four steps, after a gap.
    expect(makeRuler({ legs: [25, 40], closed: false, steps: [5, 5], tail: -5 }).nominal[1]).toBe(25)
    expect(makeRuler({ legs: [20, 40], closed: false, steps: [5, 5], tail: -5 }).nominal[1]).toBe(20)
  })

  it('holds at least one repeat on a guide shorter than one, and three on a closed one', () => {
    expect(makeRuler({ legs: [2], closed: false, steps: [5, 5], tail: -5 }).repeats).toBe(1)
    expect(makeRuler({ legs: [5], closed: true, steps: [4], tail: 4 }).repeats).toBe(3)
  })

  const leg = fc.double({ min: 1, max: 120, noNaN: true })
  const step = fc.double({ min: 0.8, max: 9, noNaN: true })

  it('is rising, ends at the ends, and puts a whole step on every corner', () => {
    fc.assert(
      fc.property(fc.array(leg, { minLength: 1, maxLength: 5 }), fc.array(step, { minLength: 1, maxLength: 3 }), fc.boolean(), (legs, steps, closed) => {
        const ruler = makeRuler({ legs, closed, steps, tail: 0 })
        const total = legs.reduce((a, b) => a + b, 0)
        expect(ruler.true.at(-1)).toBeCloseTo(total, 9)
        const advance = steps.reduce((a, b) => a + b, 0)
        const stops = steps.map((_, index) => steps.slice(0, index).reduce((a, b) => a + b, 0))
        for (const [index, nominal] of ruler.nominal.entries()) {
          if (index > 0) expect(nominal).toBeGreaterThan(ruler.nominal[index - 1] as number)
          expect(readRuler(ruler, nominal)).toBeCloseTo(ruler.true[index] as number, 6)
          const within = nominal - Math.floor(nominal / advance + 1e-9) * advance
          expect(Math.min(...stops.map((stop) => Math.abs(stop - within)), Math.abs(advance - within))).toBeLessThan(1e-6)
        }
      }),
      { seed: 11, numRuns: 300 },
    )
  })

  it('stretches a single leg that holds a few steps by less than a third', () => {
    fc.assert(
      fc.property(fc.double({ min: 20, max: 400, noNaN: true }), fc.double({ min: 1, max: 6, noNaN: true }), (length, one) => {
        const { legs } = makeRuler({ legs: [length], closed: false, steps: [one], tail: 0 })
        const stretch = legs[0]?.stretch ?? 0
        expect(stretch).toBeGreaterThan(0.67)
        expect(stretch).toBeLessThan(1.5)
      }),
      { seed: 12, numRuns: 300 },
    )
  })
})
