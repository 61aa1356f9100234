/**
 * Files of version 1, and what the program of their time made of them: the same stitches in the same places, in the
 * same thread, in the same order. What has been put right since is listed with its reason.
 */
import { readFileSync } from 'node:fs'
import { workSampler } from '@lemmata/core/exercise'
import { danglingReferences, teachingOrder } from '@lemmata/core/sampler'
import { describe, expect, it } from 'vitest'
import { readSamplerFile } from '../../documents/read.ts'
import type { Problem } from '@lemmata/core/base'
import { problemInWords } from '../../problem-words.ts'

const sentenceOf = (given: readonly Problem[] | Problem | undefined): string => {
  const first = given && 'code' in given ? given : given?.[0]
  return first ? problemInWords(first) : ''
}

const golden = (name: string): unknown => JSON.parse(readFileSync(new URL(`./golden/${name}.json`, import.meta.url), 'utf8'))

interface Figures {
  readonly stitches: number
  readonly holes: number
  readonly sumX: number
  readonly sumY: number
  readonly sumXY: number
  readonly threadMm: number
  readonly minutes: number
  readonly difficulty: number
  readonly strands: number
}
type Field = keyof Figures

/** Each thread of a stitch has its own tails and needlefuls; one was counted for both. */
const TWO_THREADS: readonly Field[] = ['threadMm', 'minutes', 'difficulty']
const PUT_RIGHT: Readonly<Record<string, Readonly<Record<string, readonly Field[]>>>> = {
  'weather-diary': {
    w4: TWO_THREADS,
    w8: TWO_THREADS,
    // A leaf is counted by its slants, not by their pairs; near the tip the needle passes the vein by half of what there is.
    w13: ['stitches', 'sumX', 'sumY', 'sumXY', 'threadMm', 'minutes', 'difficulty'],
    // Its own length, the long stitch, says how fine it is; it was the spacing.
    w14: ['difficulty'],
    // Out and back, warps and weaving: repeats of the one pass no longer thin out the motions of the other.
    w15: ['difficulty'],
    // Each of its points is counted.
    w19: ['difficulty', 'stitches'],
    // An eyelet has a rim of back stitch, in and out at each place twice.
    w16: ['holes', 'sumX', 'sumY', 'sumXY', 'threadMm', 'minutes', 'difficulty'],
    // The bar of a sorbello knot is drawn into the middle of its square.
    w17: ['threadMm', 'minutes', 'difficulty'],
    // Its spokes lie fast: only what is woven round pins is woven with nothing fixed. Its rows lie round, not straight from spoke to spoke.
    w18: ['difficulty', 'minutes', 'threadMm'],
  },
  exported: {
    a: TWO_THREADS,
    // Ties stand as far apart as the laid thread wants; it was the thread that ties that decided.
    b: [...TWO_THREADS, 'stitches', 'holes', 'sumX', 'sumY', 'sumXY', 'strands'],
    d: TWO_THREADS,
  },
}

const opened = (name: string) => {
  const read = readSamplerFile(golden(name))
  if (!read.ok) throw new Error(sentenceOf(read.problems))
  return read.value
}

describe.each(['six-thursdays', 'weather-diary', 'exported'])('%s, written in version 1', (name) => {
  const { sampler } = opened(name)
  const before = (golden('figures') as Record<string, Record<string, Figures>>)[name] ?? {}

  it('is read as version 2 and names nothing that is not there', () => {
    expect(sampler.version).toBe(2)
    expect(danglingReferences(sampler)).toEqual([])
    expect(sampler.exercises.map((one) => one.id).sort()).toEqual(Object.keys(before).sort())
  })

  it('has the same stitches in the same places, thread, minutes and difficulty', () => {
    const { results } = workSampler(sampler)
    for (const [id, was] of Object.entries(before)) {
      const result = results.get(id)
      if (!result?.ok) throw new Error(`${id} cannot be worked: ${sentenceOf(result?.problems) ?? 'not there'}`)
      const done = result.value
      const holes = done.pieces.flatMap((piece) => piece.worked.holes)
      const sum = (of: (hole: { x: number; y: number }) => number): number => holes.reduce((all, hole) => all + of(hole), 0)
      const now: Figures = {
        stitches: done.stitches,
        holes: holes.length,
        sumX: sum((hole) => hole.x),
        sumY: sum((hole) => hole.y),
        sumXY: sum((hole) => hole.x * hole.y),
        threadMm: done.thread.total,
        minutes: done.minutes.total,
        difficulty: done.difficulty.score,
        strands: done.assigned.main.strands.value,
      }
      const right = PUT_RIGHT[name]?.[id] ?? []
      for (const field of Object.keys(was) as Field[])
        if (!right.includes(field))
          expect(Math.abs(now[field] - was[field]), `${id} ${field}: ${now[field]}, was ${was[field]}`).toBeLessThan(
            0.002 * Math.max(1, Math.abs(was[field]) / 1000),
          )
    }
  })
})

describe('a sampler exported in version 1', () => {
  const { sampler, learners } = opened('exported')
  const materials = (id: string) => sampler.exercises.find((one) => one.id === id)?.materials

  it('keeps the order of its lessons, each exercise once, and forgets what was gone', () => {
    expect(sampler.lessons.map((one) => one.exercises)).toEqual([
      ['b', 'a'],
      ['c', 'f'],
    ])
    expect(teachingOrder(sampler).map((one) => one.id)).toEqual(['b', 'a', 'c', 'f', 'd', 'e'])
    expect(sampler.keptOrders).toEqual([{ id: 'o1', name: 'Before', lessons: [['a'], ['b']] }])
    expect(sampler.exercises.find((one) => one.id === 'e')?.pins).toEqual({ before: ['b'] })
    expect(sampler.exercises.find((one) => one.id === 'c')?.over).toEqual(['a'])
  })

  it('gives every thread its role: what whips, what is laid, what ties', () => {
    expect(materials('a')).toEqual({ main: { thread: 't1' }, whipping: { thread: 't3', strands: 2 } })
    // The first thread tied the second down: now the laid one is the main one; soft cotton is worked single, whatever was asked for.
    expect(materials('b')).toEqual({ main: { thread: 't2', strands: 1 }, tie: { thread: 't1', needle: { kind: 'embroidery', size: 9 } } })
    expect(materials('d')).toBeUndefined()
  })

  it('hands the learners over to a class, and names nobody itself', () => {
    expect(learners).toEqual([{ id: 'v1', name: 'Sunniva', hand: 'left', choices: { c: { thread: 't3' } } }])
    expect(JSON.stringify(sampler)).not.toContain('Sunniva')
  })

  it('has each guide drawn, with its layer', () => {
    expect(sampler.drawing.guides.map(({ id, name, layer }) => [id, name, layer])).toEqual([
      ['g1', 'Gust', undefined],
      ['g2', 'Isobar', undefined],
      ['g3', 'Front', 'look'],
      ['g4', 'Gale', undefined],
      ['g5', 'Squall', undefined],
      ['g6', 'Drops', undefined],
    ])
  })
})
