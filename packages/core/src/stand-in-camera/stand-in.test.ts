/** The camera that is not there: what it photographs is known, and the same for the same seed. */
import { describe, expect, it } from 'vitest'
import { testRow, workedFor } from '../testing/index.ts'
import { EVEN_HANDWORK, sewRow } from './index.ts'

const STITCHES = ['running-stitch', 'back-stitch', 'stem-stitch', 'chain-stitch', 'cross-stitch', 'satin-stitch']

const sewn = (stitch: string, hand: Partial<typeof EVEN_HANDWORK> = {}) => {
  const worked = workedFor(stitch)
  if (!worked) throw new Error(stitch)
  return { plan: worked.plan, row: sewRow(worked.done, worked.plan, { ...EVEN_HANDWORK, ...hand }) }
}

describe('a row as a hand might have worked it', () => {
  it.each(STITCHES)('%s worked without a slip measures what was planned', (stitch) => {
    const { plan, row } = sewn(stitch)
    expect(row.truth.meanMm / plan.stitchMm).toBeCloseTo(1, 1)
    expect(row.truth.spreadMm).toBeLessThan(0.2 * plan.stitchMm)
    expect(row.truth.count).toBe(plan.count)
    expect(row.truth.driftMm).toBeLessThan(0.01)
    if (plan.gapMm > 0) expect(row.truth.meanGapMm).toBeCloseTo(plan.gapMm, 3)
    // In the middle of the card's window.
    const xs = row.holes.map((hole) => hole.x)
    expect(Math.min(...xs) + Math.max(...xs)).toBeCloseTo(0, 6)
  })

  it('is as uneven as its holes are scattered, bends, grows shorter and leans as it was told', () => {
    const [even, uneven] = [sewn('back-stitch', { scatterMm: 0.05 }), sewn('back-stitch', { scatterMm: 0.3 })]
    expect(uneven.row.truth.spreadMm).toBeGreaterThan(3 * even.row.truth.spreadMm)
    expect(sewn('back-stitch', { bendMm: 0.5 }).row.truth.driftMm).toBeGreaterThan(0.1)
    const falling = sewn('running-stitch', { trend: 0.4 }).row.truth.lengthsMm
    expect((falling[0] ?? 0) / (falling.at(-1) ?? 1)).toBeGreaterThan(1.3)
    expect(sewn('satin-stitch', { leanDeg: 10 }).row.truth.leanDeg).toBeCloseTo(10, 3)
    expect(sewn('satin-stitch', { missing: [4, 5] }).row.truth.count).toBe(sewn('satin-stitch').row.truth.count - 2)
  })

  it('has one hole where two stitches meet: moved, it moves both', () => {
    const { row } = sewn('back-stitch', { scatterMm: 0.3, seed: 8 })
    const ends = row.threads.map((one) => [one.points[0], one.points.at(-1)] as const).sort((a, b) => (a[1]?.x ?? 0) - (b[1]?.x ?? 0))
    for (const [index, [from]] of ends.entries()) {
      const next = ends[index + 1]?.[1]
      if (from && next) expect(Math.hypot(from.x - next.x, from.y - next.y)).toBeLessThan(0.02)
    }
  })
})

describe('its photograph', () => {
  it('is the same for the same seed, and darker where it was taken with less light', () => {
    const row = testRow('cross-stitch')
    const [one, other, dark] = [row.photograph({}), row.photograph({}), row.photograph({ exposure: 0.2 })]
    expect(Buffer.from(one.rgba).equals(Buffer.from(other.rgba))).toBe(true)
    const mean = (rgba: Uint8ClampedArray): number => rgba.reduce((sum, value) => sum + value, 0) / rgba.length
    expect(mean(dark.rgba)).toBeLessThan(0.8 * mean(one.rgba))
  })
})
