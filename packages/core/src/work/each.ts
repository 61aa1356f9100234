/** Small frames along a thread: ties over it, wraps round a bar. `s` runs along it, `t` to its left. mm. */
import { mm } from '../base/index.ts'
import type { Point } from '../geometry/index.ts'
import { type Frame, frameAt } from './frames.ts'
import { placeOnThread } from './pass-rule.ts'
import { MoveError } from './thread-settings.ts'

export interface EachRequest {
  readonly everyMm: number
  /** From the end it is measured from to the first; half a step when null. */
  readonly offsetMm: number | null
  /** Measured from whichever end lies nearer to this place; from the thread's own beginning when null. */
  readonly from: Point | null
  readonly back: boolean
  /** Half the thread's width and a little cloth: where a tie goes in beside it. */
  readonly halfWidthMm: number
  readonly mirror: 1 | -1
  /** What the frame around them knows. */
  readonly values: Readonly<Record<string, number>>
}

const MOST_EACH = 20_000
/** A tie nearer than this to an end would tie nothing. */
const END_MM = 0.3

export function framesOnThread(given: readonly Point[], request: EachRequest): Frame[] {
  const { everyMm, back } = request
  if (!(everyMm > 0)) throw new MoveError('move.each-step')
  const points = endsNearer(given, request.from) ? [...given].reverse() : given
  const total = lengthOfWay(points)
  if (total / everyMm > MOST_EACH) throw new MoveError('move.each-many', { step: mm(everyMm), most: MOST_EACH })
  const frames: Frame[] = []
  const first = request.offsetMm ?? Math.min(everyMm, total) / 2
  let j = 0
  for (let due = first; due < total - END_MM; due += everyMm) {
    if (due > END_MM - 1e-9) {
      const { at, tangent } = placeOnThread(points, due / total)
      const values = { ...request.values, j, u: due / total, h: request.halfWidthMm, span: total }
      frames.push(frameAt(at, tangent, request.mirror, values))
      j += 1
    }
  }
  return back ? frames.reverse() : frames
}

function endsNearer(points: readonly Point[], to: Point | null): boolean {
  if (!to) return false
  const first = points[0] as Point
  const last = points[points.length - 1] as Point
  return Math.hypot(last.x - to.x, last.y - to.y) < Math.hypot(first.x - to.x, first.y - to.y)
}

function lengthOfWay(points: readonly Point[]): number {
  let total = 0
  for (let index = 1; index < points.length; index += 1) {
    const [a, b] = [points[index - 1] as Point, points[index] as Point]
    total += Math.hypot(b.x - a.x, b.y - a.y)
  }
  return total
}
