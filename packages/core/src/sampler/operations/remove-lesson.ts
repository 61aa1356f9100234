import { byId, type LessonId, placeOf, success, withoutId } from '../../base/index.ts'
import { withoutNamesOf } from '../references.ts'
import type { Operation } from './index.ts'
import { gone, type SamplerTools } from './tools.ts'

/** The lesson goes; its exercises stay, taught in none, and pins to it are let go. */
export interface RemoveLesson {
  readonly kind: 'remove-lesson'
  readonly id: LessonId
}

export const removeLesson: SamplerTools<RemoveLesson> = {
  apply: (sampler, { id }) => {
    if (!byId(sampler.lessons, id)) return gone('lesson', id)
    const free = withoutNamesOf(sampler, 'lesson', id)
    return success({ ...free, lessons: withoutId(free.lessons, id) })
  },
  invert: (before, { id }) => {
    const was = byId(before.lessons, id)
    if (!was) return null
    const add: Operation = { kind: 'add-lesson', lesson: { id, title: was.title }, at: placeOf(before.lessons, id) }
    const fill = was.exercises.map((exercise, at): Operation => ({ kind: 'move-exercise', id: exercise, to: { lesson: id, at } }))
    const pins = before.exercises.flatMap((one): Operation[] =>
      one.pins?.lesson === id ? [{ kind: 'change-exercise', id: one.id, set: { pins: one.pins } }] : [],
    )
    return fill.length + pins.length === 0 ? add : { kind: 'batch', operations: [add, ...fill, ...pins] }
  },
}
