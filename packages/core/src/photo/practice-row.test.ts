/** Which rows may be taken for one another. */
import { expect, it } from 'vitest'
import { type Exercise, newSampler } from '../sampler/index.ts'
import { practiceRow, type RowPlan, rowsAlike } from './index.ts'

const exercise = (stitch: string, id = stitch): Exercise => ({ id, name: id, stitch, on: [] })
const sampler = {
  ...newSampler('Rows'),
  exercises: ['running-stitch', 'back-stitch', 'stem-stitch', 'chain-stitch', 'satin-stitch'].map((one) => exercise(one)),
}
const planOf = (stitch: string): RowPlan => {
  const plan = practiceRow(sampler, exercise(stitch))?.plan
  if (!plan) throw new Error(stitch)
  return plan
}

it('a narrow row may be one of the other narrow kind, and no wide one may', () => {
  expect(rowsAlike(sampler, exercise('stem-stitch'), planOf('stem-stitch'))).toEqual([planOf('back-stitch')])
  expect(rowsAlike(sampler, exercise('back-stitch'), planOf('back-stitch'))).toEqual([planOf('stem-stitch')])
  for (const stitch of ['running-stitch', 'chain-stitch', 'satin-stitch']) expect(rowsAlike(sampler, exercise(stitch), planOf(stitch)), stitch).toEqual([])
})

it('is each stitch once, and never the exercise’s own', () => {
  const twice = { ...sampler, exercises: [...sampler.exercises, exercise('back-stitch', 'again'), exercise('no-such-stitch')] }
  expect(rowsAlike(twice, exercise('stem-stitch'), planOf('stem-stitch'))).toHaveLength(1)
})
