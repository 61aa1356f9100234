/** Where two paths cross. */
import type { MeasuredPath } from './measured-path.ts'
import { cross, lerp, type Point, subtract } from './point.ts'

export interface Crossing {
  readonly at: Point
  /** So far along each, mm. */
  readonly onFirst: number
  readonly onSecond: number
}

/** Properly, or by an end that lies on the other; along the first. Stretches that run upon each other do not cross. */
export function crossingsOf(first: MeasuredPath, second: MeasuredPath): readonly Crossing[] {
  const found: Crossing[] = []
  const legs = (path: MeasuredPath) =>
    path.points.slice(0, path.closed ? undefined : -1).map((from, index) => {
      const start = path.starts[index] as number
      const to = path.points[(index + 1) % path.points.length] as Point
      return { from, to, start, size: (path.starts[index + 1] ?? path.length) - start }
    })
  const others = legs(second)
  for (const a of legs(first))
    for (const b of others) {
      const [u, v] = [subtract(a.to, a.from), subtract(b.to, b.from)]
      const turn = cross(u, v)
      if (Math.abs(turn) < 1e-12) continue
      const between = subtract(b.from, a.from)
      const [along, across] = [cross(between, v) / turn, cross(between, u) / turn]
      if (along < -EDGE || along > 1 + EDGE || across < -EDGE || across > 1 + EDGE) continue
      const crossing = { at: lerp(a.from, a.to, along), onFirst: a.start + along * a.size, onSecond: b.start + across * b.size }
      // Where two legs meet on the other path it is one crossing.
      if (!found.some((one) => Math.hypot(one.at.x - crossing.at.x, one.at.y - crossing.at.y) < 0.01)) found.push(crossing)
    }
  return found.sort((one, other) => one.onFirst - other.onFirst)
}

const EDGE = 1e-9
