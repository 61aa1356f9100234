/** Equal counts on lines of unequal length, and rows in brick: reckoned by hand. */
import { describe, expect, it } from 'vitest'
import { workSampler } from '../exercise/index.ts'
import { applyOperation, newSampler, type Operation, type Sampler } from '../sampler/index.ts'
import { facingCounts, inBrick, keepPitch, rowsHeld } from './index.ts'

function rails(lengths: readonly number[], pitchMm: number): Sampler {
  return {
    ...newSampler('Rails'),
    drawing: {
      guides: lengths.map((long, index) => ({ id: `g${index}`, guide: { kind: 'line', path: `M 50 ${100 + 8 * index} L ${50 + long} ${100 + 8 * index}` } })),
      groups: [],
    },
    exercises: lengths.map((_, index) => ({
      id: `e${index}`,
      name: `Rail ${index}`,
      stitch: 'back-stitch',
      on: [{ guide: `g${index}` }],
      parameters: { L: pitchMm },
    })),
    lessons: [],
  }
}
function after(sampler: Sampler, operation: Operation | null | undefined): Sampler {
  const done = operation ? applyOperation(sampler, operation) : null
  if (!done?.ok) throw new Error('not done')
  return done.value
}
const countsOf = (sampler: Sampler): readonly number[] => workSampler(sampler).done.map((one) => one.stitches)

describe('facing lines', () => {
  it('60 and 48 mm in stitches of 3 are 20 and 16; equally many are 18, of 3.33 and 2.67', () => {
    // The geometric mean of 20 and 16 is 17.9.
    const sampler = rails([60, 48], 3)
    expect(countsOf(sampler)).toEqual([20, 16])
    const facing = facingCounts(workSampler(sampler).done, ['e0', 'e1'])
    expect(facing?.count).toBe(18)
    expect(facing?.lines.map((one) => [one.before, Number(one.pitchMm.toFixed(2))])).toEqual([
      [20, 3.33],
      [16, 2.67],
    ])
    expect(countsOf(after(sampler, facing?.operation))).toEqual([18, 18])
  })

  it('nothing is offered where they are equal, where a stitch would become another, and for one line alone', () => {
    const equal = rails([60, 61], 3)
    expect(facingCounts(workSampler(equal).done, ['e0', 'e1'])).toBeNull()
    const far = rails([90, 30], 3)
    expect(facingCounts(workSampler(far).done, ['e0', 'e1'])).toBeNull()
    expect(facingCounts(workSampler(far).done, ['e0'])).toBeNull()
  })
})

describe('rows in brick', () => {
  it('of three rows of 60 the second runs from 51.5 to 108.5: 19 stitches between the middles of 20', () => {
    const sampler = rails([60, 60, 60], 3)
    const rows = rowsHeld(sampler.drawing, ['g0', 'g1', 'g2'], workSampler(sampler).done)
    const bricked = after(sampler, inBrick(sampler.drawing, rows))
    expect(bricked.drawing.guides.map(({ guide }) => (guide.kind === 'line' ? guide.path : ''))).toEqual([
      'M 50 100 L 110 100',
      'M 51.5 108 L 108.5 108',
      'M 50 116 L 110 116',
    ])
    expect(countsOf(bricked)).toEqual([20, 19, 20])
  })

  it('rows of unequal length are left alone', () => {
    const sampler = rails([60, 54], 3)
    expect(inBrick(sampler.drawing, rowsHeld(sampler.drawing, ['g0', 'g1'], workSampler(sampler).done))).toBeNull()
  })
})

describe('the line gives way', () => {
  const offers = (sampler: Sampler) => {
    const [drawn] = sampler.drawing.guides
    const [done] = workSampler(sampler).done
    return drawn && done ? keepPitch(drawn, done) : []
  }

  it('61 mm in stitches of 3 is trimmed to 60, or drawn on to 63', () => {
    const sampler = rails([61], 3)
    const [shorter, longer] = offers(sampler)
    expect([shorter?.count, shorter?.lengthMm, longer?.count, longer?.lengthMm]).toEqual([20, 60, 21, 63])
    const trimmed = after(sampler, shorter?.operation)
    expect(trimmed.drawing.guides[0]?.guide).toMatchObject({ path: 'M 50 100 L 110 100' })
    expect(workSampler(trimmed).done[0]?.pieces[0].worked.fitted.pitchMm).toBeCloseTo(3, 6)
    expect(countsOf(after(sampler, longer?.operation))).toEqual([21])
    // What comes out whole already has nothing to give.
    expect(offers(trimmed)).toEqual([])
  })

  it('a curve is cut where it is so long, and its stitches come out whole', () => {
    const base = rails([60], 3)
    const curved: Sampler = { ...base, drawing: { groups: [], guides: [{ id: 'g0', guide: { kind: 'line', path: 'M 50 100 C 70 80 90 80 111 100' } }] } }
    for (const offer of offers(curved)) {
      const worked = workSampler(after(curved, offer.operation)).done[0]
      expect(worked?.stitches).toBe(offer.count)
      expect(worked?.pieces[0].worked.fitted.pitchMm).toBeCloseTo(3, 2)
    }
    expect(offers(curved)).toHaveLength(2)
    const closed: Sampler = { ...base, drawing: { groups: [], guides: [{ id: 'g0', guide: { kind: 'line', path: 'M 50 100 L 90 100 L 70 130 Z' } }] } }
    expect(offers(closed)).toEqual([])
  })
})
