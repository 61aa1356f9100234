/** Where a length becomes too long or too short: at the border of its window, and not well past it. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { newSampler } from '../sampler/index.ts'
import type { Guide } from '../guide/index.ts'
import { sentenceOf, type ShortExercise, workAlone } from '../testing/index.ts'

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

const caution = (exercise: Omit<ShortExercise, 'id' | 'name'>, code: string): string => {
  const worked = workAlone({ id: 'e', name: 'x', ...exercise }, around)
  if (!worked.ok) throw new Error(sentenceOf(worked.problems))
  return sentenceOf(worked.value.problems.find((one) => one.code === code))
}
const box = (width: number, height: number): Guide => ({ kind: 'shape', path: `M 20 20 h ${width} v ${height} h ${-width} Z` })

describe('what a window says', () => {
  it('speaks of counts and angles as such, and of distances as what they leave between', () => {
    expect(caution({ stitch: 'french-knot', guide: { kind: 'spots', at: [[50, 50]] }, parameters: { wraps: 7 } }, 'exercise.out-of-range')).toBe(
      'Wraps: 7. This stitch is good from 1 to 3; usual is 2.',
    )
    expect(caution({ stitch: 'satin-stitch', guide: box(20, 6), parameters: { P: 2 } }, 'exercise.wide-apart')).toMatch(
      /^\w.* comes to 2 mm; over .* the cloth shows between/,
    )
  })
})

describe('thread that lies free', () => {
  it('snags over a centimetre, in satin as anywhere; up to it nothing is said', () => {
    const satin = (height: number) =>
      caution({ stitch: 'satin-stitch', guide: { ...box(20, height), directions: ['M 30 20 L 30 60'] } as Guide }, 'exercise.snags')
    expect(satin(9.9)).toBe('')
    expect(satin(10.05)).toBe('')
    expect(satin(14)).toMatch(/^Thread lies free for up to 14(\.\d+)? mm; over 10 mm it snags/)
  })

  it('is held where it is tied down: couching, Romanian, a lattice', () => {
    expect(caution({ stitch: 'couching-stitch', guide: { kind: 'line', path: 'M 0 50 L 80 50' } }, 'exercise.snags')).toBe('')
    expect(caution({ stitch: 'couching-stitch', guide: { kind: 'line', path: 'M 0 50 C 20 20 60 20 80 50' } }, 'exercise.snags')).toBe('')
    expect(caution({ stitch: 'laid-lattice', guide: box(30, 30) }, 'exercise.snags')).toBe('')
    // Sixteen millimetres tied in the middle lie free for eight.
    expect(caution({ stitch: 'romanian-stitch', guide: { kind: 'band', path: 'M 0 50 L 40 50', widthMm: 16 } }, 'exercise.snags')).toBe('')
    expect(caution({ stitch: 'romanian-stitch', guide: { kind: 'band', path: 'M 0 50 L 40 50', widthMm: 30 } }, 'exercise.snags')).not.toBe('')
  })
})
