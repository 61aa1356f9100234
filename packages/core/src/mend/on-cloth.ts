/** What is wrong with an exercise, with where it lies, and the place on the cloth to show it at. */
import type { Problem } from '../base/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { boxOfExercise, crowdedBy, reachOutside } from '../extent/index.ts'
import { placeAt, type Point } from '../geometry/index.ts'
import { crowdedProblem } from './crowded.ts'
import { outsideProblem } from './outside.ts'
import type { Sampler } from '../sampler/index.ts'

type Ground = Pick<Sampler, 'cloth' | 'workingHoop'>

/**
 * Of the exercise itself, and of the place where it lies, `among` all others; that first, for it is seen at once. Without what
 * was set aside.
 */
export function problemsOnCloth(done: WorkedExercise, sampler: Ground, among: readonly WorkedExercise[]): readonly Problem[] {
  return allOnCloth(done, sampler, among).filter((problem) => !isSetAside(problem, done))
}

/** What the teacher has read and leaves as it is. */
export function setAsideOnCloth(done: WorkedExercise, sampler: Ground, among: readonly WorkedExercise[]): readonly Problem[] {
  return allOnCloth(done, sampler, among).filter((problem) => isSetAside(problem, done))
}

function allOnCloth(done: WorkedExercise, sampler: Ground, among: readonly WorkedExercise[]): readonly Problem[] {
  const here = [outsideProblem(done, sampler), crowdedProblem(done, among)].filter((one) => one !== null)
  return here.length === 0 ? done.problems : [...here, ...done.problems]
}

/** What cannot be worked is not left alone. */
function isSetAside({ code, severity }: Problem, { exercise }: WorkedExercise): boolean {
  return severity === 'caution' && exercise.setAside?.includes(code) === true
}

/** mm. Where it reaches furthest outside, where the curve is tightest, at the corner; else at the upper right of its box. */
export function placeOfProblem({ code }: Pick<Problem, 'code'>, done: WorkedExercise, sampler: Ground, among: readonly WorkedExercise[]): Point | null {
  const { guide } = done.pieces[0]
  if (code === 'cloth.outside') return reachOutside(done, sampler).at
  if (code === 'cloth.crowded') return crowdedBy(done, among)?.at ?? null
  if (guide.kind === 'line' && code === 'exercise.tight-curve') return tightestAt(guide.path)
  if (guide.kind === 'line' && code === 'exercise.legs-differ') return placeAt(guide.path, guide.path.corners[0] ?? 0).at
  const box = boxOfExercise(done)
  return box && { x: box.right, y: box.top }
}

/** Looked for at a hundred places, where the way turns most. */
function tightestAt(path: Parameters<typeof placeAt>[0]): Point {
  const step = path.length / LOOKED_AT
  let most = -1
  let found = placeAt(path, 0).at
  for (let index = 1; index < LOOKED_AT; index += 1) {
    const [before, after] = [placeAt(path, (index - 1) * step).direction, placeAt(path, (index + 1) * step).direction]
    const turn = 1 - (before.x * after.x + before.y * after.y)
    if (turn > most) {
      most = turn
      found = placeAt(path, index * step).at
    }
  }
  return found
}

const LOOKED_AT = 100
