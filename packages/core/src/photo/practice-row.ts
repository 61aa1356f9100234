/** A practice row of an exercise: its stitch, its thread and its measures on a straight guide that fits the card's window. */
import { surroundingsOf } from '../assign/index.ts'
import { workExercise, type WorkedExercise } from '../exercise/index.ts'
import type { Guide } from '../guide/index.ts'
import { type Exercise, layAlone, type Sampler } from '../sampler/index.ts'
import { findStitch } from '../stitches/index.ts'
import { LONGEST_ROW_MM } from './card.ts'
import { type RowKind, type RowPlan, rowPlanOf } from './row-plan.ts'

/** A little less than the longest, so that a row worked too long still lies in the window. */
export const ROW_MM = LONGEST_ROW_MM - 4
/** Of a band whose exercise has none of its own, and across a filled row, mm. */
const [BAND_MM, FILLED_MM] = [3, 6]

export interface PracticeRow {
  /** Worked along +x. */
  readonly done: WorkedExercise
  readonly plan: RowPlan
}

/** Null where its stitch cannot be worked in a row, or makes none that a photograph could tell apart. */
export function practiceRow(sampler: Sampler, exercise: Exercise): PracticeRow | null {
  const document = findStitch(exercise.stitch, sampler.stitches)
  const guide = document && straightGuide(document.guide, bandOf(sampler, exercise))
  const worked = guide && workExercise(layAlone(exercise, guide), surroundingsOf(sampler))
  if (!worked?.ok) return null
  const plan = rowPlanOf(worked.value, sampler.cloth.colour.hex)
  return plan && { done: worked.value, plan }
}

const NARROW: readonly RowKind[] = ['end-to-end', 'beside-the-last']

/** Not surely told from one another in a photograph: the two narrow kinds. */
export const areAlike = (one: RowPlan, other: RowPlan): boolean => one.kind !== other.kind && NARROW.includes(one.kind) && NARROW.includes(other.kind)

/** Rows of other exercises that one might have photographed instead of this one, and that are alike. One a stitch. */
export function rowsAlike(sampler: Sampler, exercise: Exercise, row: RowPlan): readonly RowPlan[] {
  if (!NARROW.includes(row.kind)) return []
  const byStitch = new Map(sampler.exercises.filter(({ stitch }) => stitch !== exercise.stitch && isLine(sampler, stitch)).map((one) => [one.stitch, one]))
  return [...byStitch.values()].flatMap((one) => {
    const plan = practiceRow(sampler, one)?.plan
    return plan && areAlike(row, plan) ? [plan] : []
  })
}

/** Others are wide rows: to work them as well took four times as long. */
const isLine = (sampler: Sampler, stitch: string): boolean => findStitch(stitch, sampler.stitches)?.guide.includes('line') ?? false

/** How wide the exercise's own band is, mm: a row is as wide. */
function bandOf({ drawing }: Sampler, { on }: Exercise): number {
  const guide = drawing.guides.find((one) => one.id === on[0]?.guide)?.guide
  return guide?.kind === 'band' ? (guide.widthMm ?? BAND_MM) : BAND_MM
}

function straightGuide(kinds: readonly string[], bandMm: number): Guide | null {
  if (kinds.includes('line')) return { kind: 'line', path: `M 0 0 L ${ROW_MM} 0` }
  if (kinds.includes('band')) return { kind: 'band', path: `M 0 0 L ${ROW_MM} 0`, widthMm: bandMm }
  const half = FILLED_MM / 2
  return kinds.includes('shape') ? { kind: 'shape', path: `M 0 ${-half} L ${ROW_MM} ${-half} L ${ROW_MM} ${half} L 0 ${half} Z` } : null
}
