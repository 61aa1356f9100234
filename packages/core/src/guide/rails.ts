/**
 * A band by its two rails. Its middle line runs half way between places of equal share; its width is measured
 * square to that line, to each rail. mm.
 */
import { error, failure, type Result, success } from '../base/index.ts'
import {
  chordsOfRegion,
  distance,
  dot,
  leftOf,
  lerp,
  type MeasuredPath,
  measurePath,
  placeAt,
  type Point,
  type Region,
  step,
  thinPath,
} from '../geometry/index.ts'
import { NARROWEST_BAND_MM } from './limits.ts'
import type { GuideWidth, ReadGuide } from './types.ts'

/** Places on each rail between which the middle is taken. */
const RAIL_STEPS = 80

export function middleOfRails(left: MeasuredPath, right: MeasuredPath): MeasuredPath | null {
  const at = (path: MeasuredPath, index: number): Point => placeAt(path, (path.length * index) / RAIL_STEPS, true).at
  const closed = left.closed && right.closed
  const middles = Array.from({ length: RAIL_STEPS + 1 }, (_, index) => lerp(at(left, index), at(right, index), 0.5))
  return measurePath(middles, closed)
}

export function bandBetweenRails(left: MeasuredPath, right: MeasuredPath): Result<ReadGuide> {
  if (areOpposite(left, right)) return failure(error('guide.rails-opposite', ['rails']))
  const middle = middleOfRails(left, right)
  const apart = Math.max(...[0, 0.25, 0.5, 0.75, 1].map((share) => gapAt(left, right, share)))
  if (!middle || apart < NARROWEST_BAND_MM) return failure(error('guide.rails', ['rails']))
  const points = [...left.points, ...[...right.points].reverse()]
  return success({ kind: 'line', path: middle, width: { kind: 'rails', left: left.points, right: right.points, points } })
}

/** Each begins where the other ends: between places of equal share there is no middle. */
function areOpposite(left: MeasuredPath, right: MeasuredPath): boolean {
  if (left.closed || right.closed) return false
  const [a, b] = [left.points[0] as Point, left.points[left.points.length - 1] as Point]
  const [c, d] = [right.points[0] as Point, right.points[right.points.length - 1] as Point]
  const alike = distance(a, c) + distance(b, d)
  const opposite = distance(a, d) + distance(b, c)
  return opposite < OPPOSITE * alike
}

/** Of a short broad band the diagonals are as long as its ends are apart: only what is plain is refused. */
const OPPOSITE = 0.8

function gapAt(left: MeasuredPath, right: MeasuredPath, share: number): number {
  const [a, b] = [placeAt(left, left.length * share, true).at, placeAt(right, right.length * share, true).at]
  return Math.hypot(a.x - b.x, a.y - b.y)
}

/** The line that runs so far to the left of a path (negative: to the right); null where it shrinks to nothing. */
export function railBeside(path: MeasuredPath, by: number): MeasuredPath | null {
  const thin = thinPath(path, 0.2)
  const points = thin.starts.flatMap((start) => {
    const leaving = placeAt(path, start)
    const arriving = placeAt(path, start, true)
    const away = (direction: Point): Point => step(leaving.at, leftOf(direction), by)
    const corner = path.corners.some((place) => Math.abs(place - start) < 1e-9)
    return corner ? [away(arriving.direction), away(leaving.direction)] : [away(leaving.direction)]
  })
  const rail = measurePath(points, path.closed)
  return rail && rail.length >= NARROWEST_BAND_MM ? rail : null
}

/** The reach of a guide to the left and right at a place along it, mm. */
export function widthsAt(
  width: GuideWidth | undefined,
  place: { readonly at: Point; readonly direction: Point },
): { readonly left: number; readonly right: number } {
  if (width === undefined) return { left: 0, right: 0 }
  if (width.kind === 'even') return { left: width.halfMm, right: width.halfMm }
  if (width.kind !== 'rails') return acrossAt(width.region, place, 0) ?? NO_REACH
  const here = acrossAt([width.points], place, 0)
  if (here && Math.min(here.left, here.right) > EVEN_ENOUGH * Math.max(here.left, here.right)) return here
  // Rails begin and end where their middle does: there the way across may miss them, or cut across the end of one.
  let best = here ?? NO_REACH
  for (const along of PAST_END_MM) {
    const reach = acrossAt([width.points], place, along)
    if (reach && reach.left + reach.right > ENDS_SHARE * (best.left + best.right)) best = reach
  }
  return best
}

const NO_REACH = { left: 0, right: 0 } as const
const PAST_END_MM = [0.02, -0.02, 0.1, -0.1]
/** The middle line lies between its rails: one side is not much wider than the other. */
const EVEN_ENOUGH = 0.8
/** So much wider beside the end, it was the end that was cut. */
const ENDS_SHARE = 1.05

function acrossAt(region: Region, { at, direction }: { readonly at: Point; readonly direction: Point }, along: number) {
  const side = leftOf(direction)
  const here = dot(at, side)
  for (const { a, b } of chordsOfRegion(region, direction, dot(at, direction) + along)) {
    const [left, right] = [dot(a, side) - here, here - dot(b, side)]
    if (left >= -0.01 && right >= -0.01) return { left: Math.max(0, left), right: Math.max(0, right) }
  }
  return null
}
