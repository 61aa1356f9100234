/** Dates as one says them. */
import dayjs from 'dayjs'
import { describe, expect, it } from 'vitest'
import { dateInWords, dayInWords, daysBefore } from './dates.ts'

const now = dayjs('2026-11-26T22:30:00')

describe('when something was changed', () => {
  it.each([
    ['2026-11-26T22:25:24', 'today, 22.25'],
    ['2026-11-26T00:05:00', 'today, 0.05'],
    ['2026-11-25T23:59:00', 'yesterday, 23.59'],
    // The 26th of November 2026 is a Thursday.
    ['2026-11-20T09:00:00', 'Friday, 9.00'],
    ['2026-11-19T09:00:00', '19 November'],
    ['2025-12-31T09:00:00', '31 December 2025'],
  ])('%s is %s', (iso, words) => expect(dateInWords(iso, now)).toBe(words))
})

describe('a day to come', () => {
  it.each([
    ['2026-11-26', 'today'],
    ['2026-11-27', 'tomorrow'],
    ['2026-12-03', 'Thursday 3 December'],
    ['2027-01-07', 'Thursday 7 January 2027'],
  ])('%s is %s', (date, words) => expect(dayInWords(date, now)).toBe(words))
})

it('so many days before a day, also over the end of a month', () => {
  expect(daysBefore('2026-12-03', 5)).toBe('2026-11-28')
})
