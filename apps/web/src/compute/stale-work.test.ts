/** What an edit makes the worker do again, and nothing more. */
import { dialSampler } from '@lemmata/contract/testing'
import { type Surroundings, surroundingsOf } from '@lemmata/core/assign'
import { workExercise } from '@lemmata/core/exercise'
import { applyOperation, layExercises, type Operation, type Sampler } from '@lemmata/core/sampler'
import { describe, expect, it } from 'vitest'
import { type Entry, type Laid, staleWork } from './stale-work.ts'

const diary = dialSampler()
const laidOf = (sampler: Sampler): Laid[] => layExercises(sampler).map((laid, index) => ({ exercise: sampler.exercises[index] as Laid['exercise'], laid }))
/** Surroundings stay the same object while nothing in them changes, as in the page. */
const around = surroundingsOf(diary)
const entriesOf = (sampler: Sampler, surroundings: Surroundings): Map<string, Entry> =>
  new Map(
    laidOf(sampler).map(({ exercise, laid }): [string, Entry] => [
      exercise.id,
      { laid, around: surroundings, question: 1, result: laid.ok ? workExercise(laid.value, surroundings) : laid },
    ]),
  )
const entries = entriesOf(diary, around)
const after = (operation: Operation): Sampler => {
  const applied = applyOperation(diary, operation)
  if (!applied.ok) throw new Error(applied.problems[0]?.code)
  return applied.value
}
const stale = (sampler: Sampler, surroundings: Surroundings = around): string[] =>
  staleWork(laidOf(sampler), entries, surroundings).map((one) => one.exercise.id)

describe('after an edit', () => {
  it('nothing is worked again where nothing changed, nor where only a name of the sampler or a lesson did', () => {
    expect(stale(diary)).toEqual([])
    expect(stale(after({ kind: 'rename', name: 'Another diary' }))).toEqual([])
    expect(stale(after({ kind: 'rename-lesson', id: diary.lessons[0]?.id ?? '', title: 'Rain' }))).toEqual([])
  })

  it('one exercise that was changed is worked again, and that alone', () => {
    expect(stale(after({ kind: 'set-parameters', id: 'w1', set: { L: 2 } }))).toEqual(['w1'])
  })

  it('a guide that was moved takes all exercises on it along', () => {
    const guide = diary.exercises.find((one) => one.id === 'w1')?.on[0]?.guide ?? ''
    const on = diary.exercises.filter((one) => one.on.some((where) => where.guide === guide)).map((one) => one.id)
    expect(stale(after({ kind: 'transform-guides', ids: [guide], matrix: [1, 0, 0, 1, 1, 0] })).sort()).toEqual([...on].sort())
  })

  it('another cloth makes all of them stale, but for what could not even be laid', () => {
    const other = { ...around }
    expect(stale(diary, other)).toHaveLength(diary.exercises.length)
    const gone: Sampler = { ...diary, drawing: { ...diary.drawing, guides: [] } }
    const lost = laidOf(gone)
    expect(lost.every((one) => !one.laid.ok)).toBe(true)
    const known = new Map(
      lost.map(({ exercise, laid }): [string, Entry] => [
        exercise.id,
        { laid, around, question: 1, result: laid.ok ? workExercise(laid.value, around) : laid },
      ]),
    )
    expect(staleWork(lost, known, other)).toEqual([])
  })
})
