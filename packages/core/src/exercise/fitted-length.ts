/** A length as it comes out after fitting: the parameter, stretched as the guide's ruler stretches it. mm. */
import type { ParameterValues } from '../notation/index.ts'
import type { Fitted } from '../work/index.ts'

/** Fitted over asked: 1 where nothing had to give. */
export function fittedShare({ askedMm, pitchMm }: Fitted): number {
  return askedMm > 0 ? pitchMm / askedMm : 1
}

/** The stitch's own length as fitted (the spacing of a fill); the advance where it has no length. */
export function fittedLength(parameters: ParameterValues, fitted: Fitted): number {
  const first = [...parameters.values()].find((parameter) => parameter.kind === 'length')
  return first ? first.value * fittedShare(fitted) : fitted.pitchMm
}
