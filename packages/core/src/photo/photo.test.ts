/** What a row is meant to measure, the printed card, and the one thing to change. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LIBRARY } from '../stitches/index.ts'
import { planFor } from '../testing/index.ts'
import { type Advice, advise, CARD_MM, DOTS, drawCard, ROW_WORDS, type RowFigures, type RowSummary, summaryOf, TARGETS, WINDOW } from './index.ts'
import { findPlaces } from './places.ts'

describe('what a row is meant to measure', () => {
  it('is read off its worked thread', () => {
    expect(planFor('running-stitch')).toMatchObject({ kind: 'apart', count: 10 })
    // Two strands: a stem stitch of 4 mm goes on by half of it.
    expect(planFor('stem-stitch')).toMatchObject({ kind: 'beside-the-last', pitchMm: expect.closeTo(2, 1) })
    expect(planFor('cross-stitch')).toMatchObject({ kind: 'crossed', acrossMm: 3 })
    expect(planFor('satin-stitch')).toMatchObject({ kind: 'side-by-side', acrossMm: 6, stitchMm: 6 })
  })

  it('is nothing for stitches that a photograph cannot tell: knots, whipped lines, wovens; and for no stitch of the library a wrong length', () => {
    for (const stitch of ['french-knot', 'whipped-back-stitch', 'bullion-knot']) expect(LIBRARY.some((one) => one.id === stitch) && planFor(stitch)).toBeFalsy()
    for (const { id } of LIBRARY) {
      const plan = planFor(id)
      if (!plan) continue
      expect(plan.count).toBeGreaterThan(1)
      expect(plan.pitchMm * (plan.count - 2)).toBeLessThan(plan.lengthMm + 1e-6)
      expect(plan.pitchMm * (plan.count + 2)).toBeGreaterThan(plan.lengthMm)
    }
  })
})

describe('the printed card', () => {
  it('has its marks where they are looked for, clear of the window and of its edges', () => {
    const marks = [...TARGETS.map((at) => ({ ...at, radius: 3.5 })), ...DOTS.map((at) => ({ ...at, radius: 1 }))]
    for (const { x, y, radius } of marks) {
      expect(Math.abs(x) + radius).toBeLessThan(CARD_MM.width / 2 - 2.4)
      expect(Math.abs(y) + radius).toBeLessThan(CARD_MM.height / 2 - 2.4)
      expect(Math.abs(x) - radius > WINDOW.right + 2.4 || Math.abs(y) - radius > WINDOW.bottom + 2.4).toBe(true)
    }
    const drawn = drawCard({ x: 100, y: 50 }).filter((one) => one.kind === 'disc')
    for (const { x, y } of marks) expect(drawn.some((one) => one.kind === 'disc' && one.at.x === x + 100 && one.at.y === y + 50)).toBe(true)
  })
})

describe('places along a row', () => {
  it('are those with the strongest signs, about as far apart as planned, and their number is sure where the signs are', () => {
    const signal = new Float32Array(401).fill(-0.5)
    const real = [50, 98, 151, 205, 248, 302, 349]
    for (const at of real) signal[at] = 2
    const places = findPlaces({ signal, from: 0, to: 400, pitch: 50, evenness: 1, counted: null })
    expect(places?.at.slice(1, -1).map(Math.round)).toEqual(real)
    expect(places?.margin).toBeGreaterThan(1)
    const flat = findPlaces({ signal: new Float32Array(401), from: 0, to: 400, pitch: 50, evenness: 1, counted: null })
    expect(flat?.at).toHaveLength(9)
    expect(flat?.margin).toBeLessThan((places?.margin ?? 0) / 2)
  })
})

const even: RowSummary = {
  ...{ method: 1, isCounted: true, isPutRight: false, kind: 'apart', count: 10, lengthMm: 3, spreadMm: 0.3, plannedMm: 3, firstMm: 3, lastMm: 3 },
  ...{ gapMm: 3, plannedGapMm: 3, driftMm: 0.1, leanDeg: null, widestGapMm: null },
}

describe('advice', () => {
  it.each<[string, Partial<RowSummary>, readonly Partial<RowSummary>[], Advice['kind']]>([
    ['nothing is wrong with a first good row: once more', {}, [], 'once-more'],
    ['after a good one: on', {}, [{}], 'go-on'],
    ['after an uneven one: once more', {}, [{ spreadMm: 0.9 }], 'once-more'],
    ['lengths that fall', { firstMm: 3.6, lastMm: 2.4 }, [], 'drifting-lengths'],
    ['too long', { lengthMm: 3.6, gapMm: 3.6, firstMm: 3.6, lastMm: 3.6, spreadMm: 0.2 }, [], 'other-length'],
    ['gaps too long', { gapMm: 4 }, [], 'gaps'],
    ['off the line', { driftMm: 0.6 }, [], 'off-the-line'],
    ['leaning', { kind: 'crossed', leanDeg: -8, gapMm: null, plannedGapMm: null, driftMm: null }, [], 'leaning'],
    ['cloth shows', { kind: 'side-by-side', widestGapMm: 0.6, gapMm: null, plannedGapMm: null, driftMm: null }, [], 'cloth-shows'],
    ['uneven', { spreadMm: 0.9 }, [], 'uneven'],
    ['uneven still, but less', { spreadMm: 0.6 }, [{ spreadMm: 0.9 }, { spreadMm: 0.8 }], 'uneven'],
    ['three rows and no more even: larger', { spreadMm: 0.9 }, [{ spreadMm: 0.8 }, { spreadMm: 0.9 }], 'larger'],
    ['the largest of two comes first', { spreadMm: 0.5, driftMm: 0.9 }, [], 'off-the-line'],
    ['of a row that was not counted no single lengths are told', { isCounted: false, spreadMm: 0.9, firstMm: 4, lastMm: 2 }, [], 'once-more'],
  ])('%s', (_name, change, earlier, kind) => {
    expect(
      advise(
        { ...even, ...change },
        earlier.map((one) => ({ ...even, ...one })),
      ).kind,
    ).toBe(kind)
  })

  it('is not compared with rows of another way of measuring, nor of another stitch', () => {
    const uneven = { ...even, spreadMm: 0.9 }
    for (const other of [{ method: 2 }, { kind: 'looped' as const }]) {
      const earlier = [uneven, uneven].map((one) => ({ ...one, ...other }))
      expect(advise(uneven, earlier).kind).toBe('uneven')
    }
  })

  it('does not call leaning what was planned aslant', () => {
    const plan = planFor('satin-stitch')
    if (!plan) throw new Error('satin makes no row')
    const figures: RowFigures = {
      ...{ count: 60, lengthsMm: [6, 6], lengthMm: 6, spreadMm: 0.1, pitchMm: plan.pitchMm, gapsMm: [], gapMm: null, driftMm: null },
      ...{ leanDeg: 22, widestGapMm: 0 },
    }
    expect(advise(summaryOf(figures, plan, { isCounted: true }), []).kind).toBe('leaning')
    expect(advise(summaryOf(figures, { ...plan, leanDeg: 20 }, { isCounted: true }), []).kind).toBe('once-more')
  })

  it('is one sentence or two, with its figures in the unit that is asked for, in both languages', () => {
    const any = fc.record({
      spreadMm: fc.double({ min: 0, max: 2, noNaN: true }),
      driftMm: fc.double({ min: 0, max: 2, noNaN: true }),
      lastMm: fc.double({ min: 1, max: 6, noNaN: true }),
    })
    fc.assert(
      fc.property(any, (change) => {
        const advice = advise({ ...even, ...change }, [])
        for (const words of Object.values(ROW_WORDS)) {
          const said = words.advice(advice, (mm) => `${mm.toFixed(1)} mm`)
          expect(said).toMatch(/^[A-Z\u00c4\u00d6\u00dc].*\.$/)
          expect(said).not.toMatch(/undefined|NaN|null/)
        }
      }),
    )
  })
})
