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
  const heights = heightField(size * samples)
  const wide = size * samples
  const result = new Float32Array(size * size)
  let sum = 0
  for (let y = 0; y < size; y += 1) {
    for (let x = 0; x < size; x += 1) {
      let total = 0
      for (let v = 0; v < samples; v += 1) for (let u = 0; u < samples; u += 1) total += heights.shade(x * samples + u, y * samples + v, wide)
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

interface Heights {
  readonly shade: (x: number, y: number, wide: number) => number
}

/** Plain weave: each thread goes over one and under one; every thread has its own width, place and tone. */
function heightField(wide: number): Heights {
  const pitch = wide / THREADS
  const height = new Float32Array(wide * wide)
  const tones = new Float32Array(wide * wide)
  const widths = (seed: number) => Array.from({ length: THREADS }, (_, index) => (0.5 + 0.04 * sway(seed, index)) * 0.94)
  const places = (seed: number) => Array.from({ length: THREADS }, (_, index) => 0.06 * sway(seed, index))
  const [warp, weft] = [
    { width: widths(11), place: places(12), tone: 13 },
    { width: widths(21), place: places(22), tone: 23 },
  ]
  const strand = (along: number, across: number, one: typeof warp, parity: 0 | 1): { h: number; tone: number } | null => {
    const index = ((Math.floor(across) % THREADS) + THREADS) % THREADS
    const wander = 0.05 * periodicDrift(one.tone + 1 + index, along, THREADS / 2)
    const off = across - Math.floor(across) - 0.5 - (one.place[index] as number) - wander
    const a = off / (one.width[index] as number)
    if (Math.abs(a) >= 1) return null
    const over = Math.sin(Math.PI * (along + 0.5)) * ((index + parity) % 2 === 0 ? 1 : -1)
    return { h: 0.46 * over + 0.4 * Math.sqrt(1 - a * a), tone: 0.14 * sway(one.tone, index) }
  }
  for (let y = 0; y < wide; y += 1) {
    for (let x = 0; x < wide; x += 1) {
      const [u, v] = [x / pitch, y / pitch]
      const [down, across] = [strand(v, u, warp, 0), strand(u, v, weft, 1)]
      const top = !down ? across : !across ? down : down.h >= across.h ? down : across
      height[y * wide + x] = top ? top.h : -0.62
      tones[y * wide + x] = top ? top.tone : Number.NaN
    }
  }
  const at = (x: number, y: number): number => height[((y + wide) % wide) * wide + ((x + wide) % wide)] as number
  const reach = Math.max(1, Math.round(pitch / 24))
  return {
    shade: (x, y) => {
      const own = tones[y * wide + x] as number
      if (Number.isNaN(own)) return -0.55
      const by = pitch / (2 * reach)
      const slope = (ahead: number, behind: number): number => 0.55 * Math.min(1.6, Math.max(-1.6, (ahead - behind) * by * 0.5))
      const [sx, sy] = [slope(at(x + reach, y), at(x - reach, y)), slope(at(x, y + reach), at(x, y - reach))]
      const lit = (0.83 - 0.55 * (sx * -LIGHT.x + sy * -LIGHT.y) * -1) / Math.hypot(sx, sy, 1)
      return lit * (0.55 + 0.45 * smoothStep(-0.25, 0.55, at(x, y))) - 0.62 + own + 0.05 * sway(31, y * wide + x)
    },
  }
}

/** A drift that comes back to where it began after so many places. */
function periodicDrift(seed: number, at: number, period: number): number {
  const place = ((at / 2) % period) + period
  const from = Math.floor(place)
  const share = place - from
  const smooth = share * share * (3 - 2 * share)
  return sway(seed, from % period) * (1 - smooth) + sway(seed, (from + 1) % period) * smooth
}
