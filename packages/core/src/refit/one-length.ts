/**
 * One length that suits everything: at which rows of different stitches, one under another, each come out in whole stitches.
 * A row of n stitches is n times its advance long, and what its last stitch reaches beyond (the tie of a chain, the stitch
 * after a running stitch's last gap).
 */
import { nearestCount } from '../base/index.ts'

export interface Row {
  /** From one stitch to the next as asked, mm. */
  readonly advanceMm: number
  /** How far the last stitch reaches beyond its advance, mm. */
  readonly tailMm: number
}

export interface RowFit {
  readonly count: number
  /** The advance that fills the length, mm. */
  readonly pitchMm: number
}

export interface OneLength {
  readonly lengthMm: number
  /** One for each row, in their order. */
  readonly rows: readonly RowFit[]
  /** The most that any stitch is made longer or shorter, as a share: 0.01 is a hundredth. */
  readonly off: number
}

/** A ruler's half millimetre: finer nobody draws a length. */
const GRID_MM = 0.5
/** Lengths nearer to each other than this are the same choice. */
const APART_MM = 2
/** What no eye sees in a row of stitches: then the nearer length is the better. */
const SAME_OFF = 0.002

/** Lengths from `leastMm` to `mostMm`, the best first: least stretched, then nearest to what is wanted. */
export function lengthsForAll(rows: readonly Row[], wantedMm: number, leastMm: number, mostMm: number, most = 4): readonly OneLength[] {
  if (rows.length === 0 || rows.some(({ advanceMm }) => !(advanceMm > 0))) return []
  const found: OneLength[] = []
  for (let step = Math.ceil(leastMm / GRID_MM - 1e-9); step * GRID_MM <= mostMm + 1e-9; step += 1) found.push(fitAll(rows, step * GRID_MM))
  const level = (off: number): number => Math.floor(off / SAME_OFF)
  found.sort((a, b) => level(a.off) - level(b.off) || Math.abs(a.lengthMm - wantedMm) - Math.abs(b.lengthMm - wantedMm))
  const chosen: OneLength[] = []
  for (const one of found) {
    if (chosen.length === most) break
    if (chosen.every((other) => Math.abs(other.lengthMm - one.lengthMm) >= APART_MM)) chosen.push(one)
  }
  return chosen
}

/** The nearest whole numbers at one length. */
export function fitAll(rows: readonly Row[], lengthMm: number): OneLength {
  const fits = rows.map(({ advanceMm, tailMm }) => {
    const count = Math.max(1, nearestCount((lengthMm - tailMm) / advanceMm))
    const stretch = lengthMm / (count * advanceMm + tailMm)
    return { count, pitchMm: advanceMm * stretch, off: Math.abs(stretch - 1) }
  })
  return { lengthMm, rows: fits.map(({ count, pitchMm }) => ({ count, pitchMm })), off: Math.max(...fits.map((one) => one.off)) }
}

/** Every so many mm a stitch of each row ends at one place; null where they never meet within the length, or a row has a tail. */
export function meetEvery(rows: readonly Row[], lengthMm: number): number | null {
  const unit = 0.05
  const parts = rows.map(({ advanceMm }) => Math.round(advanceMm / unit))
  if (rows.some(({ tailMm }, index) => tailMm > 1e-6 || Math.abs((parts[index] as number) * unit - (rows[index] as Row).advanceMm) > 1e-6)) return null
  const all = parts.reduce((a, b) => (a * b) / greatest(a, b), 1) * unit
  return all <= lengthMm + 1e-9 ? Math.round(all * 100) / 100 : null
}

function greatest(a: number, b: number): number {
  return b === 0 ? a : greatest(b, a % b)
}
