// @vitest-environment jsdom
/** Drawing by hand and by typing: the same places and figures give the same guide, and what the pointer is near is what it is on. */
import { type DrawnGuide, usualCloth } from '@lemmata/core/sampler'
import { act, renderHook } from '@testing-library/react'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { measuredInWords } from './DrawOverlay.tsx'
import { guideLines } from './guide-lines.ts'
import { placesText, readPlaces } from './places-text.ts'
import { neatGround, snap } from './snap.ts'
import { useDrawGestures } from './use-draw-gestures.ts'
import { type Drawing, useDrawing } from './use-drawing.ts'

const at = (x: number, y: number) => ({ x, y })
const MIDDLE = at(100, 100)
const noKeys = { shiftKey: false, altKey: false, timeStamp: 0 }

describe('places as they are typed', () => {
  it('pairs apart by semicolons, in the unit of the sampler; one with @ is so far on from the one before', () => {
    expect(readPlaces('20, 40; 100, 40', 'mm', MIDDLE)).toEqual([at(20, 40), at(100, 40)])
    expect(readPlaces('20 40; @80 -10;', 'mm', MIDDLE)).toEqual([at(20, 40), at(100, 30)])
    expect(readPlaces('1, 2', 'in', MIDDLE)).toEqual([at(25.4, 50.8)])
    expect(readPlaces('', 'mm', MIDDLE)).toEqual([])
  })

  it('so far out at an angle of the dial: from the middle, or on from the place before', () => {
    // 30 at 90 degrees from twelve o'clock is 30 to the right; from there 10 at 180 is 10 down.
    const read = readPlaces('30<90; @10<180', 'mm', MIDDLE)
    expect(read?.map(({ x, y }) => [Math.round(x * 1e6) / 1e6, Math.round(y * 1e6) / 1e6])).toEqual([
      [130, 100],
      [130, 110],
    ])
    expect(readPlaces('1<0', 'in', MIDDLE)?.[0]?.y).toBeCloseTo(74.6, 9)
  })

  it('what is not pairs of numbers is none: half a place, words, a first place that goes on from nothing', () => {
    for (const text of ['20', '20; 40', 'a, b', '20, 40, 60', '@20, 40', '@3<4', '20,, 40', '1e5, 2']) expect(readPlaces(text, 'mm', MIDDLE), text).toBeNull()
  })

  it('read again they are what they were, to a tenth', () => {
    const place = fc.record({ x: fc.integer({ min: -5000, max: 5000 }), y: fc.integer({ min: -5000, max: 5000 }) }).map(({ x, y }) => at(x / 10, y / 10))
    fc.assert(
      fc.property(fc.array(place, { maxLength: 6 }), fc.constantFrom('mm' as const, 'in' as const), (places, unit) => {
        const again = readPlaces(placesText(places, unit), unit, MIDDLE)
        expect(again).toHaveLength(places.length)
        again?.forEach((one, index) => {
          expect(Math.abs(one.x - (places[index]?.x ?? NaN))).toBeLessThan(0.06)
          expect(Math.abs(one.y - (places[index]?.y ?? NaN))).toBeLessThan(0.06)
        })
      }),
    )
  })
})

const AS_IT_COMES = { middle: null, stepMm: 0 }

describe('what the pointer is on', () => {
  const guides: readonly DrawnGuide[] = [{ id: 'g', name: 'Isobar', guide: { kind: 'line', path: 'M 10 10 L 60 10' } }]
  const name = (guide: DrawnGuide): string => guide.name ?? ''

  it('an end that is near, by its name; else where it is', () => {
    expect(snap(at(60.8, 10.6), guides, name, 2, null, false, AS_IT_COMES)).toEqual({ at: at(60, 10), words: 'on the end of Isobar' })
    expect(snap(at(66, 10), guides, name, 2, null, false, AS_IT_COMES)).toEqual({ at: at(66, 10), words: null })
  })

  it('the middle of the hoop; else the nearest neat measure, on counted cloth the nearest thread', () => {
    const calico = neatGround({ cloth: usualCloth('calico'), workingHoop: { shape: 'round', nominalMm: 203, insideMm: 195, at: [155, 155] }, units: 'mm' }, 2.2)
    // A pixel is 0.45 mm: half millimetres.
    expect(calico).toEqual({ middle: at(155, 155), stepMm: 0.5 })
    expect(snap(at(156.1, 154.2), [], name, 3, null, false, calico)).toEqual({ at: at(155, 155), words: 'in the middle of the hoop' })
    expect(snap(at(66.31, 10.2), [], name, 3, null, false, calico).at).toEqual(at(66.5, 10))
    const linen = neatGround({ cloth: usualCloth('linen-28'), workingHoop: undefined, units: 'mm' }, 8)
    expect(linen.stepMm).toBeCloseTo(10 / 11, 9)
    expect(snap(at(9.3, 0.2), [], name, 3, null, false, linen).at.x).toBeCloseTo(100 / 11, 9)
    expect(neatGround({ cloth: usualCloth('calico'), workingHoop: undefined, units: 'in' }, 4).stepMm).toBeCloseTo(25.4 / 64, 9)
  })

  it('with Shift in steps of 15 degrees from the last place, as far as the hand went that way', () => {
    const { at: there } = snap(at(120, 103), [], name, 2, at(100, 100), true, AS_IT_COMES)
    // 8.5 degrees is nearer to 15 than to 0.
    expect(Math.atan2(there.y - 100, there.x - 100)).toBeCloseTo(Math.PI / 12, 9)
    expect(snap(at(120, 101), [], name, 2, at(100, 100), true, AS_IT_COMES).at.y).toBeCloseTo(100, 9)
  })
})

describe('a guide as lines', () => {
  it('every kind has some; a band its middle and both edges, a grid all its lines', () => {
    expect(guideLines({ kind: 'band', path: 'M 10 10 L 60 10', widthMm: 6 })).toHaveLength(3)
    expect(guideLines({ kind: 'grid', at: [10, 10], columns: 4, rows: 3, cellMm: 3 })).toHaveLength(5 + 4)
    expect(
      guideLines({
        kind: 'spots',
        at: [
          [10, 10],
          [20, 10],
        ],
      }),
    ).toHaveLength(2)
    expect(guideLines({ kind: 'pins', base: [10, 10], pins: [[10, 20]] })).toEqual(['M10.00 10.00L10.00 20.00'])
    expect(guideLines({ kind: 'shape', path: 'M 0 0 H 20 V 20 H 0 Z', holes: ['M 5 5 H 9 V 9 H 5 Z'] })).toHaveLength(2)
    // What is not yet right is still seen.
    expect(guideLines({ kind: 'line', path: 'M 1 1 L 1.1 1' })).toEqual(['M 1 1 L 1.1 1'])
  })
})

function draw(tool: string) {
  const { result } = renderHook(() => useDrawing())
  act(() => result.current.take(tool))
  return { result, now: (): Drawing => result.current.drawing as Drawing }
}

describe('a tool in hand', () => {
  it('a dragged circle tells its own size; a typed one holds until the hand says otherwise', () => {
    const { now } = draw('circle')
    expect(now().guides).toEqual([])
    act(() => now().setPlaces([at(50, 50), at(62, 50)]))
    expect(now().figures).toEqual({ across: 24 })
    act(() => now().setFigure('across', 30))
    expect(now().figures).toEqual({ across: 30 })
    expect(now().guides[0]).toMatchObject({ kind: 'line', path: expect.stringContaining('A 15 15') })
    // Another middle, typed: the coin stays as large.
    act(() => now().typePlaces([at(80, 80)]))
    expect(now().figures).toEqual({ across: 30 })
    act(() => now().setPlaces([at(80, 80), at(85, 80)]))
    expect(now().figures).toEqual({ across: 10 })
  })

  it('a place under the pointer is part of what is seen, not of what is given', () => {
    const { now } = draw('line')
    act(() => now().setPlaces([at(10, 10)], at(40, 10)))
    expect(now().guides[0]).toMatchObject({ path: 'M 10 10 L 40 10' })
    expect(now().finished()).toEqual([])
    act(() => now().again())
    expect(now().guides).toEqual([])
  })

  it('letters are as many lines as they have strokes, and wait for their word', () => {
    const { now } = draw('word')
    act(() => now().typePlaces([at(50, 50)]))
    expect(now().guides).toEqual([])
    act(() => now().setWords('Thaw'))
    // T two, H three, A two, W one.
    expect(now().finished()).toHaveLength(8)
  })

  it('what is measured is said straight, along what is held where both places lie on it, and in its stitches', () => {
    const { now } = draw('measure')
    act(() => now().typePlaces([at(100, 80), at(100, 120)]))
    const round = { kind: 'line', path: 'M 100 80 A 20 20 0 0 1 100 120 A 20 20 0 0 1 100 80 Z' } as const
    expect(measuredInWords(now(), 'mm', null, null)).toBe('40.0 mm at -90°')
    // Half of 125.66.
    expect(measuredInWords(now(), 'mm', 4, round)).toBe('62.8 mm along it, 15.7 of 4.00 mm; straight 40.0 mm at -90°')
    expect(measuredInWords(now(), 'mm', 4, { kind: 'line', path: 'M 100 70 L 100 140' })).toBe('40.0 mm at -90°, 10.0 of 4.00 mm')
  })

  it('put away there is none, and the same is taken again', () => {
    const { result, now } = draw('wave')
    act(() => result.current.take(null))
    expect(result.current.drawing).toBeNull()
    act(() => result.current.takeAgain())
    expect(now().tool.id).toBe('wave')
  })
})

describe('pointer and tool', () => {
  function hands(tool: string) {
    const done: (readonly { x: number; y: number }[])[] = []
    const { result } = renderHook(() => {
      const { drawing, take } = useDrawing()
      const gestures = useDrawGestures(
        drawing,
        [],
        () => '',
        4,
        AS_IT_COMES,
        (places) => done.push(places),
      )
      return { drawing, take, gestures }
    })
    act(() => result.current.take(tool))
    return { done, gestures: () => result.current.gestures, drawing: () => result.current.drawing as Drawing, act: (what: () => void) => act(what) }
  }

  it('a drag from end to end is a wave', () => {
    const { done, gestures, act } = hands('wave')
    act(() => gestures().onDrag(at(10, 20), 'first', noKeys))
    act(() => gestures().onDrag(at(40, 20), 'more', noKeys))
    expect(gestures().pointer).toEqual(at(40, 20))
    act(() => gestures().onDrag(at(90, 20), 'last', noKeys))
    expect(done).toEqual([[at(10, 20), at(90, 20)]])
  })

  it('presses go from place to place, and a second press at the last ends it', () => {
    const { done, gestures, act } = hands('line')
    for (const place of [at(10, 10), at(40, 10), at(40, 50)]) act(() => gestures().onTap(place, noKeys))
    expect(done).toEqual([])
    act(() => gestures().onTap(at(40.2, 50.1), noKeys))
    expect(done).toEqual([[at(10, 10), at(40, 10), at(40, 50)]])
  })

  it('twice is as the hand pressed: what a busy page hears together, but was pressed apart, is two places', () => {
    const { done, gestures, act } = hands('line')
    for (const [place, timeStamp] of [
      [at(10, 10), 0],
      [at(40, 10), 900],
      [at(40, 10), 1700],
    ] as const)
      act(() => gestures().onTap(place, { ...noKeys, timeStamp }))
    expect(done).toEqual([])
    act(() => gestures().onTap(at(40, 10), { ...noKeys, timeStamp: 2100 }))
    expect(done).toHaveLength(1)
  })

  it('an arc ends with its third place', () => {
    const { done, gestures, act } = hands('arc')
    for (const place of [at(10, 10), at(60, 10), at(35, 0)]) act(() => gestures().onTap(place, noKeys))
    expect(done).toHaveLength(1)
  })

  it('a hand that draws gives its places as it goes, none closer than it can mean', () => {
    const { done, gestures, act } = hands('curve')
    act(() => gestures().onDrag(at(0, 0), 'first', noKeys))
    for (let x = 0; x <= 20; x += 0.1) act(() => gestures().onDrag(at(x, x / 2), 'more', noKeys))
    act(() => gestures().onDrag(at(20, 10), 'last', noKeys))
    const [places] = done
    expect(places?.length).toBeGreaterThan(20)
    expect(places?.length).toBeLessThan(60)
  })
})
