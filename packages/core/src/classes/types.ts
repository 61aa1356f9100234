/**
 * A class: the people who work a sampler, beside it and never in it. What they choose hangs on the ids of exercises,
 * so that it outlives every change of order.
 */
import type { ExerciseId, LearnerId, LessonId, SamplerId, StitchId, ThreadId } from '../base/index.ts'
import type { ClassCalendar } from './calendar.ts'
import type { MarkStyle } from '../sampler/index.ts'

/** What a learner has chosen for an exercise, of what it leaves free. */
export interface LearnerChoice {
  /** One of the stitches allowed instead. */
  readonly stitch?: StitchId | undefined
  readonly thread?: ThreadId | undefined
  readonly strands?: number | undefined
  readonly parameters?: Readonly<Record<string, number>> | undefined
  readonly marks?: MarkStyle | undefined
}

export interface Learner {
  readonly id: LearnerId
  readonly name: string
  readonly hand?: 'left' | 'right' | undefined
  /** Nothing is left open: clear orders throughout. */
  readonly settled?: boolean | undefined
  /** By the id of the exercise. */
  readonly choices: Readonly<Record<ExerciseId, LearnerChoice>>
}

/** What came up when a lesson was taught: kept with it, so that it is there when it is taught again. */
export type LessonNote =
  | {
      readonly kind: 'question'
      readonly lesson: LessonId
      readonly on: string
      readonly asked: string
      readonly answer: string
      readonly exercise?: ExerciseId | undefined
      /** Ids of what learners asked on their own pages that it answers. */
      readonly of?: readonly string[] | undefined
      /** Learners read it on their pages, once it has an answer. */
      readonly shared?: boolean | undefined
    }
  /** Ways that were shown, and how many chose each. */
  | { readonly kind: 'vote'; readonly lesson: LessonId; readonly on: string; readonly about: string; readonly ways: readonly WayVoted[] }
  /** A find, for the whole class to read. */
  | { readonly kind: 'tip'; readonly lesson: LessonId; readonly on: string; readonly tip: string; readonly exercise?: ExerciseId | undefined }
  /** The lesson as it was held, for whoever teaches it again. */
  | { readonly kind: 'record'; readonly lesson: LessonId; readonly on: string; readonly done: string; readonly change: string }

export interface WayVoted {
  readonly name: string
  readonly votes: number
}

export interface ClassDocument {
  readonly format: 'lemmata-class'
  readonly version: 1
  readonly name: string
  /** The sampler that it works; a file on its own may leave it out. */
  readonly sampler?: SamplerId | undefined
  readonly learners: readonly Learner[]
  /** Nobody joins it by a code, and no pictures are sent: each comes by the teacher's list. */
  readonly children?: boolean | undefined
  readonly calendar?: ClassCalendar | undefined
  /** By an id of their own. */
  readonly notes?: Readonly<Record<string, LessonNote>> | undefined
}

export function newClass(name: string, sampler?: SamplerId): ClassDocument {
  return { format: 'lemmata-class', version: 1, name, ...(sampler === undefined ? {} : { sampler }), learners: [] }
}
