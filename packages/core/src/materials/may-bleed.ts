/**
 * Which colours to test before a piece is soaked: deep ones and reds hold more dye than the fibre keeps. A rule of thumb of teachers, by
 * colour alone; how a thread was dyed is not known here, so it never says that one is safe.
 */
import { lightness } from './carry-limit.ts'
import { rgbOf } from './colour.ts'

/** CIE L*, below which a colour is deep. */
const DEEP = 38
/** Red is that many times the other two. */
const RED = 1.7

export function mayBleed(hex: string): boolean {
  const [red, green, blue] = rgbOf(hex)
  return lightness(hex) < DEEP || (red > 90 && red > RED * Math.max(green, blue))
}
