/** Thread outside the shape that it is to fill is measured, and said. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import type { Guide } from '../guide/index.ts'
import { newSampler } from '../sampler/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import { sentenceOf, workAlone } from '../testing/index.ts'

const around = surroundingsOf(newSampler('Leaves'))
const LEAF: Guide = { kind: 'shape', path: 'M 60 80 C 75 60 105 60 120 80 C 105 100 75 100 60 80 Z', vein: 'M 60 80 L 120 80' }
const BENT: Guide = { kind: 'shape', path: 'M 60 80 C 75 50 110 50 125 85 C 105 75 80 78 60 80 Z', vein: 'M 60 80 C 80 64 105 64 125 85' }
const CRESCENT: Guide = { kind: 'shape', path: 'M 60 100 C 60 60 120 60 120 100 C 110 78 70 78 60 100 Z' }
const HOLED: Guide = { kind: 'shape', path: 'M 60 60 L 110 60 L 110 100 L 60 100 Z', holes: ['M 78 74 L 92 74 L 92 86 L 78 86 Z'] }

const work = (stitch: string, guide: Guide) => workAlone({ id: 'e', name: 'Leaf', stitch, guide }, around)
const fills = LIBRARY.filter((one) => one.guide.includes('shape')).map((one) => one.id)

describe.each(fills)('%s', (stitch) => {
  it.each([
    ['a leaf', LEAF],
    ['a bent leaf', BENT],
    ['a crescent', CRESCENT],
    ['a shape with a hole', HOLED],
  ])('in %s keeps under a hundredth of its thread outside, or says how much', (_name, guide) => {
    const worked = work(stitch, guide)
    // What cannot be worked there is refused with a sentence.
    if (!worked.ok) return expect(sentenceOf(worked.problems)).toBeTruthy()
    const { outside } = worked.value.pieces[0]
    const said = worked.value.problems.filter((one) => one.code === 'exercise.outside-shape' || one.code === 'exercise.across-hole')
    expect(said.length).toBe(outside.share > 0.01 ? 1 : 0)
  })
})

describe('a leaf stitch in a crescent', () => {
  it('follows its middle, where the straight way from tip to tip lies outside', () => {
    for (const stitch of ['closed-fly', 'cretan-stitch']) {
      const worked = work(stitch, CRESCENT)
      if (!worked.ok) throw new Error(sentenceOf(worked.problems))
      expect(worked.value.pieces[0].outside.share).toBeLessThan(0.01)
      expect(worked.value.coverage).toBeGreaterThan(0.3)
    }
  })
})

describe('a hole that is to stay free', () => {
  it('is crossed by stitches from edge to edge, and that is said with its share and its reach', () => {
    const worked = work('fishbone-stitch', HOLED)
    const problem = worked.ok ? worked.value.problems.find((one) => one.code === 'exercise.across-hole') : null
    expect(sentenceOf(problem)).toMatch(/^Fishbone stitch crosses the hole of this shape: \d+ % of the thread that shows lies over it, by up to \d(\.\d+)? mm/)
  })

  it('is kept free by satin and by fills of rows', () => {
    for (const stitch of ['satin-stitch', 'split-filling', 'brick-stitch', 'long-and-short']) {
      const worked = work(stitch, HOLED)
      expect(worked.ok ? worked.value.pieces[0].outside.share : 1, stitch).toBe(0)
    }
  })
})

describe('a sharp cusp', () => {
  const CUSP: Guide = { kind: 'shape', path: 'M 20 50 L 60 49.2 L 60 50.8 Z' }

  it.each(['satin-stitch', 'padded-satin'])('is filled by %s; chords too short to sew are passed over', (stitch) => {
    const worked = work(stitch, CUSP)
    if (!worked.ok) throw new Error(sentenceOf(worked.problems))
    // 1.6 mm at its broad end, 40 mm long: a chord of 0.2 mm lies an eighth of the way up.
    const holes = worked.value.worked.holes.map((hole) => hole.x)
    expect(Math.min(...holes)).toBeGreaterThan(24)
    expect(Math.max(...holes)).toBeGreaterThan(58)
  })

  it('fills of rows have a place in every disc from 3 to 12 mm', () => {
    for (let radius = 3; radius < 12; radius += 0.1) {
      const disc: Guide = {
        kind: 'shape',
        path: `M ${50 + radius} 50 A ${radius} ${radius} 0 0 0 ${50 - radius} 50 A ${radius} ${radius} 0 0 0 ${50 + radius} 50 Z`,
      }
      const worked = work('split-filling', disc)
      expect(worked.ok, radius.toFixed(1)).toBe(true)
    }
  })
})
