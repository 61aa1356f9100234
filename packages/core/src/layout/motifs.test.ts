/** Motifs: made of what is held, moved as one with all their copies, taken apart, and all of it taken back by undo. */
import { describe, expect, it } from 'vitest'
import { turnAbout } from '../geometry/index.ts'
import { applyOperation, invertOperation, newSampler, type Operation, type Sampler } from '../sampler/index.ts'
import { boxOfDrawn, makeMotif, moveHeld, motifOf, takeApart, withMotifs } from './index.ts'

const sampler: Sampler = {
  ...newSampler('Crystal'),
  drawing: {
    guides: ['spine', 'left', 'right', 'alone'].map((id, index) => ({
      id,
      guide: { kind: 'line', path: `M ${100 + 10 * index} 100 L ${100 + 10 * index} 120` },
    })),
    groups: [],
  },
}
function after(operation: Operation | null, from: Sampler): Sampler {
  if (!operation) throw new Error('nothing to do')
  const done = applyOperation(from, operation)
  if (!done.ok) throw new Error(done.problems[0]?.code)
  const back = invertOperation(from, operation)
  const again = back && applyOperation(done.value, back)
  expect(again?.ok && JSON.stringify(again.value), 'undo').toBe(JSON.stringify(from))
  return done.value
}
const crystal = after(makeMotif(sampler.drawing, ['left', 'spine'], 'm'), sampler)

describe('a motif', () => {
  it('is made of what is held, in the order of the drawing; with one of it all of it is moved', () => {
    expect(motifOf(crystal.drawing, 'left')?.members).toEqual(['spine', 'left'])
    expect(withMotifs(crystal.drawing, ['left', 'alone'])).toEqual(['left', 'spine', 'alone'])
    expect(makeMotif(sampler.drawing, ['alone'], 'm')).toBeNull()
    expect(makeMotif(crystal.drawing, ['spine'], 'n'), 'it is one already').toBeNull()
  })

  it('takes another in with all that belonged to it; nothing is in two', () => {
    const two = after(makeMotif(crystal.drawing, ['right', 'alone'], 'n'), crystal)
    const one = after(makeMotif(two.drawing, ['left', 'right'], 'o'), two)
    expect(one.drawing.groups).toEqual([{ id: 'o', members: ['spine', 'left', 'right', 'alone'] }])
  })

  it('copied six times round a middle lies where the sixth parts of a turn are, wherever it is moved', () => {
    const copied = after({ kind: 'change-group', id: 'm', set: { copies: { kind: 'round', centre: [105, 150], count: 6 } } }, crystal)
    const moved = after(moveHeld(['spine', 'left'], { x: 20, y: -5 }), copied)
    expect(moved.drawing.groups[0]?.copies).toEqual({ kind: 'round', centre: [125, 145], count: 6 })
    for (const id of ['spine', 'left']) {
      const [before, now] = [copied, moved].map((one) => boxOfDrawn(one.drawing.guides.find((guide) => guide.id === id) as never, one.drawing))
      expect(now?.left).toBeCloseTo((before?.left ?? 0) + 20, 6)
      expect(now?.bottom).toBeCloseTo((before?.bottom ?? 0) - 5, 6)
    }
    // A part of it alone leaves the middle where it is.
    const part = after({ kind: 'transform-guides', ids: ['left'], matrix: turnAbout({ x: 0, y: 0 }, 0.2) }, copied)
    expect(part.drawing.groups[0]?.copies).toEqual(copied.drawing.groups[0]?.copies)
  })

  it('is taken apart; what is in none stays so', () => {
    expect(after(takeApart(crystal.drawing, ['spine']), crystal).drawing.groups).toEqual([])
    expect(takeApart(crystal.drawing, ['alone'])).toBeNull()
  })
})
