import { surroundingsOf } from '../assign/index.ts'
import { newSampler } from '../sampler/index.ts'
import { describe, expect, it } from 'vitest'
import { totalThread } from './index.ts'
import { workAlone } from '../testing/index.ts'

describe('thread of the whole sampler', () => {
  it('adds needlefuls at their full length, by thread', () => {
    const sampler = newSampler('Totals')
    const done = ['a', 'b'].flatMap((id) => {
      const result = workAlone(
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
