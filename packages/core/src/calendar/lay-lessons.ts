/**
 * Lessons on dates. They take the dates of the rhythm in turn, past days off and dates for catching up. A lesson that was moved stands
 * where it was put; those after it go on from there where they are to follow, else they stay where they would be.
 */
import { caution, type LessonId, type Problem } from '../base/index.ts'
import type { ClassCalendar } from '../classes/index.ts'
import { addDays, datesFrom } from './dates.ts'

export interface DatedLesson {
  readonly lesson: LessonId
  /** One, or two where it is held on two. None where the chosen dates do not suffice. */
  readonly on: readonly string[]
  readonly isMoved: boolean
  /** From this day learners have its pages; null where they have all from the beginning, or it has no date. */
  readonly seenFrom: string | null
}

/** A line of the calendar, in the order of days. */
export type CalendarDay =
  | { readonly kind: 'lesson'; readonly on: string; readonly lesson: LessonId; readonly part: 1 | 2; readonly parts: 1 | 2 }
  | { readonly kind: 'off'; readonly on: string; readonly why: string }
  | { readonly kind: 'catch-up'; readonly on: string }

export interface LaidCalendar {
  readonly lessons: readonly DatedLesson[]
  readonly days: readonly CalendarDay[]
  readonly problems: readonly Problem[]
}

export function layLessons(calendar: ClassCalendar, order: readonly LessonId[]): LaidCalendar {
  const isTaken = (on: string): boolean => on in calendar.off || calendar.catchUp.includes(on)
  let dates = free(datesFrom(calendar.rhythm, calendar.start), isTaken)
  const next = (): string | null => dates.next().value ?? null
  const dated = (lesson: LessonId, on: readonly string[], isMoved: boolean): DatedLesson => {
    const [first] = on
    const seenFrom = first === undefined || calendar.releaseDays === undefined ? null : addDays(first, -calendar.releaseDays)
    return { lesson, on, isMoved, seenFrom }
  }
  const lessons = order.map((lesson): DatedLesson => {
    const wanted = calendar.twice.includes(lesson) ? 2 : 1
    const moved = calendar.moved[lesson]
    // Its own date is used up, whether it stands there or not: what comes after stays.
    const own = Array.from({ length: wanted }, () => (moved?.follow === true ? null : next()))
    if (!moved)
      return dated(
        lesson,
        own.flatMap((one) => one ?? []),
        false,
      )
    const after = free(datesFrom(calendar.rhythm, moved.on), (on) => on <= moved.on || isTaken(on))
    const second = wanted === 2 ? (moved.follow ? (after.next().value ?? null) : (own[1] ?? null)) : null
    if (moved.follow) dates = after
    return dated(lesson, [moved.on, ...(second === null ? [] : [second])], true)
  })
  const days = daysOf(calendar, lessons)
  return { lessons, days, problems: problemsOf(calendar, lessons) }
}

function* free(dates: Generator<string>, isTaken: (on: string) => boolean): Generator<string, undefined> {
  for (const on of dates) if (!isTaken(on)) yield on
  return undefined
}

function daysOf(calendar: ClassCalendar, lessons: readonly DatedLesson[]): readonly CalendarDay[] {
  const held = lessons.flatMap(({ lesson, on }) =>
    on.map((day, index): CalendarDay => ({ kind: 'lesson', on: day, lesson, part: index === 0 ? 1 : 2, parts: on.length > 1 ? 2 : 1 })),
  )
  const last =
    held
      .map((one) => one.on)
      .sort()
      .at(-1) ?? calendar.start
  const within = (on: string): boolean => on >= calendar.start && on <= last
  const off = Object.entries(calendar.off).flatMap(([on, why]): CalendarDay[] => (within(on) ? [{ kind: 'off', on, why }] : []))
  const catchUp = calendar.catchUp.flatMap((on): CalendarDay[] => (on >= calendar.start ? [{ kind: 'catch-up', on }] : []))
  return [...held, ...off, ...catchUp].sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0))
}

function problemsOf(calendar: ClassCalendar, lessons: readonly DatedLesson[]): readonly Problem[] {
  const problems: Problem[] = []
  const seen = new Map<string, number>()
  let latest = ''
  for (const [index, { lesson, on }] of lessons.entries()) {
    const path = ['lessons', lesson]
    const number = index + 1
    if (on.length === 0) problems.push(caution('calendar.no-date', path, { number }))
    for (const day of on) {
      if (day in calendar.off) problems.push(caution('calendar.day-off', path, { number, day, why: calendar.off[day] ?? '' }))
      const other = seen.get(day)
      if (other !== undefined) problems.push(caution('calendar.same-day', path, { number, other, day }))
      seen.set(day, number)
    }
    if ((on[0] ?? latest) < latest) problems.push(caution('calendar.before-another', path, { number, day: on[0] ?? '' }))
    latest = [latest, ...on].sort().at(-1) ?? latest
  }
  return problems
}

/** Where the rhythm would go on after the last lesson: the day for one more. */
export function nextFree(calendar: ClassCalendar, laid: LaidCalendar): string | null {
  const last = laid.days.at(-1)?.on ?? addDays(calendar.start, -1)
  for (const on of datesFrom(calendar.rhythm, calendar.start)) if (on > last && !(on in calendar.off)) return on
  return null
}
