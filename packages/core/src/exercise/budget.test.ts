/** Documents that ask for more thread than can be held: refused, in words, with the exercise named, and the others worked. */
import { describe, expect, it } from 'vitest'
import { error, failure } from '../base/index.ts'
import { type Exercise, newSampler, type Sampler } from '../sampler/index.ts'
import { MOST_SEGMENTS } from './budget.ts'
import { samplerBudget, workSampler } from './index.ts'

/** A field of 100 by 100 crosses, so many times over. */
const field = (id: string, copies: number): { readonly exercise: Exercise; readonly guide: Sampler['drawing']['guides'][number] } => ({
  exercise: {
    ...{ id, name: `Field ${id}`, stitch: 'cross-stitch' },
    on: Array.from({ length: copies }, () => ({ guide: id })),
  },
  guide: { id, guide: { kind: 'grid', at: [0, 0], cellMm: 1.5, columns: 100, rows: 100 } },
})

function samplerOf(...fields: readonly ReturnType<typeof field>[]): Sampler {
  const sampler = newSampler('Fields')
  return { ...sampler, exercises: fields.map((one) => one.exercise), drawing: { ...sampler.drawing, guides: fields.map((one) => one.guide) } }
}

const codes = (sampler: Sampler): readonly string[] =>
  workSampler(sampler)
    .problems.filter((one) => one.severity === 'error')
    .map((one) => `${one.code} ${one.path.slice(0, 2).join('.')}`)

describe('too much thread', () => {
  it('in one exercise is said there', () => {
    // A field is 40,000 lengths of thread, front and back: ten of them are twice what an exercise may hold.
    expect(codes(samplerOf(field('a', 1)))).toEqual([])
    const two = samplerOf(field('a', 10), field('b', 1))
    expect(codes(two)).toEqual(['exercise.too-much exercises.0'])
    expect(workSampler(two).done.map((one) => one.exercise.id)).toEqual(['b'])
  })

  it('in all of them together is said at the first that no longer fits', () => {
    const many = samplerOf(...['a', 'b', 'c', 'd'].map((id) => field(id, 4)))
    expect(codes(many)).toEqual(['exercise.too-much-in-all exercises.3'])
    expect(
      workSampler(many)
        .done.flatMap((one) => one.pieces)
        .reduce((total, piece) => total + piece.worked.segments.length, 0),
    ).toBeLessThan(MOST_SEGMENTS.sampler)
  })
})

it('what several come to is counted for them together: the one that no longer fits is refused, and so is whatever comes after', () => {
  const [large, small] = [4, 1].map((copies) => workSampler(samplerOf(field('a', copies))).results.get('a'))
  if (!large || !small) throw new Error('nothing was worked')
  const budget = samplerBudget()
  expect(budget.take(failure(error('exercise.too-much', [])))).toMatchObject({ ok: false, problems: [{ code: 'exercise.too-much' }] })
  expect([large, large, large].map((one) => budget.take(one).ok)).toEqual([true, true, true])
  expect(budget.isSpent()).toBe(false)
  expect(budget.take(small)).toMatchObject({ ok: false, problems: [{ code: 'exercise.too-much-in-all', figures: { most: MOST_SEGMENTS.sampler } }] })
  expect([budget.isSpent(), budget.take(small).ok]).toEqual([true, false])
})

it('a shape of a table\u2019s size in rows is refused before a row is drawn, however small the file', () => {
  const sampler = newSampler('Fields')
  const disc = 'M 100 1400 A 1300 1300 0 0 1 2700 1400 A 1300 1300 0 0 1 100 1400 Z'
  const rows = ['split-filling', 'stem-filling', 'chain-filling', 'back-filling']
  const wide: Sampler = {
    ...sampler,
    drawing: { ...sampler.drawing, guides: [{ id: 'disc', guide: { kind: 'shape', path: disc } }] },
    exercises: rows.map((stitch) => ({ id: stitch, name: stitch, stitch, on: [{ guide: 'disc' }] })),
  }
  // Drawn, each would take half a minute and be too much thread then.
  expect(codes(wide)).toEqual(rows.map((_, index) => `work.placement exercises.${index}`))
})
