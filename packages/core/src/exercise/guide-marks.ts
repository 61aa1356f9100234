/**
 * What helps to lay stitches in order, drawn before them: sections of a shape (halves, then quarters), the staggered ends of rows
 * that interlock, the corners of a square in working order, how often thread is wound between two dots.
 */
import { chordsOfRegion, dot, extentAlong, leftOf, type Point, type Region, step, subtract, unit } from '../geometry/index.ts'
import type { ReadGuide } from '../guide/index.ts'
import type { Segment, WorkedStitch } from '../work/index.ts'
import type { Mark } from './mark.ts'

export function orderMarks(guide: ReadGuide, worked: WorkedStitch): readonly Mark[] {
  return [...sectionMarks(guide, worked), ...rowMarks(guide, worked), ...cornerLetters(guide, worked), ...wrapMarks(worked)]
}

const frontOf = ({ segments }: WorkedStitch): readonly Segment[] => segments.filter((one) => one.side === 'front' && one.points.length > 1)

/** Which way stitches lie, by the mean of all, there and back alike; null for what lies every way. */
function lieOf(worked: WorkedStitch): Point | null {
  let [x, y] = [0, 0]
  for (const { points } of frontOf(worked)) {
    const [from, to] = [points[0] as Point, points.at(-1) as Point]
    const angle = 2 * Math.atan2(to.y - from.y, to.x - from.x)
    const long = Math.hypot(to.x - from.x, to.y - from.y)
    x += long * Math.cos(angle)
    y += long * Math.sin(angle)
  }
  const all = frontOf(worked).reduce(
    (sum, { points }) => sum + Math.hypot((points.at(-1)?.x ?? 0) - (points[0]?.x ?? 0), (points.at(-1)?.y ?? 0) - (points[0]?.y ?? 0)),
    0,
  )
  if (Math.hypot(x, y) < 0.35 * all || all === 0) return null
  const half = Math.atan2(y, x) / 2
  return { x: Math.cos(half), y: Math.sin(half) }
}

/** Halves first, then quarters: whoever begins at the middle of each keeps the slant. */
export function sectionMarks(guide: ReadGuide, worked: WorkedStitch): readonly Mark[] {
  const lie = guide.kind === 'shape' ? lieOf(worked) : null
  if (guide.kind !== 'shape' || !lie) return []
  const progress = leftOf(lie)
  const { from, to } = extentAlong(guide.region.flat(), progress)
  return [0.5, 0.25, 0.75].flatMap((share) =>
    chordsOfRegion(guide.region, progress, from + share * (to - from)).map(({ a, b }): Mark => ({ kind: 'line', points: [a, b], closed: false })),
  )
}

/** Stitches of each row of an interlocking fill, the first row first; empty elsewhere. */
export function rowCounts(worked: WorkedStitch): readonly number[] {
  const counts: number[] = []
  for (const { row } of frontOf(worked)) if (row !== null) counts[row] = (counts[row] ?? 0) + 1
  return Array.from(counts, (count) => count ?? 0)
}

/** An end so near to the outline lies on it: there is no next row to make room for, mm. */
const ON_EDGE_MM = 0.4

/** Where the stitches of each row but the last end inside the shape: every second one on its own line, so that the stagger is seen before it is sewn. */
export function rowMarks(guide: ReadGuide, worked: WorkedStitch): readonly Mark[] {
  const lie = guide.kind === 'shape' ? lieOf(worked) : null
  if (guide.kind !== 'shape' || !lie) return []
  const rows: Segment[][] = []
  for (const one of frontOf(worked)) if (one.row !== null) (rows[one.row] ??= []).push(one)
  return rows.slice(0, -1).flatMap((row, index): readonly Mark[] => {
    const next = rows[index + 1]
    if (!row || !next) return []
    const way = dot(subtract(middleOf(next), middleOf(row)), lie) >= 0 ? 1 : -1
    const onward = { x: lie.x * way, y: lie.y * way }
    const across = leftOf(onward)
    const ends = row
      .map(({ points }) => [points[0] as Point, points.at(-1) as Point].reduce((a, b) => (dot(b, onward) > dot(a, onward) ? b : a)))
      .sort((a, b) => dot(a, across) - dot(b, across))
      .map((at) => (isOnEdge(guide.region, at) ? null : at))
    return [0, 1].flatMap((odd) => runsOf(ends.filter((_, place) => place % 2 === odd)))
  })
}

function isOnEdge(region: Region, at: Point): boolean {
  return region.some((ring) => ring.some((from, index) => farFrom(at, from, ring[(index + 1) % ring.length] as Point) < ON_EDGE_MM))
}

function farFrom(at: Point, from: Point, to: Point): number {
  const way = subtract(to, from)
  const share = Math.min(1, Math.max(0, dot(subtract(at, from), way) / (dot(way, way) || 1)))
  return Math.hypot(at.x - from.x - way.x * share, at.y - from.y - way.y * share)
}

/** A line for each stretch without a gap. */
function runsOf(places: readonly (Point | null)[]): readonly Mark[] {
  const runs: Point[][] = [[]]
  for (const at of places) {
    if (at) runs.at(-1)?.push(at)
    else if ((runs.at(-1)?.length ?? 0) > 0) runs.push([])
  }
  return runs.flatMap((points): readonly Mark[] => (points.length < 2 ? [] : [{ kind: 'line', points, closed: false }]))
}

function middleOf(row: readonly Segment[]): Point {
  const points = row.flatMap(({ points: [first, ...rest] }) => [first as Point, (rest.at(-1) ?? first) as Point])
  return { x: points.reduce((sum, { x }) => sum + x, 0) / points.length, y: points.reduce((sum, { y }) => sum + y, 0) / points.length }
}

/** A letter stands so far outside its corner, mm. */
const LETTER_MM = 1.6

/** The holes of the first square in the order in which the needle comes to them: A, B, C. */
export function cornerLetters(guide: ReadGuide, worked: WorkedStitch): readonly Mark[] {
  if (guide.kind !== 'spots' || guide.sideMm === undefined) return []
  const [middle] = guide.at
  if (!middle) return []
  const reach = guide.sideMm * 0.75
  const first = worked.holes.filter((hole, index) => hole.same === index && Math.max(Math.abs(hole.x - middle.x), Math.abs(hole.y - middle.y)) <= reach)
  return first.slice(0, 26).map((hole, index): Mark => {
    const out = unit(subtract(hole, middle)) ?? { x: 0, y: -1 }
    return { kind: 'words', at: step(hole, out, LETTER_MM), text: String.fromCharCode(65 + index) }
  })
}

/** Beside the two dots of a bullion or a cast-on: how many turns go between them. */
export function wrapMarks(worked: WorkedStitch): readonly Mark[] {
  return frontOf(worked).flatMap(({ kind, points, turns }): readonly Mark[] => {
    const [from, to] = [points[0] as Point, points.at(-1) as Point]
    if (kind !== 'coil' || turns < 1) return []
    const along = unit(subtract(to, from)) ?? { x: 1, y: 0 }
    const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 }
    return [{ kind: 'words', at: step(middle, leftOf(along), 2 * LETTER_MM), text: `${turns}×` }]
  })
}
