/** Threads that a later move draws in lie straight until then. */
import type { Point } from '../geometry/index.ts'
import type { AsLaid, Segment, WorkedStitch } from '../work/index.ts'
import type { Gesture } from './gestures.ts'

/** So many holes and moves on the surface have been made. */
export interface Clock {
  readonly holesMade: number
  readonly surfaceMovesMade: number
}

export const isBeforeDrawn = (laid: AsLaid, clock: Clock): boolean => !isDone(laid, clock)

/** What was done when so much had been made: something has been made since. */
export function isDone({ holes, surfaceMoves }: Pick<AsLaid, 'holes' | 'surfaceMoves'>, clock: Clock): boolean {
  return clock.holesMade > holes || clock.surfaceMovesMade > surfaceMoves
}

/** Before a gesture, or after it. */
export function clockOf({ happenings }: Gesture, before: boolean, { holes, surfaceMoves }: WorkedStitch): Clock {
  const own = happenings.flatMap(({ hole }) => hole ?? [])
  const surfaces = happenings.flatMap(({ surface }) => (surface ? [surfaceMoves.indexOf(surface)] : []))
  const after = surfaces.length > 0 ? (surfaceMoves[surfaces[0] as number]?.afterHole ?? -1) + 1 : holes.length
  const holesMade = own.length === 0 ? after : before ? Math.min(...own) : Math.max(...own) + 1
  if (surfaces.length > 0) return { holesMade, surfaceMovesMade: before ? Math.min(...surfaces) : Math.max(...surfaces) + 1 }
  return { holesMade, surfaceMovesMade: surfaceMoves.filter((one) => one.afterHole < holesMade - (before ? 0 : 1)).length }
}

/** What had been made by a step, as it lay then. */
export function lyingAt(segments: readonly Segment[], step: Clock & { readonly sequence: number }): Segment[] {
  return segments
    .filter((segment) => segment.sequence <= step.sequence)
    .map((segment) => (segment.asLaid && isBeforeDrawn(segment.asLaid, step) ? { ...segment, points: [...segment.asLaid.points] } : segment))
}

/** A place on a thread that is yet to be drawn in: where it lies until then. */
export function placeBefore(at: Point, segments: readonly Segment[], clock: Clock): Point {
  for (const { asLaid, points } of segments) {
    if (!asLaid || !isBeforeDrawn(asLaid, clock)) continue
    let nearest = 0
    for (const [index, point] of points.entries()) {
      const best = points[nearest] as Point
      if (Math.hypot(point.x - at.x, point.y - at.y) < Math.hypot(best.x - at.x, best.y - at.y)) nearest = index
    }
    const found = points[nearest] as Point
    if (Math.hypot(found.x - at.x, found.y - at.y) > ON_THREAD_MM) continue
    const share = nearest / Math.max(1, points.length - 1)
    return asLaid.points[Math.round(share * (asLaid.points.length - 1))] ?? at
  }
  return at
}

const ON_THREAD_MM = 0.5
