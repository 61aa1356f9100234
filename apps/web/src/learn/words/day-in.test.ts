/** A day in either language, as one says it; a moment with its time. */
import { expect, it } from 'vitest'
import { ENGLISH } from './english.ts'
import { GERMAN } from './german.ts'
import { dayIn } from './index.ts'

const WORDS = { en: ENGLISH, de: GERMAN }

it.each([
  ['en', 'day', '2027-01-14', 'Thursday 14 January'],
  ['en', 'shortDay', '2026-12-03', '3 December'],
  ['de', 'day', '2027-01-14', 'Donnerstag, 14. Januar'],
  ['de', 'shortDay', '2026-12-03', '3. Dezember'],
] as const)('%s %s of %s is %s', (language, format, day, said) => {
  expect(dayIn(day, WORDS[language][format], language)).toBe(said)
})

it('a moment is told by the clock of the device, with two figures for hour and minute', () => {
  const at = new Date(2026, 10, 8, 9, 5).toISOString()
  expect(dayIn(at, ENGLISH.photo.dayAndTime, 'en')).toBe('8 November, 09:05')
  expect(dayIn(at, GERMAN.photo.dayAndTime, 'de')).toBe('8. November, 09:05')
})
