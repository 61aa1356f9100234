/** The course's needles chosen together by whichever solver is at hand, and what changes by it. */
import { nameNeedle, type Needle, needleKey } from '../materials/index.ts'
import { EACH_NEEDLE, type NeedleCourse, needleModel, type NeedleRow } from './needle-course.ts'
import { costOfAll, solutionOf, writeTogether } from './together-model.ts'

/** Takes a model in LP format; answers with the value of each variable, or null where it was stopped or has none. */
export type Solver = (lp: string) => Promise<ReadonlyMap<string, number> | null>

/** What solvers of such models answer, by variable. */
export interface Solved {
  readonly Status: string
  readonly Columns: Readonly<Record<string, object>>
}

/** The values of an answer that is proven best; null of any other. */
export function provenValues({ Status, Columns }: Solved): ReadonlyMap<string, number> | null {
  if (Status !== 'Optimal') return null
  return new Map(Object.entries(Columns).map(([name, column]) => [name, 'Primal' in column ? Number(column.Primal) : 0]))
}

export interface NeedleChange {
  readonly row: NeedleRow
  readonly to: Needle
  /** How it serves there. */
  readonly verdict: 'best' | 'good' | 'with-care'
}

export interface FewerNeedles {
  readonly before: readonly Needle[]
  readonly after: readonly Needle[]
  readonly changes: readonly NeedleChange[]
  readonly cost: number
  readonly costBefore: number
}

/** Null where nothing was answered. What is no better than what is stays as it is. */
export async function fewerNeedles(course: NeedleCourse, solve: Solver, eachNeedle = EACH_NEEDLE): Promise<FewerNeedles | null> {
  const { rows } = course
  const { model, needles } = needleModel(course, eachNeedle)
  const nowAt = rows.map((row) => row.fits.findIndex((fit) => needleKey(fit.needle) === needleKey(row.now)))
  const before = distinct(rows.map((row) => row.now))
  const costBefore = costOfAll(model, nowAt)
  const asItIs: FewerNeedles = { before, after: before, changes: [], cost: costBefore, costBefore }
  if (rows.length === 0) return asItIs
  const values = await solve(writeTogether(model))
  if (!values) return null
  const chosen = solutionOf(model, values)
  const cost = costOfAll(model, chosen)
  if (!(cost < costBefore - 1e-9)) return asItIs
  const needleAt = (row: number): Needle => needles[model.rows[row]?.[chosen[row] as number]?.needle as number] as Needle
  const changes = rows.flatMap((row, index): NeedleChange[] => {
    const fit = row.fits[chosen[index] as number]
    return chosen[index] === nowAt[index] || !fit || fit.verdict === 'no' ? [] : [{ row, to: fit.needle, verdict: fit.verdict }]
  })
  return { before, after: distinct(rows.map((_, index) => needleAt(index))), changes, cost, costBefore }
}

function distinct(needles: readonly Needle[]): readonly Needle[] {
  return [...new Map(needles.map((needle) => [needleKey(needle), needle])).values()].sort(
    (a, b) => a.family.id.localeCompare(b.family.id) || a.size - b.size || nameNeedle(a).localeCompare(nameNeedle(b)),
  )
}
