/** What a lesson is told to rest on and to bring: by a course of three lessons. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { workExercise, type WorkedExercise } from '../exercise/index.ts'
import { courseOf } from '../order/index.ts'
import { layExercises, newSampler, type Sampler } from '../sampler/index.ts'
import { lessonStory, taughtLessons } from './index.ts'

const rain = { name: 'Rainwater', hex: '#336699' }
const rows = [
  ['a', 'running-stitch', 'cotton'],
  ['b', 'back-stitch', 'cotton'],
  ['c', 'whipped-running', 'pearl'],
] as const
const sampler: Sampler = {
  ...newSampler('Story'),
  threads: [
    { id: 'cotton', kind: 'stranded-cotton', colour: rain },
    { id: 'pearl', kind: 'pearl-cotton', weight: '8', colour: rain },
  ],
  drawing: { groups: [], guides: rows.map(([id], at) => ({ id: `g-${id}`, guide: { kind: 'line', path: `M 40 ${40 + 20 * at} H 140` } })) },
  exercises: rows.map(([id, stitch, thread]) => ({ id, name: id, stitch, on: [{ guide: `g-${id}` }], materials: { main: { thread } } })),
  lessons: [
    { id: 'l1', title: 'One', exercises: ['a'] },
    { id: 'empty', title: 'Nothing yet', exercises: [] },
    { id: 'l2', title: 'Two', exercises: ['b'] },
    { id: 'l3', title: 'Three', exercises: ['c'] },
  ],
}
const done = layExercises(sampler).map((laid): WorkedExercise => {
  const worked = laid.ok ? workExercise(laid.value, surroundingsOf(sampler)) : laid
  if (!worked.ok) throw new Error(worked.problems[0]?.code)
  return worked.value
})
const lessons = taughtLessons(sampler, done)
const story = (id: string) => lessonStory(lessons, courseOf(done), id)

describe('the story of a lesson', () => {
  it('numbers those that hold something', () => {
    expect(lessons.map((one) => [one.lesson.id, one.number])).toEqual([
      ['l1', 1],
      ['l2', 2],
      ['l3', 3],
    ])
  })

  it('rests on what taught it, else on what was worked last; the first on nothing', () => {
    expect(story('l1').known).toEqual([])
    expect(story('l1').fresh.map((one) => one.isFirstOfAll)).toEqual([true])
    // Going back into a used hole is new: what was worked last stands in.
    expect(story('l2').known.map((one) => [one.done.exercise.id, one.lesson, one.motions])).toEqual([['a', 1, []]])
    expect(story('l2').fresh[0]?.motions).toContain('shared-hole')
    // A whipped line is built on running stitch.
    expect(story('l3').known.map((one) => one.done.exercise.id)).toContain('a')
    expect(story('l3').fresh[0]?.motions).toContain('pass-under')
  })

  it('brings what has not lain on the table: one colour in another kind is another thread', () => {
    expect(story('l1').newThreads.map(({ kind, threads }) => [kind.id, threads.map((one) => one.id)])).toEqual([['stranded-cotton', ['cotton']]])
    expect(story('l2').newThreads).toEqual([])
    expect(story('l3').newThreads.map(({ kind }) => kind.id)).toContain('pearl-cotton')
    expect(story('l3').newNeedles.length).toBeGreaterThan(0)
    expect(story('no such lesson')).toEqual({ known: [], fresh: [], newThreads: [], newNeedles: [] })
  })
})
