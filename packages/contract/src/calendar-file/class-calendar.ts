/** The calendar file of a class: one entry for each date of a lesson, under an id that stays with the lesson when it is moved. */
import { beginCalendar, layLessons } from '@lemmata/core/calendar'
import type { ClassCalendar } from '@lemmata/core/classes'
import type { Sampler } from '@lemmata/core/sampler'
import { counted } from '@lemmata/core/units'
import { calendarFile } from './calendar-file.ts'

/** `id`: the class's, or the sampler's where it has none. Without dates of its own, and none in the brief, it is an empty calendar. */
export function classCalendarFile(sampler: Sampler, own: ClassCalendar | undefined, id: string, writtenAt: Date): string {
  const { name, brief } = sampler
  const calendar = own ?? (brief.startDate === undefined ? null : beginCalendar(sampler, brief.startDate, 'UTC'))
  const lessons = sampler.lessons.filter((one) => one.exercises.length > 0)
  if (!calendar) return calendarFile(name, { begins: '00:00', zone: 'UTC' }, brief.lessonMinutes, [], writtenAt)
  const order = lessons.map((one) => one.id)
  const entries = layLessons(calendar, order).days.flatMap((day) => {
    if (day.kind !== 'lesson') return []
    const index = order.indexOf(day.lesson)
    const title = `${name}: ${index + 1}. ${lessons[index]?.title ?? ''}`
    return [
      {
        uid: `${id}-${day.lesson}-${day.part}@lemmata`,
        on: day.on,
        title: day.parts > 1 ? `${title}, ${day.part} of 2` : title,
        words: counted(lessons[index]?.exercises.length ?? 0, 'exercise'),
      },
    ]
  })
  return calendarFile(name, calendar, calendar.minutes ?? brief.lessonMinutes, entries, writtenAt)
}
