/** Which way a needle runs that slides past thread: square to it, from the side it comes from. */
import type { Point } from '../geometry/index.ts'
import type { Segment } from '../work/index.ts'
import type { Happening } from './gestures.ts'
import { directionOf, type Looking, sideOf, wayOf } from './where.ts'

interface Passing {
  readonly looking: Looking
}

/** The side that the needle comes from, as the picture lies: square to the thread that it passes. */
export function enteredFrom(passing: Happening, saying: Passing): ReturnType<typeof directionOf> {
  const way = passWay(passing, saying)
  return directionOf({ x: -way.x, y: -way.y })
}

/** Which way the needle runs under a thread, as seen; a unit vector. */
export function passWay({ surface }: Happening, { looking }: Passing): Point {
  if (!surface?.side) return { x: 0, y: 1 }
  const { at, side } = surface
  const seen = wayOf(at, { x: at.x - side.x, y: at.y - side.y }, looking)
  const size = Math.hypot(seen.x, seen.y) || 1
  return { x: seen.x / size, y: seen.y / size }
}

/** Direction of the thread that lies nearest to a place, among those that are passed; a unit vector. */
export function passedThread(at: Point, labels: readonly string[], segments: readonly Segment[], pass: number): Point | null {
  let best: { readonly gap: number; readonly way: Point } | null = null
  for (const segment of segments) {
    if (segment.label === null || !labels.includes(segment.label) || segment.made.pass > pass) continue
    for (const [index, to] of segment.points.entries()) {
      const from = segment.points[index - 1]
      if (!from) continue
      const gap = Math.hypot((from.x + to.x) / 2 - at.x, (from.y + to.y) / 2 - at.y)
      const size = Math.hypot(to.x - from.x, to.y - from.y)
      if (size > 1e-9 && (!best || gap < best.gap)) best = { gap, way: { x: (to.x - from.x) / size, y: (to.y - from.y) / size } }
    }
  }
  return best?.way ?? null
}

export function awayFrom(first: Happening, saying: Passing): 'up' | 'down' | 'left' | 'right' {
  return sideOf(passWay(first, saying))
}
