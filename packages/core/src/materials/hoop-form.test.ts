/** What lies inside a hoop of any form: by hand, and against a search over its outline. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { clearHalves, type HoopForm, hoopOutline, nearestInside, outerOf, outsideClear, rectangleInside } from './index.ts'

const round: HoopForm = { shape: 'round', insideMm: 195, at: [150, 150] }
const oval: HoopForm = { shape: 'oval', insideMm: [200, 120], at: [150, 150] }
const frame: HoopForm = { shape: 'frame', insideMm: [300, 200], at: [200, 150] }

describe('forms of hoops', () => {
  it('keep 12 mm clear all round; outside they are wood', () => {
    expect(clearHalves(round)).toEqual([85.5, 85.5])
    expect(clearHalves(oval)).toEqual([88, 48])
    expect(clearHalves(frame)).toEqual([138, 88])
    expect(outerOf(oval)).toEqual([208, 128])
    expect(outerOf(frame)).toEqual([336, 236])
    expect(outerOf({ ...round, nominalMm: 203 })).toEqual([203, 203])
  })

  it('say how far a place lies out: 10 beyond a frame across and 24 down are 26, beyond an oval along its axes as far as it is', () => {
    expect(outsideClear({ x: 200 + 138 + 10, y: 150 + 88 + 24 }, frame)).toBeCloseTo(26, 9)
    expect(outsideClear({ x: 150 + 88 + 7, y: 150 }, oval)).toBeCloseTo(7, 6)
    expect(outsideClear({ x: 150, y: 150 - 48 - 5 }, oval)).toBeCloseTo(5, 6)
    expect(outsideClear({ x: 150, y: 150 }, oval)).toBe(0)
    expect(outsideClear({ x: 150 + 85.5, y: 151 }, round)).toBeGreaterThan(0)
  })

  it('the nearest place inside an oval is the nearest of all on its outline', () => {
    const place = fc.record({ x: fc.double({ min: -60, max: 360, noNaN: true }), y: fc.double({ min: -60, max: 360, noNaN: true }) })
    const outline = hoopOutline(oval, 12, 4000)
    fc.assert(
      fc.property(place, (at) => {
        const inside = ((at.x - 150) / 88) ** 2 + ((at.y - 150) / 48) ** 2 <= 1
        const nearest = Math.min(...outline.map(({ x, y }) => Math.hypot(x - at.x, y - at.y)))
        expect(outsideClear(at, oval)).toBeCloseTo(inside ? 0 : nearest, 1)
        const there = nearestInside(at, oval)
        expect(((there.x - 150) / 88) ** 2 + ((there.y - 150) / 48) ** 2).toBeLessThan(1.0001)
      }),
      { numRuns: 200 },
    )
  })

  it('hold rectangles: a square of 120.9 in the clear circle of 85.5, and the corners of one in an oval lie on it', () => {
    expect(rectangleInside(round, 1).widthMm).toBeCloseTo(85.5 * Math.SQRT2, 6)
    const { widthMm, heightMm } = rectangleInside(oval, 2)
    expect((widthMm / 2 / 88) ** 2 + (heightMm / 2 / 48) ** 2).toBeCloseTo(1, 9)
    expect(rectangleInside(frame, 1)).toEqual({ widthMm: 176, heightMm: 176 })
    expect(rectangleInside({ ...oval, insideMm: [20, 20] }, 1).widthMm).toBe(0)
  })
})
