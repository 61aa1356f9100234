/** How the rows next to an exercise look: what a choice of thread for it is seen beside. */
import type { Neighbours } from '../assign/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { type Sampler, teachingOrder } from '../sampler/index.ts'
import { areNeighbours, sameColour, sameTexture } from './alike.ts'

/** `done`: all of the sampler that is worked. */
export function neighboursOf(sampler: Pick<Sampler, 'lessons' | 'exercises'>, done: readonly WorkedExercise[], of: WorkedExercise): Neighbours {
  const alike = done.filter((one) => one.exercise.id !== of.exercise.id && sameColour(one, of) && sameTexture(one, of) && areNeighbours(one, of))
  return { alike: alike.map(({ assigned, widthMm }) => ({ nature: assigned.main.kind.nature, widthMm })), run: runOf(sampler, done, of) }
}

/** The widths before and after it in the order of teaching, where the three go from fine to bold; null where they do not. */
function runOf(sampler: Pick<Sampler, 'lessons' | 'exercises'>, done: readonly WorkedExercise[], of: WorkedExercise): Neighbours['run'] {
  const widths = new Map(done.map((one) => [one.exercise.id, one.widthMm]))
  const order = teachingOrder(sampler).flatMap(({ id }) => (widths.has(id) ? [id] : []))
  const at = order.indexOf(of.exercise.id)
  const [before, after] = [order[at - 1], order[at + 1]].map((id) => (id === undefined ? undefined : widths.get(id)))
  if (before === undefined || after === undefined) return null
  return before < of.widthMm && of.widthMm < after ? [before, after] : null
}
