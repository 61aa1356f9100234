/** The table of each lesson: in the order of use, alike things once, needles new when they first come. */
import { bandSampler } from '@lemmata/contract/testing'
import { describe, expect, it } from 'vitest'
import { workSampler } from '../exercise/index.ts'
import { nameNeedle } from '../materials/index.ts'
import { tableByLesson } from './index.ts'

const sampler = bandSampler('2026-12-03')
const { done } = workSampler(sampler)

describe('the table of a lesson', () => {
  it('holds all needlefuls of all exercises, each in its lesson', () => {
    const tables = tableByLesson(sampler, done)
    const all = done.flatMap((one) => one.threads).reduce((sum, one) => sum + one.use.needlefuls, 0)
    expect(tables.flatMap((one) => one.laidOut).reduce((sum, one) => sum + one.needlefuls, 0)).toBe(all)
    for (const { lesson, laidOut } of tables) {
      const exercises = sampler.lessons.find((one) => one.id === lesson)?.exercises ?? []
      for (const one of laidOut.flatMap((other) => other.for)) expect(exercises).toContain(one.exercise)
    }
  })

  it('has what is worked alike once, in the order in which it is taken up', () => {
    for (const { laidOut } of tableByLesson(sampler, [...done].reverse())) {
      const keys = laidOut.map(({ thread, strands, needle }) => `${thread.id} ${strands} ${nameNeedle(needle)}`)
      expect(new Set(keys).size).toBe(keys.length)
      const order = laidOut.map((one) => sampler.lessons.flatMap((lesson) => lesson.exercises).indexOf(one.for[0]?.exercise ?? ''))
      expect([...order].sort((a, b) => a - b)).toEqual(order)
    }
  })

  it('calls every needle new once, in the first lesson that has it', () => {
    const all = tableByLesson(sampler, done).flatMap((one) => one.newNeedles.map(nameNeedle))
    expect(new Set(all).size).toBe(all.length)
    expect([...all].sort()).toEqual([...new Set(done.flatMap((one) => one.threads.map((thread) => nameNeedle(thread.needle.value))))].sort())
  })

  it('an exercise in no lesson lies on a table of its own; one that is not worked on none', () => {
    const [first] = sampler.lessons
    if (!first) throw new Error('no lesson')
    const without = { ...sampler, lessons: sampler.lessons.slice(1) }
    expect(tableByLesson(without, done).at(-1)).toMatchObject({ lesson: null, title: 'In no lesson' })
    expect(tableByLesson(sampler, [])).toEqual([])
  })
})
