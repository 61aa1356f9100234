/** Rows that read alike side by side, and what keeps them apart. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { workExercise, type WorkedExercise } from '../exercise/index.ts'
import { layExercises, newSampler, type Sampler } from '../sampler/index.ts'
import { alikeNeighbours } from './index.ts'

interface Row {
  readonly stitch?: string
  readonly thread?: string
  readonly strands?: number
  readonly y: number
}
function rows(...all: readonly Row[]): readonly WorkedExercise[] {
  const plain = newSampler('Rows')
  const sampler: Sampler = {
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
