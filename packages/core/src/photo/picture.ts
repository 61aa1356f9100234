/** A photograph as its pixels, and single channels of it. */
import type { Point } from '../geometry/index.ts'

/** Four bytes a pixel, red, green, blue and one that is not read, row after row. */
export interface Picture {
  readonly widthPx: number
  readonly heightPx: number
  readonly rgba: Uint8ClampedArray
}

/** One figure a pixel, row after row. */
export interface Channel {
  readonly widthPx: number
  readonly heightPx: number
  readonly values: Float32Array
}

export const makeChannel = (widthPx: number, heightPx: number): Channel => ({ widthPx, heightPx, values: new Float32Array(widthPx * heightPx) })

/** How dark print is told from paper: mostly by green, whose noise is least. 0 to 255. */
const greyAt = (rgba: Uint8ClampedArray, at: number): number => 0.35 * (rgba[at] ?? 0) + 0.55 * (rgba[at + 1] ?? 0) + 0.1 * (rgba[at + 2] ?? 0)

/** Of one pixel. */
export const greyOn = ({ widthPx, rgba }: Picture, x: number, y: number): number => greyAt(rgba, 4 * (y * widthPx + x))

/** Means of squares of `by` pixels; what is left over at the right and below is not seen. */
export function greyReduced({ widthPx, rgba, heightPx }: Picture, by: number): Channel {
  const reduced = makeChannel(Math.floor(widthPx / by), Math.floor(heightPx / by))
  const share = 1 / (by * by)
  for (let y = 0; y < reduced.heightPx * by; y += 1) {
    const row = Math.floor(y / by) * reduced.widthPx
    for (let x = 0; x < reduced.widthPx * by; x += 1) {
      const at = row + Math.floor(x / by)
      reduced.values[at] = (reduced.values[at] as number) + share * greyAt(rgba, 4 * (y * widthPx + x))
    }
  }
  return reduced
}

/** Between four pixels; beyond the border the border's. `x`, `y` from the middle of the first pixel. */
export function greyBetween({ widthPx, heightPx, rgba }: Picture, { x, y }: Point): number {
  const [x0, y0, fx, fy] = cellAt(x, y, widthPx, heightPx)
  const at = 4 * (y0 * widthPx + x0)
  const below = at + 4 * widthPx
  const [a, b, c, d] = [greyAt(rgba, at), greyAt(rgba, at + 4), greyAt(rgba, below), greyAt(rgba, below + 4)]
  return a + (b - a) * fx + (c - a) * fy + (a - b - c + d) * fx * fy
}

/** The upper left of four pixels and how far beyond it, kept inside. */
export function cellAt(x: number, y: number, widthPx: number, heightPx: number): [number, number, number, number] {
  const x0 = Math.min(Math.max(Math.floor(x), 0), Math.max(0, widthPx - 2))
  const y0 = Math.min(Math.max(Math.floor(y), 0), Math.max(0, heightPx - 2))
  return [x0, y0, Math.min(Math.max(x - x0, 0), 1), Math.min(Math.max(y - y0, 0), 1)]
}

/** As above, of one channel; this is where most of the time goes, so nothing is made on the way. */
export function channelBetween({ widthPx, heightPx, values }: Channel, x: number, y: number): number {
  const x0 = Math.min(Math.max(Math.floor(x), 0), widthPx - 2)
  const y0 = Math.min(Math.max(Math.floor(y), 0), heightPx - 2)
  const fx = Math.min(Math.max(x - x0, 0), 1)
  const fy = Math.min(Math.max(y - y0, 0), 1)
  const at = y0 * widthPx + x0
  const a = values[at] as number
  const b = values[at + 1] as number
  const c = values[at + widthPx] as number
  const d = values[at + widthPx + 1] as number
  return a + (b - a) * fx + (c - a) * fy + (a - b - c + d) * fx * fy
}

/** Smoothed by a bell of this spread, px: three means in a row come near enough to it. */
export function smoothed(channel: Channel, spreadPx: number): Channel {
  if (spreadPx < 0.3) return channel
  // Wells: three boxes whose widths differ by at most one step.
  const ideal = Math.sqrt((12 * spreadPx * spreadPx) / 3 + 1)
  const lower = Math.floor(ideal) % 2 === 0 ? Math.floor(ideal) - 1 : Math.floor(ideal)
  const many = Math.round((12 * spreadPx * spreadPx - 3 * lower * lower - 12 * lower - 9) / (-4 * lower - 4))
  let values = channel.values
  for (let turn = 0; turn < 3; turn += 1) {
    const half = ((turn < many ? lower : lower + 2) - 1) / 2
    if (half > 0) values = meansDown(meansAcross(values, channel.widthPx, channel.heightPx, half), channel.widthPx, channel.heightPx, half)
  }
  return { ...channel, values }
}

function meansAcross(values: Float32Array, wide: number, tall: number, half: number): Float32Array {
  const made = new Float32Array(values.length)
  for (let y = 0; y < tall; y += 1) meansAlong(values, made, y * wide, wide, half)
  return made
}

/** Row after row, with a sum for each column: down a column would leave the cache at every step. */
function meansDown(values: Float32Array, wide: number, tall: number, half: number): Float32Array {
  const made = new Float32Array(values.length)
  const totals = new Float32Array(wide)
  const rowAt = (y: number): number => Math.min(Math.max(y, 0), tall - 1) * wide
  for (let y = -half; y <= half; y += 1) for (let x = 0, at = rowAt(y); x < wide; x += 1, at += 1) totals[x] = (totals[x] as number) + (values[at] as number)
  const share = 1 / (2 * half + 1)
  for (let y = 0; y < tall; y += 1) {
    const [row, next, last] = [y * wide, rowAt(y + half + 1), rowAt(y - half)]
    for (let x = 0; x < wide; x += 1) {
      made[row + x] = (totals[x] as number) * share
      totals[x] = (totals[x] as number) + (values[next + x] as number) - (values[last + x] as number)
    }
  }
  return made
}

/** A running mean; beyond the ends the end goes on. */
function meansAlong(from: Float32Array, to: Float32Array, first: number, many: number, half: number): void {
  const last = first + many - 1
  let total = (half + 1) * (from[first] as number)
  for (let off = 1; off <= half; off += 1) total += from[Math.min(first + off, last)] as number
  const share = 1 / (2 * half + 1)
  for (let at = first; at <= last; at += 1) {
    to[at] = total * share
    total += (from[Math.min(at + half + 1, last)] as number) - (from[Math.max(at - half, first)] as number)
  }
}
