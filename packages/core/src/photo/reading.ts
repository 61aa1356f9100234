/** What was read off a row, before it is judged. */
import { sum } from '../base/index.ts'
import type { Point } from '../geometry/index.ts'

export interface RowReading {
  readonly count: number
  /** Of each stitch, or how far each goes on from the last; mm */
  readonly lengthsMm: readonly number[]
  /** Between two stitches, along the row; none where they share holes. mm */
  readonly gapsMm: readonly number[]
  /** From one to the next, mean, mm. */
  readonly pitchMm: number
  /** Of the holes about the straight line that fits them best, root of the mean square, mm; null across a band. */
  readonly driftMm: number | null
  /** Of stitches across the row from upright, positive to the right above; null on a line. */
  readonly leanDeg: number | null
  /** Of a filled row: how much of it is cloth, 0 to 1, and the widest stretch of it, mm. */
  readonly clothShare: number | null
  readonly widestGapMm: number | null
  /** From end to end of each, mm of the card: to be shown over the picture. */
  readonly stitches: readonly (readonly [Point, Point])[]
  /** By how much this number of stitches is better than any other. */
  readonly margin: number
  /** How much the places where stitches meet stand out. */
  readonly pattern: number
}

export function driftOf(points: readonly Point[]): number {
  const many = Math.max(1, points.length)
  const [x, y] = [sum(points.map((at) => at.x)) / many, sum(points.map((at) => at.y)) / many]
  const slope = sum(points.map((at) => (at.x - x) * (at.y - y))) / Math.max(1e-9, sum(points.map((at) => (at.x - x) ** 2)))
  return Math.sqrt(sum(points.map((at) => (at.y - y - slope * (at.x - x)) ** 2)) / many)
}
