/** Proposed arrangements: figures by hand, nothing on anything, lesson order readable, one undo. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { workSampler } from '../exercise/index.ts'
import { applyOperation, invertOperation, newSampler, type Sampler } from '../sampler/index.ts'
import { type Proposal, proposeLayouts, shrinksTo, takeProposal, unitsOf } from './index.ts'

/** Lines of back stitch one on another, so many a lesson; the clear circle of an 8 in hoop has a radius of 85.5. */
function heap(lengths: readonly number[], perLesson = 2): Sampler {
  const base = newSampler('Heap')
  return {
    ...base,
    cloth: { ...base.cloth, widthMm: 300, heightMm: 300 },
    workingHoop: { shape: 'round', nominalMm: 203, insideMm: 195, at: [150, 150] },
    drawing: { guides: lengths.map((long, index) => ({ id: `g${index}`, guide: { kind: 'line', path: `M 100 100 L ${100 + long} 100` } })), groups: [] },
    exercises: lengths.map((_, index) => ({ id: `e${index}`, name: `Row ${index}`, stitch: 'back-stitch', on: [{ guide: `g${index}` }] })),
    lessons: Array.from({ length: Math.ceil(lengths.length / perLesson) }, (_, index) => ({
      id: `l${index}`,
      title: `Lesson ${index + 1}`,
      exercises: lengths.map((_, at) => `e${at}`).slice(index * perLesson, (index + 1) * perLesson),
    })),
  }
}
/** A new id each time. */
function counter(): () => string {
  let last = 0
  return () => `new-${(last += 1)}`
}
const proposals = (sampler: Sampler): Readonly<Record<Proposal['way'], Proposal>> =>
  Object.fromEntries(proposeLayouts(sampler, workSampler(sampler).done).map((one) => [one.way, one])) as Record<Proposal['way'], Proposal>

describe('proposed arrangements', () => {
  it('four lines of 30 in two lessons: two bands, two by two cells of 59 mm, a sector each', () => {
    const { bands, cells, dial } = proposals(heap([30, 30, 30, 30]))
    // The square in a circle of 83.5 (two inside the clear one) has sides of 118.1: cells of 59.04.
    expect(cells.lines).toEqual([{ kind: 'grid', at: [90.96, 90.96], columns: 2, rows: 2, cellMm: 59.04 }])
    expect(cells.units.map(({ middle }) => [Math.round(middle.x * 10) / 10, Math.round(middle.y * 10) / 10])).toEqual([
      [120.5, 120.5],
      [179.5, 120.5],
      [120.5, 179.5],
      [179.5, 179.5],
    ])
    const heights = bands.units.map(({ middle }) => Math.round(middle.y * 100) / 100)
    expect(heights[0]).toBe(heights[1])
    expect(heights[2]).toBe(heights[3])
    expect((heights[0] as number) + (heights[2] as number)).toBeCloseTo(300, 1)
    // Clockwise from the top, the first at 45 degrees; half a line of 30 and its width is 15.2 out.
    const [first] = dial.units
    expect(first?.middle.x).toBeGreaterThan(150)
    expect(first?.middle.y).toBeLessThan(150)
    expect(Math.hypot((first?.middle.x ?? 0) - 150, (first?.middle.y ?? 0) - 150)).toBeCloseTo(83.5 - 15.2 - 3, 0)
    for (const one of [bands, cells, dial]) expect(one.units.every(({ overMm }) => overMm === 0)).toBe(true)
  })

  it('what is too large for its place is said with how much, and the best way is the one where least is', () => {
    const { cells } = proposals(heap([120, 20, 20, 20, 20, 20, 20, 20, 20]))
    // Nine cells of 39.4: a line of 120 and its width is 120.4, and 3 on each side.
    const [large, small] = cells.units
    expect(large?.overMm).toBeCloseTo(120.4 + 6 - 39.36, 0)
    expect(small?.overMm).toBe(0)
    const all = proposeLayouts(heap([120, 20, 20, 20, 20, 20, 20, 20, 20]), workSampler(heap([120, 20, 20, 20, 20, 20, 20, 20, 20])).done)
    const over = all.map((one) => one.units.reduce((sum, { overMm }) => sum + overMm, 0))
    expect(over[0]).toBe(Math.min(...over))
  })

  it('made smaller, it fits, and its stitches are as long as they were; what is counted keeps its cells', () => {
    const sampler = heap([52, 20, 20, 20, 20, 20, 20, 20, 20])
    const { cells } = proposals(sampler)
    const [large] = cells.units
    // 33.36 free in a cell of 39.36, and 52.4 of line and its width.
    expect(large && shrinksTo(large, sampler)).toBeCloseTo(33.36 / 52.4, 2)
    const operation = takeProposal(cells, sampler, { shrink: true })
    const after = operation && applyOperation(sampler, operation)
    if (!after?.ok) throw new Error('not taken')
    const worked = workSampler(after.value).done[0]
    expect(unitsOf(after.value, workSampler(after.value).done)[0]?.box.right).toBeLessThan((large?.middle.x ?? 0) + 16.8)
    expect(worked?.pieces[0].worked.fitted.pitchMm).toBeCloseTo(workSampler(sampler).done[0]?.pieces[0].worked.fitted.pitchMm ?? 0, 0)
    const counted: Sampler = {
      ...sampler,
      drawing: {
        ...sampler.drawing,
        guides: [{ id: 'g0', guide: { kind: 'grid', at: [100, 100], columns: 20, rows: 2, cellMm: 2.5 } }, ...sampler.drawing.guides.slice(1)],
      },
      exercises: sampler.exercises.map((one, index) => (index === 0 ? { ...one, stitch: 'cross-stitch' } : one)),
    }
    const squares = proposals(counted).cells.units[0]
    expect(squares?.overMm).toBeGreaterThan(0)
    expect(squares && shrinksTo(squares, counted)).toBe(1)
  })

  it('exercises on one guide, and one motif, are moved as one', () => {
    const sampler = heap([30, 30, 30])
    const shared: Sampler = {
      ...sampler,
      exercises: sampler.exercises.map((one, index) => (index === 2 ? { ...one, on: [{ guide: 'g0' }] } : one)),
    }
    expect(unitsOf(shared, workSampler(shared).done).map((unit) => unit.exercises)).toEqual([['e0', 'e2'], ['e1']])
    const motif: Sampler = { ...sampler, drawing: { ...sampler.drawing, groups: [{ id: 'm', members: ['g1', 'g2'] }] } }
    expect(unitsOf(motif, workSampler(motif).done).map((unit) => unit.guides)).toEqual([['g0'], ['g1', 'g2']])
    expect(proposeLayouts(heap([30]), workSampler(heap([30])).done)).toEqual([])
  })

  it('taken, everything that fits lies apart from all else and inside the hoop, and one undo takes it back', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 8, max: 34 }), { minLength: 2, maxLength: 14 }), fc.integer({ min: 1, max: 4 }), (lengths, perLesson) => {
        const sampler = heap(lengths, perLesson)
        for (const proposal of proposeLayouts(sampler, workSampler(sampler).done)) {
          if (proposal.units.some(({ overMm }) => overMm > 0)) continue
          expect(proposal.overlapMm2).toBe(0)
          const operation = takeProposal(proposal, sampler, { newId: counter() })
          if (!operation) continue
          const after = applyOperation(sampler, operation)
          if (!after.ok) throw new Error(after.problems[0]?.code)
          const back = invertOperation(sampler, operation)
          const again = back && applyOperation(after.value, back)
          expect(again?.ok && JSON.stringify(again.value)).toBe(JSON.stringify(sampler))
          for (const one of workSampler(after.value).done)
            for (const { points } of one.pieces[0].worked.segments) for (const { x, y } of points) expect(Math.hypot(x - 150, y - 150)).toBeLessThan(85.5)
        }
      }),
      { numRuns: 12 },
    )
  })
})
