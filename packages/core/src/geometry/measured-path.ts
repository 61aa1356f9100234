/**
 * Places along a polyline, named by the distance travelled from its first point. Coordinates and distances
 * are millimetres. One list of running lengths serves every function, so they cannot disagree: the place at
 * `path.length` is exactly the last point kept. Points are finite (the contract checks them).
 */
import { requireNumber } from '../base/index.ts'
import { distance, type Point } from './point.ts'

/** Points nearer than this are one: a millionth of a micron, far under any thread and far over rounding. */
const NEAREST_MM = 1e-9

export interface MeasuredPath {
  /** At least two distinct points. A closed path ends on its first point. */
  readonly points: readonly Point[]
  /** `starts[i]`: the distance travelled to `points[i]`. */
  readonly starts: readonly number[]
  readonly length: number
  readonly closed: boolean
  /** Distances at which the given path turns sharply at a point; never an end of an open path. Rising. */
  readonly corners: readonly number[]
}

/** Null when fewer than two distinct points are left once repeats are dropped. */
export function measurePath(points: readonly Point[], closed = false, cornerIndexes: readonly number[] = []): MeasuredPath | null {
  const kept: Point[] = []
  const starts: number[] = []
  const corners: number[] = []
  const isCorner = new Set(cornerIndexes)
  for (const [index, to] of points.entries()) {
    const from = kept.at(-1)
    const travelled = from === undefined ? 0 : (starts.at(-1) ?? 0) + distance(from, to)
    const repeated = from !== undefined && travelled - (starts.at(-1) ?? 0) < NEAREST_MM
    if (!repeated) {
      kept.push(to)
      starts.push(travelled)
    }
    const place = starts.at(-1) ?? 0
    if (isCorner.has(index) && corners.at(-1) !== place) corners.push(place)
  }
  const total = starts.at(-1) ?? 0
  if (kept.length < 2) return null
  return { points: kept, starts, length: total, closed, corners }
}

/** The index of the stretch that holds `travelled`: binary search, so paths of 10^5 points stay quick. */
function stretchAt(path: MeasuredPath, travelled: number): number {
  let low = 0
  let high = path.points.length - 2
  while (low < high) {
    const middle = (low + high + 1) >> 1
    if ((path.starts[middle] as number) <= travelled) low = middle
    else high = middle - 1
  }
  return low
}

export interface Place {
  readonly at: Point
  /** Unit vector in the direction of travel. */
  readonly direction: Point
}

/**
 * The place `travelled` mm from the start. Beyond the ends of an open path the last direction continues;
 * a closed path is travelled round again. At a corner the direction is the one that leaves it, or with
 * `arriving` the one that comes into it.
 */
export function placeAt(path: MeasuredPath, travelled: number, arriving = false): Place {
  requireNumber(travelled, 'travelled')
  const along = path.closed ? wrapRound(travelled, path.length, arriving) : travelled
  let index = stretchAt(path, along)
  if (arriving && index > 0 && along - (path.starts[index] as number) < 1e-9) index -= 1
  const from = path.points[index] as Point
  const to = path.points[index + 1] as Point
  const start = path.starts[index] as number
  const end = path.starts[index + 1] as number
  const [dx, dy, size] = [to.x - from.x, to.y - from.y, end - start]
  const share = (along - start) / size
  return { at: { x: from.x + dx * share, y: from.y + dy * share }, direction: { x: dx / size, y: dy / size } }
}

function wrapRound(travelled: number, around: number, arriving: boolean): number {
  const rest = travelled - Math.floor(travelled / around) * around
  return arriving && rest < 1e-9 && travelled > 1e-9 ? around : rest
}

export interface Nearest {
  readonly travelled: number
  readonly distance: number
  /** How far to the side, positive to the left of the direction of travel; beyond an end, the end's direction goes on. */
  readonly offset: number
}

/** Where, and how near, the path comes nearest to `to`, looked for between two distances travelled (the whole path by default). */
export function nearestPlace(path: MeasuredPath, to: Point, from = 0, until = path.length): Nearest {
  const first = stretchAt(path, Math.max(0, from))
  const last = stretchAt(path, Math.min(path.length, until))
  // Called for every place of every thread on a curve: nothing is made but the answer.
  let best = first
  let bestShare = 0
  let least = Infinity
  for (let index = first; index <= last; index += 1) {
    const a = path.points[index] as Point
    const b = path.points[index + 1] as Point
    const dx = b.x - a.x
    const dy = b.y - a.y
    const share = Math.min(1, Math.max(0, ((to.x - a.x) * dx + (to.y - a.y) * dy) / (dx * dx + dy * dy)))
    const offX = to.x - a.x - dx * share
    const offY = to.y - a.y - dy * share
    const square = offX * offX + offY * offY
    if (square < least) {
      least = square
      best = index
      bestShare = share
    }
  }
  const a = path.points[best] as Point
  const b = path.points[best + 1] as Point
  const dx = b.x - a.x
  const dy = b.y - a.y
  const size = Math.sqrt(dx * dx + dy * dy)
  return {
    travelled: (path.starts[best] as number) + size * bestShare,
    distance: Math.sqrt(least),
    offset: (dy * (to.x - a.x - dx * bestShare) - dx * (to.y - a.y - dy * bestShare)) / size,
  }
}

/** The same path with points at least `spacing` mm apart, each where it was; ends and corners are kept. */
export function thinPath(path: MeasuredPath, spacing: number): MeasuredPath {
  const corners = new Set(path.corners)
  const points: Point[] = []
  const starts: number[] = []
  for (const [index, at] of path.points.entries()) {
    const start = path.starts[index] as number
    const last = starts.at(-1)
    if (last !== undefined && start - last < spacing && index < path.points.length - 1 && !corners.has(start)) continue
    points.push(at)
    starts.push(start)
  }
  return { points, starts, length: path.length, closed: path.closed, corners: path.corners }
}

/** The part between two distances travelled, as an open path without corners. Null when it has no length. */
export function slicePath(path: MeasuredPath, from: number, until: number): MeasuredPath | null {
  if (!(until - from > 1e-9)) return null
  const points = [placeAt(path, from).at]
  for (const [index, start] of path.starts.entries()) {
    if (start > from + 1e-9 && start < until - 1e-9) points.push(path.points[index] as Point)
  }
  points.push(placeAt(path, until, true).at)
  return measurePath(points)
}

/** A closed path begun at another of its places; its first corner becomes the start when there is one. */
export function startAtCorner(path: MeasuredPath): MeasuredPath {
  const first = path.corners[0]
  if (!path.closed || first === undefined || first === 0) return path
  const before = slicePath(path, 0, first)
  const after = slicePath(path, first, path.length)
  if (!before || !after) return path
  const points = [...after.points, ...before.points.slice(1)]
  const measured = measurePath(points, true)
  if (!measured) return path
  return { ...measured, corners: path.corners.map((corner) => corner - first) }
}

/** The tightest radius of curvature, judged over three places `span` mm apart; Infinity for a straight path. */
export function tightestRadius(path: MeasuredPath, span: number): number {
  const stepMm = Math.min(span, path.length / 8)
  if (!(stepMm > 0) || path.points.length < 3) return Number.POSITIVE_INFINITY
  let tightest = Number.POSITIVE_INFINITY
  const last = path.closed ? path.length : path.length - stepMm
  // Places half a step apart, each asked for once: the three looked at are every other of the latest five.
  const first = path.closed ? 0 : stepMm
  const places: Point[] = []
  for (let half = 0, along = first; along <= last + 1e-9; half += 1, along = first + (half * stepMm) / 2) {
    while (places.length < half + 5) places.push(placeAt(path, first + ((places.length - 2) * stepMm) / 2).at)
    const nearCorner = path.corners.some((corner) => Math.abs(corner - along) < stepMm)
    if (nearCorner) continue
    const [a, b, c] = [places[half], places[half + 2], places[half + 4]] as [Point, Point, Point]
    const twiceArea = Math.abs((b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x))
    if (twiceArea < 1e-9) continue
    // R = abc / (4 x area), the circle through three points.
    tightest = Math.min(tightest, (distance(a, b) * distance(b, c) * distance(a, c)) / (2 * twiceArea))
  }
  return tightest
}
