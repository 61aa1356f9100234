/** A shape is the end of what is worked in it: what would reach beyond goes as far as the edge. */
import { isInRegion, lerp, type Point, type Region } from '../geometry/index.ts'
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
      const crossed = shareCrossed(from, found.at, p, ring[(index + 1) % ring.length] as Point)
      if (crossed !== null) share = Math.min(share, crossed)
    }
  }
  return { ...found, at: lerp(from, found.at, share), edge: true }
}

/** The share of the way from `a` to `b` at which it crosses from `p` to `q`. */
function shareCrossed(a: Point, b: Point, p: Point, q: Point): number | null {
  const [dx, dy, ex, ey] = [b.x - a.x, b.y - a.y, q.x - p.x, q.y - p.y]
  const across = dx * ey - dy * ex
  if (Math.abs(across) < 1e-12) return null
  const on = ((p.x - a.x) * ey - (p.y - a.y) * ex) / across
  const off = ((p.x - a.x) * dy - (p.y - a.y) * dx) / across
  return on >= 0 && on <= 1 && off >= 0 && off <= 1 ? on : null
}
