/** What no schema sees and no database keeps. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { problemInWords } from '../problem-words.ts'
import { cutText, storageProblem } from './storable.ts'

const nested = (levels: number): unknown => {
  let inner: unknown = 'end'
  for (let level = 0; level < levels; level += 1) inner = level % 2 === 0 ? [inner] : { in: inner }
  return inner
}
const HIGH = '\ud83c'
const LOW = '\udf27'

describe('what can be kept', () => {
  it('is any document of letters, whole ones of two units too', () => {
    for (const given of [null, 3, 'Rain', `${HIGH}${LOW}`, { name: `${HIGH}${LOW}${HIGH}${LOW}`, list: [1, 'a', null, true] }, []])
      expect(storageProblem(given)).toBeNull()
  })

  it('is nested twenty-eight levels deep and no deeper, in lists and records alike', () => {
    expect(storageProblem(nested(28))).toBeNull()
    expect(storageProblem(nested(29))).toMatchObject({ code: 'document.too-deep', severity: 'error', figures: { levels: 28 } })
    // The path is cut: it would be as long as the nesting.
    expect(storageProblem(nested(200))?.path).toHaveLength(6)
    expect(problemInWords(storageProblem(nested(29)) ?? { code: '', figures: {} })).toBe(
      'This is nested more than 28 levels deep, which cannot be kept. Write it flatter.',
    )
  })

  it('however deep, it is told without running out of room', () => {
    expect(storageProblem(nested(200_000))?.code).toBe('document.too-deep')
  })

  it.each([
    ['the first half alone', HIGH],
    ['the second half alone', LOW],
    ['the first half before a plain letter', `${HIGH}a`],
    ['the second half after a plain letter', `a${LOW}`],
    ['the halves the wrong way round', `${LOW}${HIGH}`],
  ])('has no half of a letter: %s', (_name, text) => {
    expect(storageProblem({ exercises: [{ name: text }] })).toMatchObject({
      code: 'document.half-letter',
      path: ['exercises', 0, 'name'],
      figures: { where: 'this text' },
    })
    expect(storageProblem({ exercises: [{ [text]: 1 }] })).toMatchObject({ code: 'document.half-letter', path: ['exercises', 0], figures: { where: 'a name' } })
  })

  it('says so in a sentence', () => {
    expect(problemInWords(storageProblem(HIGH) ?? { code: '', figures: {} })).toBe('A letter in this text is cut in half and cannot be kept. Type it again.')
  })
})

describe('a text cut to length', () => {
  it('is the text itself where it is short enough, else its beginning', () => {
    expect(cutText('Rain', 4)).toBe('Rain')
    expect(cutText('Rain', 5)).toBe('Rain')
    expect(cutText('Rain', 3)).toBe('Rai')
  })

  it('never ends in half a letter', () => {
    expect(cutText(`ab${HIGH}${LOW}`, 3)).toBe('ab')
    expect(cutText(`ab${HIGH}${LOW}c`, 4)).toBe(`ab${HIGH}${LOW}`)
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 30 }), fc.nat(40), (text, most) => {
        const cut = cutText(text, most)
        expect(cut.length).toBeLessThanOrEqual(most)
        expect(text.startsWith(cut)).toBe(true)
        expect(storageProblem(cut)).toBeNull()
        // No shorter than it must be.
        expect(cut.length).toBeGreaterThanOrEqual(Math.min(text.length, most) - 1)
      }),
      { seed: 9, numRuns: 400 },
    )
  })
})
