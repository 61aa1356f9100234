/** A shape is the end of what is worked in it: what would reach beyond goes as far as the edge. */
import { isInRegion, lerp, type Point, type Region, shareMet } from '../geometry/index.ts'
import type { FoundPoint } from './find-point.ts'

/**
 * Where the way from the stitch's own place to the point first crosses an edge; the point itself where it lies within. Null where
 * the stitch's own place is not within either: then nothing of it is worked.
 */
export function keepWithin(found: FoundPoint, from: Point, region: Region): FoundPoint | null {
  if (isInRegion(region, found.at)) return found
  if (!isInRegion(region, from)) return null
  let share = 1
  for (const ring of region) {
    for (const [index, p] of ring.entries()) {
      const crossed = shareMet(from, found.at, p, ring[(index + 1) % ring.length] as Point)
      if (crossed !== null) share = Math.min(share, crossed)
    }
  }
  return { ...found, at: lerp(from, found.at, share), edge: true }
}
