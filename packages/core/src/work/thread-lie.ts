/** How a piece of thread lies: over padding, beside what it passes, bent where it is pierced. */
import { distance, dot, leftOf, lengthOf, type Point, type Point3, scale, subtract } from '../geometry/index.ts'
import type { PassSide } from '../notation/index.ts'
import { type PassedThread, placeOnThread } from './pass-rule.ts'
import type { MoveContext } from './thread-settings.ts'

/** Over padding a stitch climbs, lies on top and comes down again. */
export function lifted(way: readonly Point3[], padMm: number): Point3[] {
  const [a, b] = [way[0] as Point3, way[1] as Point3]
  const rise = Math.min(0.35, padMm / Math.max(1e-6, distance(a, b)))
  const at = (share: number): Point3 => ({ x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share, z: padMm })
  return [a, at(rise), at(1 - rise), b]
}

export function unnamed(context: MoveContext): MoveContext {
  return { ...context, label: null }
}

/** Towards the side that the needle enters from, square to the thread that is passed. */
export function sideOf(lead: PassedThread, from: PassSide, before: Point3, context: MoveContext): Point {
  const normal = leftOf(lead.tangent)
  const { direction, mirror } = context
  const sides = { left: scale(leftOf(direction), mirror), right: scale(leftOf(direction), -mirror), ahead: direction, behind: scale(direction, -1) }
  const wanted = from === 'near' ? subtract(before, lead.at) : sides[from]
  const agrees = dot(normal, wanted)
  // The thread passed runs across the working: take the side it comes from.
  const decided = Math.abs(agrees) > 0.05 ? agrees : dot(normal, subtract(before, lead.at))
  return decided >= 0 ? normal : scale(normal, -1)
}

export function sortAlong(from: Point, to: Point, places: readonly Point[]): Point3[] {
  const dx = to.x - from.x
  const dy = to.y - from.y
  return [...places].sort((a, b) => (a.x - b.x) * dx + (a.y - b.y) * dy).map((at) => ({ x: at.x, y: at.y, z: 0 }))
}

/** So finely is a thread divided that is drawn into a bow. */
const BOW_PIECES = 24
/** Of the way to its place so much is round: a thread under tension bends sharply, and not to a point. */
const ROUND_SHARE = 0.18

/** A thread held at both ends and drawn by a vector at a share of its length: two straight legs to a rounded bend. mm. */
export function drawnAside(points: readonly Point3[], share: number, by: Point): Point3[] {
  const total = lengthOf(points)
  const peak = Math.hypot(1, ROUND_SHARE) - ROUND_SHARE
  return Array.from({ length: BOW_PIECES + 1 }, (_, index) => {
    const u = index / BOW_PIECES
    const { at } = placeOnThread(points, u)
    const near = total > 0 ? Math.min(u / share, (1 - u) / (1 - share)) : 0
    const weight = (Math.hypot(1, ROUND_SHARE) - Math.hypot(1 - near, ROUND_SHARE)) / peak
    return { x: at.x + by.x * weight, y: at.y + by.y * weight, z: 0 }
  })
}
