/** When a class meets: what was decided. The dates themselves are computed from it. Days are written 2027-01-14, times 18:30. */
import type { LessonId } from '../base/index.ts'

export type Rhythm =
  | { readonly kind: 'every'; readonly days: number }
  /** On the start's day of each month; on the last where a month has none. */
  | { readonly kind: 'monthly' }
  /** 1 Monday to 7 Sunday. */
  | { readonly kind: 'weekdays'; readonly days: readonly number[] }
  | { readonly kind: 'chosen'; readonly on: readonly string[] }

export interface MovedLesson {
  readonly on: string
  /** The lessons after it go on from there; else they stay where they were. */
  readonly follow: boolean
}

export interface ClassCalendar {
  readonly start: string
  readonly rhythm: Rhythm
  readonly begins: string
  /** As Europe/Oslo. */
  readonly zone: string
  /** In class; the brief's where it is left out. */
  readonly minutes?: number | undefined
  /** At home in a week; the brief's where it is left out. */
  readonly homeMinutes?: number | undefined
  /** Learners get a lesson's pages so many days before its date; all of them at the beginning where it is left out. */
  readonly releaseDays?: number | undefined
  /** By the day, why. */
  readonly off: Readonly<Record<string, string>>
  /** Dates on which the class meets to catch up, with nothing new. */
  readonly catchUp: readonly string[]
  readonly moved: Readonly<Record<LessonId, MovedLesson>>
  /** Lessons that are given two dates. */
  readonly twice: readonly LessonId[]
}
