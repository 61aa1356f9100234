/** Where a length becomes too long or too short: at the border of its window, and not well past it. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { newSampler } from '../sampler/index.ts'
import { sentenceOf, workAlone } from '../testing/index.ts'

const around = surroundingsOf(newSampler('Windows'))
/** A line of just so many stitches, so that none is stretched to fit. */
function codes(stitch: string, lengthMm: number): readonly string[] {
  const worked = workAlone(
    { id: 'e', name: 'x', stitch, guide: { kind: 'line', path: `M 0 50 L ${lengthMm * 20} 50` }, parameters: { L: lengthMm }, strands: 2 },
    around,
  )
  if (!worked.ok) throw new Error(sentenceOf(worked.problems))
  return worked.value.problems.map((one) => one.code)
}

describe('the window of back stitch in two strands', () => {
  const window = workAlone({ id: 'e', name: 'x', stitch: 'back-stitch', guide: { kind: 'line', path: 'M 0 0 L 60 0' }, strands: 2 }, around)
  const length = window.ok ? window.value.assigned.parameters.get('L') : undefined
  const [min, max] = [length?.min ?? 0, length?.max ?? 0]

  it('has a border on either side', () => {
    expect(min).toBeGreaterThan(1)
    expect(max).toBe(4)
  })

  it('says nothing up to its border and a hundredth, and says it from there', () => {
    expect(codes('back-stitch', max)).not.toContain('exercise.long')
    expect(codes('back-stitch', max * 1.005)).not.toContain('exercise.long')
    expect(codes('back-stitch', max * 1.02)).toContain('exercise.long')
    expect(codes('back-stitch', min)).not.toContain('exercise.short')
    expect(codes('back-stitch', min * 0.98)).toContain('exercise.short')
  })
})
