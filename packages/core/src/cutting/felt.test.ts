/** Felt under stitches: patches of a padded shape, smallest first, and how they lie on a strip. */
import { describe, expect, it } from 'vitest'
import { workSampler } from '../exercise/index.ts'
import { newSampler, type Sampler } from '../sampler/index.ts'
import { feltPatches, feltSheet } from './index.ts'

/** A box of 30 by 20, padded; the step inside is 1.5. */
const padded: Sampler = {
  ...newSampler('Padded'),
  drawing: {
    guides: [
      {
        id: 'g',
        guide: { kind: 'shape', path: 'M 100 100 L 130 100 L 130 120 L 100 120 Z' },
        copies: { kind: 'rows', columns: 2, rows: 1, stepMm: [40, 0] },
      },
    ],
    groups: [],
  },
  exercises: [{ id: 'e', name: 'Sun', stitch: 'felt-padding', on: [{ guide: 'g' }], parameters: { T: 1.5 } }],
}

describe('felt', () => {
  it('two layers in each of two copies: 24 by 14 below, 28.5 by 18.5 above', () => {
    const patches = feltPatches(workSampler(padded).done)
    expect(patches.map(({ layer, layers, widthMm, heightMm }) => [layer, layers, Math.round(widthMm * 100) / 100, Math.round(heightMm * 100) / 100])).toEqual([
      [1, 2, 24, 14],
      [2, 2, 28.5, 18.5],
      [1, 2, 24, 14],
      [2, 2, 28.5, 18.5],
    ])
    expect(patches[0]?.areaMm2).toBeCloseTo(24 * 14, 1)
  })

  it('on a strip of 100 the two large and then a small lie in the first row, 4 mm apart; the last in the next', () => {
    const sheet = feltSheet(feltPatches(workSampler(padded).done), 100)
    // 4 + 28.5 + 4 + 28.5 + 4 + 24 + 4 = 97.
    const lefts = sheet?.places.map(({ outline }) => Math.round(Math.min(...outline.map(({ x }) => x)) * 100) / 100)
    expect(lefts).toEqual([4, 36.5, 69, 4])
    expect(sheet?.heightMm).toBeCloseTo(4 + 18.5 + 4 + 14 + 4, 6)
    expect(feltSheet(feltPatches(workSampler(padded).done), 30)).toBeNull()
    expect(feltSheet([], 100)).toEqual({ widthMm: 100, heightMm: 0, places: [] })
  })
})
