/**
 * The pass rule: a thread slides past others on the front. Way-points: entry on one side, the threads passed
 * (under them, or over), exit on the other; between two passes the thread crosses over the line when it waits
 * on the other side, or bends in a bight when it waits on the same side. mm; z is height over the cloth.
 */
import { dot, type Point, type Point3, scale, step, subtract, unit } from '../geometry/index.ts'

export interface PassedThread {
  readonly at: Point
  /** Its direction there. */
  readonly tangent: Point
}

export interface PassRequest {
  readonly kind: 'under' | 'over'
  readonly passed: readonly PassedThread[]
  /** Unit vector towards the side that is entered from. */
  readonly side: Point
  /** The direction of working. */
  readonly direction: Point
  readonly rho: number
  /** Where the thread waits, and the side of the last pass that it came out on; null straight from a hole. */
  readonly before: Point3
  readonly beforeSide: Point | null
  readonly beforeAt: Point | null
  /** One advance of the working, for the slant of a first pass. */
  readonly advanceMm: number
  readonly bightMm: number | null
}

export interface PassWay {
  /** Between the waiting place and the entry. */
  readonly approach: readonly Point3[]
  /** From entry to exit. */
  readonly through: readonly Point3[]
  /** How far the place where the thread waited slants along the working; to be added to it. */
  readonly slantBack: Point
}

export function wayPast(request: PassRequest): PassWay {
  const { passed, side, direction, rho, kind } = request
  const middle = mean(passed.map((one) => one.at))
  const reach = passed.length > 1 ? Math.max(...passed.map((one) => Math.abs(dot(subtract(one.at, middle), side)))) + rho : rho
  const first = passed[0] as PassedThread
  // Along the thread passed, in the way of working.
  const along = dot(first.tangent, direction) >= 0 ? first.tangent : scale(first.tangent, -1)
  const isOpposite = request.beforeSide === null ? null : dot(request.beforeSide, side) < 0
  // Between two different threads, as in weaving, the way is straight: it already waits where it goes in.
  const waitsOther = isOpposite === true && dot(subtract(request.before, first.at), side) > 0 ? null : isOpposite
  const apart = request.beforeAt ? Math.hypot(middle.x - request.beforeAt.x, middle.y - request.beforeAt.y) : request.advanceMm
  const slants = waitsOther !== false && !(isOpposite === true && waitsOther === null) && passed.length === 1 && Math.abs(dot(along, direction)) > 0.5
  const slant = slants ? Math.min(apart / 4, 1.5 * reach) : 0
  const entry = step(step(middle, side, reach), along, -slant)
  const exit = step(middle, side, -reach)
  const depth = kind === 'under' ? -rho : rho
  const ordered = [...passed].sort((a, b) => dot(b.at, side) - dot(a.at, side))
  const through = [flat(entry), ...ordered.map((one) => ({ x: one.at.x, y: one.at.y, z: depth })), flat(exit)]
  const approach: Point3[] = []
  if (waitsOther === true) {
    const half = { x: (request.before.x + entry.x) / 2, y: (request.before.y + entry.y) / 2 }
    approach.push({ x: half.x, y: half.y, z: rho })
  } else if (waitsOther === false) {
    const half = { x: (request.before.x + entry.x) / 2, y: (request.before.y + entry.y) / 2 }
    const gap = Math.hypot(entry.x - request.before.x, entry.y - request.before.y)
    const out = step(half, side, request.bightMm ?? 0.3 * gap)
    approach.push(flat(out))
  }
  return { approach, through, slantBack: waitsOther === true ? scale(along, slant) : { x: 0, y: 0 } }
}

/** The place at a share of a path's length, with its direction. */
export function placeOnThread(points: readonly Point[], share: number): PassedThread {
  let total = 0
  for (let index = 1; index < points.length; index += 1) total += gapOf(points, index)
  let left = Math.min(1, Math.max(0, share)) * total
  for (let index = 1; index < points.length; index += 1) {
    const size = gapOf(points, index)
    const a = points[index - 1] as Point
    const b = points[index] as Point
    if (left <= size || index === points.length - 1) {
      const part = size === 0 ? 0 : Math.min(1, left / size)
      return { at: { x: a.x + (b.x - a.x) * part, y: a.y + (b.y - a.y) * part }, tangent: unit(subtract(b, a)) ?? { x: 1, y: 0 } }
    }
    left -= size
  }
  return { at: points[0] as Point, tangent: { x: 1, y: 0 } }
}

/** The share of a path's length that lies nearest to a place. */
export function nearestOnThread(points: readonly Point[], to: Point): PassedThread {
  let best: PassedThread | null = null
  let nearest = Number.POSITIVE_INFINITY
  for (let index = 1; index < points.length; index += 1) {
    const a = points[index - 1] as Point
    const b = points[index] as Point
    const d = subtract(b, a)
    const size = dot(d, d)
    const share = size === 0 ? 0 : Math.min(1, Math.max(0, dot(subtract(to, a), d) / size))
    const at = step(a, d, share)
    const away = Math.hypot(to.x - at.x, to.y - at.y)
    if (away < nearest) {
      nearest = away
      best = { at, tangent: unit(d) ?? { x: 1, y: 0 } }
    }
  }
  return best ?? placeOnThread(points, 0)
}

function gapOf(points: readonly Point[], index: number): number {
  const a = points[index - 1] as Point
  const b = points[index] as Point
  return Math.hypot(b.x - a.x, b.y - a.y)
}

function mean(points: readonly Point[]): Point {
  return { x: points.reduce((total, at) => total + at.x, 0) / points.length, y: points.reduce((total, at) => total + at.y, 0) / points.length }
}

function flat(at: Point): Point3 {
  return { x: at.x, y: at.y, z: 0 }
}
