/**
 * What a photograph measured against what a ruler says of the same row: until a dozen real rows agree, figures are told as on trial. A ruler
 * is read to half a millimetre: over a row of sixty that is less than a hundredth, over one stitch a fifth. So what is laid along it is the
 * whole row, and the stitches in it are counted.
 */
import { sum } from '../base/index.ts'
import type { RowFigures } from './judge.ts'
import { MEASURING } from './measure-row.ts'
import type { RowKind } from './row-plan.ts'

export interface RulerCheck {
  /** Of the way of measuring: another way begins anew. */
  readonly method: number
  readonly kind: RowKind
  /** The mean that the photograph gave, and the ruler. mm */
  readonly measuredMm: number
  readonly rulerMm: number
}

/** From one stitch's beginning to the next one's; of stitches side by side how far each reaches across the row. */
export const heldAgainstRuler = ({ pitchMm, lengthMm }: RowFigures, kind: RowKind): number => (kind === 'side-by-side' ? lengthMm : pitchMm)

/** Of these the last ends where nothing is seen of it, or has a gap behind it: what is laid along the ruler ends where the last begins. */
const endsAtTheLast = (kind: RowKind): boolean => kind === 'apart' || kind === 'looped'

/** What is laid along the ruler. */
export type AlongRuler = 'first-hole-to-last' | 'first-begins-to-last-begins' | 'across'
export const alongRuler = (kind: RowKind): AlongRuler =>
  kind === 'side-by-side' ? 'across' : endsAtTheLast(kind) ? 'first-begins-to-last-begins' : 'first-hole-to-last'

/** Null where so few stitches, or none so long, are no row. `lengthMm`: as the ruler was laid; `count`: of stitches. */
export function rulerMean(kind: RowKind, lengthMm: number, count: number): number | null {
  if (!(lengthMm > 0)) return null
  const along = alongRuler(kind)
  if (along === 'across') return lengthMm
  const steps = along === 'first-hole-to-last' ? count : count - 1
  return steps >= 1 ? lengthMm / steps : null
}

/** A dozen rows. */
export const RULED_ENOUGH = 12
/** Of what may be told: on average so far off, and no more than one row beyond the second. */
const MOST_OFF = { mean: 0.03, one: 0.05 }

export interface Standing {
  /** On trial; agreed with the ruler; or does not, and stays on trial. */
  readonly state: 'trial' | 'agrees' | 'differs'
  /** So many rows of this way of measuring. */
  readonly rows: number
  /** Mean of how far off, as shares of the ruler's figure: whichever way, and with its sign. */
  readonly offBy: number
  readonly leansBy: number
}

export const UNRULED: Standing = { state: 'trial', rows: 0, offBy: 0, leansBy: 0 }

export function standingOf(checks: readonly RulerCheck[]): Standing {
  const offs = checks.filter((one) => one.method === MEASURING && one.rulerMm > 0).map((one) => one.measuredMm / one.rulerMm - 1)
  const rows = offs.length
  if (rows === 0) return UNRULED
  const offBy = sum(offs.map(Math.abs)) / rows
  const far = offs.filter((one) => Math.abs(one) > MOST_OFF.one).length
  const agrees = offBy <= MOST_OFF.mean && far <= 1
  return { state: rows < RULED_ENOUGH ? 'trial' : agrees ? 'agrees' : 'differs', rows, offBy, leansBy: sum(offs) / rows }
}
