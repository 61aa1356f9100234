/** Other stitches that the teacher allows for an exercise, each worked on the same guides with its own strands, needle and lengths. */
import type { Surroundings } from '../assign/index.ts'
import type { Result } from '../base/index.ts'
import { guideServes } from '../guide/index.ts'
import { MAIN_ROLE, type StitchDocument } from '../notation/index.ts'
import type { Exercise, Substitute } from '../sampler/index.ts'
import { allStitches, findStitch } from '../stitches/index.ts'
import { workExercise, type WorkedExercise } from './work-exercise.ts'

/** The exercise as a learner works it who takes this stitch instead: in the same colour unless said; what else is left open the core chooses. */
export function substituted(exercise: Exercise, substitute: Substitute): Exercise {
  const { parameters: _lengths, variant: _variant, materials, marks: _marks, substitutes: _others, pieces: _pieces, ...kept } = exercise
  const thread = materials?.[MAIN_ROLE]?.thread
  const own = substitute.materials ?? {}
  const main = { ...(thread === undefined ? {} : { thread }), ...own[MAIN_ROLE] }
  const all = { ...own, ...(Object.keys(main).length > 0 ? { [MAIN_ROLE]: main } : {}) }
  return {
    ...kept,
    stitch: substitute.stitch,
    ...(substitute.parameters ? { parameters: substitute.parameters } : {}),
    ...(Object.keys(all).length > 0 ? { materials: all } : {}),
  }
}

export function workSubstitutes(
  { exercise, pieces }: WorkedExercise,
  around: Surroundings,
): readonly { readonly substitute: Substitute; readonly result: Result<WorkedExercise> }[] {
  const [first, ...rest] = pieces.map((piece) => ({ id: piece.id, guide: piece.drawn, layer: piece.layer, change: {} }))
  if (!first) return []
  return (exercise.substitutes ?? []).map((substitute) => ({
    substitute,
    result: workExercise({ exercise: substituted(exercise, substitute), pieces: [first, ...rest] }, around),
  }))
}

/** Stitches that could take this one's place: worked on the same kinds of guide. */
export function possibleSubstitutes(
  { exercise, pieces }: Pick<WorkedExercise, 'exercise' | 'pieces'>,
  own: readonly StitchDocument[],
): readonly StitchDocument[] {
  return allStitches(own).filter((document) => document.id !== exercise.stitch && pieces.every((piece) => guideServes(document.guide, piece.drawn.kind)))
}

export function nameOfStitch(id: string, own: readonly StitchDocument[]): string {
  return findStitch(id, own)?.name ?? id
}
