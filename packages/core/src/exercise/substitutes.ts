/** Other stitches that the teacher allows for an exercise, each worked on the same guide with its own strands, needle and lengths. */
import type { Surroundings } from '../assign/index.ts'
import type { Result } from '../base/index.ts'
import { guideServes } from '../guide/index.ts'
import type { StitchDocument } from '../notation/index.ts'
import type { Exercise, Substitute } from '../sampler/index.ts'
import { findStitch, LIBRARY } from '../stitches/index.ts'
import { workExercise, type WorkedExercise } from './work-exercise.ts'

/** The exercise as a learner works it who takes this stitch instead; what the substitute leaves open the core chooses. */
export function substituted(exercise: Exercise, substitute: Substitute): Exercise {
  const { parameters: _lengths, variant: _variant, strands: _strands, needle: _needle, marks: _marks, substitutes: _others, ...kept } = exercise
  const { stitch, parameters, thread, strands, needle } = substitute
  return {
    ...kept,
    stitch,
    ...(parameters ? { parameters } : {}),
    ...(thread === undefined ? {} : { thread }),
    ...(strands === undefined ? {} : { strands }),
    ...(needle ? { needle } : {}),
  }
}

export function workSubstitutes(
  exercise: Exercise,
  around: Surroundings,
): readonly { readonly substitute: Substitute; readonly result: Result<WorkedExercise> }[] {
  return (exercise.substitutes ?? []).map((substitute) => ({ substitute, result: workExercise(substituted(exercise, substitute), around) }))
}

/** Stitches that could take this one's place: worked on the same kind of guide. */
export function possibleSubstitutes(exercise: Exercise, own: readonly StitchDocument[]): readonly StitchDocument[] {
  const all = [...own, ...LIBRARY.filter((one) => !own.some((other) => other.id === one.id))]
  return all.filter((document) => document.id !== exercise.stitch && guideServes(document.guide, exercise.guide.kind))
}

export function nameOfStitch(id: string, own: readonly StitchDocument[]): string {
  return findStitch(id, own)?.name ?? id
}
