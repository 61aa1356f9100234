import { expect, it } from 'vitest'
import { NoConnection, Refused } from './talk.ts'
import { NothingKept, troubleInWords } from './trouble.ts'
import { ENGLISH as en } from './words/english.ts'
import { GERMAN as de } from './words/german.ts'

it('is said in the language of the page; what has no words there as the server said it', () => {
  const refused = new Refused(404, 'learning.no-code', 'No class has this code.')
  expect([troubleInWords(refused, en), troubleInWords(refused, de)]).toEqual([
    'No class has this code.',
    expect.stringMatching(/^Keine Klasse hat diesen Code/),
  ])
  const unheard = new Refused(422, 'rain', 'It rains.')
  expect([troubleInWords(unheard, de), troubleInWords(new Refused(422, '', ''), de)]).toEqual(['It rains.', de.unexpected])
  expect([new NoConnection(), new NothingKept(), new Error('x')].map((one) => troubleInWords(one, de))).toEqual([
    de.noConnection,
    de.nothingKept,
    de.unexpected,
  ])
  expect(troubleInWords(new TypeError('canvas'), de, 'so')).toBe('so')
})
