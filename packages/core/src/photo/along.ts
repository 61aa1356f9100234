/** Figures along a row laid flat, column after column of its ribbon. */
import { type Channel, channelBetween } from './picture.ts'
import { type Ribbon, RIBBON_PER_MM } from './ribbon.ts'

export const px = (mm: number): number => mm * RIBBON_PER_MM

/** The columns of the row's first and last thread. */
export const endsPx = ({ startMm, endMm, fromMm }: Ribbon): readonly [number, number] => [Math.round(px(startMm - fromMm)), Math.round(px(endMm - fromMm))]

/**
 * Means across the row, so far to both sides of its middle: `middle` is the row of the ribbon in each column. `slope`: how far to the right
 * for each row down, where stitches lie aslant.
 */
export function alongMiddle(channel: Channel, middle: Float32Array, reachMm: number, slope = 0): Float32Array {
  const reach = Math.round(px(reachMm))
  return middle.map((y, x) => {
    let total = 0
    for (let off = -reach; off <= reach; off += 1) total += channelBetween(channel, x + off * slope, y + off)
    return total / (2 * reach + 1)
  })
}

/** Of each and those so far beside it; at the ends of fewer. */
export function runningMean(values: Float32Array, reachMm: number): Float32Array {
  const reach = Math.round(px(reachMm))
  return values.map((_, x) => {
    let [total, many] = [0, 0]
    for (let off = -reach; off <= reach; off += 1) {
      const value = values[x + off]
      if (value === undefined) continue
      total += value
      many += 1
    }
    return total / many
  })
}
