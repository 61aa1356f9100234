import { byId, insertAt, success } from '../../base/index.ts'
import type { Lesson } from '../types.ts'
import { already, type SamplerTools } from './tools.ts'

export interface AddLesson {
  readonly kind: 'add-lesson'
  readonly lesson: Pick<Lesson, 'id' | 'title'>
  readonly at: number
}

export const addLesson: SamplerTools<AddLesson> = {
  apply: (sampler, { lesson: { id, title }, at }) =>
    byId(sampler.lessons, id) ? already('lesson', title) : success({ ...sampler, lessons: insertAt(sampler.lessons, { id, title, exercises: [] }, at) }),
  invert: (_before, { lesson }) => ({ kind: 'remove-lesson', id: lesson.id }),
}
