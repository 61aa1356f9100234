/** What every leaf of a lesson is shown with. */
import type { CourseItem } from '@lemmata/core/order'
import type { TaughtLesson } from '@lemmata/core/plan'
import type { Sampler } from '@lemmata/core/sampler'

/** A leaf that has steps of its own takes them before the next leaf is turned to. */
export type TakeKey = (key: 'on' | 'back' | 'play' | 'side' | 'hand' | 'read') => boolean

export interface Shown {
  readonly sampler: Sampler
  readonly lessons: readonly TaughtLesson[]
  readonly course: readonly CourseItem[]
  readonly lesson: TaughtLesson
  readonly letters: ReadonlyMap<string, string>
}
