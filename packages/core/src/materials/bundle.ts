/**
 * The bundle: so many strands of one thread worked together. Lengths in mm.
 * Area adds, and 1.05 is the air between strands: D = 1.05 d sqrt(n). Thread flattens a little on the
 * cloth: W = 1.10 D (hard-twisted 1.05 D). Laid side by side in a fill, F = 1.10 d n^0.85 (hard 1.12 D).
 */
import { requirePositive } from '../base/index.ts'
import type { ThreadKind } from './threads.ts'

export interface Bundle {
  readonly strands: number
  readonly hard: boolean
  /** D: relaxed and round. */
  readonly diameterMm: number
  /** W: one stitch lying on the cloth. */
  readonly lineWidthMm: number
  /** F: one stitch with its strands spread side by side. */
  readonly flatWidthMm: number
}

export function makeBundle(kind: ThreadKind, strands: number): Bundle {
  requirePositive(strands, 'strands')
  const d = kind.diameterMm
  const hard = kind.nature === 'hard' || kind.nature === 'metal'
  const diameterMm = strands === 1 ? d : 1.05 * d * Math.sqrt(strands)
  return {
    strands,
    hard,
    diameterMm,
    lineWidthMm: (hard ? 1.05 : 1.1) * diameterMm,
    flatWidthMm: hard ? 1.12 * diameterMm : 1.1 * d * strands ** 0.85,
  }
}
