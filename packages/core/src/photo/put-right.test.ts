/** What was read wrongly, put right by hand. */
import { describe, expect, it } from 'vitest'
import type { RowKind } from './row-plan.ts'
import { canPutRight, figuresOfStitches, marksOf, putRight, type PutRight, type ReadStitches, type RowFigures } from './index.ts'

/** Of 3 mm, with 1 mm of cloth between. */
const APART: ReadStitches = [0, 4, 8, 12].map((x) => [
  { x, y: 0 },
  { x: x + 3, y: 0 },
])
/** Of 3 mm, in shared holes. */
const SHARED: ReadStitches = [0, 3, 6, 9].map((x) => [
  { x, y: 0 },
  { x: x + 3, y: 0 },
])
const READ: RowFigures = {
  ...{ count: 4, lengthsMm: [], lengthMm: 0, spreadMm: 0, pitchMm: 0, gapsMm: [], gapMm: null, driftMm: 0 },
  ...{ leanDeg: null, widestGapMm: null },
}
const after = (stitches: ReadStitches, kind: RowKind, ...changes: readonly PutRight[]): RowFigures =>
  figuresOfStitches(
    changes.reduce((now, change) => putRight(now, kind, change), stitches),
    kind,
    READ,
  )

describe('a row put right by hand', () => {
  it('measures what its stitches measure', () => {
    expect(after(APART, 'apart')).toMatchObject({ count: 4, lengthMm: 3, spreadMm: 0, pitchMm: 4, gapMm: 1, driftMm: 0 })
    expect(after(SHARED, 'end-to-end')).toMatchObject({ count: 4, lengthMm: 3, pitchMm: 3, gapMm: null })
    // The stitch that ties the last loop is counted and has no length of its own.
    expect(after(SHARED, 'looped').count).toBe(5)
  })

  it('measures along the row, however the card lay', () => {
    const turned = APART.map(([a, b]) => [
      { x: 0.8 * a.x, y: 0.6 * a.x },
      { x: 0.8 * b.x, y: 0.6 * b.x },
    ]) satisfies { x: number; y: number }[][] as unknown as ReadStitches
    const figures = after(turned, 'apart', { kind: 'move', stitch: 1, end: 'last', byMm: 0.5 })
    expect(figures.lengthsMm.map((one) => Math.round(100 * one) / 100)).toEqual([3, 3.5, 3, 3])
    expect(figures.gapsMm.map((one) => Math.round(100 * one) / 100)).toEqual([1, 0.5, 1])
    expect(figures.driftMm).toBeCloseTo(0, 6)
  })

  it('a stitch that is none is left out where they lie apart only', () => {
    expect(after(APART, 'apart', { kind: 'none', stitch: 2 })).toMatchObject({ count: 3, gapsMm: [1, 5] })
    expect(putRight(SHARED, 'end-to-end', { kind: 'none', stitch: 2 })).toBe(SHARED)
  })

  it('one is parted into two, and two made one', () => {
    expect(after(APART, 'apart', { kind: 'two', stitch: 0 }).lengthsMm.map((one) => Math.round(100 * one) / 100)).toEqual([1.2, 1.2, 3, 3, 3])
    expect(after(SHARED, 'end-to-end', { kind: 'two', stitch: 0 }).lengthsMm).toEqual([1.5, 1.5, 3, 3, 3])
    expect(after(SHARED, 'end-to-end', { kind: 'one-with-next', stitch: 1 }).lengthsMm).toEqual([3, 6, 3])
    expect(after(APART, 'apart', { kind: 'one-with-next', stitch: 1 }).lengthsMm).toEqual([3, 7, 3])
    expect(putRight(APART, 'apart', { kind: 'one-with-next', stitch: 3 })).toBe(APART)
  })

  it('a shared hole is moved for both its stitches; no end passes another', () => {
    expect(after(SHARED, 'end-to-end', { kind: 'move', stitch: 1, end: 'first', byMm: 0.5 }).lengthsMm).toEqual([3.5, 2.5, 3, 3])
    expect(putRight(SHARED, 'end-to-end', { kind: 'move', stitch: 1, end: 'first', byMm: 2.9 })).toBe(SHARED)
    expect(putRight(APART, 'apart', { kind: 'move', stitch: 1, end: 'last', byMm: 1.1 })).toBe(APART)
    expect(putRight(APART, 'apart', { kind: 'move', stitch: 9, end: 'last', byMm: 1 })).toBe(APART)
  })

  it('is for rows along a line: of stitches across a band none is told alone', () => {
    expect((['apart', 'end-to-end', 'beside-the-last', 'looped', 'crossed', 'side-by-side'] as const).filter(canPutRight)).toHaveLength(4)
  })
})

describe('what is marked', () => {
  const leaning: ReadStitches = [0, 0.5, 1].map((x) => [
    { x: x + 0.4, y: -3 },
    { x: x - 0.4, y: 3 },
  ])

  it('is each stitch, and of stitches side by side the upper and the lower edge of them all', () => {
    expect(marksOf('crossed', leaning)).toBe(leaning)
    expect(marksOf('side-by-side', leaning)).toEqual([
      [
        { x: 0.4, y: -3 },
        { x: 1.4, y: -3 },
      ],
      [
        { x: -0.4, y: 3 },
        { x: 0.6, y: 3 },
      ],
    ])
    expect(marksOf('side-by-side', [])).toEqual([])
  })
})
