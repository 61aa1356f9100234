/** Free-standing weaving over several pins: which warps, in what order, over and under. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { withSize } from '../guide/index.ts'
import { newSampler } from '../sampler/index.ts'
import { sentenceOf, workAlone } from '../testing/index.ts'

describe('pins fanned under one weave', () => {
  const fan = (pins: readonly (readonly [number, number])[]) =>
    workAlone(
      { id: 'x', name: 'Fan', stitch: 'woven-picot', variant: 'fan', guide: { kind: 'pins', base: [0, 0], pins }, strands: 3 },
      surroundingsOf(newSampler('Test')),
    )
  const petal = [
    [-3, -11],
    [0, -12],
    [3, -11],
  ] as const

  it('three pins carry five warps, five carry nine, in even gaps along the base', () => {
    for (const [pins, warps] of [
      [petal, 5],
      [[[-6, -9], ...petal, [6, -9]] as const, 9],
    ] as const) {
      const done = fan(pins)
      if (!done.ok) throw new Error(sentenceOf(done.problems))
      const feet = done.value.worked.holes.slice(0, warps).map((hole) => hole.x)
      expect(feet).toHaveLength(warps)
      const sorted = [...feet].sort((a, b) => a - b)
      const gaps = sorted.slice(1).map((x, index) => x - (sorted[index] as number))
      for (const gap of gaps) expect(gap).toBeCloseTo(gaps[0] as number, 6)
      expect(done.value.worked.motions.pin).toBe(pins.length)
    }
  })

  it('is woven over and under in turn, every row the other way round from the row above', () => {
    const done = fan(petal)
    if (!done.ok) throw new Error(sentenceOf(done.problems))
    const { worked } = done.value
    const weaving = worked.surfaceMoves.filter((one) => one.kind === 'over' || one.kind === 'under')
    expect(weaving.length).toBeGreaterThan(40)
    weaving.forEach((one, index) => expect(one.kind).toBe(index % 2 === 0 ? 'over' : 'under'))
    // By hand: from the middle warp to the right edge (2 crossings), then rows of five. A warp met in two rows, one after the other, is passed the other way.
    const rows = [weaving.slice(0, 2), ...Array.from({ length: (weaving.length - 2) / 5 }, (_, row) => weaving.slice(2 + row * 5, 7 + row * 5))]
    for (const [index, row] of rows.entries()) {
      const above = rows[index - 1]
      if (!above) continue
      for (const met of row) {
        const same = above.reduce((best, one) =>
          Math.hypot(one.at.x - met.at.x, one.at.y - met.at.y) < Math.hypot(best.at.x - met.at.x, best.at.y - met.at.y) ? one : best,
        )
        if (Math.abs(same.at.x - met.at.x) < 0.4) expect(same.kind).not.toBe(met.kind)
      }
      // To and fro.
      expect(Math.sign((row.at(-1)?.at.x ?? 0) - (row[0]?.at.x ?? 0))).toBe(index % 2 === 0 ? 1 : -1)
    }
    // From the tip to the base, and down at the base.
    expect(weaving[0]?.at.y).toBeLessThan(-9)
    expect(weaving.at(-1)?.at.y).toBeGreaterThan(-2)
    expect(worked.holes.at(-1)?.y).toBeCloseTo(0, 0)
  })

  it('one pin, or an even number, is refused with what to do', () => {
    for (const pins of [[petal[1]], petal.slice(0, 2)]) {
      const done = fan(pins)
      expect(done.ok).toBe(false)
      expect(sentenceOf(done.problems)).toMatch(/needs three or five.*Add a pin, or take one away/)
    }
  })

  it('takes more pins and fewer, the tallest as far from the base as before', () => {
    const guide = { kind: 'pins', base: [10, 50], pins: [[10, 36]] } as const
    const three = withSize(guide, 'pins', 3)
    expect(three).toEqual({
      kind: 'pins',
      base: [10, 50],
      pins: [
        [6.5, 37.68],
        [10, 36],
        [13.5, 37.68],
      ],
    })
    expect(withSize(three, 'pins', 1)).toEqual(guide)
    expect(withSize(guide, 'radiusMm', 3)).toBe(guide)
  })
})
