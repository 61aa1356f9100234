/** Dates as one says them: "today, 22.25", "yesterday, 9.05", "Tuesday, 14.10", "3 November". */
import dayjs, { type Dayjs } from 'dayjs'

const WITHIN_DAYS = 6

export function dateInWords(iso: string, now: Dayjs = dayjs()): string {
  const at = dayjs(iso)
  const days = now.startOf('day').diff(at.startOf('day'), 'day')
  const time = at.format('H.mm')
  if (days === 0) return `today, ${time}`
  if (days === 1) return `yesterday, ${time}`
  if (days > 1 && days <= WITHIN_DAYS) return `${at.format('dddd')}, ${time}`
  return at.format(at.year() === now.year() ? 'D MMMM' : 'D MMMM YYYY')
}

/** "Thursday 3 December", and how far off it is where that is near. */
export function dayInWords(date: string, now: Dayjs = dayjs()): string {
  const at = dayjs(date)
  const days = at.startOf('day').diff(now.startOf('day'), 'day')
  const near = days === 0 ? 'today' : days === 1 ? 'tomorrow' : null
  return near ?? at.format(at.year() === now.year() ? 'dddd D MMMM' : 'dddd D MMMM YYYY')
}

/** Year, month and day, so many days earlier. */
export function daysBefore(day: string, days: number): string {
  return dayjs(day).subtract(days, 'day').format('YYYY-MM-DD')
}
