/**
 * What is drawn on the cloth for an exercise: its lines, where to start and which way, and the holes that are marked.
 */
import type { MeasuredPath, Point } from '../geometry/index.ts'
import { CellIndex, distance, leftOf, placeAt, step } from '../geometry/index.ts'
import { gridPoint, type ReadGuide } from '../guide/index.ts'
import type { MarkStyle } from '../sampler/index.ts'
import type { WorkedStitch } from '../work/index.ts'
import { orderMarks } from './guide-marks.ts'
import type { Mark } from './mark.ts'

export interface MarkSettings {
  readonly style: MarkStyle
  readonly nth: number
  /** Holes nearer than this are one dot: "right beside" is judged by the needle, not by a mark. */
  readonly besideMm: number
  readonly hand: 'right' | 'left'
}

export function drawMarks(guide: ReadGuide, worked: WorkedStitch, { style, nth, besideMm, hand }: MarkSettings): Mark[] {
  if (style === 'none') return []
  const marks: Mark[] = []
  if (guide.kind === 'line') marks.push(...linesOf(guide))
  if (guide.kind === 'shape') {
    marks.push({ kind: 'line', points: guide.outline.points, closed: true })
    for (const hole of guide.region.slice(1)) marks.push({ kind: 'line', points: hole, closed: true })
    for (const direction of guide.directions) marks.push({ kind: 'line', points: direction.points, closed: false })
    if (guide.vein) marks.push({ kind: 'line', points: guide.vein.points, closed: false })
  }
  if (guide.kind === 'grid') marks.push(...gridLines(guide))
  if (guide.kind === 'pins') {
    for (const pin of guide.pins) marks.push({ kind: 'line', points: [guide.base, pin], closed: false }, { kind: 'dot', at: pin, needle: 'down' })
  }
  if (guide.kind === 'line') {
    marks.push(startOf(guide.path, hand))
  }
  if (style === 'guide-only' && guide.kind !== 'spots') return marks
  // Of a fill the lines that keep it in order; a dot for every stitch of it would be more than anybody draws.
  if (style === 'in-order' && guide.kind === 'shape') return [...marks, ...orderMarks(guide, worked)]
  const dots = dotsOf(worked, besideMm)
  if (style === 'every-hole' || style === 'in-order' || guide.kind === 'spots') marks.push(...dots)
  else if (style === 'every-nth') marks.push(...dots.filter((_, index) => index % Math.max(1, nth) === 0 || index === dots.length - 1))
  else if (style === 'ends-only') marks.push(...dots.slice(0, 1), ...dots.slice(1).slice(-1))
  return style === 'in-order' ? [...marks, ...orderMarks(guide, worked)] : marks
}

/** The left hand begins at the other end; on a closed line at the same place, the other way round. */
function startOf(path: MeasuredPath, hand: 'right' | 'left'): Mark {
  if (hand === 'right') {
    const { at, direction } = placeAt(path, 0)
    return { kind: 'start', at, towards: direction }
  }
  const { at, direction } = placeAt(path, path.length, true)
  return { kind: 'start', at, towards: { x: -direction.x, y: -direction.y } }
}

function gridLines(grid: Extract<ReadGuide, { kind: 'grid' }>): Mark[] {
  const { columns, rows } = grid
  const across = Array.from({ length: rows + 1 }, (_, row) => [gridPoint(grid, 0, row), gridPoint(grid, columns, row)])
  const down = Array.from({ length: columns + 1 }, (_, column) => [gridPoint(grid, column, 0), gridPoint(grid, column, rows)])
  return [...across, ...down].map((points) => ({ kind: 'line', points, closed: false }))
}

/** The line itself; for a band its two rails instead, for a ring its centre too. */
function linesOf(guide: Extract<ReadGuide, { kind: 'line' }>): Mark[] {
  const { path, width, centre } = guide
  if (width?.kind === 'outline')
    return [...width.region.map((points): Mark => ({ kind: 'line', points, closed: true })), { kind: 'line', points: path.points, closed: false }]
  if (width?.kind === 'rails') return [width.left, width.right].map((points): Mark => ({ kind: 'line', points, closed: path.closed }))
  if (width?.kind === 'even') {
    const rail = (by: number): Mark => ({
      kind: 'line',
      points: path.starts.map((start) => {
        const place = placeAt(path, start)
        return step(place.at, leftOf(place.direction), by)
      }),
      closed: path.closed,
    })
    return [rail(width.halfMm), rail(-width.halfMm)]
  }
  const line: Mark = { kind: 'line', points: path.points, closed: path.closed }
  return centre ? [line, { kind: 'dot', at: centre, needle: 'down' }] : [line]
}

/** The share of holes that a mark shows, 0 to 1. */
export function markedShare(worked: WorkedStitch, marks: readonly Mark[], besideMm: number): number {
  if (worked.holes.length === 0) return 1
  const dots = marks.reduce((count, mark) => count + (mark.kind === 'dot' ? 1 : 0), 0)
  return dots === 0 ? 0 : Math.min(1, dots / dotsOf(worked, besideMm).length)
}

type Dot = Extract<Mark, { kind: 'dot' }>
/** Asked for by the marks and again by what counts those without one. */
const known = new WeakMap<WorkedStitch, { readonly besideMm: number; readonly dots: readonly Dot[] }>()

function dotsOf(worked: WorkedStitch, besideMm: number): readonly Dot[] {
  const before = known.get(worked)
  if (before?.besideMm === besideMm) return before.dots
  const dots = gatherDots(worked, besideMm)
  known.set(worked, { besideMm, dots })
  return dots
}

function gatherDots(worked: WorkedStitch, besideMm: number): Dot[] {
  const dots: { readonly kind: 'dot'; readonly at: Point; needle: 'up' | 'down' | 'both' }[] = []
  const cells = new CellIndex()
  const size = Math.max(0.05, besideMm * 1.3)
  const cell = (value: number): number => Math.floor(value / size)
  // A hole met again has its dot already: only new places are looked for among the others.
  const dotOf = new Map<number, number>()
  for (const hole of worked.holes) {
    const [column, row] = [cell(hole.x), cell(hole.y)]
    let near = dotOf.get(hole.same) ?? -1
    for (let dx = -1; dx <= 1 && near < 0; dx += 1) {
      for (let dy = -1; dy <= 1 && near < 0; dy += 1) {
        for (let index = cells.in(column + dx, row + dy); index >= 0; index = cells.before(index)) {
          if (distance((dots[index] as { at: Point }).at, hole) < size) near = index
        }
      }
    }
    dotOf.set(hole.same, near >= 0 ? near : dots.length)
    if (near >= 0) {
      const dot = dots[near] as { needle: 'up' | 'down' | 'both' }
      if (dot.needle !== hole.move) dot.needle = 'both'
      continue
    }
    cells.add(column, row)
    dots.push({ kind: 'dot', at: { x: hole.x, y: hole.y }, needle: hole.move })
  }
  return dots
}
