/** Guides moved and reshaped as a whole: by an offset, by dragging an end. The same guide comes back unchanged for nothing. */
import svgpath from 'svgpath'
import { unreachable } from '../base/index.ts'
import { add, parsePath, type Point, placeAt, subtract } from '../geometry/index.ts'
import type { Guide } from '../sampler/index.ts'

type Pair = readonly [number, number]

const moved = (at: Pair, by: Point): Pair => [tidy(at[0] + by.x), tidy(at[1] + by.y)]
/** Hundredths of a millimetre: finer than a drawn line, coarse enough to read in a file. */
const tidy = (value: number): number => Math.round(value * 100) / 100 + 0
const movePath = (data: string, by: Point): string => svgpath(data).translate(by.x, by.y).round(3).toString()

export function moveGuide(guide: Guide, by: Point): Guide {
  if (by.x === 0 && by.y === 0) return guide
  switch (guide.kind) {
    case 'line':
      return { ...guide, path: movePath(guide.path, by) }
    case 'shape':
      return {
        ...guide,
        path: movePath(guide.path, by),
        ...(guide.directions ? { directions: guide.directions.map((data) => movePath(data, by)) } : {}),
        ...(guide.vein ? { vein: movePath(guide.vein, by) } : {}),
        ...(guide.holes ? { holes: guide.holes.map((data) => movePath(data, by)) } : {}),
      }
    case 'band':
      return {
        ...guide,
        ...(guide.path ? { path: movePath(guide.path, by) } : {}),
        ...(guide.rails ? { rails: guide.rails.map((data) => movePath(data, by)) } : {}),
      }
    case 'spots':
      return { ...guide, at: guide.at.map((at) => moved(at, by)) }
    case 'spot':
    case 'ring':
    case 'square':
    case 'grid':
      return { ...guide, at: moved(guide.at, by) }
    case 'pins':
      return { ...guide, base: moved(guide.base, by), pins: guide.pins.map((at) => moved(at, by)) }
    default:
      return unreachable(guide)
  }
}

/**
 * A line turned and scaled about one end so that its other end lies at `to`. Its form (curves, corners) is
 * kept. A closed line or one whose ends meet is returned unchanged.
 */
export function dragEnd(guide: Guide, end: 'start' | 'end', to: Point): Guide {
  if ((guide.kind !== 'line' && guide.kind !== 'band') || guide.path === undefined) return guide
  const parsed = parsePath(guide.path)
  if (!parsed.ok || parsed.value.closed) return guide
  const path = parsed.value
  const first = placeAt(path, 0).at
  const last = placeAt(path, path.length, true).at
  const fixed = end === 'start' ? last : first
  const free = end === 'start' ? first : last
  const was = subtract(free, fixed)
  const now = subtract(to, fixed)
  const before = Math.hypot(was.x, was.y)
  const after = Math.hypot(now.x, now.y)
  if (before < 1e-6 || after < 1) return guide
  const scale = after / before
  const turn = Math.atan2(now.y, now.x) - Math.atan2(was.y, was.x)
  const cos = Math.cos(turn) * scale
  const sin = Math.sin(turn) * scale
  const origin = add(fixed, { x: -(cos * fixed.x - sin * fixed.y), y: -(sin * fixed.x + cos * fixed.y) })
  return { ...guide, path: svgpath(guide.path).matrix([cos, sin, -sin, cos, origin.x, origin.y]).round(3).toString() }
}

export interface Box {
  readonly left: number
  readonly top: number
  readonly right: number
  readonly bottom: number
}

export function boxOf(points: readonly Point[]): Box | null {
  if (points.length === 0) return null
  let left = Number.POSITIVE_INFINITY
  let top = Number.POSITIVE_INFINITY
  let right = Number.NEGATIVE_INFINITY
  let bottom = Number.NEGATIVE_INFINITY
  for (const at of points) {
    left = Math.min(left, at.x)
    top = Math.min(top, at.y)
    right = Math.max(right, at.x)
    bottom = Math.max(bottom, at.y)
  }
  return { left, top, right, bottom }
}
