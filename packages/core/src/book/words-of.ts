/** Days, and a lesson's dates, in the words of a book. */
import type { Lesson } from '../sampler/index.ts'
import { dayParts } from '../calendar/index.ts'
import type { BookWords } from './book-words.ts'
import type { Making } from './types.ts'

export function dayInWords(on: string, said: BookWords): string {
  const { weekday, day, month } = dayParts(on)
  return said.day(said.weekdays[weekday - 1] ?? '', day, said.months[month - 1] ?? '')
}

/** Minutes of a lesson in class: with its break where it has a date, else as the course counts them. */
export function minutesHere({ dates, course }: Making, lesson: Lesson): number {
  const minutes = dates?.minutes.find((one) => one.lesson === lesson.id)
  if (minutes) return minutes.showing + minutes.working + minutes.breaks
  return course.reduce((sum, one) => sum + (lesson.exercises.includes(one.id) ? one.minutes : 0), 0)
}

export const datesOf = ({ dates }: Making, lesson: string): readonly string[] => dates?.laid.lessons.find((one) => one.lesson === lesson)?.on ?? []

/** From half past six, so many minutes on. */
export function hoursOf(begins: string, minutes: number): [string, string] {
  const [hours = 0, past = 0] = begins.split(':').map(Number)
  const end = hours * 60 + past + minutes
  const two = (value: number): string => String(value).padStart(2, '0')
  return [begins, `${two(Math.floor(end / 60) % 24)}:${two(end % 60)}`]
}
