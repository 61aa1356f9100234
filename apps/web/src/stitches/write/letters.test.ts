/** Letters of places, and places from the drawing. */
import { surroundingsOf } from '@lemmata/core/assign'
import type { Pass, StitchDocument } from '@lemmata/core/notation'
import { newSampler } from '@lemmata/core/sampler'
import { LIBRARY } from '@lemmata/core/stitches'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { workSwatch } from '../swatch.ts'
import { letteredPlaces, movedPlace } from './letters.ts'
import { pickPlace } from './pick.ts'
import { inWords, placeInWords } from './sentence-words.ts'
import { wordingOf } from './wording.ts'

const around = surroundingsOf(newSampler('Letters'))
function opened(id: string) {
  const document = LIBRARY.find((one) => one.id === id) as StitchDocument
  const result = workSwatch(document, around)
  if (!result.ok) throw new Error(id)
  const pass = document.passes[0] as Pass
  return { document, pass, done: result.value, places: letteredPlaces(pass, 0, result.value.pieces[0].worked), wording: wordingOf(document, result.value) }
}

describe('letters', () => {
  it('chain: A where the loop begins and ends, B where it is caught, C behind the last', () => {
    const { places } = opened('chain-stitch')
    expect(places.map((one) => [one.letter, one.form])).toEqual([
      ['A', [0, 0]],
      ['B', ['L', 0]],
      ['C', ['e', 0]],
    ])
    const [a, b] = places
    expect((b?.at?.x ?? 0) - (a?.at?.x ?? 0)).toBeCloseTo(opened('chain-stitch').done.pieces[0].worked.fitted.pitchMm, 6)
  })

  it('every place of every stitch has one, each its own', () => {
    for (const document of LIBRARY)
      for (const [index, pass] of document.passes.entries()) {
        const letters = letteredPlaces(pass, index, null).map((one) => one.letter)
        expect(new Set(letters).size, document.id).toBe(letters.length)
      }
  })

  it('a place that is moved takes all moves there along and leaves the others', () => {
    const { pass } = opened('chain-stitch')
    const moved = movedPlace(pass, [0, 0], ['L/2', 1])
    expect(moved.start).toMatchObject([{ up: ['L/2', 1] }])
    expect(moved.repeat).toMatchObject([{ down: ['L/2', 1], loose: true }, { up: ['L', 0] }])
  })
})

describe('a place on the drawing', () => {
  it('on a letter it is that letter’s; near one of the stitch’s lengths it is that length', () => {
    const { places, wording } = opened('chain-stitch')
    const [a, b] = places
    const at = (s: number, t: number) => ({ x: (a?.at?.x ?? 0) + s, y: (a?.at?.y ?? 0) - t })
    expect(pickPlace({ x: (b?.at?.x ?? 0) + 0.2, y: b?.at?.y ?? 0 }, places, wording.worth, null)).toEqual(['L', 0])
    const length = wording.worth.get('L') ?? 0
    expect(pickPlace(at(length / 2, 0.9), places, wording.worth, null)).toEqual(['L/2', expect.closeTo(0.9, 1)])
    expect(pickPlace(at(-length, 0.2), places, wording.worth, null)).toEqual(['-L', 0])
  })

  it('on a band it is a share of how far the band reaches, or its rail', () => {
    const { places, wording } = opened('herringbone')
    const [first] = places.filter((one) => one.at)
    const from = first?.at ?? { x: 0, y: 0 }
    expect(wording.reach).toBeGreaterThan(1)
    const rail = pickPlace({ x: from.x + 1.2, y: 20 - (wording.reach ?? 0) }, places, wording.worth, wording.reach)
    expect(Array.isArray(rail) && rail[1]).toBe('w')
  })

  it('across a shape it is a share of the way from one edge to the other', () => {
    const { places, wording } = opened('satin-stitch')
    const [a, b] = places
    const middle = { x: ((a?.at?.x ?? 0) + (b?.at?.x ?? 0)) / 2, y: ((a?.at?.y ?? 0) + (b?.at?.y ?? 0)) / 2 }
    expect(pickPlace(middle, places, wording.worth, wording.reach)).toEqual({ from: 'a', to: 'b', at: 0.5 })
  })

  it('worked again it lies where it was pressed, to the nearest tenth or length', () => {
    const { document, pass, places, wording } = opened('running-stitch')
    const shown = places.filter((one) => one.at)
    const [first] = shown
    fc.assert(
      fc.property(fc.double({ min: 0.6, max: 2, noNaN: true }), fc.double({ min: 0.6, max: 1.6, noNaN: true }), (s, t) => {
        const at = { x: (first?.at?.x ?? 0) + s, y: (first?.at?.y ?? 0) - t }
        const form = pickPlace(at, shown, wording.worth, wording.reach)
        if (!form || !first) throw new Error('no place')
        const again = workSwatch(
          { ...document, id: 'picked', passes: [movedPlace(pass, first.form, form)] },
          { ...around, stitches: [{ ...document, id: 'picked', passes: [movedPlace(pass, first.form, form)] }] },
        )
        if (!again.ok) return
        const there = letteredPlaces(movedPlace(pass, first.form, form), 0, again.value.pieces[0].worked).find(
          (one) => JSON.stringify(one.form) === JSON.stringify(form),
        )
        expect(Math.abs((there?.at?.y ?? 99) - at.y)).toBeLessThan(0.5)
      }),
      { numRuns: 30 },
    )
  })
})

describe('in words', () => {
  const names = new Map([
    ['L', 'stitch'],
    ['W', 'the thread’s width'],
  ])
  it('formulas are read with names and signs', () => {
    expect(inWords('1.2+3*W', names)).toBe('1.2 + 3 × the thread’s width')
    expect(inWords('L/2', names)).toBe('stitch ÷ 2')
    expect(inWords(3, names)).toBe('3')
  })
  it('places are read as ways', () => {
    expect(placeInWords([0, 0], names)).toBe('at the beginning of the repeat, on the line')
    expect(placeInWords(['2*L', '-W'], names)).toBe('2 × stitch on, the thread’s width to the right')
    expect(placeInWords(['-L', 1], names)).toBe('stitch back, 1 to the left')
    expect(placeInWords({ from: 'a', to: 'b', at: 0.25 }, names)).toBe(
      '0.25 of the way from where the row begins on the outline to where it ends on the outline',
    )
  })
})
