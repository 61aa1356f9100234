/** Paths that a thread is drawn along. mm. */
import type { Point } from '../geometry/index.ts'

/** Places along a path, so far apart, mm, the first half a step in. */
export function* every(path: readonly Point[], stepMm: number): Generator<{ at: Point; along: Point }> {
  if (!(stepMm > 1e-4)) return
  let due = stepMm / 2
  let travelled = 0
  for (let index = 0; index + 1 < path.length; index += 1) {
    const a = path[index] as Point
    const b = path[index + 1] as Point
    const size = Math.hypot(b.x - a.x, b.y - a.y)
    if (size === 0) continue
    const along = { x: (b.x - a.x) / size, y: (b.y - a.y) / size }
    while (due <= travelled + size) {
      const on = due - travelled
      yield { at: { x: a.x + along.x * on, y: a.y + along.y * on }, along }
      due += stepMm
    }
    travelled += size
  }
}

export function pathLength(path: readonly Point[]): number {
  let total = 0
  for (let index = 1; index < path.length; index += 1)
    total += Math.hypot((path[index] as Point).x - (path[index - 1] as Point).x, (path[index] as Point).y - (path[index - 1] as Point).y)
  return total
}

/** Straight from end to end where nobody could tell; a loop or a laid thread keeps its way. */
export function chordOr(path: readonly Point[], withinMm: number): readonly Point[] {
  const [first, last] = [path[0] as Point, path[path.length - 1] as Point]
  const size = Math.hypot(last.x - first.x, last.y - first.y)
  const off = (at: Point): number =>
    size < 1e-9 ? Math.hypot(at.x - first.x, at.y - first.y) : Math.abs((at.x - first.x) * (last.y - first.y) - (at.y - first.y) * (last.x - first.x)) / size
  return path.some((at) => off(at) > withinMm) ? path : [first, last]
}
