/**
 * Spokes to the left of a line that turns a corner: three share the corner's hole, the middle one on the bisector
 * of the corner. Where the line turns away from its spokes they fan out from the hole on the line; where it turns
 * towards them, those that would cross the bisector go into one hole where the two rows of tops meet. mm.
 */
import { dot, leftOf, type MeasuredPath, type Place, placeAt, type Point, step, unit } from '../geometry/index.ts'

/** Two places on a line nearer than this are one, mm. */
const SAME_MM = 1e-4
/** At a sharper corner the inner hole stands no farther from the corner than so many times the spokes' height. */
const MOST_REACH = 2.2

interface Corner {
  readonly at: Point
  readonly along: number
  readonly before: Point
  readonly after: Point
  /** It turns towards its left side, where the spokes stand. */
  readonly inward: boolean
}

function cornerOf(path: MeasuredPath, along: number): Corner {
  const isStart = along < SAME_MM
  const before = placeAt(path, isStart ? path.length : along, true).direction
  const { at, direction: after } = placeAt(path, isStart ? 0 : along)
  return { at, along: isStart ? 0 : along, before, after, inward: dot(leftOf(before), after) > 0 }
}

function cornerAt(path: MeasuredPath, along: number): Corner | null {
  const found = path.corners.find((corner) => Math.abs(corner - along) < SAME_MM || (path.closed && corner < SAME_MM && path.length - along < SAME_MM))
  return found === undefined || (!path.closed && found < SAME_MM) ? null : cornerOf(path, found)
}

/** The directions of the spokes at a corner that turns away from them, in the order in which the path meets them; null elsewhere. */
export function fannedAt(path: MeasuredPath, along: number): readonly Place[] | null {
  const corner = cornerAt(path, along)
  if (!corner || corner.inward) return null
  const middle = unit({ x: corner.before.x + corner.after.x, y: corner.before.y + corner.after.y })
  return middle && [corner.before, middle, corner.after].map((direction) => ({ at: corner.at, direction }))
}

/** The top of a spoke of this height at a place of the path; in a corner that turns towards it, the shared hole. */
export function topOfSpoke(path: MeasuredPath, along: number, height: number): Point | null {
  if (!(height > 0)) return null
  for (const found of path.corners) {
    const corner = cornerOf(path, found)
    if (!corner.inward || (!path.closed && found < SAME_MM)) continue
    const away = Math.abs(along - corner.along)
    const gap = path.closed ? Math.min(away, path.length - away) : away
    const turn = Math.acos(Math.max(-1, Math.min(1, dot(corner.before, corner.after))))
    const reach = Math.min(MOST_REACH * height, height / Math.max(1e-6, Math.cos(turn / 2)))
    if (gap >= reach * Math.sin(turn / 2) - SAME_MM) continue
    const [n1, n2] = [leftOf(corner.before), leftOf(corner.after)]
    const bisector = unit({ x: n1.x + n2.x, y: n1.y + n2.y })
    if (bisector) return step(corner.at, bisector, reach)
  }
  return null
}
