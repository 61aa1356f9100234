/** The head of a page: names of any length stand beside one another, and the page's number is never cut. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { pageFurniture, PAPERS } from './furniture.ts'
import { SHEET_WORDS } from './sheet-words.ts'

/** Every letter half as wide as it is high. */
const measure = (text: string, sizeMm: number): number => 0.5 * sizeMm * [...text].length
const heading = (sampler: string, part: string) => {
  const items = pageFurniture(PAPERS.a4, { sampler, part, page: 12, pages: 120, hand: 'right' }, measure, SHEET_WORDS.en)
  const [name, right] = items.filter((one) => one.kind === 'words')
  if (!name || !right) throw new Error('no heading')
  return { name, right }
}

describe('the head of a page', () => {
  it('says names that have room as they are', () => {
    const { name, right } = heading('Weather Diary', 'Lesson 3')
    expect([name.text, right.text]).toEqual(['Weather Diary', 'Lesson 3   12 / 120'])
  })

  it('whatever the names, they do not meet and stay on the page', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 160 }), fc.string({ maxLength: 160 }), (sampler, part) => {
        const { name, right } = heading(sampler, part)
        const end = name.at.x + measure(name.text, name.sizeMm)
        const begin = right.at.x - measure(right.text, right.sizeMm)
        expect(end).toBeLessThan(begin)
        expect(begin).toBeGreaterThan(0)
        expect(right.text.endsWith('   12 / 120')).toBe(true)
      }),
    )
  })

  it('what is cut has a sign that there is more', () => {
    const { name, right } = heading('Weather '.repeat(20), 'Over the harbour '.repeat(10))
    expect(name.text.endsWith('…')).toBe(true)
    expect(right.text).toMatch(/^Over the harbour .*…   12 \/ 120$/)
  })
})
