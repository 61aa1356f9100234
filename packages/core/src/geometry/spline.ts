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
    for (let count = 1; count <= STEPS; count += 1) path.push(between(p0, p1, p2, p3, count / STEPS))
  }
  return path
}

export function lengthOf(points: readonly Point3[]): number {
  let total = 0
  for (let index = 1; index < points.length; index += 1) total += gap(points[index - 1] as Point3, points[index] as Point3)
  return total
}

function gap(a: Point3, b: Point3): number {
  return Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z)
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

/** Barry and Goldman's pyramid with knots spaced by the square root of the chord. */
function between(p0: Point3, p1: Point3, p2: Point3, p3: Point3, share: number): Point3 {
  const t1 = Math.sqrt(gap(p0, p1))
  const t2 = t1 + Math.sqrt(gap(p1, p2))
  const t3 = t2 + Math.sqrt(gap(p2, p3))
  const t = t1 + (t2 - t1) * share
  const a1 = mix(p0, p1, t / t1)
  const a2 = mix(p1, p2, (t - t1) / (t2 - t1))
  const a3 = mix(p2, p3, (t - t2) / (t3 - t2))
  const b1 = mix(a1, a2, t / t2)
  const b2 = mix(a2, a3, (t - t1) / (t3 - t1))
  return mix(b1, b2, (t - t1) / (t2 - t1))
}

function mix(a: Point3, b: Point3, share: number): Point3 {
  return { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share, z: a.z + (b.z - a.z) * share }
}
