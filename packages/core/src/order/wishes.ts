/** What a teacher wishes of an order, and what the course is laid out in. The terms are written out in docs/the-order.md. */
import type { Sampler, WishWeights } from '../sampler/index.ts'

/** How much each wish weighs: 1 is usual, 0 leaves it out, 3 is the most a page offers. */
export type Wishes = Required<{ readonly [Wish in keyof WishWeights]: number }>

export const USUAL_WISHES: Wishes = { evenness: 1, novelty: 1, return: 1, variety: 1, minutes: 1 }

export interface CourseSettings {
  /** Minutes in class. */
  readonly lessonMinutes: number
  /** Lessons that the teacher has in mind; the minutes may need more. Null: as few as the minutes need. */
  readonly lessons: number | null
  /** Ids of the teacher's lessons, in order, that pins name. */
  readonly lessonIds: readonly string[]
  readonly wishes: Wishes
}

export function courseSettings(sampler: Sampler): CourseSettings {
  const { lessonMinutes, lessons, wishes } = sampler.brief
  return {
    lessonMinutes,
    lessons: lessons ?? null,
    lessonIds: sampler.lessons.map((lesson) => lesson.id),
    wishes: { ...USUAL_WISHES, ...Object.fromEntries(Object.entries(wishes ?? {}).filter(([, weight]) => weight !== undefined)) },
  }
}
