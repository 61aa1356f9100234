/** What changed between two prints: all of it, nothing besides, each with what one does about it. */
import { describe, expect, it } from 'vitest'
import { workSampler } from '../exercise/index.ts'
import { newSampler, type Sampler } from '../sampler/index.ts'
import { changesBetween } from './index.ts'

const first: Sampler = {
  ...newSampler('Drizzle'),
  drawing: {
    groups: [],
    guides: [
      { id: 'g1', guide: { kind: 'line', path: 'M 40 40 L 120 40' } },
      { id: 'g2', guide: { kind: 'line', path: 'M 40 60 L 120 60' } },
    ],
  },
  exercises: [
    { id: 'e1', name: 'Steady rain', stitch: 'back-stitch', on: [{ guide: 'g1' }], materials: { main: { strands: 3 } }, parameters: { L: 3 } },
    { id: 'e2', name: 'Gusts', stitch: 'running-stitch', on: [{ guide: 'g2' }] },
  ],
  lessons: [
    { id: 'l1', title: 'Rain', exercises: ['e1', 'e2'] },
    { id: 'l2', title: 'More rain', exercises: [] },
  ],
}
const printed = (sampler: Sampler) => ({ sampler, done: workSampler(sampler).done })
const change = (index: number, set: Partial<Sampler['exercises'][number]>): Sampler => ({
  ...first,
  exercises: first.exercises.map((one, at) => (at === index ? { ...one, ...set } : one)),
})
const told = (now: Sampler) => changesBetween(printed(first), printed(now)).map(({ kind, exercise, before, now: is }) => [kind, exercise, before, is])

describe('between two prints', () => {
  it('that are the same nothing is said', () => {
    expect(told(first)).toEqual([])
    // Nor of what is not printed.
    expect(told(change(0, { note: 'shown twice' }))).toEqual([])
  })

  it('a name, other strands, another length are said as they were and as they are', () => {
    expect(told(change(1, { name: 'Squalls' }))).toEqual([['name', 'e2', 'Gusts', 'Squalls']])
    const [thread] = told(change(0, { materials: { main: { strands: 2 } } }))
    expect(thread?.[0]).toBe('thread')
    expect([thread?.[2], thread?.[3]].map((one) => /^(\w+) strands/.exec(String(one))?.[1])).toEqual(['Three', 'Two'])
    // Marks stand otherwise too: what is traced already is not right any more.
    expect(told(change(0, { parameters: { L: 4 } })).map(([kind]) => kind)).toEqual(expect.arrayContaining(['size', 'place']))
  })

  it('one moved by a tenth is traced anew, by a hundredth it is not', () => {
    const moved = (by: number): Sampler => ({
      ...first,
      drawing: {
        ...first.drawing,
        guides: first.drawing.guides.map((one) => (one.id === 'g2' ? { ...one, guide: { kind: 'line', path: `M 40 ${60 + by} L 120 ${60 + by}` } } : one)),
      },
    })
    expect(told(moved(0.2)).map(([kind, exercise]) => [kind, exercise])).toEqual([['place', 'e2']])
    expect(told(moved(0.01))).toEqual([])
  })

  it('what is new, gone, or in another lesson is said of it alone', () => {
    const later: Sampler = {
      ...first,
      lessons: [
        { id: 'l1', title: 'Rain', exercises: ['e1'] },
        { id: 'l2', title: 'More rain', exercises: ['e2'] },
      ],
    }
    expect(told(later)).toEqual([['lesson', 'e2', 'Rain', 'More rain']])
    const without: Sampler = { ...first, exercises: first.exercises.slice(0, 1), lessons: [{ id: 'l1', title: 'Rain', exercises: ['e1'] }] }
    expect(told(without)).toEqual([['gone', 'e2', 'Gusts', '']])
    expect(changesBetween(printed(without), printed(first)).map(({ kind, exercise }) => [kind, exercise])).toEqual([['new', 'e2']])
  })
})
