/** Days, and a lesson's dates, in the words of a book. */
import { dayParts } from '../calendar/index.ts'
import type { BookWords } from './book-words.ts'
import type { Making } from './types.ts'

export function dayInWords(on: string, said: BookWords): string {
  const { weekday, day, month } = dayParts(on)
  return said.day(said.weekdays[weekday - 1] ?? '', day, said.months[month - 1] ?? '')
}

export const datesOf = ({ dates }: Making, lesson: string): readonly string[] => dates?.laid.lessons.find((one) => one.lesson === lesson)?.on ?? []
