/** What can be shown beside an exercise: other schools, what is allowed instead, what else its guides serve; every one of them works. */
import { describe, expect, it } from 'vitest'
import type { Guide } from '../guide/index.ts'
import { type Exercise, newSampler, type Sampler } from '../sampler/index.ts'
import { waysToShow, workSampler } from './index.ts'

const wind = (set: Partial<Exercise>): Exercise => ({
  ...{ id: 'wind', name: 'Wind', stitch: 'split-stitch', on: [{ guide: 'g' }], materials: { main: { thread: 'grey' } } },
  ...set,
})
function ways(set: Partial<Exercise>, guide: Guide = { kind: 'line', path: 'M 10 10 L 80 10' }) {
  const sampler: Sampler = {
    ...newSampler('Weather'),
    threads: [{ id: 'grey', kind: 'stranded-cotton', colour: { name: 'grey', hex: '#556677' } }],
    drawing: { guides: [{ id: 'g', guide }], groups: [] },
    exercises: [wind(set)],
  }
  const [done] = workSampler(sampler).done
  if (!done) throw new Error('the exercise cannot be worked')
  return { sampler, all: waysToShow(done, sampler) }
}

describe('ways to show beside each other', () => {
  it('are its own first, then other schools of its stitch, then what is allowed instead, then the rest', () => {
    const { all } = ways({ substitutes: [{ stitch: 'stem-stitch' }] })
    expect(all.slice(0, 3).map((one) => [one.id, one.kind, one.name])).toEqual([
      ['own', 'own', 'Split stitch'],
      ['school:from-above', 'school', 'Split stitch: split from above'],
      ['stitch:stem-stitch', 'allowed', 'Stem stitch'],
    ])
    expect(all.slice(3).every((one) => one.kind === 'other')).toBe(true)
    expect(new Set(all.map((one) => one.id)).size).toBe(all.length)
  })

  it('have the plain stitch among them where a way of working chose another school, and it is worked otherwise', () => {
    const { sampler, all } = ways({ waysOfWorking: { split: 'from-above' } })
    expect(all.slice(0, 2).map((one) => one.name)).toEqual(['Split stitch: split from above', 'Split stitch'])
    const worked = all.slice(0, 2).map(({ exercise }) => workSampler({ ...sampler, exercises: [exercise] }).done[0])
    // The longer stitches behind of the split from above take more thread.
    const [above, below] = worked.map((one) => one?.thread.total ?? 0)
    expect(above).toBeGreaterThan(below ?? 0)
    expect(worked.map((one) => one?.assigned.variant)).toEqual(['from-above', null])
  })

  it('leave the exercise as it is: on the same guides, in the same colour, without lengths that were another stitch\u2019s', () => {
    const { all } = ways({ parameters: { L: 3 } })
    for (const { kind, exercise } of all) {
      expect([exercise.id, exercise.on, exercise.materials?.main?.thread]).toEqual(['wind', [{ guide: 'g' }], 'grey'])
      expect(exercise.parameters).toEqual(kind === 'own' ? { L: 3 } : undefined)
    }
  })

  it('have no school that is for another kind of guide', () => {
    const ids = (all: ReturnType<typeof ways>['all']): readonly string[] => all.map((one) => one.id).filter((id) => id.startsWith('school'))
    const band: Guide = { kind: 'band', path: 'M 10 10 L 80 10', widthMm: 4 }
    expect(ids(ways({ stitch: 'cross-stitch' }, band).all)).not.toContain('school:cells')
    // A school without a guide of its own is for every one of the stitch's.
    expect(ids(ways({ stitch: 'stem-stitch' }).all)).toHaveLength(1)
  })
})
