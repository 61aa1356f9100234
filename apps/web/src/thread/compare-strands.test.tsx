// @vitest-environment jsdom
/** In which threads an exercise is compared, and that each comes out as it says. */
import { bandSampler } from '@lemmata/contract/testing'
import { surroundingsOf } from '@lemmata/core/assign'
import { workExercise, workSampler, type WorkedExercise } from '@lemmata/core/exercise'
import { MAIN_ROLE } from '@lemmata/core/notation'
import { type Exercise, layExercises, type Sampler } from '@lemmata/core/sampler'
import { expect, it } from 'vitest'
import { type Otherwise, waysOfMain } from './CompareStrandsDialog.tsx'

const demo = bandSampler('2026-12-03')
const [first] = demo.exercises as [Exercise, ...Exercise[]]
const done = workSampler(demo).done.find((one) => one.exercise.id === first.id) as WorkedExercise

function workedSo(sampler: Sampler, { exercise }: Otherwise): WorkedExercise {
  const [laid] = layExercises({ exercises: [exercise], drawing: sampler.drawing })
  const worked = laid?.ok ? workExercise(laid.value, surroundingsOf(sampler)) : null
  if (!worked?.ok) throw new Error(exercise.name)
  return worked.value
}

it('its own thread in one to six strands, wider with each, then one of every other kind and weight at hand', () => {
  const ways = waysOfMain(demo, first, done.assigned.main)
  expect(ways.slice(0, 5).map((way) => way.name)).toEqual(['1 strand', '2 strands', '3 strands', '4 strands', '6 strands'])
  const wide = ways.slice(0, 5).map((way) => workedSo(demo, way).widthMm)
  expect([...wide].sort((a, b) => a - b)).toEqual(wide)
  expect(new Set(wide).size).toBe(5)
  const others = ways.slice(5)
  expect(others.length).toBeLessThanOrEqual(3)
  expect(new Set(others.map((way) => way.name)).size).toBe(others.length)
})

it('a needle that was given for other strands is chosen again, and no piece keeps what is its own', () => {
  const own: Exercise = {
    ...first,
    materials: { [MAIN_ROLE]: { strands: 2, needle: { kind: 'embroidery', size: 10 } } },
    pieces: { [`${first.on[0]?.guide}/0`]: { materials: { [MAIN_ROLE]: { strands: 6 } } } },
  }
  for (const { exercise, set } of waysOfMain(demo, own, done.assigned.main)) {
    expect(exercise.pieces).toBeUndefined()
    expect(exercise.materials?.[MAIN_ROLE]).toEqual(set)
  }
})

it('a thread that is never divided is compared in one, beside the others', () => {
  const pearl = demo.threads.find((one) => one.kind === 'pearl-cotton')
  if (!pearl) throw new Error('the demo has a pearl')
  const main = { ...done.assigned.main, thread: { ...done.assigned.main.thread, value: pearl }, kind: { ...done.assigned.main.kind, mostStrands: 1 } }
  const names = waysOfMain(demo, first, main).map((way) => way.name)
  expect(names[0]).toBe('1 strand')
  expect(names).toContain('Stranded cotton')
  expect(names).not.toContain('2 strands')
})
