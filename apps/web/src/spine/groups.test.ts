/** What stands where in the list of exercises, and where a move takes it. */
import { bandSampler } from '@lemmata/contract/testing'
import type { Sampler } from '@lemmata/core/sampler'
import { describe, expect, it } from 'vitest'
import { droppedOn, movedBy, spineGroups } from './groups.ts'

const demo = bandSampler('2026-12-03')
const written = demo.lessons.map((one) => one.exercises as readonly string[])
const plan = { lessons: [['a', 'b'], ['c'], []] }

describe('the groups of the spine', () => {
  it('are the lessons with their titles', () => {
    expect(spineGroups(demo, { lessons: written }).map(({ title, ids }) => [title, ids])).toEqual(demo.lessons.map((one) => [one.title, one.exercises]))
  })

  it('what cannot be worked, and so is not planned, keeps its place in its lesson', () => {
    const [first = [], ...rest] = written
    const planned = { lessons: [first.slice(1), ...rest] }
    expect(spineGroups(demo, planned)[0]?.ids).toEqual(first)
    expect(spineGroups(demo, { lessons: written.map(() => []) }).map((one) => one.ids)).toEqual(written)
  })

  it('what is not taught, and what stands in no lesson, comes last under its own heading', () => {
    const sampler: Sampler = {
      ...demo,
      lessons: demo.lessons.slice(1),
      exercises: demo.exercises.map((one) => (one.id === written[0]?.[0] ? { ...one, pins: { excluded: true } } : one)),
    }
    const groups = spineGroups(sampler, { lessons: written.slice(1) })
    expect(groups.at(-1)).toEqual({ lesson: null, title: 'Not taught', ids: [written[0]?.[0]] })
    const others = (written[0] ?? []).slice(1)
    if (others.length > 0) expect(groups.at(-2)).toEqual({ lesson: null, title: 'In no lesson', ids: others })
  })

  it('lessons that minutes make beyond those that are written have a number for a title', () => {
    expect(
      spineGroups({ ...demo, lessons: [] }, { lessons: [['e1'], ['e2']] })
        .slice(0, 2)
        .map((one) => one.title),
    ).toEqual(['Lesson 1', 'Lesson 2'])
  })
})

describe('a move', () => {
  it('goes one place, and over a heading into the next lesson or the one before', () => {
    expect(movedBy(plan, 'a', 1)?.lessons).toEqual([['b', 'a'], ['c'], []])
    expect(movedBy(plan, 'b', 1)?.lessons).toEqual([['a'], ['b', 'c'], []])
    expect(movedBy(plan, 'c', -1)?.lessons).toEqual([['a', 'b', 'c'], [], []])
    expect(movedBy(plan, 'c', 1)?.lessons).toEqual([['a', 'b'], [], ['c']])
  })

  it('ends at both ends, and does not move what is in no lesson', () => {
    expect(movedBy(plan, 'a', -1)).toBeNull()
    expect(movedBy({ lessons: [['a']] }, 'a', 1)).toBeNull()
    expect(movedBy(plan, 'z', 1)).toBeNull()
  })

  it('by dropping takes the place above or below a row, or begins a lesson', () => {
    expect(droppedOn(plan, 'c', { id: 'a' }, false)?.lessons).toEqual([['c', 'a', 'b'], [], []])
    expect(droppedOn(plan, 'a', { id: 'b' }, true)?.lessons).toEqual([['b', 'a'], ['c'], []])
    expect(droppedOn(plan, 'a', { lesson: 2 }, false)?.lessons).toEqual([['b'], ['c'], ['a']])
    expect(droppedOn(plan, 'a', { id: 'a' }, true)).toBeNull()
    expect(droppedOn(plan, 'a', { lesson: 7 }, true)).toBeNull()
    expect(droppedOn(plan, 'z', { id: 'a' }, true)).toBeNull()
  })

  it('keeps its own lists: what was given is not changed', () => {
    droppedOn(plan, 'a', { lesson: 2 }, false)
    movedBy(plan, 'a', 1)
    expect(plan).toEqual({ lessons: [['a', 'b'], ['c'], []] })
  })
})
