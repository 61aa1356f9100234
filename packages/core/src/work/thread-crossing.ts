/** Where two threads cross. mm. */
import { distance, lerp, type Point, shareMet } from '../geometry/index.ts'

/** Of all the places where two ways cross the one nearest to a point; null where they do not cross. */
export function crossingNearest(one: readonly Point[], other: readonly Point[], near: Point): Point | null {
  let best: Point | null = null
  for (let i = 1; i < one.length; i += 1) {
    for (let j = 1; j < other.length; j += 1) {
      const [from, to] = [one[i - 1] as Point, one[i] as Point]
      const share = shareMet(from, to, other[j - 1] as Point, other[j] as Point)
      const at = share === null ? null : lerp(from, to, share)
      if (at && (!best || distance(at, near) < distance(best, near))) best = at
    }
  }
  return best
}
