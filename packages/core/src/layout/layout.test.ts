/** New exercises find free places, and rows of one stitch stand below one another. */
import { describe, expect, it } from 'vitest'
import { parsePath } from '../geometry/index.ts'
import { clearHalves } from '../materials/index.ts'
import { applyOperation, boxOfGuides, newSampler, type Sampler } from '../sampler/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import { GAP_MM, moveToFreePlace, newExercise, newRows, placeFor, rowValues, takenBoxes } from './index.ts'
import { sentenceOf } from '../testing/index.ts'

const stitch = (id: string) => LIBRARY.find((one) => one.id === id) as (typeof LIBRARY)[number]
const apply = (sampler: Sampler, operation: Parameters<typeof applyOperation>[1]): Sampler => {
  const done = applyOperation(sampler, operation)
  if (!done.ok) throw new Error(sentenceOf(done.problems))
  return done.value
}

describe('moved to a free place', () => {
  const line = (id: string, y: number) => ({ id, guide: { kind: 'line', path: `M 130 ${y} L 170 ${y}` } as const })
  it('is the nearest that is clear: a line on another goes ten down, or up, where nine are wanted between', () => {
    const sampler: Sampler = { ...newSampler('Free'), drawing: { groups: [], guides: [line('a', 150), line('b', 150)] } }
    const moved = moveToFreePlace(sampler, ['b'])
    expect(moved).toMatchObject({ kind: 'transform-guides', ids: ['b'] })
    const by = moved?.kind === 'transform-guides' ? moved.matrix[5] : 0
    expect(Math.abs(by)).toBe(10)
  })

  it('what lies free already, and what is larger than all that is free, stays', () => {
    const free: Sampler = { ...newSampler('Free'), drawing: { groups: [], guides: [line('a', 120), line('b', 150)] } }
    expect(moveToFreePlace(free, ['b'])).toBeNull()
    const large: Sampler = { ...newSampler('Free'), drawing: { groups: [], guides: [{ id: 'a', guide: { kind: 'line', path: 'M 10 155 L 300 155' } }] } }
    expect(moveToFreePlace(large, ['a'])).toBeNull()
  })
})

describe('a free place', () => {
  it('sixteen stitches of every kind lie inside the clear area, none nearer to another than the gap', () => {
    const chosen = ['running-stitch', 'back-stitch', 'stem-stitch', 'chain-stitch', 'french-knot', 'satin-stitch', 'fly-stitch', 'star-eyelet']
    let sampler = newSampler('Full')
    for (const [index, id] of [...chosen, ...chosen].entries())
      sampler = apply(sampler, newExercise(stitch(id), sampler, { guide: `g${index}`, exercise: `e${index}` }))
    const boxes = takenBoxes(sampler.drawing)
    expect(boxes).toHaveLength(16)
    const { workingHoop } = sampler
    for (const [index, box] of boxes.entries()) {
      for (const x of [box.left, box.right])
        for (const y of [box.top, box.bottom])
          expect(Math.hypot(x - 155, y - 155), `${index}`).toBeLessThanOrEqual(workingHoop ? clearHalves(workingHoop)[0] : 0)
      for (const other of boxes.slice(index + 1)) {
        const apart = Math.max(box.left - other.right, other.left - box.right, box.top - other.bottom, other.top - box.bottom)
        expect(apart, `${index}`).toBeGreaterThanOrEqual(GAP_MM - 1e-6)
      }
    }
    expect(sampler.exercises.map((one) => one.name).slice(7, 9)).toEqual(['Star eyelet', 'Running stitch 2'])
  })

  it('a full cloth still gives a place on the cloth, and says that it is not free', () => {
    const whole = boxOfGuides([{ kind: 'square', at: [155, 155], sideMm: 300 }])
    expect(whole).not.toBeNull()
    const full: Sampler = {
      ...newSampler('Full'),
      drawing: { guides: [{ id: 'g1', guide: { kind: 'shape', path: 'M 5 5 L 305 5 L 305 305 L 5 305 Z' } }], groups: [] },
    }
    const { free, guide } = placeFor(stitch('back-stitch'), full)
    expect(free).toBe(false)
    const box = boxOfGuides([guide])
    expect(box && box.bottom <= 310 && box.top >= 0).toBe(true)
  })

  it('copies are in the way too', () => {
    const ray = { kind: 'line', path: 'M 155 80 L 155 120' } as const
    const sampler: Sampler = {
      ...newSampler('Sun'),
      drawing: { guides: [{ id: 'g1', guide: ray, copies: { kind: 'round', centre: [155, 155], count: 8 } }], groups: [] },
    }
    expect(takenBoxes(sampler.drawing)).toHaveLength(8)
  })
})

describe('one stitch as rows', () => {
  it('differ in one setting, stand below one another, and are named after it', () => {
    const values = rowValues(1.5, 4, 4, false)
    expect(values).toEqual([1.5, 2.33, 3.17, 4])
    expect(rowValues(1, 3, 4, true)).toEqual([1, 2, 3])
    let made = 0
    const made4 = apply(
      newSampler('Rows'),
      newRows(stitch('back-stitch'), newSampler('Rows'), { parameter: 'L', name: 'Stitch', values }, () => {
        made += 1
        return { guide: `g${made}`, exercise: `r${made}` }
      }),
    )
    expect(made4.exercises.map((row) => row.name)).toEqual([
      'Back stitch, stitch 1.5',
      'Back stitch, stitch 2.33',
      'Back stitch, stitch 3.17',
      'Back stitch, stitch 4',
    ])
    expect(made4.exercises.map((row) => row.parameters)).toEqual(values.map((L) => ({ L })))
    const heights = made4.drawing.guides.map(({ guide }) => {
      const path = guide.kind === 'line' ? parsePath(guide.path) : null
      return path?.ok ? (path.value.points[0]?.y ?? Number.NaN) : Number.NaN
    })
    for (const [index, y] of heights.entries()) if (index > 0) expect(y - (heights[index - 1] as number)).toBeCloseTo(13, 6)
  })
})
