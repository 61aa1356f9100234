/** Boxes, the clear area, and where exercises meet; figures by hand. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import type { Guide } from '../guide/index.ts'
import { clearRadius } from '../materials/index.ts'
import { newSampler } from '../sampler/index.ts'
import { sentenceOf, workAlone } from '../testing/index.ts'
import { boxesMeet, boxOfExercise, exercisesMeet, isOutlineOf, outsideBy, reachOutside } from './index.ts'

const sampler = newSampler('Extent')
const around = surroundingsOf(sampler)
function work(stitch: string, guide: Guide) {
  const worked = workAlone({ id: 'e', name: 'x', stitch, guide }, around)
  if (!worked.ok) throw new Error(sentenceOf(worked.problems))
  return worked.value
}
const line = (path: string): Guide => ({ kind: 'line', path })
const square: Guide = { kind: 'shape', path: 'M 100 100 h 10 v 10 h -10 Z' }
const hoop = sampler.workingHoop
if (hoop?.shape !== 'round') throw new Error('a new sampler has a round hoop')

describe('the box of an exercise', () => {
  it('holds its thread and its marks', () => {
    const box = boxOfExercise(work('back-stitch', line('M 100 150 L 130 150')))
    expect(box?.left).toBeCloseTo(100, 6)
    expect(box?.right).toBeCloseTo(130, 6)
    // A knot is as wide as it is; a loop reaches past its line.
    const chain = boxOfExercise(work('chain-stitch', line('M 100 150 L 130 150')))
    expect((chain?.bottom ?? 0) - (chain?.top ?? 0)).toBeGreaterThan(0.5)
  })

  it('meets another that lies no farther than so much', () => {
    const box = (left: number) => ({ left, right: left + 10, top: 0, bottom: 10 })
    expect(boxesMeet(box(0), box(10.5), 1)).toBe(true)
    expect(boxesMeet(box(0), box(11.5), 1)).toBe(false)
    expect(boxesMeet(box(11.5), box(0), 1)).toBe(false)
  })
})

describe('outside the clear area', () => {
  const ground = { cloth: sampler.cloth, workingHoop: hoop }
  const [x, y] = hoop.at

  it('is how far beyond the circle that needle and fingers need, or beyond the cloth, whichever is more', () => {
    const radius = clearRadius(hoop)
    expect(outsideBy({ x: x + radius - 1, y }, ground)).toBe(0)
    expect(outsideBy({ x: x + radius + 3, y }, ground)).toBeCloseTo(3, 9)
    // Without a hoop only the cloth counts.
    expect(outsideBy({ x: x + radius + 3, y }, { cloth: sampler.cloth })).toBe(0)
    expect(outsideBy({ x: -4, y }, { cloth: sampler.cloth })).toBe(4)
    expect(outsideBy({ x, y: sampler.cloth.heightMm + 7 }, { cloth: sampler.cloth })).toBe(7)
  })

  it('names the place that reaches furthest', () => {
    const long = work('back-stitch', line(`M ${x} ${y} L ${x + clearRadius(hoop) + 6} ${y}`))
    const { reachMm, at, piece } = reachOutside(long, ground)
    expect(reachMm).toBeCloseTo(6, 6)
    expect(at?.x).toBeCloseTo(x + clearRadius(hoop) + 6, 6)
    expect(piece).toBe(long.pieces[0])
    expect(reachOutside(work('back-stitch', line(`M ${x} ${y} L ${x + 20} ${y}`)), ground)).toEqual({ reachMm: 0, piece: null, at: null })
  })
})

describe('two exercises', () => {
  it('meet where a hole of one lies in the shape of the other or within a millimetre of its holes', () => {
    const fill = work('satin-stitch', square)
    expect(exercisesMeet(work('back-stitch', line('M 104 104 L 130 104')), fill)).toBe(true)
    expect(exercisesMeet(fill, work('back-stitch', line('M 104 104 L 130 104')))).toBe(true)
    expect(exercisesMeet(work('back-stitch', line('M 115 104 L 140 104')), fill)).toBe(false)
    const row = work('back-stitch', line('M 100 150 L 130 150'))
    expect(exercisesMeet(row, work('back-stitch', line('M 100 150.8 L 130 150.8')))).toBe(true)
    expect(exercisesMeet(row, work('back-stitch', line('M 100 152 L 130 152')))).toBe(false)
  })

  it('are outline and fill where the line goes round the shape, and not where it only runs along a side', () => {
    const fill = work('satin-stitch', square)
    expect(isOutlineOf(work('back-stitch', line('M 100 100 h 10 v 10 h -10 Z')), fill)).toBe(true)
    expect(isOutlineOf(work('back-stitch', line('M 100 100 L 110 100')), fill)).toBe(false)
    expect(isOutlineOf(fill, fill)).toBe(false)
  })
})
