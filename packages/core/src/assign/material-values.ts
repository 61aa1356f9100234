/** What thread, needle and cloth give to the expressions of a stitch. mm. */
import { type Bundle, type Cloth, clothPitch } from '../materials/index.ts'
import type { MaterialValues } from '../notation/index.ts'

/** `shaftMm`: the needle's, or one near it where it is not chosen yet. */
export function materialValues(bundle: Bundle, cloth: Cloth, shaftMm: number): MaterialValues {
  const p = clothPitch(cloth)
  const W = bundle.lineWidthMm
  // "Right beside": the next gap of the weave, or half the thread's width where that is more.
  return { D: bundle.diameterMm, W, F: bundle.flatWidthMm, t: cloth.thicknessMm, ds: shaftMm, p, e: Math.max(p, W / 2) }
}
