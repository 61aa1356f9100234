/** Rows that the Thursday class photographed, as their figures: most grow more even, one does not. */
import { type RowPlan, practiceRow, type RowSummary } from '@lemmata/core/photo'
import type { Sampler } from '@lemmata/core/sampler'

/** What a row of each exercise is meant to measure; none of those that cannot be measured. */
export const rowPlans = (sampler: Sampler): ReadonlyMap<string, RowPlan> =>
  new Map(
    sampler.exercises.flatMap((exercise) => {
      const row = practiceRow(sampler, exercise)
      return row ? [[exercise.id, row.plan] as const] : []
    }),
  )

/** `uneven`: the spread of its lengths, as a share of their mean; `off`: of the mean from the plan. */
export function rowLike(plan: RowPlan, uneven: number, off: number): RowSummary {
  const lengthMm = rounded(plan.stitchMm * (1 + off))
  return {
    // Side by side they are measured as a whole: no picture counts them.
    ...{ method: 1, isCounted: plan.kind !== 'side-by-side', isPutRight: false, kind: plan.kind },
    ...{ count: Math.max(1, Math.round(plan.count / (1 + off))) },
    ...{ lengthMm, spreadMm: rounded(uneven * lengthMm), plannedMm: rounded(plan.stitchMm), firstMm: rounded(lengthMm * (1 + uneven / 4)) },
    ...{ lastMm: rounded(lengthMm * (1 - uneven / 4)), gapMm: plan.gapMm > 0 ? rounded(plan.gapMm * (1 + off)) : null },
    ...{ plannedGapMm: plan.gapMm > 0 ? rounded(plan.gapMm) : null, driftMm: plan.acrossMm > 0 ? null : 0.22, leanDeg: null },
    widestGapMm: plan.kind === 'side-by-side' ? 0.1 : null,
  }
}

const rounded = (value: number): number => Math.round(1000 * value) / 1000
