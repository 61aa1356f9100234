/**
 * Thread that lies outside the shape it is to fill: beyond the outline, or across a hole that was to stay free.
 * Measured on the front thread at five places of each piece.
 */
import { isInRegion, type Point, type Region } from '../geometry/index.ts'
import type { StitchWork, WorkedStitch } from '../work/index.ts'

export interface OutsideShape {
  /** Of the thread in front, 0 to 1, what lies outside by more than the eye allows. */
  readonly share: number
  /** How far the furthest of it lies outside, mm. */
  readonly mostMm: number
  /** It crosses a hole. */
  readonly acrossHole: boolean
}

const NOTHING: OutsideShape = { share: 0, mostMm: 0, acrossHole: false }
/** An edge is covered from just outside it: one and a half threads, and at the least so much. mm */
const ALLOWED_MM = 0.6
const ALLOWED_WIDTHS = 1.5
const PLACES = [0, 0.25, 0.5, 0.75, 1]

export function measureOutside({ guide, materials }: Pick<StitchWork, 'guide' | 'materials'>, { segments }: Pick<WorkedStitch, 'segments'>): OutsideShape {
  if (guide.kind !== 'shape') return NOTHING
  const allowed = Math.max(ALLOWED_MM, ALLOWED_WIDTHS * materials.W)
  const outline: Region = [guide.region[0] as readonly Point[]]
  let inFront = 0
  let outside = 0
  let mostMm = 0
  let acrossHole = false
  for (const { side, points, lengthMm } of segments) {
    if (side !== 'front') continue
    inFront += lengthMm
    for (const share of PLACES) {
      const at = placeOn(points, share)
      if (isInRegion(guide.region, at)) continue
      const off = distanceToRegion(guide.region, at)
      if (off <= allowed) continue
      outside += lengthMm / PLACES.length
      mostMm = Math.max(mostMm, off)
      acrossHole ||= isInRegion(outline, at)
    }
  }
  return inFront > 0 && outside > 0 ? { share: outside / inFront, mostMm, acrossHole } : NOTHING
}

/** Between way-points as if they lay evenly: near enough to judge by. */
function placeOn(points: readonly Point[], share: number): Point {
  const along = share * (points.length - 1)
  const index = Math.min(points.length - 2, Math.floor(along))
  const a = points[Math.max(0, index)] as Point
  const b = points[index + 1] ?? a
  const rest = along - index
  return { x: a.x + (b.x - a.x) * rest, y: a.y + (b.y - a.y) * rest }
}

function distanceToRegion(region: Region, at: Point): number {
  let least = Infinity
  for (const ring of region) {
    ring.forEach((a, index) => {
      const b = ring[(index + 1) % ring.length] as Point
      const square = (b.x - a.x) ** 2 + (b.y - a.y) ** 2
      const share = square === 0 ? 0 : Math.max(0, Math.min(1, ((at.x - a.x) * (b.x - a.x) + (at.y - a.y) * (b.y - a.y)) / square))
      least = Math.min(least, Math.hypot(at.x - a.x - share * (b.x - a.x), at.y - a.y - share * (b.y - a.y)))
    })
  }
  return least
}
