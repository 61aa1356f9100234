/** What lies within a guide: put there, taken hold of, taken out again. */
import { describe, expect, it } from 'vitest'
import { editPoint, handlesOf, moveHandle, readGuide } from '../guide/index.ts'
import { applyOperation, type DrawnGuide, newSampler, type Operation, type Sampler } from '../sampler/index.ts'
import { bandBetween, putWithin, takeOut } from './index.ts'

const of = (...guides: readonly DrawnGuide[]): Sampler => ({ ...newSampler('Leaf'), drawing: { guides, groups: [] } })
const line = (id: string, path: string): DrawnGuide => ({ id, draft: true, guide: { kind: 'line', path } })
const leaf: DrawnGuide = { id: 'leaf', guide: { kind: 'shape', path: 'M 50 50 L 90 50 L 90 80 L 50 80 Z' } }
function after(sampler: Sampler, operation: Operation | null): Sampler {
  const done = operation && applyOperation(sampler, operation)
  if (!done?.ok) throw new Error('not done')
  return done.value
}
const only = (sampler: Sampler) => {
  const [first, ...more] = sampler.drawing.guides
  expect(more).toEqual([])
  if (!first) throw new Error('nothing there')
  return first.guide
}

describe('within a shape', () => {
  it('a line becomes its vein or a direction, a closed one its hole, and is no guide of its own any more', () => {
    expect(only(after(of(leaf, line('v', 'M 52 65 L 88 65')), putWithin(of(leaf, line('v', 'M 52 65 L 88 65')), 'leaf', 'v', 'vein')))).toMatchObject({
      vein: 'M 52 65 L 88 65',
    })
    const two = of(leaf, line('d', 'M 60 55 L 60 75'))
    expect(only(after(two, putWithin(two, 'leaf', 'd', 'direction')))).toMatchObject({ directions: ['M 60 55 L 60 75'] })
    const holed = of(leaf, line('h', 'M 60 60 L 70 60 L 65 70 Z'))
    const made = only(after(holed, putWithin(holed, 'leaf', 'h', 'hole')))
    const read = readGuide(made)
    // 40 by 30, less half of 10 by 10.
    expect(read.ok && read.value.kind === 'shape' && read.value.areaMm2).toBeCloseTo(1150, 6)
  })

  it('an open hole, one outside, one on another, a closed vein: nothing comes of it', () => {
    for (const [path, as] of [
      ['M 60 60 L 70 60', 'hole'],
      ['M 85 60 L 99 60 L 92 70 Z', 'hole'],
      ['M 60 60 L 70 60 L 65 70 Z', 'vein'],
    ] as const) {
      const sampler = of(leaf, line('x', path))
      expect(putWithin(sampler, 'leaf', 'x', as), path).toBeNull()
    }
    const holed: DrawnGuide = { id: 'leaf', guide: { kind: 'shape', path: 'M 50 50 L 90 50 L 90 80 L 50 80 Z', holes: ['M 60 60 L 70 60 L 65 70 Z'] } }
    expect(putWithin(of(holed, line('x', 'M 62 61 L 68 61 L 65 65 Z')), 'leaf', 'x', 'hole')).toBeNull()
  })

  it('its places are taken hold of, made smooth, added and taken away, each path by itself; all of it is taken out', () => {
    const guide = { kind: 'shape', path: 'M 50 50 L 90 50 L 90 80 L 50 80 Z', vein: 'M 52 65 L 88 65', holes: ['M 60 52 L 70 52 L 65 60 Z'] } as const
    const ids = handlesOf(guide).map((one) => one.id)
    expect(ids.filter((id) => id.includes('/'))).toEqual(['vein/point-0', 'vein/point-1', 'hole-0/point-0', 'hole-0/point-1', 'hole-0/point-2'])
    const tip = handlesOf(guide).find((one) => one.id === 'vein/point-1')
    if (!tip) throw new Error('no tip')
    expect(tip.name).toBe('its vein, its end')
    expect(moveHandle(guide, tip, { x: 86, y: 62 })).toEqual({ ...guide, vein: 'M 52 65 L 86 62' })
    const more = editPoint(guide, { kind: 'add', near: { x: 70, y: 66 }, within: 'vein' })
    expect(more && handlesOf(more).filter((one) => one.id.startsWith('vein/'))).toHaveLength(3)
    const less = more && editPoint(more, { kind: 'remove', handleId: 'vein/point-1' })
    expect(less).toEqual(guide)
    const sampler = of({ id: 'leaf', guide })
    expect(only(after(sampler, takeOut(sampler, 'leaf', 'hole-0')))).not.toHaveProperty('holes')
    expect(only(after(sampler, takeOut(sampler, 'leaf', 'vein')))).not.toHaveProperty('vein')
    expect(takeOut(sampler, 'leaf', 'hole-7')).toBeNull()
  })
})

describe('a leaf whose vein ends in its tips', () => {
  it('is taken hold of by its tips, and the vein goes along', () => {
    const guide = { kind: 'shape', path: 'M 50 50 C 60 40 80 40 90 50 C 80 60 60 60 50 50 Z', vein: 'M 50 50 L 90 50' } as const
    expect(handlesOf(guide).filter((one) => one.id.includes('/'))).toEqual([])
    const tip = handlesOf(guide).find((one) => one.at.x === 90 && one.of === undefined)
    const moved = tip && moveHandle(guide, tip, { x: 95, y: 48 })
    expect(moved).toMatchObject({ vein: 'M 50 50 L 95 48' })
    expect(moved && handlesOf(moved).some((one) => one.id.includes('/'))).toBe(false)
  })
})

describe('a band between two lines', () => {
  it('has the upper of two that go to the right as its left rail, also where the other was drawn backwards', () => {
    for (const lower of ['M 50 60 L 90 62', 'M 90 62 L 50 60']) {
      for (const order of [
        ['a', 'b'],
        ['b', 'a'],
      ] as const) {
        const sampler = of(line('a', 'M 50 50 L 90 50'), line('b', lower))
        const guide = only(
          after(
            sampler,
            bandBetween(sampler, order[0], order[1], () => ({ guide: 'n', exercise: 'n' })),
          ),
        )
        const read = readGuide(guide)
        if (!read.ok || read.value.kind !== 'line') throw new Error('no band')
        // 11 wide in the middle; seen along its way, left is above for a way to the right and below for one to the left.
        const [first] = read.value.path.points
        const left = read.value.width?.kind === 'rails' ? read.value.width.left : []
        expect(left[0]?.y).toBe((first?.x ?? 0) < 70 ? 50 : 62)
      }
    }
  })

  it('its rails are taken hold of, place by place', () => {
    const guide = { kind: 'band', rails: ['M 50 50 L 90 50', 'M 50 60 L 90 62'] } as const
    const end = handlesOf(guide).find((one) => one.id === 'rail-1/point-1')
    if (!end) throw new Error('no end')
    expect(moveHandle(guide, end, { x: 92, y: 66 })).toEqual({ ...guide, rails: ['M 50 50 L 90 50', 'M 50 60 L 92 66'] })
  })
})
