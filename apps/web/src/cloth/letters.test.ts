/** Letters on the cloth: beside where an exercise begins, none on another. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type LetterPlace, placedLetters } from './Letters.tsx'

const asIs = (at: { x: number; y: number }) => at
const letter = (index: number, x: number, y: number): LetterPlace => ({ id: `e${index}`, letter: 'ABCDEFGHIJ'[index % 10] ?? 'A', at: { x, y } })

describe('letters', () => {
  it('stand to the left of where the thread comes up', () => {
    const [one] = placedLetters([letter(0, 100, 50)], asIs)
    expect(one?.at.x).toBeLessThan(100)
    expect(one?.at.y).toBe(50)
  })

  it('up to a dozen at one place do not lie on one another', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ x: fc.integer({ min: 0, max: 30 }), y: fc.integer({ min: 0, max: 30 }) }), { minLength: 2, maxLength: 12 }),
        (places) => {
          const placed = placedLetters(
            places.map(({ x, y }, index) => letter(index, x, y)),
            asIs,
          )
          for (const [index, one] of placed.entries())
            for (const other of placed.slice(index + 1)) expect(Math.abs(one.at.x - other.at.x) > 8 || Math.abs(one.at.y - other.at.y) > 8).toBe(true)
        },
      ),
    )
  })
})
