/** What is said of dates and minutes. */
import type { Sentences } from '../base/index.ts'

export const CALENDAR_SENTENCES: Sentences = {
  'calendar.no-date': 'Lesson {number} has no date: the chosen dates are used up. Add one, or choose a rhythm.',
  'calendar.day-off': 'Lesson {number} stands on {day}, a day off ({why}).',
  'calendar.same-day': 'Lessons {other} and {number} stand on the same day, {day}.',
  'calendar.before-another': 'Lesson {number} stands on {day}, before a lesson that comes earlier in the course.',
  'calendar.too-full': 'Lesson {number} takes {takes} minutes of showing and working, and has {room}: {over} too many.',
  'calendar.home-too-full': 'The week after lesson {number} has {takes} minutes of home work, and {room} are asked for.',
}
