/** A length as it comes out after fitting: the parameter, stretched as the guide's ruler stretches it. mm. */
import type { WorkedExercise } from './work-exercise.ts'

/** Fitted over asked: 1 where nothing had to give. */
export function fittedShare({ askedMm, pitchMm }: WorkedExercise['worked']['fitted']): number {
  return askedMm > 0 ? pitchMm / askedMm : 1
}

/** The stitch's own length as fitted (the spacing of a fill); the advance where it has no length. */
export function fittedLength(done: WorkedExercise): number {
  const first = [...done.assigned.parameters.values()].find((parameter) => parameter.kind === 'length')
  const { fitted } = done.worked
  return first ? first.value * fittedShare(fitted) : fitted.pitchMm
}
