/** Rows that read alike side by side, and what keeps them apart. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { workExercise, type WorkedExercise } from '../exercise/index.ts'
import { layExercises, newSampler, type Sampler } from '../sampler/index.ts'
import { alikeNeighbours, neighboursOf } from './index.ts'

interface Row {
  readonly stitch?: string
  readonly thread?: string
  readonly strands?: number
  readonly y: number
}
const rows = (...all: readonly Row[]): readonly WorkedExercise[] => workAll(samplerOf(all))
function samplerOf(all: readonly Row[]): Sampler {
  const plain = newSampler('Rows')
  return {
    ...plain,
    threads: [
      { id: 'rain', kind: 'stranded-cotton', colour: { name: 'Rainwater', hex: '#336699' } },
      { id: 'sun', kind: 'stranded-cotton', colour: { name: 'Low sun', hex: '#CC6510' } },
      { id: 'pearl', kind: 'pearl-cotton', weight: '8', colour: { name: 'Rainwater', hex: '#336699' } },
    ],
    drawing: { groups: [], guides: all.map(({ y }, at) => ({ id: `g${at}`, guide: { kind: 'line', path: `M 40 ${y} H 140` } })) },
    exercises: all.map(({ stitch = 'back-stitch', thread = 'rain', strands = 2 }, at) => ({
      ...{ id: `e${at}`, name: `Row ${at}`, stitch, on: [{ guide: `g${at}` }] },
      materials: { main: { thread, ...(thread === 'pearl' ? {} : { strands }) } },
    })),
    lessons: [{ id: 'l', title: 'All', exercises: all.map((_, at) => `e${at}`) }],
  }
}
function workAll(sampler: Sampler): readonly WorkedExercise[] {
  return layExercises(sampler).map((laid) => {
    const worked = laid.ok ? workExercise(laid.value, surroundingsOf(sampler)) : laid
    if (!worked.ok) throw new Error(worked.problems[0]?.code)
    return worked.value
  })
}
const pairs = (...all: readonly Row[]): string[] => alikeNeighbours(rows(...all)).map(({ exercises }) => exercises.join(' '))

describe('rows side by side', () => {
  it('in one colour, texture and width read as one', () => {
    expect(pairs({ y: 40 }, { y: 48 }, { y: 56 })).toEqual(['e0 e1', 'e1 e2'])
  })

  it.each<[string, Row]>([
    ['further away', { y: 80 }],
    ['in another colour', { y: 48, thread: 'sun' }],
    ['in four strands beside two', { y: 48, strands: 4 }],
    ['in a stitch of another family', { y: 48, stitch: 'chain-stitch' }],
    ['in a thread of another twist', { y: 48, thread: 'pearl' }],
  ])('%s do not', (_name, other) => {
    expect(pairs({ y: 40 }, other)).toEqual([])
  })
})

describe('what a row is seen beside', () => {
  // One, two and four strands, each row by the next; then one far off, in another colour.
  const sampler = samplerOf([{ y: 40, strands: 1 }, { y: 48 }, { y: 56, strands: 4 }, { y: 120, thread: 'sun', strands: 2 }])
  const done = workAll(sampler)
  const of = (at: number) => neighboursOf(sampler, done, done[at] as WorkedExercise)
  const widths = done.map((one) => one.widthMm)

  it('are the rows of its colour and texture next to it, whichever width they have', () => {
    expect(of(1).alike).toEqual([
      { nature: 'soft', widthMm: widths[0] },
      { nature: 'soft', widthMm: widths[2] },
    ])
    expect(of(3).alike).toEqual([])
  })

  it('and a run from fine to bold is what lies between two rows that it goes on from', () => {
    expect(of(1).run).toEqual([widths[0], widths[2]])
    // The first has none before it; after the boldest comes a finer one; the last has none after it.
    expect([of(0).run, of(2).run, of(3).run]).toEqual([null, null, null])
  })
})
