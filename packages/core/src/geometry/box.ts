/** The upright box round a set of points, mm. */
import type { Point } from './point.ts'

export interface Box {
  readonly left: number
  readonly top: number
  readonly right: number
  readonly bottom: number
}

/** Null for no points. */
export function boxOf(points: Iterable<Point>): Box | null {
  let left = Number.POSITIVE_INFINITY
  let top = Number.POSITIVE_INFINITY
  let right = Number.NEGATIVE_INFINITY
  let bottom = Number.NEGATIVE_INFINITY
  for (const at of points) {
    left = Math.min(left, at.x)
    top = Math.min(top, at.y)
    right = Math.max(right, at.x)
    bottom = Math.max(bottom, at.y)
  }
  return left > right ? null : { left, top, right, bottom }
}

/** Around all of them; null for none. */
export function boxAround(boxes: readonly Box[]): Box | null {
  const [first, ...rest] = boxes
  if (!first) return null
  return rest.reduce(
    (all, one) => ({
      left: Math.min(all.left, one.left),
      right: Math.max(all.right, one.right),
      top: Math.min(all.top, one.top),
      bottom: Math.max(all.bottom, one.bottom),
    }),
    first,
  )
}
