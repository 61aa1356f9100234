/** A class's dates beside the worked course: laid, with the minutes of each lesson and who is where when. */
import {
  beginCalendar,
  daysBetween,
  forecast,
  layLessons,
  type LaidCalendar,
  type LessonMinutes,
  lessonMinutes,
  minutesProblems,
  type PaceForecast,
} from '@lemmata/core/calendar'
import type { ClassCalendar } from '@lemmata/core/classes'
import type { Problem } from '@lemmata/core/base'
import type { CourseItem } from '@lemmata/core/order'
import type { Lesson, Sampler } from '@lemmata/core/sampler'
import dayjs from 'dayjs'
import { useMemo } from 'react'

export interface CourseOnDates {
  readonly calendar: ClassCalendar
  /** The class has dates of its own; else these are what the brief has in mind. */
  readonly isOwn: boolean
  readonly lessons: readonly Lesson[]
  readonly laid: LaidCalendar
  readonly minutes: readonly LessonMinutes[]
  /** Minutes that a lesson has, and a week at home. */
  readonly room: number
  readonly homeRoom: number
  readonly problems: readonly Problem[]
  readonly forecast: readonly PaceForecast[]
}

export const hereZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone

export function useCalendar(sampler: Sampler, own: ClassCalendar | undefined, course: readonly CourseItem[]): CourseOnDates {
  return useMemo(() => onDates(sampler, own, course, dayjs().format('YYYY-MM-DD'), hereZone()), [sampler, own, course])
}

export function onDates(sampler: Sampler, own: ClassCalendar | undefined, course: readonly CourseItem[], today: string, zone: string): CourseOnDates {
  const calendar = own ?? beginCalendar(sampler, today, zone)
  const lessons = sampler.lessons.filter((one) => one.exercises.length > 0)
  const laid = layLessons(
    calendar,
    lessons.map((one) => one.id),
  )
  const room = calendar.minutes ?? sampler.brief.lessonMinutes
  const homeRoom = calendar.homeMinutes ?? sampler.brief.homeMinutesPerWeek
  const datesOf = (id: string): readonly string[] => laid.lessons.find((one) => one.lesson === id)?.on ?? []
  const minutes = lessons.map((one) => lessonMinutes(one, course, room * Math.max(1, datesOf(one.id).length)))
  const nextOn = (id: string): string | undefined => {
    const last = datesOf(id).at(-1) ?? ''
    return laid.days.find((day) => day.on > last && day.kind !== 'off')?.on
  }
  const weeks = (id: string): number => {
    const [last, next] = [datesOf(id).at(-1), nextOn(id)]
    return last === undefined || next === undefined ? 1 : Math.max(0, daysBetween(last, next)) / 7
  }
  return {
    ...{ calendar, isOwn: own !== undefined, lessons, laid, minutes, room, homeRoom },
    problems: [...laid.problems, ...minutesProblems(minutes, homeRoom)],
    // The room of a lesson on two dates is that of both already.
    forecast: forecast(minutes, { dates: () => 1, homeRoom, weeks }),
  }
}
