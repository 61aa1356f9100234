import { entriesBefore, type FieldChange, fieldOrder, fieldsBefore, type LessonId, refused, success, withEntries, withFields } from '../../base/index.ts'
import type { ClassCalendar, MovedLesson } from '../calendar.ts'
import type { ClassDocument } from '../types.ts'
import type { ClassTools } from './tools.ts'

/** A calendar, or none. */
export interface SetCalendar {
  readonly kind: 'set-calendar'
  readonly calendar: ClassCalendar | null
}

type Settings = Omit<ClassCalendar, 'off' | 'moved'>
export interface ChangeCalendar {
  readonly kind: 'change-calendar'
  readonly set: FieldChange<Settings>
  readonly clear?: readonly ('minutes' | 'homeMinutes' | 'releaseDays')[] | undefined
}

/** A day on which the class does not meet, and why; null: it meets after all. */
export interface SetDayOff {
  readonly kind: 'set-day-off'
  readonly on: string
  readonly why: string | null
}

/** A lesson to a date of its own; null: back to where it falls by itself. */
export interface MoveDate {
  readonly kind: 'move-date'
  readonly lesson: LessonId
  readonly to: MovedLesson | null
}

export const CALENDAR_FIELDS = fieldOrder<ClassCalendar>({
  start: 0,
  rhythm: 1,
  begins: 2,
  zone: 3,
  minutes: 4,
  homeMinutes: 5,
  releaseDays: 6,
  off: 7,
  catchUp: 8,
  moved: 9,
  twice: 10,
})

function withCalendar(one: ClassDocument, calendar: ClassCalendar | undefined): ClassDocument {
  // In the order in which a class is written, so that what is taken back is as it was, to the byte.
  const { calendar: _was, notes, ...rest } = one
  return { ...rest, ...(calendar ? { calendar } : {}), ...(notes ? { notes } : {}) }
}

const none = () => refused('class.no-calendar')

export const setCalendar: ClassTools<SetCalendar> = {
  apply: (one, { calendar }) => success(withCalendar(one, calendar ?? undefined)),
  invert: (before) => ({ kind: 'set-calendar', calendar: before.calendar ?? null }),
}

export const changeCalendar: ClassTools<ChangeCalendar> = {
  apply: (one, { set, clear = [] }) =>
    one.calendar ? success(withCalendar(one, withFields<ClassCalendar>(one.calendar, set, clear, CALENDAR_FIELDS))) : none(),
  invert: (before, { set, clear = [] }) => {
    if (!before.calendar) return null
    const back = fieldsBefore<ClassCalendar>(before.calendar, set, clear)
    return { kind: 'change-calendar', set: back.set, clear: back.clear as ChangeCalendar['clear'] }
  },
}

export const setDayOff: ClassTools<SetDayOff> = {
  apply: (one, { on, why }) => {
    if (!one.calendar) return none()
    const off = withEntries(one.calendar.off, why === null ? {} : { [on]: why }, why === null ? [on] : []) ?? {}
    return success(withCalendar(one, { ...one.calendar, off }))
  },
  invert: (before, { on }) => {
    if (!before.calendar) return null
    const { set } = entriesBefore(before.calendar.off, [on])
    return { kind: 'set-day-off', on, why: set[on] ?? null }
  },
}

export const moveDate: ClassTools<MoveDate> = {
  apply: (one, { lesson, to }) => {
    if (!one.calendar) return none()
    const moved = withEntries(one.calendar.moved, to === null ? {} : { [lesson]: to }, to === null ? [lesson] : []) ?? {}
    return success(withCalendar(one, { ...one.calendar, moved }))
  },
  invert: (before, { lesson }) => {
    if (!before.calendar) return null
    const { set } = entriesBefore(before.calendar.moved, [lesson])
    return { kind: 'move-date', lesson, to: set[lesson] ?? null }
  },
}
