/** A course laid on its class's dates, with the minutes of each lesson and who is where when. */
import type { Problem } from '../base/index.ts'
import type { ClassCalendar } from '../classes/index.ts'
import type { CourseItem } from '../order/index.ts'
import type { Lesson, Sampler } from '../sampler/index.ts'
import { daysBetween } from './dates.ts'
import { forecast, type PaceForecast } from './forecast.ts'
import { type LaidCalendar, layLessons } from './lay-lessons.ts'
import { type LessonMinutes, lessonMinutes, minutesProblems } from './lesson-minutes.ts'

export interface CourseOnDates {
  readonly calendar: ClassCalendar
  /** Those that hold an exercise. */
  readonly lessons: readonly Lesson[]
  readonly laid: LaidCalendar
  readonly minutes: readonly LessonMinutes[]
  /** Minutes that a lesson has, and a week at home. */
  readonly room: number
  readonly homeRoom: number
  /** From a lesson to whatever is next, and at least one after the last. */
  readonly weeks: (lesson: string) => number
  readonly problems: readonly Problem[]
  readonly forecast: readonly PaceForecast[]
}

export function courseOnDates(sampler: Pick<Sampler, 'lessons' | 'brief'>, calendar: ClassCalendar, course: readonly CourseItem[]): CourseOnDates {
  const lessons = sampler.lessons.filter((one) => one.exercises.length > 0)
  const laid = layLessons(
    calendar,
    lessons.map((one) => one.id),
  )
  const room = calendar.minutes ?? sampler.brief.lessonMinutes
  const homeRoom = calendar.homeMinutes ?? sampler.brief.homeMinutesPerWeek
  const datesOf = (id: string): readonly string[] => laid.lessons.find((one) => one.lesson === id)?.on ?? []
  const minutes = lessons.map((one) => lessonMinutes(one, course, room, Math.max(1, datesOf(one.id).length)))
  const nextOn = (id: string): string | undefined => {
    const last = datesOf(id).at(-1) ?? ''
    return laid.days.find((day) => day.on > last && day.kind !== 'off')?.on
  }
  const weeks = (id: string): number => {
    const [last, next] = [datesOf(id).at(-1), nextOn(id)]
    return last === undefined || next === undefined ? 1 : Math.max(0, daysBetween(last, next)) / 7
  }
  return {
    ...{ calendar, lessons, laid, minutes, room, homeRoom, weeks },
    problems: [...laid.problems, ...minutesProblems(minutes, homeRoom)],
    // The room of a lesson on two dates is that of both already.
    forecast: forecast(minutes, { dates: () => 1, homeRoom, weeks }),
  }
}
