/** Where two threads cross. mm. */
import { distance, type Point } from '../geometry/index.ts'

/** Of all the places where two ways cross the one nearest to a point; null where they do not cross. */
export function crossingNearest(one: readonly Point[], other: readonly Point[], near: Point): Point | null {
  let best: Point | null = null
  for (let i = 1; i < one.length; i += 1) {
    for (let j = 1; j < other.length; j += 1) {
      const at = meeting(one[i - 1] as Point, one[i] as Point, other[j - 1] as Point, other[j] as Point)
      if (at && (!best || distance(at, near) < distance(best, near))) best = at
    }
  }
  return best
}

function meeting(a: Point, b: Point, c: Point, d: Point): Point | null {
  const [rx, ry, sx, sy] = [b.x - a.x, b.y - a.y, d.x - c.x, d.y - c.y]
  const turn = rx * sy - ry * sx
  if (Math.abs(turn) < 1e-12) return null
  const t = ((c.x - a.x) * sy - (c.y - a.y) * sx) / turn
  const u = ((c.x - a.x) * ry - (c.y - a.y) * rx) / turn
  return t >= 0 && t <= 1 && u >= 0 && u <= 1 ? { x: a.x + rx * t, y: a.y + ry * t } : null
}
