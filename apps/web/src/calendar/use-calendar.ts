/** A class's dates beside the worked course: laid, with the minutes of each lesson and who is where when. */
import { beginCalendar, type CourseOnDates, courseOnDates } from '@lemmata/core/calendar'
import type { ClassCalendar } from '@lemmata/core/classes'
import type { CourseItem } from '@lemmata/core/order'
import type { Sampler } from '@lemmata/core/sampler'
import dayjs from 'dayjs'
import { useMemo } from 'react'

export interface DatedCourse extends CourseOnDates {
  /** The class has dates of its own; else these are what the brief has in mind. */
  readonly isOwn: boolean
}

export const hereZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone

export function useCalendar(sampler: Sampler, own: ClassCalendar | undefined, course: readonly CourseItem[]): DatedCourse {
  return useMemo(() => onDates(sampler, own, course, dayjs().format('YYYY-MM-DD'), hereZone()), [sampler, own, course])
}

export function onDates(sampler: Sampler, own: ClassCalendar | undefined, course: readonly CourseItem[], today: string, zone: string): DatedCourse {
  return { ...courseOnDates(sampler, own ?? beginCalendar(sampler, today, zone), course), isOwn: own !== undefined }
}
