/** The card found in a photograph, and the steps on the way to its window. */
import { describe, expect, it } from 'vitest'
import { labOf, linearOfLab } from './rectify.ts'
import { testRow } from '../testing/index.ts'
import { TARGETS } from './card.ts'
import { findTargets } from './find-targets.ts'
import { fitCard, scaleAt } from './fit-card.ts'
import { flattened } from './index.ts'
import { type Channel, greyReduced, smoothed } from './picture.ts'

const row = testRow('running-stitch')

function found(shot: Parameters<typeof row.photograph>[0]) {
  const picture = row.photograph(shot)
  const [corners = []] = findTargets(picture)
  const fit = fitCard(picture, corners)
  if (!fit) throw new Error('not found')
  return { picture, corners, fit }
}

describe('the card', () => {
  it('is found upright and upside down: the target with the light eye is the first', () => {
    for (const rollDeg of [0, 90, 183]) {
      const { corners, fit, picture } = found({ rollDeg, tiltDeg: 5, fills: rollDeg === 90 ? 0.6 : 0.8 })
      expect(corners).toHaveLength(4)
      const middle = fit.toPicture({ x: 0, y: 0 })
      expect(Math.hypot(middle.x - picture.widthPx / 2, middle.y - picture.heightPx / 2)).toBeLessThan(6)
      const [first = { x: 0, y: 0 }] = TARGETS
      const towards = (degrees: number) => Math.cos((degrees * Math.PI) / 180)
      // The camera rolled one way, the card lies the other in its picture.
      expect(Math.sign(fit.toPicture(first).x - middle.x)).toBe(Math.sign(towards(180 - rollDeg) * 50 + towards(90 + rollDeg) * 24))
    }
  })

  it('is fitted to a few hundredths of a millimetre, through a lens that bends and on cloth that is not flat', () => {
    const { fit } = found({ bend: 0.03, bowMm: 1, tiltDeg: 20, tiltTowardsDeg: 140 })
    expect(fit.points).toBe(34)
    expect(fit.rmsMm).toBeLessThan(0.03)
    expect(Math.abs(fit.tiltDeg - 20)).toBeLessThan(1.5)
  })

  it('says how fine and how sharp the picture is', () => {
    const [sharp, blurred] = [found({ tiltDeg: 0, noise: 0 }), found({ tiltDeg: 0, noise: 0, blurPx: 2.5 })]
    expect(sharp.fit.pixelsPerMm).toBeCloseTo(12, 0)
    expect(blurred.fit.edgeMm).toBeGreaterThan(1.5 * sharp.fit.edgeMm)
  })

  it('has its window laid flat: the row lies level in the middle of it', () => {
    const { fit, picture } = found({ rollDeg: 9, tiltDeg: 15 })
    const { widthPx, heightPx, rgba } = flattened(picture, fit, 8)
    expect([widthPx, heightPx]).toEqual([78 * 8, 26 * 8])
    const green = (x: number, y: number): number => rgba[4 * (y * widthPx + x) + 1] ?? 0
    const rowOf = (from: number, to: number): number => {
      let [sum, total] = [0, 0]
      for (let y = 40; y < heightPx - 40; y += 1)
        for (let x = from; x < to; x += 1)
          if (green(x, y) < 90) {
            sum += 1
            total += y
          }
      return total / sum
    }
    expect(Math.abs(rowOf(100, 250) - heightPx / 2)).toBeLessThan(6)
    expect(Math.abs(rowOf(100, 250) - rowOf(370, 520))).toBeLessThan(4)
  })
})

describe('scale', () => {
  it('is that of the direction in which a millimetre has fewest pixels, however it is turned', () => {
    const turned = scaleAt(({ x, y }) => ({ x: 10 * x * 0.6 - 4 * y * 0.8, y: 10 * x * 0.8 + 4 * y * 0.6 }), { x: 3, y: 2 })
    expect([turned.least, turned.most]).toEqual([expect.closeTo(4, 9), expect.closeTo(10, 9)])
  })
})

describe('pictures', () => {
  const channel = (widthPx: number, heightPx: number, value: (x: number, y: number) => number): Channel => ({
    ...{ widthPx, heightPx },
    values: Float32Array.from({ length: widthPx * heightPx }, (_, at) => value(at % widthPx, Math.floor(at / widthPx))),
  })

  it('are smoothed by a bell of the spread that was asked for, and lose no light', () => {
    const spot = smoothed(
      channel(61, 61, (x, y) => (x === 30 && y === 30 ? 1 : 0)),
      3,
    ).values
    const [sum, across] = spot.reduce(([total, square], value, at) => [total + value, square + value * ((at % 61) - 30) ** 2], [0, 0])
    expect(sum).toBeCloseTo(1, 4)
    expect(Math.sqrt(across)).toBeCloseTo(3, 0)
    const even = smoothed(
      channel(20, 9, () => 5),
      2,
    ).values
    for (const value of even) expect(value).toBeCloseTo(5, 4)
  })

  it('are reduced to means', () => {
    const rgba = new Uint8ClampedArray([0, 0, 0, 255, 200, 200, 200, 255, 100, 100, 100, 255, 100, 100, 100, 255])
    expect(greyReduced({ widthPx: 2, heightPx: 2, rgba }, 2).values[0]).toBeCloseTo(100, 3)
  })

  it('go to CIELAB and back', () => {
    const lab = new Float32Array(3)
    labOf(1, 1, 1, lab)
    expect(lab[0]).toBeCloseTo(100, 1)
    for (const [r, g, b] of [
      [0.2, 0.5, 0.7],
      [0.02, 0.01, 0.03],
      [0.9, 0.4, 0.1],
    ] as const) {
      labOf(r, g, b, lab)
      const back = linearOfLab([lab[0] ?? 0, lab[1] ?? 0, lab[2] ?? 0])
      for (const [index, one] of [r, g, b].entries()) expect(back[index]).toBeCloseTo(one, 2)
    }
  })
})
