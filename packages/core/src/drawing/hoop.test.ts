/** The hoop: where its rings lie, which way the light falls, what it does to the cloth. */
import { describe, expect, it } from 'vitest'
import { newSampler } from '../sampler/index.ts'
import { hoopView } from './draw-sampler.ts'
import { drawHoop, drawHoopBelow, type HoopView, ringMm, type RoundHoop } from './hoop.ts'

const sampler = newSampler('Hooped')
/** A new sampler is in a round one. */
const round = sampler.workingHoop as RoundHoop
const view = (side: 'front' | 'back' = 'front'): HoopView => {
  const found = hoopView(sampler, side)
  if (!found) throw new Error('no hoop')
  return found
}

describe('a hoop', () => {
  it('covers nothing inside its inner edge, and is as thick as its wood', () => {
    const hoop = round
    const discs = drawHoop(view()).flatMap((one) =>
      one.kind === 'disc' && one.stroke ? [one.radiusMm - one.stroke.widthMm / 2, one.radiusMm + one.stroke.widthMm / 2] : [],
    )
    const ring = ringMm(hoop)
    expect(Math.min(...discs)).toBeCloseTo(hoop.insideMm / 2, 9)
    expect(Math.max(...discs)).toBeCloseTo(hoop.insideMm / 2 + 0.72 * ring + 0.4 + 1.15 * ring, 9)
  })

  it('is lit from the upper left on its outer flank, and in shade there on its inner one', () => {
    const rings = drawHoop(view()).flatMap((one) => (one.kind === 'ring' ? [one] : []))
    for (const one of rings) {
      expect(Math.hypot(one.along.x, one.along.y)).toBeCloseTo(1, 2)
      expect(one.along.x).toBeGreaterThan(0)
      expect(one.along.y).toBeGreaterThan(0)
      expect(one.stops.map((stop) => stop.offset)).toEqual([...one.stops.map((stop) => stop.offset)].sort((a, b) => a - b))
    }
    const [inner, outer] = [rings.at(-2), rings.at(-1)]
    expect((inner?.radiusMm ?? 0) < (outer?.radiusMm ?? 0)).toBe(true)
    expect(inner?.stops[0]?.colour).toBe(outer?.stops.at(-1)?.colour)
  })

  it('seen from behind stands in its mirror image, its inner ring bare', () => {
    const moved = { ...sampler, workingHoop: { ...view().hoop, at: [120, 155] as const } }
    const behind = hoopView(moved, 'back')
    const discs = behind ? drawHoop(behind).flatMap((one) => (one.kind === 'disc' ? [one.at.x] : [])) : []
    for (const x of discs) expect(x).toBeCloseTo(sampler.cloth.widthMm - 120, 9)
    const inner = (side: 'front' | 'back') => drawHoop(view(side)).find((one) => one.kind === 'disc')
    expect(inner('front')).not.toEqual(inner('back'))
  })

  it('has folds only outside, where the cloth is slack', () => {
    const hoop = round
    const folds = drawHoopBelow(view()).flatMap((one) => (one.kind === 'fill' ? one.points : []))
    expect(folds.length).toBeGreaterThan(17)
    for (const p of folds) expect(Math.hypot(p.x - hoop.at[0], p.y - hoop.at[1])).toBeGreaterThan(hoop.insideMm / 2)
  })

  it('a sampler without one has none', () => {
    const { workingHoop: _none, ...bare } = sampler
    expect(hoopView(bare, 'front')).toBeNull()
  })

  it.each(['oval', 'frame'] as const)('%s: all of its wood lies outside what is free inside, and it is lit from above on the left', (shape) => {
    const hoop = { shape, insideMm: [200, 120], at: [155, 155] } as const
    const items = drawHoop({ ...view(), hoop })
    const inner =
      shape === 'frame' ? (x: number, y: number) => Math.max(Math.abs(x) / 100, Math.abs(y) / 60) : (x: number, y: number) => Math.hypot(x / 100, y / 60)
    for (const item of items)
      if (item.kind === 'stroke') for (const path of item.paths) for (const { x, y } of path) expect(inner(x - 155, y - 155)).toBeGreaterThan(0.999)
    expect(drawHoop({ ...view('back'), hoop }).length).toBeGreaterThan(8)
    // Without folds: a cloth that is pinned or tight all round has none that are known.
    expect(drawHoopBelow({ ...view(), hoop }).every((one) => one.kind === 'stroke')).toBe(true)
  })
})
