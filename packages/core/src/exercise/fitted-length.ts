/** A length as it comes out after fitting: the parameter, stretched as the guide's ruler stretches it. mm. */
import type { Fitted } from '../work/index.ts'

/** Fitted over asked: 1 where nothing had to give. */
export function fittedShare({ askedMm, pitchMm }: Fitted): number {
  return askedMm > 0 ? pitchMm / askedMm : 1
}
