import { byId, type LessonId, success } from '../../base/index.ts'
import { gone, type SamplerTools } from './tools.ts'

export interface RenameLesson {
  readonly kind: 'rename-lesson'
  readonly id: LessonId
  readonly title: string
}

export const renameLesson: SamplerTools<RenameLesson> = {
  apply: (sampler, { id, title }) =>
    byId(sampler.lessons, id)
      ? success({ ...sampler, lessons: sampler.lessons.map((lesson) => (lesson.id === id ? { ...lesson, title } : lesson)) })
      : gone('lesson', id),
  invert: (before, { id }) => {
    const was = byId(before.lessons, id)
    return was ? { kind: 'rename-lesson', id, title: was.title } : null
  },
}
