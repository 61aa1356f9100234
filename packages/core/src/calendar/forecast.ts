/**
 * Who is where when: slow, usual and quick hands by the same minutes. What is not finished in a lesson is taken home, as far as the week
 * has minutes for it; the rest is carried into the next.
 */
import type { LessonId } from '../base/index.ts'
import type { LessonMinutes } from './lesson-minutes.ts'

export type Pace = 'slow' | 'usual' | 'quick'
/** Minutes beside the usual ones: a third of beginners need half as long again, a third two thirds. Estimate. */
export const PACE: Readonly<Record<Pace, number>> = { slow: 1.5, usual: 1, quick: 0.7 }

export interface PaceForecast {
  readonly pace: Pace
  /** After each lesson and the week that follows it: minutes still to be worked of all so far. */
  readonly behind: readonly { readonly lesson: LessonId; readonly minutes: number }[]
  /** The lesson after which all is worked; null where it is not by the end. */
  readonly finished: LessonId | null
}

/** `dates`: how many each lesson has. `homeRoom`: minutes at home in a week; `weeks`: from each lesson to the next, at least one after the last. */
export function forecast(
  all: readonly LessonMinutes[],
  how: { readonly dates: (lesson: LessonId) => number; readonly homeRoom: number; readonly weeks: (lesson: LessonId) => number },
): readonly PaceForecast[] {
  return (['slow', 'usual', 'quick'] as const).map((pace) => {
    let carried = 0
    const behind = all.map(({ lesson, showing, working, breaks, home, room }) => {
      const factor = PACE[pace]
      // Showing is the teacher's time, the same for all.
      const inClass = Math.max(0, room * how.dates(lesson) - showing - breaks)
      const work = carried + working * factor
      const left = Math.max(0, work - inClass)
      carried = Math.max(0, left + home * factor - how.homeRoom * how.weeks(lesson))
      return { lesson, minutes: carried }
    })
    return { pace, behind, finished: (behind.at(-1)?.minutes ?? 0) < 0.5 ? (behind.at(-1)?.lesson ?? null) : null }
  })
}
