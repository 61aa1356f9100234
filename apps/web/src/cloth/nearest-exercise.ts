import type { WorkedExercise } from '@lemmata/core/exercise'
import type { Point } from '@lemmata/core/geometry'

/** The exercise whose thread lies nearest to a place, within reach; null when none does. */
export function nearestExercise(done: readonly WorkedExercise[], at: Point, reachMm: number, side: 'front' | 'back' = 'front'): string | null {
  let best = reachMm
  let found: string | null = null
  for (const one of done) {
    for (const segment of one.pieces.flatMap((piece) => piece.worked.segments)) {
      if (segment.side !== side) continue
      for (let index = 0; index + 1 < segment.points.length; index += 1) {
        const a = segment.points[index] as Point
        const b = segment.points[index + 1] as Point
        const size = (b.x - a.x) ** 2 + (b.y - a.y) ** 2
        const share = size === 0 ? 0 : Math.min(1, Math.max(0, ((at.x - a.x) * (b.x - a.x) + (at.y - a.y) * (b.y - a.y)) / size))
        const away = Math.hypot(at.x - a.x - (b.x - a.x) * share, at.y - a.y - (b.y - a.y) * share)
        if (away < best) {
          best = away
          found = one.exercise.id
        }
      }
    }
  }
  return found
}
