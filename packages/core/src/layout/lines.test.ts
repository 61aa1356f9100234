/** Lines taken further, as edits of a sampler: what is added, what is changed, and that undo takes it back. */
import { describe, expect, it } from 'vitest'
import { applyOperation, invertOperation, newSampler, type Operation, type Sampler } from '../sampler/index.ts'
import { againBeside, bringIn, cutShape, endLineOn, turnRound } from './index.ts'

const sampler: Sampler = {
  ...newSampler('Front'),
  drawing: {
    groups: [],
    guides: [
      { id: 'row', name: 'Isobar', guide: { kind: 'line', path: 'M 20 40 L 80 40' } },
      { id: 'cloud', guide: { kind: 'shape', path: 'M 100 20 L 140 20 L 140 60 L 100 60 Z' } },
      { id: 'cut', draft: true, guide: { kind: 'line', path: 'M 90 40 L 150 40' } },
      { id: 'post', guide: { kind: 'ring', at: [60, 80], radiusMm: 10 } },
      { id: 'mast', guide: { kind: 'line', path: 'M 60 100 L 60 75' } },
    ],
  },
  exercises: [
    { id: 'e', name: 'Isobar', stitch: 'stem-stitch', on: [{ guide: 'row' }], pins: { first: true }, parameters: { L: 4 } },
    { id: 'f', name: 'Cloud', stitch: 'satin-stitch', on: [{ guide: 'cloud' }] },
  ],
}
const newIds = () => {
  let next = 0
  return () => {
    next += 1
    return { guide: `g${next}`, exercise: `x${next}` }
  }
}
const after = (operation: Operation | null): Sampler => {
  if (!operation) throw new Error('nothing to do')
  const done = applyOperation(sampler, operation)
  if (!done.ok) throw new Error(done.problems[0]?.code)
  const back = invertOperation(sampler, operation)
  const again = back && applyOperation(done.value, back)
  expect(again?.ok && JSON.stringify(again.value)).toBe(JSON.stringify(sampler))
  return done.value
}
const pathOf = (of: Sampler, id: string): unknown => of.drawing.guides.find((one) => one.id === id)?.guide

describe('again beside', () => {
  it('two rows more, 0.9 apart below, each an exercise of its own in the same stitch, without its pins', () => {
    const now = after(againBeside(sampler, ['e'], { byMm: -0.9, count: 2 }, newIds()))
    expect(now.exercises.slice(2).map(({ name, stitch, parameters, pins }) => [name, stitch, parameters, pins])).toEqual([
      ['Isobar, row 2', 'stem-stitch', { L: 4 }, undefined],
      ['Isobar, row 3', 'stem-stitch', { L: 4 }, undefined],
    ])
    const added = now.exercises.slice(2).map((one) => pathOf(now, one.on[0]?.guide ?? ''))
    expect(added).toEqual([
      { kind: 'line', path: 'M 20 40.9 L 80 40.9' },
      { kind: 'line', path: 'M 20 41.8 L 80 41.8' },
    ])
  })

  it('a sketch is repeated as a sketch; a shape, and nothing, are not', () => {
    const now = after(againBeside(sampler, ['cut'], { byMm: 3, count: 1 }, newIds()))
    expect(now.drawing.guides.at(-1)).toEqual({ id: 'g1', draft: true, guide: { kind: 'line', path: 'M 90 37 L 150 37' } })
    expect(againBeside(sampler, ['f'], { byMm: 3, count: 1 }, newIds())).toBeNull()
    expect(againBeside(sampler, [], { byMm: 3, count: 1 }, newIds())).toBeNull()
  })
})

describe('brought in', () => {
  const at = (path: string) => ({ name: 'foot', layer: 'Cloud', guide: { kind: 'line' as const, path } })
  it('stays where it lies inside the hoop, and is laid about its middle from elsewhere', () => {
    expect(after(bringIn([at('M 140 150 L 170 150')], sampler, newIds())).drawing.guides.at(-1)).toEqual({
      id: 'g1',
      name: 'Cloud: foot',
      draft: true,
      guide: { kind: 'line', path: 'M 140 150 L 170 150' },
    })
    // The hoop's middle is at 155, 155.
    expect(pathOf(after(bringIn([at('M 0 0 L 40 0'), at('M 0 10 L 40 10')], sampler, newIds())), 'g2')).toEqual({ kind: 'line', path: 'M135 160L175 160' })
    expect(bringIn([], sampler, newIds())).toBeNull()
  })
})

describe('cut and ended', () => {
  it('a cloud is cut in two halves, worked alike; the line that was sketched for it goes', () => {
    const now = after(cutShape(sampler, 'cloud', 'cut', newIds()))
    expect(now.drawing.guides.map((one) => one.id)).toEqual(['row', 'cloud', 'post', 'mast', 'g1'])
    expect(now.exercises.at(-1)).toMatchObject({ name: 'Cloud, other part', stitch: 'satin-stitch', on: [{ guide: 'g1' }] })
    expect(cutShape(sampler, 'cloud', 'row', newIds())).toBeNull()
    expect(cutShape(sampler, 'row', 'cut', newIds())).toBeNull()
  })

  it('a hole goes with the part it lies in, and is not cut; a vein that is worked stays', () => {
    const [hole, through] = ['M 105 25 L 112 25 L 112 32 L 105 32 Z', 'M 110 36 L 120 36 L 120 44 L 110 44 Z']
    const cloud = (holes: readonly string[]): Sampler => ({
      ...sampler,
      drawing: {
        ...sampler.drawing,
        guides: sampler.drawing.guides.map((one) =>
          one.id === 'cloud' && one.guide.kind === 'shape' ? { ...one, guide: { ...one.guide, holes, vein: 'M 120 22 L 120 58' } } : one,
        ),
      },
      exercises: [...sampler.exercises, { id: 'v', name: 'Vein', stitch: 'back-stitch', on: [{ guide: 'cloud', part: 'vein' }] }],
    })
    const from = cloud([hole])
    const operation = cutShape(from, 'cloud', 'cut', newIds())
    const done = operation && applyOperation(from, operation)
    const parts = done?.ok ? ['cloud', 'g1'].map((id) => pathOf(done.value, id) as { holes?: readonly string[]; vein?: string }) : []
    expect(parts.flatMap((one) => one.holes ?? [])).toEqual([hole])
    expect(parts.map((one) => one.vein)).toEqual(['M 120 22 L 120 58', undefined])
    expect(done?.ok && done.value.exercises.filter((one) => one.name.startsWith('Vein'))).toHaveLength(1)
    expect(cutShape(cloud([through]), 'cloud', 'cut', newIds())).toBeNull()
  })

  it('a name as long as names may be gives way at its end', () => {
    const long = { ...sampler, exercises: sampler.exercises.map((one) => ({ ...one, name: 'x'.repeat(120) })) }
    const operation = againBeside(long, ['e'], { byMm: 2, count: 1 }, newIds())
    const done = operation && applyOperation(long, operation)
    expect(done?.ok && done.value.exercises.at(-1)?.name).toBe(`${'x'.repeat(113)}, row 2`)
  })

  it('a line is tucked 3 mm under a ring', () => {
    // The ring's foot is at 90; 3 under it is 87.
    expect(pathOf(after(endLineOn(sampler, 'mast', 'post', 3)), 'mast')).toEqual({ kind: 'line', path: 'M 60 100 L 60 87' })
    expect(endLineOn(sampler, 'cloud', 'post', 3)).toBeNull()
    expect(endLineOn(sampler, 'mast', 'nothing', 3)).toBeNull()
  })

  it('turned round it begins where it ended; a shape has no other way round', () => {
    expect(pathOf(after(turnRound(sampler, ['row', 'cloud'])), 'row')).toEqual({ kind: 'line', path: 'M 80 40 L 20 40' })
    expect(turnRound(sampler, ['cloud'])).toBeNull()
  })
})
