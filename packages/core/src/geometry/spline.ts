/**
 * One curve through way-points in space: straight when there are two, otherwise a centripetal Catmull-Rom
 * spline, which never loops or overshoots between near points (Yuksel, Schaefer and Keyser 2011).
 */
export interface Point3 {
  readonly x: number
  readonly y: number
  /** Height over the cloth, mm. */
  readonly z: number
}

/** Steps between two way-points: at thread scale the chord error stays under 0.01 mm. */
const STEPS = 8

export function splineThrough(given: readonly Point3[]): readonly Point3[] {
  const points = withoutRepeats(given)
  if (points.length < 3) return points
  const path: Point3[] = [points[0] as Point3]
  for (let index = 0; index + 1 < points.length; index += 1) {
    const p1 = points[index] as Point3
    const p2 = points[index + 1] as Point3
    const p0 = points[index - 1] ?? beyond(p2, p1)
    const p3 = points[index + 2] ?? beyond(p1, p2)
    addBetween(path, p0, p1, p2, p3)
  }
  return path
}

export function lengthOf(points: readonly Point3[]): number {
  let total = 0
  for (let index = 1; index < points.length; index += 1) total += gap(points[index - 1] as Point3, points[index] as Point3)
  return total
}

function gap(a: Point3, b: Point3): number {
  // Lengths of a cloth cannot overflow, and `hypot` guards against that at several times the cost.
  const x = a.x - b.x
  const y = a.y - b.y
  const z = a.z - b.z
  return Math.sqrt(x * x + y * y + z * z)
}

function withoutRepeats(given: readonly Point3[]): Point3[] {
  const kept: Point3[] = []
  for (const next of given) {
    const last = kept.at(-1)
    if (last === undefined || gap(last, next) > 1e-6) kept.push(next)
  }
  return kept
}

/** The way-point that carries the end's direction on. */
function beyond(from: Point3, through: Point3): Point3 {
  return { x: 2 * through.x - from.x, y: 2 * through.y - from.y, z: 2 * through.z - from.z }
}

/** The points from `p1` to `p2`: Barry and Goldman's pyramid with knots spaced by the square root of the chord. */
function addBetween(path: Point3[], p0: Point3, p1: Point3, p2: Point3, p3: Point3): void {
  const t1 = Math.sqrt(gap(p0, p1))
  const t2 = t1 + Math.sqrt(gap(p1, p2))
  const t3 = t2 + Math.sqrt(gap(p2, p3))
  for (let count = 1; count <= STEPS; count += 1) {
    const t = t1 + ((t2 - t1) * count) / STEPS
    const u0 = t / t1
    const u1 = (t - t1) / (t2 - t1)
    const u2 = (t - t2) / (t3 - t2)
    const v0 = t / t2
    const v1 = (t - t1) / (t3 - t1)
    // The share that each of the four points has, multiplied out of the pyramid.
    const w0 = (1 - u1) * (1 - v0) * (1 - u0)
    const w1 = (1 - u1) * ((1 - v0) * u0 + v0 * (1 - u1)) + u1 * (1 - v1) * (1 - u1)
    const w2 = (1 - u1) * v0 * u1 + u1 * ((1 - v1) * u1 + v1 * (1 - u2))
    const w3 = u1 * v1 * u2
    path.push({
      x: w0 * p0.x + w1 * p1.x + w2 * p2.x + w3 * p3.x,
      y: w0 * p0.y + w1 * p1.y + w2 * p2.y + w3 * p3.y,
      z: w0 * p0.z + w1 * p1.z + w2 * p2.z + w3 * p3.z,
    })
  }
}
