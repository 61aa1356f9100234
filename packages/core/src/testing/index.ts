/** For tests: an exercise in the short form, worked on one guide, with its only piece in reach. */
import type { Surroundings } from '../assign/index.ts'
import { type GuideId, type Result, success } from '../base/index.ts'
import { workExercise, type WorkedExercise, type WorkedPiece, workLeftHand } from '../exercise/index.ts'
import type { Guide } from '../guide/index.ts'
import { MAIN_ROLE } from '../notation/index.ts'
import type { WorkedStitch } from '../work/index.ts'
import { type Exercise, type LaidExercise, layAlone, type Material, type Sampler } from '../sampler/index.ts'

export type ShortExercise = Omit<Exercise, 'on'> & Pick<Material, 'thread' | 'strands' | 'needle'> & { readonly guide: Guide }
export type WorkedAlone = WorkedExercise & Pick<WorkedPiece, 'guide' | 'work' | 'worked' | 'marks' | 'toleranceMm' | 'deviationMm'>

export function layShort({ guide, thread, strands, needle, ...exercise }: ShortExercise): LaidExercise {
  const main: Material = { ...(thread === undefined ? {} : { thread }), ...(strands === undefined ? {} : { strands }), ...(needle ? { needle } : {}) }
  const materials = Object.keys(main).length > 0 ? { ...exercise.materials, [MAIN_ROLE]: { ...exercise.materials?.[MAIN_ROLE], ...main } } : exercise.materials
  return layAlone(materials ? { ...exercise, materials } : exercise, guide)
}

export function workAlone(given: ShortExercise, around: Surroundings): Result<WorkedAlone> {
  const result = workExercise(layShort(given), around)
  if (!result.ok) return result
  const [{ guide, work, worked, marks, toleranceMm, deviationMm }] = result.value.pieces
  return success({ ...result.value, guide, work, worked, marks, toleranceMm, deviationMm })
}

/** The only piece as the left hand works it. */
export function leftAlone(done: WorkedExercise): Result<WorkedStitch> {
  const left = workLeftHand(done)
  return left.ok ? success(left.value[0] as WorkedStitch) : left
}

/** A sampler whose exercises are given in the short form, each on a guide of its own. */
export function samplerOf(base: Sampler, given: readonly ShortExercise[]): Sampler {
  const laid = given.map(layShort)
  const guideId = (index: number): GuideId => `g${index + 1}`
  return {
    ...base,
    drawing: { guides: given.map(({ guide }, index) => ({ id: guideId(index), guide })), groups: [] },
    exercises: laid.map(({ exercise }, index) => ({ ...exercise, on: [{ guide: guideId(index) }] })),
  }
}
export { sentenceOf, sentencesOf } from './sentence.ts'
export { planFor, testRow, type TestRow, workedFor } from './photographed-rows.ts'
