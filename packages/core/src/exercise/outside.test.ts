/** Thread outside the shape that it is to fill is measured, and said. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import type { Guide } from '../guide/index.ts'
import { newSampler } from '../sampler/index.ts'
import { nearestPlace } from '../geometry/index.ts'
import { workStitch } from '../work/index.ts'
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
    for (const stitch of ['closed-fly', 'cretan-stitch', 'fishbone-stitch', 'leaf-stitch', 'satin-leaf']) {
      const worked = work(stitch, CRESCENT)
      if (!worked.ok) throw new Error(sentenceOf(worked.problems))
      expect(worked.value.pieces[0].outside.share, stitch).toBeLessThan(0.01)
      expect(worked.value.coverage, stitch).toBeGreaterThan(0.3)
    }
  })
})

describe('an outline that narrows or widens within a stitch', () => {
  it('is reached by every arm: its width is taken where the point lies, not where its stitch begins', () => {
    const worked = work('cretan-stitch', LEAF)
    if (!worked.ok) throw new Error(sentenceOf(worked.problems))
    const [{ worked: thread, guide }] = worked.value.pieces
    if (guide.kind !== 'shape') throw new Error('not a shape')
    const arms = thread.segments.filter((one) => one.label === 'arm')
    expect(arms.length).toBeGreaterThan(10)
    // An arm is led to the edge and comes back to the plait: its furthest place lies on the outline.
    for (const { points } of arms) {
      const nearest = Math.min(...points.map((at) => nearestPlace(guide.outline, at).distance))
      expect(nearest).toBeLessThan(0.05)
    }
  })
})

describe('a hole that is to stay free', () => {
  const pieceOf = (stitch: string, guide: Guide) => {
    const worked = work(stitch, guide)
    if (!worked.ok) throw new Error(sentenceOf(worked.problems))
    return { piece: worked.value.pieces[0], problems: worked.value.problems }
  }
  const WHOLE = 'M 60 80 C 75 50 105 50 120 80 C 105 110 75 110 60 80 Z'
  const ON_VEIN: Guide = { kind: 'shape', path: WHOLE, vein: 'M 60 80 L 120 80', holes: ['M 86 76 L 94 76 L 94 84 L 86 84 Z'] }
  const BESIDE: Guide = { kind: 'shape', path: WHOLE, vein: 'M 60 80 L 120 80', holes: ['M 86 66 L 94 66 L 94 74 L 86 74 Z'] }
  const LEAVES = ['fishbone-stitch', 'leaf-stitch', 'satin-leaf', 'closed-fly', 'cretan-stitch']

  it.each(LEAVES)('is kept free by %s, on its vein and beside it', (stitch) => {
    for (const guide of [ON_VEIN, BESIDE, HOLED]) expect(pieceOf(stitch, guide).piece.outside.share).toBe(0)
  })

  it.each(LEAVES)('parts the vein: %s is worked up to it and begun again behind it, by either hand', (stitch) => {
    const { piece } = pieceOf(stitch, ON_VEIN)
    for (const leftHand of [false, true]) {
      const worked = workStitch({ ...piece.work, leftHand })
      if (!worked.ok) throw new Error(sentenceOf(worked.problems))
      const onVein = worked.value.holes.filter((hole) => Math.abs(hole.y - 80) < 0.01).map((hole) => hole.x)
      expect(onVein.some((x) => x > 86.1 && x < 93.9)).toBe(false)
      // The right hand comes from the tip on the left, the left hand from the one on the right.
      const first = worked.value.holes.slice(0, 5).map((hole) => hole.x)
      const far = worked.value.holes.slice(-5).map((hole) => hole.x)
      if (stitch === 'satin-leaf') continue
      // Leaf stitch begins at the lower end.
      const fromRight = leftHand !== (stitch === 'leaf-stitch')
      expect(fromRight ? Math.min(...first) > 94 : Math.max(...first) < 86).toBe(true)
      expect(fromRight ? Math.max(...far) < 86 : Math.min(...far) > 94).toBe(true)
    }
  })

  it('leaves bare what lies behind it, and that is said; rows fill it', () => {
    // Closed fly on the leaf: a band as broad as the hole, 8 mm and the depth of the arms, of 60 mm, at its broadest.
    const { problems } = pieceOf('closed-fly', ON_VEIN)
    const bare = problems.find((one) => one.code === 'exercise.bare-behind-hole')
    expect(sentenceOf(bare)).toMatch(
      /^Closed fly stitch goes from the vein to the edge, and behind a hole there is no way: about 1[5-9] % of the shape stays bare\./,
    )
    expect(pieceOf('split-filling', ON_VEIN).problems.map((one) => one.code)).not.toContain('exercise.bare-behind-hole')
    expect(pieceOf('closed-fly', { ...ON_VEIN, holes: undefined }).problems).toEqual([])
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
