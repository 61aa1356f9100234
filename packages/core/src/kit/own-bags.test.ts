/** Bags that differ: what one learner has otherwise is taken out and put in by the needleful, and cut besides. */
import { describe, expect, it } from 'vitest'
import type { Learner } from '../classes/index.ts'
import { workSampler } from '../exercise/index.ts'
import { type Exercise, newSampler, type Sampler } from '../sampler/index.ts'
import { ownBags, planKit } from './index.ts'

const wind: Exercise = {
  ...{ id: 'wind', name: 'Wind', stitch: 'stem-stitch', on: [{ guide: 'g' }], free: ['colour', 'strands'] },
  materials: { main: { thread: 'grey', strands: 2 } },
}
const sampler: Sampler = {
  ...newSampler('Weather'),
  threads: ['grey', 'blue'].map((id) => ({ id, kind: 'stranded-cotton', colour: { name: id, hex: '#556677' } })),
  drawing: { guides: [{ id: 'g', guide: { kind: 'line', path: 'M 10 10 L 150 10' } }], groups: [] },
  exercises: [wind],
}
const { done } = workSampler(sampler)
const learner = (id: string, choices: Learner['choices']): Learner => ({ id, name: id, choices })
const [usual] = planKit(sampler, done).colours
const cut = usual?.kit.cut ?? []

describe('bags of those who chose otherwise', () => {
  it('have as much of the other colour as they have less of the usual one', () => {
    const { bags, besides } = ownBags(sampler, done, [learner('Tove', { wind: { thread: 'blue' } }), learner('Marit', {})])
    expect(bags.map((one) => one.learner.name)).toEqual(['Tove'])
    const told = (all: readonly { readonly thread: { readonly id: string }; readonly strands: number; readonly count: number }[]) =>
      all.map((one) => [one.thread.id, one.strands, one.count])
    expect(cut.length).toBeGreaterThan(0)
    expect(told(bags[0]?.out ?? [])).toEqual(cut.map((one) => ['grey', one.strands, one.count]))
    expect(told(bags[0]?.in ?? [])).toEqual(cut.map((one) => ['blue', one.strands, one.count]))
    expect(besides.map((one) => [one.thread.id, one.putUps])).toEqual([['blue', 1]])
  })

  it('are cut besides for all of them together, parted from the same lengths', () => {
    const two = ownBags(sampler, done, [learner('Tove', { wind: { thread: 'blue' } }), learner('Oona', { wind: { thread: 'blue' } })])
    const each = cut.reduce((total, one) => total + one.count, 0)
    const [blue] = two.besides
    // Three needlefuls of two strands come out of one length of six.
    expect(blue?.lengths.map((one) => one.parted.lengths)).toEqual([Math.ceil((2 * each) / 3)])
  })

  it('are none where a choice changes nothing, or is not left free', () => {
    for (const choice of [{ thread: 'grey' }, { parameters: { L: 9 } }, { thread: 'gone' }])
      expect(ownBags(sampler, done, [learner('Tove', { wind: choice })])).toEqual({ bags: [], besides: [] })
  })
})
