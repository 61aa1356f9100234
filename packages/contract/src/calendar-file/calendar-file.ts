/** A class's dates as a calendar file for other programs, and days off out of one. Moments are written in the world's time, so that no zone's rules travel along. */
import { momentsOf } from '@lemmata/core/calendar'
import type { ClassCalendar } from '@lemmata/core/classes'
import ICAL from 'ical.js'

export interface CalendarEntry {
  /** The same for the same lesson, so that a program that asks again moves it. */
  readonly uid: string
  readonly on: string
  readonly title: string
  readonly words: string
}

/** A program that has subscribed asks again after so long. */
const ASK_AGAIN = 'PT6H'

/** Lines of at most 75 bytes: with the space that begins one which goes on. */
ICAL.foldLength = 74

export function calendarFile(
  name: string,
  calendar: Pick<ClassCalendar, 'begins' | 'zone'>,
  minutes: number,
  entries: readonly CalendarEntry[],
  writtenAt: Date,
): string {
  const file = new ICAL.Component('vcalendar')
  file.updatePropertyWithValue('version', '2.0')
  file.updatePropertyWithValue('prodid', '-//Lemmata//EN')
  file.updatePropertyWithValue('method', 'PUBLISH')
  file.updatePropertyWithValue('x-wr-calname', name)
  file.updatePropertyWithValue('refresh-interval', ICAL.Duration.fromString(ASK_AGAIN))
  for (const { uid, on, title, words } of entries) {
    const { begins, ends } = momentsOf(calendar, on, minutes)
    const event = new ICAL.Component('vevent')
    event.updatePropertyWithValue('uid', uid)
    event.updatePropertyWithValue('dtstamp', ICAL.Time.fromJSDate(writtenAt, true))
    event.updatePropertyWithValue('dtstart', ICAL.Time.fromJSDate(new Date(begins), true))
    event.updatePropertyWithValue('dtend', ICAL.Time.fromJSDate(new Date(ends), true))
    event.updatePropertyWithValue('summary', title)
    if (words !== '') event.updatePropertyWithValue('description', words)
    file.addSubcomponent(event)
  }
  return `${file.toString()}\r\n`
}

export interface DayOff {
  readonly on: string
  readonly why: string
}

const MOST_DAYS = 400
/** Somebody's holiday is weeks; what is longer is no holiday of a class. */
const MOST_DAYS_EACH = 120

/** Every day that an entry of the file covers, with its title: school holidays as one finds them. Null where it is no calendar file. */
export function readDaysOff(text: string): readonly DayOff[] | null {
  let file: ICAL.Component
  try {
    file = new ICAL.Component(ICAL.parse(text) as ConstructorParameters<typeof ICAL.Component>[0])
  } catch {
    return null
  }
  if (file.name !== 'vcalendar') return null
  const days = new Map<string, string>()
  for (const component of file.getAllSubcomponents('vevent')) {
    // The package takes for granted that an entry has a beginning.
    if (!(component.getFirstPropertyValue('dtstart') instanceof ICAL.Time)) continue
    const event = new ICAL.Event(component)
    const [begins, ends] = [event.startDate, event.endDate as ICAL.Time | null]
    const why = ((event.summary as string | null) ?? '').slice(0, 120).trim()
    const from = begins.clone()
    // A whole day's entry ends with the day after it; one with hours covers the days that it touches.
    const last = ends?.clone() ?? begins.clone()
    if (last.isDate && last.compare(from) > 0) last.adjust(-1, 0, 0, 0)
    from.isDate = true
    last.isDate = true
    for (let count = 0; count < MOST_DAYS_EACH && from.compare(last) <= 0 && days.size < MOST_DAYS; count += 1) {
      const on = from.toString().slice(0, 10)
      if (!days.has(on)) days.set(on, why)
      from.adjust(1, 0, 0, 0)
    }
  }
  return [...days].map(([on, why]) => ({ on, why })).sort((a, b) => (a.on < b.on ? -1 : 1))
}
