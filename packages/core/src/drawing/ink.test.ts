/** Ink that shows: on ten cloths, marks at three to one, words at four and a half. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { contrast } from '../materials/index.ts'
import { backOf, inkOn } from './ink.ts'

const CLOTHS = ['#ffffff', '#f1eadb', '#e9e0cc', '#cbb994', '#a6947a', '#768aa3', '#5a6a86', '#7a2f3a', '#23304f', '#0d0d10'] as const
const shows = (hex: string): void => {
  const { marks, words } = inkOn(hex)
  expect(contrast(marks, hex), `marks ${marks} on ${hex}`).toBeGreaterThanOrEqual(3)
  expect(contrast(words, hex), `words ${words} on ${hex}`).toBeGreaterThanOrEqual(4.5)
}

describe('ink', () => {
  it.each(CLOTHS)('shows on %s and on its back', (hex) => {
    shows(hex)
    shows(backOf(hex))
  })

  it('shows on any cloth there is', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffffff }), (value) => shows(`#${value.toString(16).padStart(6, '0')}`)),
      { numRuns: 300 },
    )
  })

  it('is the water-erasable blue on light cloth, and light on dark cloth', () => {
    expect(inkOn('#f1eadb')).toMatchObject({ marks: '#2E5E9E', words: '#1F2A37', isDark: false })
    expect(inkOn('#23304f')).toMatchObject({ marks: '#dfeaf7', words: '#F6F1E7', isDark: true })
  })
})
