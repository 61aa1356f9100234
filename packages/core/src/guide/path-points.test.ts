/** Places of a guide, in hand: each is where its handle is taken to, and what is done to one leaves the others. */
import { describe, expect, it } from 'vitest'
import { editPoint, type Guide, handlesOf, moveHandle, readGuide } from './index.ts'

const line: Guide = { kind: 'line', path: 'M 10 10 L 40 10 C 50 10 60 20 60 30 L 60 50' }
const shape: Guide = { kind: 'shape', path: 'M 10 10 L 40 10 L 25 40 Z' }
const ids = (guide: Guide): readonly string[] => handlesOf(guide).map((one) => one.id)
const handle = (guide: Guide, id: string) => {
  const found = handlesOf(guide).find((one) => one.id === id)
  if (!found) throw new Error(id)
  return found
}

describe('handles of places', () => {
  it('between the ends of a line, at every corner of a shape, with the curves that belong to them', () => {
    expect(ids(line)).toEqual(['start', 'end', 'whole', 'point-1', 'after-1', 'point-2', 'before-2'])
    expect(handle(line, 'after-1').of).toBe('point-1')
    expect(ids(shape)).toEqual(['whole', 'point-0', 'point-1', 'point-2'])
    expect(ids({ kind: 'line', path: 'M 0 0 H 50' })).toEqual(['start', 'end', 'whole'])
  })

  it('none where there are so many that they would hide the line', () => {
    const many = `M 0 0 ${Array.from({ length: 40 }, (_, index) => `L ${index + 1} ${index % 2}`).join(' ')}`
    expect(ids({ kind: 'line', path: many })).toEqual(['start', 'end', 'whole'])
  })

  it('taken to a place they are there, and the ends where they were', () => {
    for (const id of ['point-1', 'after-1', 'point-2', 'before-2']) {
      const moved = moveHandle(line, handle(line, id), { x: 33, y: 22 })
      expect(handle(moved, id).at).toEqual({ x: 33, y: 22 })
      expect(handle(moved, 'start').at).toEqual({ x: 10, y: 10 })
      expect(handle(moved, 'end').at).toEqual({ x: 60, y: 50 })
    }
  })
})

describe('a place more or less', () => {
  it('is added on a leg, made smooth, made a corner again, and taken away', () => {
    const more = editPoint(shape, { kind: 'add', near: { x: 26, y: 9 } })
    if (!more) throw new Error('nothing added')
    expect(ids(more).filter((id) => id.startsWith('point'))).toHaveLength(4)
    const smooth = editPoint(more, { kind: 'turn', handleId: 'point-1' })
    if (!smooth) throw new Error('not smooth')
    expect(handlesOf(smooth).filter((one) => one.of === 'point-1')).toHaveLength(2)
    expect(readGuide(smooth).ok).toBe(true)
    expect(editPoint(smooth, { kind: 'turn', handleId: 'point-1' })).toEqual(more)
    const less = editPoint(more, { kind: 'remove', handleId: 'point-1' })
    expect(less && ids(less)).toEqual(ids(shape))
  })

  it('nothing comes of the last place too few, of a place that is not there, nor of a guide without a path', () => {
    expect(editPoint(shape, { kind: 'remove', handleId: 'point-0' })).toBeNull()
    expect(editPoint(line, { kind: 'turn', handleId: 'point-9' })).toBeNull()
    expect(editPoint({ kind: 'ring', at: [10, 10], radiusMm: 5 }, { kind: 'add', near: { x: 1, y: 1 } })).toBeNull()
  })

  it('an end of a line is taken away like any other place', () => {
    const less = editPoint(line, { kind: 'remove', handleId: 'start' })
    expect(less && handle(less, 'start').at).toEqual({ x: 40, y: 10 })
  })
})
