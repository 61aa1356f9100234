/**
 * One thing to change, the largest first; compared with the plan and with her own earlier rows, with nobody else's. The bounds are those of a
 * row worked well (good, of novice, good and excellent: two strands, stitches of 2.5 mm on closed cotton).
 */
import { type RowSummary, unevenness } from './summary.ts'

export type Advice =
  /** Cloth shows in a filled row. */
  | { readonly kind: 'cloth-shows'; readonly widestMm: number }
  /** Lengths rise or fall along the row. */
  | { readonly kind: 'drifting-lengths'; readonly firstMm: number; readonly lastMm: number }
  /** Longer or shorter than planned, evenly. */
  | { readonly kind: 'other-length'; readonly lengthMm: number; readonly plannedMm: number }
  | { readonly kind: 'gaps'; readonly gapMm: number; readonly lengthMm: number; readonly plannedGapMm: number }
  | { readonly kind: 'off-the-line'; readonly driftMm: number }
  /** Degrees; positive to the right above. */
  | { readonly kind: 'leaning'; readonly leanDeg: number }
  /** `before`: of her last row; null of the first. */
  | { readonly kind: 'uneven'; readonly spreadMm: number; readonly beforeMm: number | null }
  /** Three rows and no more even: a larger stitch, or one more strand. */
  | { readonly kind: 'larger'; readonly lengthMm: number }
  /** Nothing to change: one more like it, or, where the last was good too, on. */
  | { readonly kind: 'once-more' }
  | { readonly kind: 'go-on' }

/** Of a row worked well; above it is worth a word. */
export const GOOD = { uneven: 0.15, driftMm: 0.3, gapShare: 0.15, widestGapMm: 0.25, leanDeg: 5, otherLength: 0.12, alongRow: 0.2 } as const
/** So many rows in which nothing changed: the exercise is too fine, not she too clumsy. */
const PATIENCE = 3
/** Less than this is no change, as a share. */
const SAME = 0.1

/** `earlier`: her own rows of this exercise, oldest first. Never more than one thing. */
export function advise(row: RowSummary, earlier: readonly RowSummary[]): Advice {
  const before = earlier.filter((one) => one.method === row.method && one.kind === row.kind)
  const [worst] = faultsOf(row, before).sort((a, b) => b.by - a.by)
  if (worst && worst.by > 1) return worst.advice
  const last = before.at(-1)
  return last && faultsOf(last, []).every((one) => one.by <= 1) ? { kind: 'go-on' } : { kind: 'once-more' }
}

/** Of her rows, the oldest first, what the last asks for; null where there is none. */
export function adviseLast(rows: readonly RowSummary[]): Advice | null {
  const last = rows.at(-1)
  return last ? advise(last, rows.slice(0, -1)) : null
}

interface Fault {
  /** In bounds of a good row. */
  readonly by: number
  readonly advice: Advice
}

function faultsOf(row: RowSummary, before: readonly RowSummary[]): Fault[] {
  const { lengthMm, plannedMm, firstMm, lastMm, gapMm, plannedGapMm, driftMm, leanDeg, widestGapMm, spreadMm } = row
  const faults: Fault[] = [{ by: Math.abs(lengthMm - plannedMm) / plannedMm / GOOD.otherLength, advice: { kind: 'other-length', lengthMm, plannedMm } }]
  // Single stitches are not told where they were not counted surely.
  if (row.isCounted && row.kind !== 'side-by-side') {
    const uneven = unevenness(row)
    faults.push({ by: Math.abs(lastMm - firstMm) / lengthMm / GOOD.alongRow, advice: { kind: 'drifting-lengths', firstMm, lastMm } })
    const beforeMm = before.at(-1)?.spreadMm ?? null
    faults.push({ by: uneven / GOOD.uneven, advice: isStuck(row, before) ? { kind: 'larger', lengthMm } : { kind: 'uneven', spreadMm, beforeMm } })
    if (gapMm !== null && plannedGapMm !== null) {
      const off = Math.abs(gapMm / lengthMm - plannedGapMm / plannedMm)
      faults.push({ by: off / GOOD.gapShare, advice: { kind: 'gaps', gapMm, lengthMm, plannedGapMm } })
    }
  }
  if (driftMm !== null) faults.push({ by: driftMm / GOOD.driftMm, advice: { kind: 'off-the-line', driftMm } })
  if (leanDeg !== null) faults.push({ by: Math.abs(leanDeg) / GOOD.leanDeg, advice: { kind: 'leaning', leanDeg } })
  if (widestGapMm !== null) faults.push({ by: widestGapMm / GOOD.widestGapMm, advice: { kind: 'cloth-shows', widestMm: widestGapMm } })
  return faults
}

/** No more even than any of the rows before it, three in all. */
function isStuck(row: RowSummary, before: readonly RowSummary[]): boolean {
  const last = before.slice(1 - PATIENCE)
  if (last.length < PATIENCE - 1) return false
  return last.every((one) => unevenness(one) > GOOD.uneven && unevenness(row) > (1 - SAME) * unevenness(one))
}
