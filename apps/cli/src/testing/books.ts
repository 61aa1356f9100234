/** Books of the demos, laid out for a class that begins on one day. */
import { sixThursdays } from '@lemmata/contract/demo'
import type { Book } from '@lemmata/core/book'
import { beginCalendar } from '@lemmata/core/calendar'
import type { Drawing } from '@lemmata/core/drawing'
import type { Sampler } from '@lemmata/core/sampler'
import { type BookPrint, layBook } from '@lemmata/print'

const START = '2026-11-05'
export const thursdays = sixThursdays(START)

export const orderOf = (sampler: Sampler, more: Partial<BookPrint> = {}): BookPrint => ({
  ...{ sampler, calendar: beginCalendar(sampler, START, 'Europe/Oslo'), page: 'a4', made: new Date('2026-11-01T12:00:00Z') },
  ...more,
})

export function bookOf(sampler: Sampler, more: Partial<BookPrint> = {}): Book {
  const laid = layBook(orderOf(sampler, more))
  if (!laid.ok) throw new Error(laid.problems[0]?.code)
  return laid.value
}

export const pagesOf = (book: Book): readonly Drawing[] => Array.from({ length: book.pages }, (_, index) => book.drawPage(index))

export const long = 'Where the warm front comes in from the south west over the islands and the rain that follows it all day long'
export const withLongNames: Sampler = {
  ...thursdays,
  name: long,
  lessons: thursdays.lessons.map((one) => ({ ...one, title: long })),
  exercises: thursdays.exercises.map((one) => ({ ...one, name: long })),
  threads: thursdays.threads.map((one) => ({ ...one, colour: { ...one.colour, name: long } })),
}
