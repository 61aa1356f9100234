import { surroundingsOf } from '../assign/index.ts'
import { workExercise } from '../exercise/index.ts'
import { parsePath } from '../geometry/index.ts'
import { newSampler } from '../sampler/index.ts'
import { describe, expect, it } from 'vitest'
import { LIBRARY } from '../stitches/index.ts'
import { newRows, rowValues, totalThread } from './index.ts'

describe('thread of the whole sampler', () => {
  it('adds needlefuls at their full length, by thread', () => {
    const sampler = newSampler('Totals')
    const done = ['a', 'b'].flatMap((id) => {
      const result = workExercise(
        { id, name: id, stitch: 'back-stitch', guide: { kind: 'line', path: 'M 0 0 L 100 0' }, parameters: { L: 2.5 }, strands: 2 },
        surroundingsOf(sampler),
      )
      return result.ok ? [result.value] : []
    })
    // 100 mm x 3.6 = 360 mm; 320 usable of 450: two needlefuls each, 4 x 450 x 2 strands = 3.6 m of the 48 m of a skein.
    const [total] = totalThread(done)
    expect(total?.needlefuls).toBe(4)
    expect(total?.singleMm).toBe(3600)
    expect(total?.putUps).toBeCloseTo(3.6 / 48, 9)
  })
})

describe('one stitch as rows', () => {
  it('differ in one setting, stand below one another, and are named after it', () => {
    const document = LIBRARY.find((one) => one.id === 'back-stitch')
    if (!document) throw new Error('no back stitch')
    const values = rowValues(1.5, 4, 4, false)
    expect(values).toEqual([1.5, 2.33, 3.17, 4])
    expect(rowValues(1, 3, 4, true)).toEqual([1, 2, 3])
    let made = 0
    const rows = newRows(document, newSampler('Rows'), [], { parameter: 'L', name: 'Stitch', values }, () => {
      made += 1
      return `r${made}`
    })
    expect(rows.map((row) => row.name)).toEqual(['Back stitch, stitch 1.5', 'Back stitch, stitch 2.33', 'Back stitch, stitch 3.17', 'Back stitch, stitch 4'])
    expect(rows.map((row) => row.parameters)).toEqual(values.map((L) => ({ L })))
    const heights = rows.map((row) => {
      const path = row.guide.kind === 'line' ? parsePath(row.guide.path) : null
      return path?.ok ? (path.value.points[0]?.y ?? Number.NaN) : Number.NaN
    })
    for (const [index, y] of heights.entries()) if (index > 0) expect(y - (heights[index - 1] as number)).toBeCloseTo(13, 6)
  })
})
