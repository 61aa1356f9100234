/**
 * What can be drawn on the cloth: each tool takes places (pressed, dragged or typed) and a few figures, and gives guides. By
 * hand and by keyboard it is the same tool with the same figures.
 */
import { nearestPlace, parsePath, type Point } from '../geometry/index.ts'
import { LINE_TOOLS } from './line-tools.ts'
import { SHAPE_TOOLS } from './shape-tools.ts'
import { SPOT_TOOLS } from './spot-tools.ts'
import { type DrawTool, line, withGuides } from './tool.ts'
import { cornered } from './ways.ts'

/** As they are offered: by what they draw. */
export const DRAW_TOOL_GROUPS: readonly { readonly name: string; readonly tools: readonly DrawTool[] }[] = [
  { name: 'Lines', tools: LINE_TOOLS.map(withGuides) },
  { name: 'Shapes', tools: SHAPE_TOOLS.map(withGuides) },
  { name: 'Spots and squares', tools: SPOT_TOOLS.map(withGuides) },
]

export const DRAW_TOOLS: readonly DrawTool[] = DRAW_TOOL_GROUPS.flatMap((one) => one.tools)

/** Draws nothing: it says how far, and in which direction. */
export const MEASURE: DrawTool = withGuides({
  id: 'measure',
  name: 'Measure',
  kind: 'line',
  taking: 'drag',
  how: 'Drag from one place to another; ends and bends of guides are met exactly.',
  asks: 'From, to',
  figures: [],
  places: 2,
  least: 2,
  make: (places) => line(cornered(places)),
})

export interface Measured {
  readonly lengthMm: number
  /** Anticlockwise from the right, as one reads it off the cloth; -180 to 180. */
  readonly degrees: number
  /** To the right and down. */
  readonly across: number
  readonly down: number
}

export function measureBetween(from: Point, to: Point): Measured {
  const [across, down] = [to.x - from.x, to.y - from.y]
  return { lengthMm: Math.hypot(across, down), degrees: Math.round((Math.atan2(from.y - to.y, across) * 1800) / Math.PI) / 10 + 0, across, down }
}

/** Nearer to a way than this is on it, mm. */
const ON_IT_MM = 0.6

/** How far it is along a way from one place on it to another, the shorter way round where it is closed; null where one is not on it. */
export function measureAlong(path: string, from: Point, to: Point): number | null {
  const parsed = parsePath(path)
  if (!parsed.ok) return null
  const way = parsed.value
  const [a, b] = [nearestPlace(way, from), nearestPlace(way, to)]
  if (a.distance > ON_IT_MM || b.distance > ON_IT_MM) return null
  const between = Math.abs(b.travelled - a.travelled)
  return way.closed ? Math.min(between, way.length - between) : between
}

export function usualFigures(tool: DrawTool): Readonly<Record<string, number>> {
  return Object.fromEntries(tool.figures.map((one) => [one.id, one.usual]))
}
