/** What was read off a row, before it is judged. */
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
  /** Of a filled row: the widest stretch of cloth, mm. */
  readonly widestGapMm: number | null
  /** From end to end of each, mm of the card: to be shown over the picture. */
  readonly stitches: readonly (readonly [Point, Point])[]
  /** By how much this number of stitches is better than any other. */
  readonly margin: number
  /** How much the places where stitches meet stand out. */
  readonly pattern: number
}
