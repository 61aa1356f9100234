/**
 * How far thread may go behind a cloth without being seen from the front, mm. By how far the cloth is seen through and how
 * much the thread's lightness differs from the cloth's (CIE L*, 0 to 100). Rules of thumb of teachers, none of them measured:
 * held against a window, what is seen at arm's length is too long.
 */
import { luminance } from './colour.ts'
import type { SeeThrough } from './cloths.ts'

type Limits = readonly [near: number, medium: number, strong: number]

const LIMITS: Readonly<Record<SeeThrough, Limits>> = {
  opaque: [20, 20, 15],
  low: [15, 12, 8],
  medium: [12, 8, 4],
  high: [6, 4, 2],
  'very-high': [0, 0, 0],
}

export function carryLimit(seeThrough: SeeThrough, threadHex: string, clothHex: string): number {
  const apart = Math.abs(lightness(threadHex) - lightness(clothHex))
  return LIMITS[seeThrough][apart < 20 ? 0 : apart <= 50 ? 1 : 2]
}

/** CIE L*, 0 black to 100 white. */
export function lightness(hex: string): number {
  const y = luminance(hex)
  return y > 216 / 24389 ? 116 * Math.cbrt(y) - 16 : (24389 / 27) * y
}
