/** Threads and needles of a course together: as good as every way there is, on hand first, pins kept and blamed. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { workExercise, type WorkedExercise } from '../exercise/index.ts'
import { findNeedle, type Needle, needleKey, type ThreadOfKind } from '../materials/index.ts'
import { type Exercise, layExercises, newSampler, type Sampler } from '../sampler/index.ts'
import { emptyStores, type Stores } from '../stores/index.ts'
import {
  changesWithin,
  costOfAll,
  fewerThreads,
  followingRows,
  needleCourse,
  NEW_THREAD,
  ON_HAND,
  solutionOf,
  type Solver,
  threadCourse,
  type TogetherModel,
  writeTogether,
} from './index.ts'

/** Every set of threads and needles, each row the cheapest that they allow. */
const bySearch =
  (model: TogetherModel): Solver =>
  () => {
    const [threads, needles] = [model.threads.length, model.needles.length]
    let best: { cost: number; values: Map<string, number> } | null = null
    for (let code = 0; code < 2 ** (threads + needles); code += 1) {
      const has = (place: number): boolean => ((code >> place) & 1) === 1
      let cost = 0
      for (const [at, one] of [...model.threads, ...model.needles].entries()) if (has(at)) cost += one
      // Not less than the rows by themselves: most sets need not be looked at along the lessons.
      for (const options of model.rows)
        cost += Math.min(Infinity, ...options.filter((one) => has(one.thread) && has(threads + one.needle)).map((one) => one.cost))
      if (cost < (best?.cost ?? Infinity) - 1e-9) {
        const values = new Map<string, number>()
        for (let place = 0; place < threads; place += 1) values.set(`t${place}`, has(place) ? 1 : 0)
        for (let place = 0; place < needles; place += 1) values.set(`n${place}`, has(threads + place) ? 1 : 0)
        const whole = costOfAll(model, solutionOf(model, values))
        if (whole < (best?.cost ?? Infinity) - 1e-9) best = { cost: whole, values }
      }
    }
    return Promise.resolve(best?.values ?? null)
  }

const plain = newSampler('Together')
const rain = { name: 'Rainwater', hex: '#336699' }
const exercise = (id: string, stitch: string, more: Partial<Exercise> = {}): Exercise => ({ id, name: id, stitch, on: [{ guide: `g-${id}` }], ...more })
function course(exercises: readonly Exercise[]): { sampler: Sampler; done: readonly WorkedExercise[] } {
  const sampler: Sampler = {
    ...plain,
    threads: [
      { id: 'cotton', kind: 'stranded-cotton', colour: rain },
      { id: 'pearl', kind: 'pearl-cotton', weight: '8', colour: rain },
      { id: 'wool', kind: 'crewel-wool', colour: rain },
    ],
    drawing: { groups: [], guides: exercises.map(({ id }, at) => ({ id: `g-${id}`, guide: { kind: 'line', path: `M 40 ${40 + 20 * at} H 140` } })) },
    exercises,
    lessons: [{ id: 'l', title: 'All', exercises: exercises.map((one) => one.id) }],
  }
  const done = layExercises(sampler).map((laid) => {
    const worked = laid.ok ? workExercise(laid.value, surroundingsOf(sampler)) : laid
    if (!worked.ok) throw new Error(worked.problems[0]?.code)
    return worked.value
  })
  return { sampler, done }
}
const NEEDLES = (
  [
    ['embroidery', 5],
    ['embroidery', 7],
    ['embroidery', 9],
    ['tapestry', 24],
  ] as const
).map(([family, size]): Needle => {
  const found = findNeedle(family, size)
  if (!found) throw new Error(family)
  return found
})
const KINDS: readonly ThreadOfKind[] = [{ kind: 'stranded-cotton' }, { kind: 'pearl-cotton', weight: '8' }, { kind: 'coton-a-broder', weight: '16' }]
const three = course([
  exercise('a', 'back-stitch', { materials: { main: { thread: 'cotton' } } }),
  exercise('b', 'stem-stitch', { materials: { main: { thread: 'pearl' } } }),
  exercise('c', 'chain-stitch', { materials: { main: { thread: 'wool' } } }),
])

describe('threads and needles of a course together', () => {
  it('are fewer, as cheap as every way there is, and no dearer than they were', async () => {
    const found = threadCourse({ ...three, threads: KINDS, needles: NEEDLES })
    expect(found.rows.map((row) => row.exercise)).toEqual(['a', 'b', 'c'])
    const answer = await fewerThreads(found, bySearch(found.model))
    expect(answer?.before.threads).toEqual(['Rainwater, crewel wool', 'Rainwater, pearl cotton 8', 'Rainwater, stranded cotton'])
    expect(answer?.after.threads.length).toBeLessThan(3)
    // Every way to choose a thread and a needle for each of the three.
    let least = Infinity
    const [a = [], b = [], c = []] = found.model.rows
    for (let i = 0; i < a.length; i += 1)
      for (let j = 0; j < b.length; j += 1) for (let k = 0; k < c.length; k += 1) least = Math.min(least, costOfAll(found.model, [i, j, k]))
    expect(answer?.cost).toBeCloseTo(least, 9)
    expect(answer?.cost).toBeLessThanOrEqual(answer?.costBefore ?? Infinity)
  })

  it('come out of the drawer first', async () => {
    const stores: Stores = { ...emptyStores(), threads: [{ id: 's', kind: 'coton-a-broder', weight: '16', colour: rain, left: 9000 }] }
    const without = threadCourse({ ...three, threads: KINDS, needles: NEEDLES })
    const withIt = threadCourse({ ...three, threads: KINDS, needles: NEEDLES, stores })
    expect(new Set(without.model.threads)).toEqual(new Set([NEW_THREAD]))
    expect([...withIt.model.threads].sort()).toEqual([ON_HAND, ...Array<number>(withIt.model.threads.length - 1).fill(NEW_THREAD)].sort())
    const [a, b] = [await fewerThreads(without, bySearch(without.model)), await fewerThreads(withIt, bySearch(withIt.model))]
    expect(b?.cost).toBeLessThanOrEqual(a?.cost ?? 0)
  })

  it('keep what was given; what leaves nothing is named, as little of it as does', () => {
    const pinned = course([
      exercise('strands', 'back-stitch', { materials: { main: { thread: 'cotton', strands: 2 } } }),
      exercise('needle', 'back-stitch', { materials: { main: { thread: 'cotton', needle: { kind: 'embroidery', size: 1 } } } }),
      exercise('both', 'back-stitch', { materials: { main: { thread: 'cotton', strands: 6, needle: { kind: 'embroidery', size: 9 } } } }),
    ])
    const found = threadCourse({ ...pinned, threads: [{ kind: 'stranded-cotton' }], needles: NEEDLES })
    expect(found.rows.map((row) => row.exercise)).toEqual(['strands'])
    expect(found.rows[0]?.choices.every((choice) => choice.strands === 2)).toBe(true)
    expect(found.left.map(({ exercise: id, blame }) => [id, blame])).toEqual([
      ['needle', ['needle']],
      ['both', ['strands', 'needle']],
    ])
    expect(threadCourse({ ...pinned, threads: [], needles: [] }).left.every(({ blame }) => blame.length === 0)).toBe(true)
  })

  it('what pieces have of their own is counted with the rest, and stays', async () => {
    const [first, ...rest] = three.done
    if (!first) throw new Error('nothing is worked')
    const [used] = first.threads
    if (!used) throw new Error('no thread is used')
    const needle = findNeedle('embroidery', 1)
    const own = {
      ...used,
      needle: { ...used.needle, value: needle ?? used.needle.value },
      thread: { ...used.thread, id: 'own', colour: { name: 'Slate', hex: '#444444' } },
    }
    const done = [{ ...first, threads: [...first.threads, own] }, ...rest]
    const found = threadCourse({ sampler: three.sampler, done, threads: [{ kind: 'stranded-cotton' }], needles: NEEDLES })
    const answer = await fewerThreads(found, bySearch(found.model))
    for (const list of [answer?.before, answer?.after]) {
      expect(list?.threads).toContain('Slate, stranded cotton')
      expect(list?.needles).toContain('Embroidery 1')
    }
    expect(
      needleCourse(three.sampler, done)
        .rows.filter((row) => row.isPinned)
        .map((row) => needleKey(row.now)),
    ).toContain('embroidery 1')
    expect(answer?.changes.some(({ row }) => row.colour.name === 'Slate')).toBe(false)
  })

  it('a colour is bought in one kind: two colours of one kind are two threads', () => {
    const { sampler, done } = three
    const recoloured = done.map((one, at) =>
      at === 0
        ? {
            ...one,
            assigned: {
              ...one.assigned,
              threads: one.assigned.threads.map((thread) => ({
                ...thread,
                thread: { ...thread.thread, value: { ...thread.thread.value, colour: { name: 'Slate', hex: '#444444' } } },
              })) as unknown as typeof one.assigned.threads,
            },
          }
        : one,
    )
    const found = threadCourse({ sampler, done: recoloured, threads: [{ kind: 'stranded-cotton' }], needles: NEEDLES })
    expect(found.model.threads.length).toBeGreaterThan(
      threadCourse({ ...three, threads: [{ kind: 'stranded-cotton' }], needles: NEEDLES }).model.threads.length,
    )
  })

  it('say how often a needle is put down within a lesson: not between lessons', () => {
    const lessons = [
      { id: 'l1', title: 'One', exercises: ['a', 'b', 'c'] },
      { id: 'l2', title: 'Two', exercises: ['d', 'e'] },
    ]
    // As the sampler lists them, not as they are taught.
    const rows = [
      ['c', '7'],
      ['a', '7'],
      ['b', '7'],
      ['b', '24'],
      ['d', '5'],
    ].map(([id = '', size = '']) => ({ exercise: id, size }))
    const following = followingRows({ lessons }, rows)
    // Seven, seven, 24, seven: two; then one alone.
    expect(following.map(([row, next]) => [rows[row]?.exercise, rows[next]?.exercise])).toEqual([
      ['a', 'b'],
      ['b', 'b'],
      ['b', 'c'],
    ])
    expect(changesWithin(following, (row) => rows[row]?.size ?? '')).toBe(2)
    expect(followingRows({ lessons: [] }, rows)).toEqual([])
  })

  it('stopped, or empty, change nothing; no line of the model is longer than the format allows', async () => {
    const found = threadCourse({ ...three, threads: KINDS })
    expect(await fewerThreads(found, () => Promise.resolve(null))).toBeNull()
    expect(await fewerThreads(threadCourse({ ...three, done: [], threads: KINDS }), () => Promise.reject(new Error('not asked')))).toMatchObject({
      changes: [],
    })
    for (const line of writeTogether(found.model).split('\n')) expect(line.length).toBeLessThan(560)
  })
})
