import { byId, type ExerciseId, placeOf, success, withoutId } from '../../base/index.ts'
import { withoutNamesOf } from '../references.ts'
import { lessonOf } from '../teaching-order.ts'
import type { Exercise } from '../types.ts'
import type { Operation } from './index.ts'
import { gone, type SamplerTools } from './tools.ts'

export interface RemoveExercise {
  readonly kind: 'remove-exercise'
  readonly id: ExerciseId
}

/** Its places in lessons, kept orders, layers and pins go with it, and come back with it. */
export const removeExercise: SamplerTools<RemoveExercise> = {
  apply: (sampler, { id }) => {
    if (!byId(sampler.exercises, id)) return gone('exercise', id)
    const free = withoutNamesOf(sampler, 'exercise', id)
    return success({ ...free, exercises: withoutId(free.exercises, id) })
  },
  invert: (before, { id }) => {
    const exercise = byId(before.exercises, id)
    if (!exercise) return null
    const lesson = lessonOf(before, id)
    const add: Operation = {
      kind: 'add-exercise',
      exercise,
      at: placeOf(before.exercises, id),
      ...(lesson ? { taught: { lesson: lesson.id, at: lesson.exercises.indexOf(id) } } : {}),
    }
    const others = before.exercises.filter((one) => one.id !== id).flatMap((one) => namesAgain(one, id))
    const orders = before.keptOrders.flatMap((order, at): Operation[] =>
      order.lessons.some((kept) => kept.includes(id)) ? [{ kind: 'keep-order', order, at }] : [],
    )
    return others.length + orders.length === 0 ? add : { kind: 'batch', operations: [add, ...others, ...orders] }
  },
}

/** What sets the names of it in another exercise back. */
function namesAgain(one: Exercise, id: string): Operation[] {
  const { over, pins } = one
  const set = {
    ...(over?.includes(id) ? { over } : {}),
    ...(pins && [pins.before, pins.after, pins.together].some((list) => list?.includes(id)) ? { pins } : {}),
  }
  return Object.keys(set).length > 0 ? [{ kind: 'change-exercise', id: one.id, set }] : []
}
