/** How a piece of thread lies: over padding, beside what it passes, bent where it is pierced. */
import { distance, dot, leftOf, type Point, type Point3, scale, subtract } from '../geometry/index.ts'
import type { PassedThread } from './pass-rule.ts'
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
export function sideOf(lead: PassedThread, from: 'left' | 'right' | 'near', before: Point3, context: MoveContext): Point {
  const normal = leftOf(lead.tangent)
  const wanted = from === 'near' ? subtract(before, lead.at) : scale(leftOf(context.direction), (from === 'left' ? 1 : -1) * context.mirror)
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
