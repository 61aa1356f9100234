/** Steps are shown on the learner's own guide: its kind and its look, drawn together where it is large. */
import { describe, expect, it } from 'vitest'
import { practiceFor, practiceGuide, type Guide, readGuide, type ReadGuide } from '../guide/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import { sentenceOf } from '../testing/index.ts'
import { demonstrate, type Demonstration } from './index.ts'
import { requestOf } from './shown-of.ts'

const read = (guide: Guide): ReadGuide => {
  const result = readGuide(guide)
  if (!result.ok) throw new Error(sentenceOf(result.problems))
  return result.value
}
function shownOn(id: string, guide: Guide): Demonstration {
  const { document, request } = requestOf(id)
  const shown = demonstrate({ ...request, document, hand: 'right', like: read(guide) })
  if (!shown.ok) throw new Error(sentenceOf(shown.problems))
  return shown.value
}

const SAIL = 'M 0 0 L 40 0 L 0 60 Z'

describe('the look of her own guide', () => {
  it('a sail is a sail: three corners, twice as high as wide less a half, 80 mm² large', () => {
    const { guide } = shownOn('satin-stitch', { kind: 'shape', path: SAIL })
    if (guide.kind !== 'shape') throw new Error(guide.kind)
    expect(guide.areaMm2).toBeCloseTo(80, 6)
    // 40 by 60 mm, 1200 mm² in all: each side shortened to the root of 80/1200.
    const factor = Math.sqrt(80 / 1200)
    const xs = guide.outline.points.map((at) => at.x)
    const ys = guide.outline.points.map((at) => at.y)
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(40 * factor, 6)
    expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(60 * factor, 6)
    expect(guide.outline.corners.length).toBe(3)
    expect(guide.outline.length).toBeCloseTo((40 + 60 + Math.hypot(40, 60)) * factor, 6)
  })

  it('her vein is on it, and her holes', () => {
    const { guide } = shownOn('fishbone-stitch', {
      kind: 'shape',
      path: 'M 60 80 C 75 50 105 50 120 80 C 105 110 75 110 60 80 Z',
      vein: 'M 60 80 L 120 80',
      holes: ['M 86 66 L 94 66 L 94 74 L 86 74 Z'],
    })
    if (guide.kind !== 'shape') throw new Error(guide.kind)
    expect(guide.vein?.length).toBeCloseTo(
      (60 * guide.outline.length) /
        (read({ kind: 'shape', path: 'M 60 80 C 75 50 105 50 120 80 C 105 110 75 110 60 80 Z' }) as Extract<ReadGuide, { kind: 'shape' }>).outline.length,
      3,
    )
    expect(guide.region).toHaveLength(2)
  })

  it('a band is as wide as hers, a square as large, a cell, a ring', () => {
    const band = shownOn('herringbone', { kind: 'band', path: 'M 0 0 H 90', widthMm: 7 }).guide
    expect(band.kind === 'line' && band.width?.kind === 'even' && band.width.halfMm).toBe(3.5)
    const square = shownOn('sorbello-stitch', { kind: 'square', at: [0, 0], sideMm: 8, repeat: 5 }).guide
    expect(square.kind === 'spots' && square.sideMm).toBe(8)
    const grid = shownOn('tent-stitch', { kind: 'grid', at: [0, 0], columns: 30, rows: 20, cellMm: 1.5 }).guide
    expect(grid.kind === 'grid' && [grid.cellMm, grid.columns]).toEqual([1.5, 3])
    const ring = shownOn('woven-wheel', { kind: 'ring', at: [0, 0], radiusMm: 7 }).guide
    expect(ring.kind === 'line' && ring.path.length / (2 * Math.PI)).toBeCloseTo(7, 1)
  })

  it.each(LIBRARY.map((one) => [one.id]))('%s is shown whole on what it is practised on', (id) => {
    const document = LIBRARY.find((one) => one.id === id)
    if (!document) throw new Error(id)
    const { steps } = shownOn(id, practiceGuide(document.practice ?? practiceFor(document), 100, 100, 160))
    expect(steps.length).toBeGreaterThan(1)
    expect(steps.at(-1)?.said.at(-1)?.key).toBe('ends')
  })
})
