/** Whether an outline crosses itself. */
import { type MeasuredPath, thinPath } from './measured-path.ts'
import { cross, type Point, subtract } from './point.ts'

/** Looked at as coarsely as this, mm: what crosses by less is not seen. */
const COARSE_MM = 0.05

/** Two stretches of a closed path that are not neighbours cross properly; that they touch is no matter. */
export function crossesItself(path: MeasuredPath): boolean {
  const points = thinPath(path, COARSE_MM).points
  const last = points.length - 1
  for (let i = 0; i < last; i += 1) {
    const [a, b] = [points[i] as Point, points[i + 1] as Point]
    const [left, right, top, bottom] = [Math.min(a.x, b.x), Math.max(a.x, b.x), Math.min(a.y, b.y), Math.max(a.y, b.y)]
    for (let j = i + 2; j < last; j += 1) {
      const [c, d] = [points[j] as Point, points[j + 1] as Point]
      if (Math.max(c.x, d.x) < left || Math.min(c.x, d.x) > right || Math.max(c.y, d.y) < top || Math.min(c.y, d.y) > bottom) continue
      if (i === 0 && j === last - 1) continue
      if (sides(a, b, c, d) && sides(c, d, a, b)) return true
    }
  }
  return false
}

/** c and d lie on different sides of the line through a and b. */
function sides(a: Point, b: Point, c: Point, d: Point): boolean {
  const along = subtract(b, a)
  const [one, other] = [cross(along, subtract(c, a)), cross(along, subtract(d, a))]
  return (one > 1e-9 && other < -1e-9) || (one < -1e-9 && other > 1e-9)
}
