/** What is kept of a measured row: figures only, nothing of the picture. */
import { roundTo, sum } from '../base/index.ts'
import type { RowFigures } from './judge.ts'
import { MEASURING } from './measure-row.ts'
import type { RowKind, RowPlan } from './row-plan.ts'

export interface RowSummary {
  /** Of the way of measuring: rows of two are not compared. */
  readonly method: number
  /** Or as a whole: its stitches could not be counted surely. */
  readonly isCounted: boolean
  /** Some of it was put right by hand. */
  readonly isPutRight: boolean
  readonly kind: RowKind
  readonly count: number
  /** Mean, spread and plan of a stitch, or of how far it goes on from the last; mm. */
  readonly lengthMm: number
  readonly spreadMm: number
  readonly plannedMm: number
  /** Means of the first and the last third of the row, mm. */
  readonly firstMm: number
  readonly lastMm: number
  readonly gapMm: number | null
  readonly plannedGapMm: number | null
  readonly driftMm: number | null
  /** From how they were planned to stand, degrees, positive to the right above. */
  readonly leanDeg: number | null
  readonly widestGapMm: number | null
}

/** Kinds of which a stitch is measured from hole to hole; of the others how far each goes on. */
export function summaryOf(
  figures: RowFigures,
  plan: RowPlan,
  { isCounted, isPutRight = false }: { readonly isCounted: boolean; readonly isPutRight?: boolean },
): RowSummary {
  const { lengthsMm, lengthMm, pitchMm, spreadMm, gapMm } = figures
  const third = Math.max(1, Math.floor(lengthsMm.length / 3))
  const mean = (values: readonly number[]): number => sum(values) / Math.max(1, values.length)
  const round = (value: number): number => roundTo(value, 3)
  const maybe = (value: number | null): number | null => (value === null ? null : round(value))
  return {
    ...{ method: MEASURING, isCounted, isPutRight, kind: plan.kind, count: figures.count },
    lengthMm: round(plan.kind === 'crossed' ? pitchMm : lengthMm),
    ...{
      spreadMm: round(spreadMm),
      plannedMm: round(plan.stitchMm),
      firstMm: round(mean(lengthsMm.slice(0, third))),
      lastMm: round(mean(lengthsMm.slice(-third))),
    },
    ...{ gapMm: maybe(gapMm), plannedGapMm: plan.gapMm > 0 ? round(plan.gapMm) : null },
    ...{
      driftMm: maybe(figures.driftMm),
      leanDeg: maybe(figures.leanDeg === null ? null : figures.leanDeg - plan.leanDeg),
      widestGapMm: maybe(figures.widestGapMm),
    },
  }
}

/** Spread as a share of the mean: how uneven a row is. */
export const unevenness = ({ spreadMm, lengthMm }: RowSummary): number => (lengthMm > 0 ? spreadMm / lengthMm : 0)
