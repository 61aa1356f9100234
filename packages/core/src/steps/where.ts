/**
 * Where a hole lies, by something that can be seen: the line, an edge, a corner, a hole beside it. From the picture as it lies, so
 * that a turned or mirrored picture has its own words.
 */
import { distance, type MeasuredPath, nearestPlace, placeAt, type Point } from '../geometry/index.ts'
import type { GuideWidth, ReadGuide } from '../guide/index.ts'
import type { Direction, Side, Where } from './phrases.ts'

/** Nearer than this share of a thread's width lies on the line; and never less than so much, mm. */
const ON_LINE_WIDTHS = 0.6
const ON_LINE_MM = 0.28
const ON_EDGE_MM = 0.7
const PACKED_WIDTHS = 2.2
const ON_VEIN_MM = 0.45

export interface Looking {
  readonly guide: ReadGuide
  /** As worked to as seen. */
  readonly seen: (at: Point) => Point
  /** Width of the thread in hand, mm. */
  readonly widthMm: number
  /** From one stitch to the next, mm. */
  readonly advanceMm: number
}

/** `v`: as seen. The main axis where it is over 2.4 times the other. */
export function directionOf(v: Point): Direction {
  const [x, y] = [Math.abs(v.x), Math.abs(v.y)]
  if (x > 2.4 * y) return v.x < 0 ? 'left' : 'right'
  if (y > 2.4 * x) return v.y < 0 ? 'up' : 'down'
  return `${v.y < 0 ? 'up' : 'down'}-${v.x < 0 ? 'left' : 'right'}`
}

export function sideOf(v: Point): Side {
  return Math.abs(v.x) > Math.abs(v.y) ? (v.x < 0 ? 'left' : 'right') : v.y < 0 ? 'up' : 'down'
}

/** Which way `from` to `to` runs as seen. */
export function wayOf(from: Point, to: Point, { seen }: Looking): Point {
  const [a, b] = [seen(from), seen(to)]
  return { x: b.x - a.x, y: b.y - a.y }
}

/** By the guide alone. */
export function whereOnGuide(at: Point, looking: Looking): Where | null {
  const { guide, widthMm } = looking
  switch (guide.kind) {
    case 'line': {
      const { travelled } = nearestPlace(guide.path, at)
      const foot = placeAt(guide.path, travelled).at
      const away = distance(foot, at)
      if (guide.centre) {
        if (distance(at, guide.centre) < Math.max(0.8, 2 * widthMm)) return { at: 'centre' }
        if (away < Math.max(ON_LINE_MM, ON_LINE_WIDTHS * widthMm)) return { at: 'rim' }
        return { at: distance(at, guide.centre) < distance(foot, guide.centre) ? 'inside' : 'outside' }
      }
      const side = sideOf(wayOf(foot, at, looking))
      if (away < Math.max(ON_LINE_MM, ON_LINE_WIDTHS * widthMm)) return { at: guide.width ? 'middle-line' : 'line' }
      if (!guide.width) return { at: 'beside-line', side }
      if (!isAtSide(guide.width, at, away)) return { at: 'inside-rail', side }
      return guide.width.kind === 'outline' ? { at: 'edge', side } : { at: 'rail', side }
    }
    case 'shape': {
      const toVein = guide.vein ? nearestPlace(guide.vein, at).distance : Number.POSITIVE_INFINITY
      if (toVein < Math.max(ON_LINE_MM, ON_LINE_WIDTHS * widthMm)) return { at: 'vein' }
      if (nearestPlace(guide.outline, at).distance > Math.max(ON_EDGE_MM, widthMm))
        return toVein < Math.max(2 * ON_VEIN_MM, 2.2 * widthMm) ? { at: 'past-vein' } : null
      return { at: 'edge', side: outwardAt(guide.outline, at, looking) }
    }
    case 'spots': {
      const side = guide.sideMm
      if (side === undefined) return null
      const nearest = nearestOf(guide.at, at)
      if (Math.max(Math.abs(at.x - nearest.x), Math.abs(at.y - nearest.y)) < 0.35 * side) return null
      return { at: 'corner', side: directionOf(wayOf(nearest, at, looking)) }
    }
    case 'pins':
      return Math.abs(distance(at, guide.base)) < 3 * widthMm + 2.5 ? { at: 'base' } : null
    case 'grid':
      return null
  }
}

/** Relative to a hole made before: straight below it, a step further, half way back. `from`: where this stitch came up. */
export function whereAlong(at: Point, from: Point, before: { readonly at: Point; readonly hole: number | null }, looking: Looking): Where | null {
  const { guide, advanceMm } = looking
  if (guide.kind !== 'line' || guide.centre) return null
  const s = (point: Point): number => nearestPlace(guide.path, point).travelled
  const [here, last, start] = [s(at), s(before.at), s(from)]
  const near = 0.15 * Math.max(advanceMm, 0.5)
  // Packed side by side, they are not steps along the line.
  const isPacked = advanceMm < PACKED_WIDTHS * looking.widthMm
  const by = here - last
  if (Math.abs(by) < near) {
    if (before.hole === null || distance(at, before.at) < near) return null
    return { at: 'straight', side: sideOf(wayOf(before.at, at, looking)), hole: before.hole }
  }
  if (isPacked) return null
  const stitch = Math.abs(last - start)
  if (by < 0 && stitch > near && Math.abs(by / stitch + 0.5) < 0.12) return { at: 'half-back' }
  return { at: by > 0 ? 'further' : 'back', whole: Math.abs(by) > 0.45 * advanceMm }
}

/** Near enough to where the guide ends at the side. */
function isAtSide(width: GuideWidth, at: Point, awayMm: number): boolean {
  if (width.kind === 'even') return awayMm > 0.8 * width.halfMm
  const rings = width.kind === 'rails' ? [width.points] : width.region
  return rings.some((ring) => gapTo(ring, at) < ON_EDGE_MM)
}

/** From a place to a ring of points, mm. */
function gapTo(points: readonly Point[], at: Point): number {
  let best = Number.POSITIVE_INFINITY
  for (const [index, to] of points.entries()) {
    const from = points[(index + points.length - 1) % points.length] ?? to
    const [dx, dy] = [to.x - from.x, to.y - from.y]
    const size = dx * dx + dy * dy
    const share = size === 0 ? 0 : Math.min(1, Math.max(0, ((at.x - from.x) * dx + (at.y - from.y) * dy) / size))
    best = Math.min(best, Math.hypot(from.x + dx * share - at.x, from.y + dy * share - at.y))
  }
  return best
}

/** To which side an outline is an edge there: square to it, away from the middle. */
function outwardAt(outline: MeasuredPath, at: Point, looking: Looking): Direction {
  const { at: foot, direction } = placeAt(outline, nearestPlace(outline, at).travelled)
  const middle = middleOf(outline.points)
  const normal = { x: -direction.y, y: direction.x }
  const flip = (foot.x - middle.x) * normal.x + (foot.y - middle.y) * normal.y < 0 ? -1 : 1
  return directionOf(wayOf(foot, { x: foot.x + normal.x * flip, y: foot.y + normal.y * flip }, looking))
}

function middleOf(points: readonly Point[]): Point {
  const [xs, ys] = [points.map((one) => one.x), points.map((one) => one.y)]
  return { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 }
}

function nearestOf(all: readonly Point[], at: Point): Point {
  return all.reduce((best, one) => (distance(one, at) < distance(best, at) ? one : best), all[0] ?? at)
}
