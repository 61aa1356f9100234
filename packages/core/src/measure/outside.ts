/**
 * Thread that lies outside the shape it is to fill: beyond the outline, or across a hole that was to stay free.
 * Measured on the front thread at five places of each piece.
 */
import { isInRegion, measurePath, nearestPlace, type Point, type Region } from '../geometry/index.ts'
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
  const outline: Region = [guide.outline.points]
  const edges = [guide.outline, ...guide.region.slice(1).flatMap((hole) => measurePath(hole, true) ?? [])]
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
      const off = Math.min(...edges.map((edge) => nearestPlace(edge, at).distance))
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
