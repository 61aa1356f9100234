import { distance, lerp, type Point } from '@lemmata/core/geometry'
import type { ReadStitches } from '@lemmata/core/photo'

/** By its middle: a finger is not exact. Null where there is none. */
export function nearestStitch(stitches: ReadStitches, at: Point): number | null {
  const away = stitches.map(([a, b]) => distance(lerp(a, b, 0.5), at))
  return away.length === 0 ? null : away.indexOf(Math.min(...away))
}
