/** The course on dates as a table for other programs: a line for each day, lessons with what they take, days off with why. */
import type { CourseOnDates } from '@lemmata/core/calendar'
import papaparse from 'papaparse'

const COLUMNS = ['Date', 'Begins', 'Lesson', 'Title', 'Part', 'Showing', 'Working', 'Breaks', 'At home', 'Pages from'] as const

export function calendarCsv({ calendar, lessons, laid, minutes }: CourseOnDates): string {
  const rows = laid.days.map((day): readonly (string | number)[] => {
    if (day.kind === 'off') return [day.on, '', '', day.why === '' ? 'no lesson' : `no lesson: ${day.why}`, '', '', '', '', '', '']
    if (day.kind === 'catch-up') return [day.on, calendar.begins, '', 'catching up', '', '', '', '', '', '']
    const at = lessons.findIndex((one) => one.id === day.lesson)
    const { showing = 0, working = 0, breaks = 0, home = 0 } = minutes[at] ?? {}
    const part = day.parts > 1 ? `${day.part} of ${day.parts}` : ''
    return [
      day.on,
      calendar.begins,
      at + 1,
      lessons[at]?.title ?? '',
      part,
      ...[showing, working, breaks, home].map(Math.round),
      laid.lessons[at]?.seenFrom ?? '',
    ]
  })
  // With the mark by which tables know the letters' coding; nothing in it is taken for a formula.
  return `\uFEFF${papaparse.unparse({ fields: [...COLUMNS], data: rows.map((row) => [...row]) }, { escapeFormulae: true })}\r\n`
}
