/** The course's needles chosen together by whichever solver is at hand, and what changes by it. */
import { nameNeedle, type Needle } from '../materials/index.ts'
import { courseCost, EACH_NEEDLE, type NeedleCourse, type NeedleRow, writeModel } from './model.ts'
import { needleId } from './needle-id.ts'

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
export async function fewerNeedles({ rows }: NeedleCourse, solve: Solver, eachNeedle = EACH_NEEDLE): Promise<FewerNeedles | null> {
  const now = rows.map((row) => row.now)
  const before = distinct(now)
  const costBefore = courseCost(rows, now, eachNeedle)
  if (rows.length === 0) return { before, after: before, changes: [], cost: costBefore, costBefore }
  const { lp, needles } = writeModel(rows, eachNeedle)
  const values = await solve(lp)
  if (!values) return null
  const chosen = rows.map((row, index) => needles.find((_, needle) => (values.get(`x${index}_${needle}`) ?? 0) > 0.5) ?? row.now)
  const cost = courseCost(rows, chosen, eachNeedle)
  if (!(cost < costBefore - 1e-9)) return { before, after: before, changes: [], cost: costBefore, costBefore }
  const changes = rows.flatMap((row, index): NeedleChange[] => {
    const to = chosen[index] as Needle
    const fit = row.fits.find((one) => needleId(one.needle) === needleId(to))
    return needleId(to) === needleId(row.now) || !fit || fit.verdict === 'no' ? [] : [{ row, to, verdict: fit.verdict }]
  })
  return { before, after: distinct(chosen), changes, cost, costBefore }
}

function distinct(needles: readonly Needle[]): readonly Needle[] {
  return [...new Map(needles.map((needle) => [needleId(needle), needle])).values()].sort(
    (a, b) => a.family.id.localeCompare(b.family.id) || a.size - b.size || nameNeedle(a).localeCompare(nameNeedle(b)),
  )
}
