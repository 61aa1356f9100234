/** Fewer points for nearly the same line: Ramer 1972, Douglas and Peucker 1973. */
import type { Point } from './point.ts'

/**
 * First and last point stay; of those between, whatever lies farther than `byMm` from the line that would be left. The package that
 * offsets has it too, but only together with much that nobody asks for, and a learner's phone loads what is here.
 */
export function thinned(points: readonly Point[], byMm: number): Point[] {
  if (points.length < 5) return [...points]
  const stays = new Uint8Array(points.length)
  stays[0] = stays[points.length - 1] = 1
  const waiting: [number, number][] = [[0, points.length - 1]]
  for (let stretch = waiting.pop(); stretch; stretch = waiting.pop()) {
    const [from] = stretch
    let [, to] = stretch
    const a = points[from] as Point
    // A stretch that ends where it began has no line: it is one to the point before.
    while (to > from && a.x === (points[to] as Point).x && a.y === (points[to] as Point).y) {
      stays[to] = 0
      to -= 1
    }
    let [most, farthest] = [0, from]
    for (let at = from + 1; at < to; at += 1) {
      const away = squareFromLine(points[at] as Point, a, points[to] as Point)
      if (away > most) [most, farthest] = [away, at]
    }
    if (most <= byMm * byMm) continue
    stays[farthest] = 1
    waiting.push([from, farthest], [farthest, to])
  }
  return points.filter((_, index) => stays[index] === 1)
}

function squareFromLine(at: Point, a: Point, b: Point): number {
  const [x, y] = [b.x - a.x, b.y - a.y]
  if (x === 0 && y === 0) return 0
  return ((at.x - a.x) * y - x * (at.y - a.y)) ** 2 / (x * x + y * y)
}
