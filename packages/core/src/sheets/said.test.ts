/** What key and card say of a worked stitch: how many, of what, and the size that it is spoken of by. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { isStretched, spokenSize } from '../exercise/index.ts'
import type { Guide } from '../guide/index.ts'
import { newSampler } from '../sampler/index.ts'
import { sentenceOf, type ShortExercise, workAlone } from '../testing/index.ts'
import { countInWords, sizeInWords } from './said.ts'

const around = surroundingsOf(newSampler('Said'))
const LINE: Guide = { kind: 'line', path: 'M 10 50 H 110' }
const BAND: Guide = { kind: 'band', path: 'M 10 50 H 90', widthMm: 5 }
const LEAF: Guide = { kind: 'shape', path: 'M 60 80 C 75 60 105 60 120 80 C 105 100 75 100 60 80 Z', vein: 'M 60 80 L 120 80' }
const SPOTS: Guide = {
  kind: 'spots',
  at: [
    [20, 20],
    [30, 20],
    [40, 20],
  ],
}

function said(stitch: string, guide: Guide, more: Partial<ShortExercise> = {}): { count: string; size: string } {
  const worked = workAlone({ id: 'e', name: 'Said', stitch, guide, ...more }, around)
  if (!worked.ok) throw new Error(sentenceOf(worked.problems))
  return { count: countInWords(worked.value), size: sizeInWords(spokenSize(worked.value), 'mm') }
}

describe('what is counted', () => {
  it('is stitches; the way back of a double line makes as many again', () => {
    // 100 mm in steps of 5 mm: twenty out, twenty back.
    expect(said('double-running', LINE, { parameters: { L: 2.5 } })).toEqual({ count: '40 stitches', size: '2.50 mm' })
    expect(said('back-stitch', LINE, { parameters: { L: 2.5 } })).toEqual({ count: '40 stitches', size: '2.50 mm' })
  })

  it('is every slanting arm of herringbone, every crossing of cross stitch', () => {
    // 80 mm over 2 (R - B) = 5 mm: sixteen repeats of two arms.
    expect(said('herringbone', BAND, { parameters: { R: 4.5, B: 2 } }).count).toBe('32 stitches')
    // 80 mm over 4 mm: twenty crossings of two arms each, which are one stitch.
    expect(said('cross-stitch', BAND, { parameters: { L: 4 } }).count).toBe('20 stitches')
  })

  it('is both halves of a leaf', () => {
    const [fishbone, satin] = ['fishbone-stitch', 'satin-leaf'].map((stitch) => Number.parseInt(said(stitch, LEAF).count))
    // 60 mm of vein at 0.48 mm / sin 45: about ninety to a side, and what gathers at the base.
    expect(fishbone).toBeGreaterThan(180)
    expect(Math.abs((satin ?? 0) / (fishbone ?? 1) - 1)).toBeLessThan(0.25)
  })

  it('is knots, picots and spokes where it is those; one is one', () => {
    for (const stitch of ['french-knot', 'bullion-knot', 'four-legged-knot']) expect(said(stitch, SPOTS).count, stitch).toBe('3 knots')
    expect(said('pistil-stitch', SPOTS).count).toBe('3 stitches')
    expect(said('coral-knot', LINE, { parameters: { L: 5 } }).count).toMatch(/^\d+ knots$/)
    expect(said('knotted-buttonhole', LINE).count).toMatch(/^\d+ stitches$/)
    expect(said('woven-picot', { kind: 'pins', base: [20, 40], pins: [[20, 30]] }).count).toBe('1 picot')
    expect(said('woven-wheel', { kind: 'ring', at: [50, 50], radiusMm: 5 }).count).toMatch(/^\d+ spokes$/)
  })
})

describe('the size a stitch is spoken of by', () => {
  it('is its length, and the gap where it leaves one', () => {
    // 21 stitches and 20 gaps of 100 / 41 = 2.44 mm.
    expect(said('running-stitch', LINE, { parameters: { L: 2.5, G: 2.5 } }).size).toBe('2.44 mm, gaps of 2.44 mm')
    expect(said('running-stitch', LINE, { parameters: { L: 3, G: 2 } }).size).toMatch(/^3\.0\d mm, gaps of 2\.0\d mm$/)
    expect(said('whipped-running', LINE, { parameters: { L: 2.5, G: 2.5 } }).size).toBe('2.44 mm, gaps of 2.44 mm')
  })

  it('is its length and its pitch, where the next begins beside it', () => {
    expect(said('stem-stitch', LINE, { parameters: { L: 4 } }).size).toBe('4.00 mm, 2.00 mm apart')
    expect(said('long-and-short', LEAF, { parameters: { L: 7 } }).size).toMatch(/^7\.00 mm, 0\.\d\d mm apart$/)
    expect(said('brick-stitch', LEAF, { parameters: { L: 4 } }).size).toMatch(/^4\.00 mm, 0\.\d\d mm apart$/)
  })

  it('is the spacing of a fill, never how high its padding is or how far it passes the vein', () => {
    for (const stitch of ['satin-stitch', 'padded-satin', 'fishbone-stitch', 'satin-leaf', 'closed-fly'])
      expect(said(stitch, LEAF, { parameters: { P: 0.5 } }).size, stitch).toMatch(/^0\.(49|50|51) mm apart$/)
  })

  it('is the size of what is made: a knot across, a picot high, a wheel across; a knot on a tail by its tail', () => {
    expect(said('french-knot', SPOTS).size).toMatch(/^\d\.\d\d mm across$/)
    expect(said('bullion-knot', SPOTS, { parameters: { L: 8 } }).size).toBe('8.00 mm')
    expect(said('pistil-stitch', SPOTS, { parameters: { L: 6 } }).size).toBe('6.00 mm')
    expect(said('woven-picot', { kind: 'pins', base: [20, 40], pins: [[20, 30]] }).size).toBe('10.00 mm high')
    expect(said('woven-wheel', { kind: 'ring', at: [50, 50], radiusMm: 5 }).size).toBe('10.00 mm across')
  })

  it('a height to the side is not stretched by the fit, a length along the line is', () => {
    // 11 mm less the tie beyond the last hole: four stitches of 2.64 mm; the legs stay as high as they were asked.
    const worked = workAlone(
      { id: 'e', name: 'Said', stitch: 'blanket-stitch', guide: { kind: 'line', path: 'M 10 50 H 21' }, parameters: { L: 2.5, H: 6 } },
      around,
    )
    if (!worked.ok) throw new Error(sentenceOf(worked.problems))
    const tops = Math.max(...worked.value.worked.holes.map((hole) => Math.abs(hole.y - 50)))
    expect(tops).toBeCloseTo(6, 6)
    const { parameters, document } = worked.value.assigned
    const stretched = [...parameters.values()].filter((one) => isStretched(one, document)).map((one) => one.id)
    expect(stretched).toEqual(['L'])
    expect(worked.value.worked.fitted.pitchMm).toBeCloseTo((11 - worked.value.assigned.materials.e) / 4, 1)
  })
})
