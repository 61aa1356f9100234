/** Arranging, reckoned by hand: three boxes of 10, 20 and 10 mm. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Box } from '../geometry/index.ts'
import { applyOperation, newSampler, type Operation, type Sampler } from '../sampler/index.ts'
import { alignHeld, boxOfDrawn, boxOfHeld, copyHeld, mirrorHeld, scaleHeld, spaceHeld, turnHeld, usualCopies } from './arrange.ts'

const box = (left: number, top: number, width: number, height: number): string => `M ${left} ${top} H ${left + width} V ${top + height} H ${left} Z`
const sampler: Sampler = {
  ...newSampler('Three'),
  drawing: {
    groups: [],
    guides: [
      { id: 'a', guide: { kind: 'shape', path: box(20, 20, 10, 10) } },
      { id: 'b', guide: { kind: 'shape', path: box(40, 35, 20, 8) } },
      { id: 'c', name: 'Drop', guide: { kind: 'shape', path: box(90, 50, 10, 10) } },
    ],
  },
  exercises: [{ id: 'e', name: 'Drop', stitch: 'satin-stitch', on: [{ guide: 'c' }], pins: { first: true } }],
}
const ids = ['a', 'b', 'c']
const after = (operation: Operation | null, from = sampler): Sampler => {
  if (!operation) throw new Error('nothing to do')
  const done = applyOperation(from, operation)
  if (!done.ok) throw new Error(done.problems[0]?.code)
  return done.value
}
const boxes = (of: Sampler): readonly (Box | null)[] => of.drawing.guides.map((one) => boxOfDrawn(one, of.drawing))
const lefts = (of: Sampler): readonly number[] => boxes(of).map((one) => Math.round((one?.left ?? NaN) * 100) / 100)

describe('lined up', () => {
  it('at an edge, or by their middles, where the outermost has it', () => {
    expect(lefts(after(alignHeld(sampler.drawing, ids, 'left')))).toEqual([20, 20, 20])
    expect(boxes(after(alignHeld(sampler.drawing, ids, 'right'))).map((one) => one?.right)).toEqual([100, 100, 100])
    expect(boxes(after(alignHeld(sampler.drawing, ids, 'middle'))).map((one) => ((one?.top ?? 0) + (one?.bottom ?? 0)) / 2)).toEqual([40, 40, 40])
  })

  it('what lies so already is left alone', () => {
    const once = after(alignHeld(sampler.drawing, ids, 'top'))
    expect(alignHeld(once.drawing, ids, 'top')).toBeNull()
    expect(alignHeld(sampler.drawing, ['a'], 'top')).toBeNull()
  })
})

describe('spaced evenly', () => {
  it('from 20 to 100 with 40 of guides there are two gaps of 20', () => {
    // 10 + 20 + 10 of the 80: 40 are free, 20 a gap: 20 to 30, 50 to 70, 90 to 100.
    expect(lefts(after(spaceHeld(sampler.drawing, ids, 'across')))).toEqual([20, 50, 90])
    expect(spaceHeld(sampler.drawing, ['a', 'b'], 'across')).toBeNull()
  })
})

describe('turned, mirrored, made larger', () => {
  it('about the middle of all', () => {
    const whole = boxOfHeld(sampler.drawing, ids)
    expect(whole).toEqual({ left: 20, right: 100, top: 20, bottom: 60 })
    const turned = boxOfHeld(after(turnHeld(sampler.drawing, ids, 90)).drawing, ids)
    expect([turned?.left, turned?.right, turned?.top, turned?.bottom].map((value) => Math.round(value ?? NaN))).toEqual([40, 80, 0, 80])
    expect(lefts(after(mirrorHeld(sampler.drawing, ids, 'across')))).toEqual([90, 60, 20])
    const larger = boxOfHeld(after(scaleHeld(sampler.drawing, ids, 1.5)).drawing, ids)
    expect([larger?.left, larger?.right]).toEqual([0, 120])
    expect(scaleHeld(sampler.drawing, ids, 0)).toBeNull()
  })

  it('any turn there and back leaves all where it was, within a thousandth', () => {
    fc.assert(
      fc.property(fc.double({ min: -180, max: 180, noNaN: true }), (degrees) => {
        const there = after(turnHeld(sampler.drawing, ['a'], degrees))
        const back = after(turnHeld(there.drawing, ['a'], -degrees), there)
        const [now, before] = [boxes(back)[0], boxes(sampler)[0]]
        expect(Math.abs((now?.left ?? NaN) - (before?.left ?? NaN))).toBeLessThan(0.001)
        expect(Math.abs((now?.bottom ?? NaN) - (before?.bottom ?? NaN))).toBeLessThan(0.001)
      }),
      { numRuns: 60 },
    )
  })
})

describe('again', () => {
  it('an exercise is copied with its guide, below itself, taught last, and pins nothing', () => {
    let next = 0
    const newIds = () => {
      next += 1
      return { guide: `g${next}`, exercise: `x${next}` }
    }
    const now = after(copyHeld(sampler, ['e'], newIds))
    expect(now.drawing.guides).toHaveLength(4)
    const copy = now.drawing.guides.at(-1)
    expect(copy?.name).toBeUndefined()
    expect(boxes(now).at(-1)).toEqual({ left: 90, right: 100, top: 69, bottom: 79 })
    const exercise = now.exercises.at(-1)
    expect(exercise).toMatchObject({ name: 'Drop, again', stitch: 'satin-stitch', on: [{ guide: copy?.id }] })
    expect(exercise).not.toHaveProperty('pins')
    expect(copyHeld(sampler, ['no-such'], newIds)).toBeNull()
  })

  it('copies are offered about the hoop, in rows clear of each other, along a line, in a mirror', () => {
    const [drawn] = sampler.drawing.guides
    if (!drawn) throw new Error('no guide')
    for (const kind of ['round', 'rows', 'along', 'mirror'] as const) {
      const now = after({ kind: 'change-guide', id: 'a', set: { copies: usualCopies(kind, [drawn.guide], sampler) } })
      const whole = boxes(now)[0]
      expect((whole?.right ?? 0) - (whole?.left ?? 0)).toBeGreaterThan(20)
    }
    expect(usualCopies('rows', [drawn.guide], sampler)).toMatchObject({ stepMm: [14, 14] })
  })
})
