/**
 * The weave of a cloth as a tile of pixels: warp and weft as a field of heights, lit from the upper left, in the cloth's own
 * colour. Where a thread is finer than two pixels there is nothing to see but that colour, and so nothing else is shown.
 */
import { luminance } from '../materials/index.ts'
import { hash, LIGHT, smoothStep, sway } from './tone.ts'

export interface WeaveTile {
  /** Pixels on a side; so many threads each way, an even number, so that it repeats. */
  readonly size: number
  readonly threads: number
  /** Red, green, blue, opaque. */
  readonly pixels: Uint8ClampedArray
}

const THREADS = 24
/** Below it a weave would only shimmer. */
export const LEAST_PIXELS_A_THREAD = 2

/**
 * `pixelsAThread` is how far apart threads lie on the screen. Null where the cloth is best shown as its plain colour. The
 * mean of the tile is the colour, within half a grey level.
 */
export function weaveTile(hex: string, pixelsAThread: number): WeaveTile | null {
  const contrast = smoothStep(1.9, 4.2, pixelsAThread)
  if (pixelsAThread < LEAST_PIXELS_A_THREAD || contrast === 0) return null
  const size = Math.min(1200, Math.max(THREADS * 2, Math.round(pixelsAThread * THREADS)))
  const light = shades(size, pixelsAThread)
  const value = Number.parseInt(hex.slice(1, 7), 16)
  const channels = [(value >> 16) & 255, (value >> 8) & 255, value & 255] as const
  const dark = luminance(hex) < 0.18
  // Far in, the weave would outshout the thread.
  const quiet = 1 - 0.6 * smoothStep(9, 22, pixelsAThread)
  const pixels = new Uint8ClampedArray(size * size * 4)
  for (let index = 0; index < size * size; index += 1) {
    const s = (light[index] as number) * contrast * quiet
    const dither = hash(91, index) - 0.5
    for (let channel = 0; channel < 3; channel += 1) {
      const c = channels[channel] as number
      pixels[index * 4 + channel] = (dark ? c * (1 + 0.27 * s) + 15 * s : c * (1 + 0.13 * s)) + dither
    }
    pixels[index * 4 + 3] = 255
  }
  return { size, threads: THREADS, pixels }
}

/** By pixel, how light it is: mean 0, about -1 to 1. */
function shades(size: number, q: number): Float32Array {
  const samples = q < 6 ? 3 : q < 12 ? 2 : 1
  const wide = size * samples
  const light = lit(heightField(wide), wide)
  const result = new Float32Array(size * size)
  let sum = 0
  for (let y = 0; y < size; y += 1) {
    for (let x = 0; x < size; x += 1) {
      let total = 0
      for (let v = 0, from = y * samples * wide + x * samples; v < samples; v += 1, from += wide)
        for (let u = 0; u < samples; u += 1) total += light[from + u] as number
      const mean = total / (samples * samples)
      result[y * size + x] = mean
      sum += mean
    }
  }
  const middle = sum / (size * size)
  for (let index = 0; index < result.length; index += 1) result[index] = Math.min(1.6, Math.max(-1.6, (result[index] as number) - middle))
  // What was cut at the ends is taken off once more, so that the mean is the cloth's colour.
  let rest = 0
  for (const one of result) rest += one
  rest /= result.length
  for (let index = 0; index < result.length; index += 1) result[index] = (result[index] as number) - rest
  return result
}

interface Field {
  readonly height: Float32Array
  /** Not a number where no thread lies. */
  readonly tone: Float32Array
}

/** The threads of one way, looked up by where one is along them and across. */
interface Strands {
  /** By place across: which thread, and how far from the middle of its place, in pitches. */
  readonly thread: Uint8Array
  readonly off: Float64Array
  /** By thread: half as wide as it is, in pitches, and its tone. */
  readonly width: Float64Array
  readonly tone: Float64Array
  /** By thread and place along: how far it wanders, in pitches, and how high its middle lies. */
  readonly wander: Float64Array
  readonly over: Float64Array
}

function strands(wide: number, seed: number, parity: 0 | 1): Strands {
  const pitch = wide / THREADS
  const thread = new Uint8Array(wide)
  const off = new Float64Array(wide)
  for (let place = 0; place < wide; place += 1) {
    const across = place / pitch
    const index = Math.min(THREADS - 1, Math.floor(across))
    thread[place] = index
    off[place] = across - Math.floor(across) - 0.5 - 0.06 * sway(seed + 1, index)
  }
  const wander = new Float64Array(THREADS * wide)
  const over = new Float64Array(THREADS * wide)
  for (let index = 0; index < THREADS; index += 1) {
    for (let place = 0; place < wide; place += 1) {
      const along = place / pitch
      wander[index * wide + place] = 0.05 * periodicDrift(seed + 3 + index, along, THREADS / 2)
      over[index * wide + place] = 0.46 * Math.sin(Math.PI * (along + 0.5)) * ((index + parity) % 2 === 0 ? 1 : -1)
    }
  }
  return {
    ...{ thread, off, wander, over },
    width: Float64Array.from({ length: THREADS }, (_, index) => (0.5 + 0.04 * sway(seed, index)) * 0.94),
    tone: Float64Array.from({ length: THREADS }, (_, index) => 0.14 * sway(seed + 2, index)),
  }
}

/** Plain weave: each thread goes over one and under one; every thread has its own width, place and tone. */
function heightField(wide: number): Field {
  const height = new Float32Array(wide * wide)
  const tone = new Float32Array(wide * wide)
  const [warp, weft] = [strands(wide, 11, 0), strands(wide, 21, 1)]
  for (let y = 0; y < wide; y += 1) {
    const lying = weft.thread[y] as number
    for (let x = 0; x < wide; x += 1) {
      const standing = warp.thread[x] as number
      const down = heightOf(warp, standing, x, standing * wide + y)
      const across = heightOf(weft, lying, y, lying * wide + x)
      const at = y * wide + x
      if (Number.isNaN(down) && Number.isNaN(across)) {
        height[at] = -0.62
        tone[at] = Number.NaN
      } else if (Number.isNaN(across) || down >= across) {
        height[at] = down
        tone[at] = warp.tone[standing] as number
      } else {
        height[at] = across
        tone[at] = weft.tone[lying] as number
      }
    }
  }
  return { height, tone }
}

/** Not a number beside the thread. `at`: its place across; `along`: its row of what changes along it. */
function heightOf({ off, width, wander, over }: Strands, thread: number, at: number, along: number): number {
  const a = ((off[at] as number) - (wander[along] as number)) / (width[thread] as number)
  return Math.abs(a) >= 1 ? Number.NaN : (over[along] as number) + 0.4 * Math.sqrt(1 - a * a)
}

/** How light each place of the field is, lit from the upper left; it goes on at its edges as it begins. */
function lit({ height, tone }: Field, wide: number): Float32Array {
  const pitch = wide / THREADS
  const reach = Math.max(1, Math.round(pitch / 24))
  const by = (0.5 * pitch) / (2 * reach)
  const light = new Float32Array(wide * wide)
  for (let y = 0; y < wide; y += 1) {
    const [row, above, below] = [y * wide, ((y - reach + wide) % wide) * wide, ((y + reach) % wide) * wide]
    for (let x = 0; x < wide; x += 1) {
      const own = tone[row + x] as number
      if (Number.isNaN(own)) {
        light[row + x] = -0.55
        continue
      }
      const ahead = x + reach < wide ? x + reach : x + reach - wide
      const behind = x >= reach ? x - reach : x - reach + wide
      const sx = slope(((height[row + ahead] as number) - (height[row + behind] as number)) * by)
      const sy = slope(((height[below + x] as number) - (height[above + x] as number)) * by)
      const faced = (0.83 - 0.55 * (sx * LIGHT.x + sy * LIGHT.y)) / Math.sqrt(sx * sx + sy * sy + 1)
      light[row + x] = faced * (0.55 + 0.45 * smoothStep(-0.25, 0.55, height[row + x] as number)) - 0.62 + own + 0.05 * sway(31, row + x)
    }
  }
  return light
}

const slope = (steep: number): number => 0.55 * Math.min(1.6, Math.max(-1.6, steep))

/** A drift that comes back to where it began after so many places. */
function periodicDrift(seed: number, at: number, period: number): number {
  const place = ((at / 2) % period) + period
  const from = Math.floor(place)
  const share = place - from
  const smooth = share * share * (3 - 2 * share)
  return sway(seed, from % period) * (1 - smooth) + sway(seed, (from + 1) % period) * smooth
}
