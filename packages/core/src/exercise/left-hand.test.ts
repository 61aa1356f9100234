/** The left-hander's marks: the same lines, begun from the other end. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import type { Guide } from '../guide/index.ts'
import { newSampler } from '../sampler/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import { practiceFor, practiceGuide } from '../guide/index.ts'
import { sentenceOf, workAlone } from '../testing/index.ts'
import { type Mark, marksForHand } from './index.ts'

const around = surroundingsOf(newSampler('Hands'))
function marks(stitch: string, guide: Guide, hand: 'left' | 'right'): readonly Mark[] {
  const worked = workAlone({ id: 'e', name: 'x', stitch, guide, marks: 'every-hole' }, around)
  if (!worked.ok) throw new Error(sentenceOf(worked.problems))
  return marksForHand(worked.value, hand)[0] ?? []
}
const startOf = (all: readonly Mark[]) => all.find((mark) => mark.kind === 'start')
const linesOf = (all: readonly Mark[]) => all.filter((mark) => mark.kind === 'line')

describe('the pattern for the left hand', () => {
  it('begins a line at its other end and goes back along it', () => {
    const line: Guide = { kind: 'line', path: 'M 20 30 L 50 30' }
    expect(startOf(marks('back-stitch', line, 'right'))).toMatchObject({ at: { x: 20, y: 30 }, towards: { x: 1 } })
    const left = startOf(marks('back-stitch', line, 'left'))
    expect(left).toMatchObject({ at: { x: 50, y: 30 } })
    expect(left?.towards.x).toBeCloseTo(-1, 9)
    // The first hole is near where it begins: back stitch comes up one stitch in.
    const first = marks('back-stitch', line, 'left').find((mark) => mark.kind === 'dot')
    expect(first?.at.x).toBeGreaterThan(45)
  })

  it('goes round a ring from the same place, the other way', () => {
    const ring: Guide = { kind: 'line', path: 'M 62 50 A 12 12 0 0 1 38 50 A 12 12 0 0 1 62 50 Z' }
    const [right, left] = [startOf(marks('back-stitch', ring, 'right')), startOf(marks('back-stitch', ring, 'left'))]
    expect(left?.at.x).toBeCloseTo(right?.at.x ?? 0, 6)
    expect(left?.at.y).toBeCloseTo(right?.at.y ?? 0, 6)
    expect((left?.towards.x ?? 0) * (right?.towards.x ?? 0) + (left?.towards.y ?? 0) * (right?.towards.y ?? 0)).toBeLessThan(-0.9)
  })

  it.each(LIBRARY.map((one) => one.id))('of %s keeps the lines of the design', (id) => {
    const document = LIBRARY.find((one) => one.id === id)
    if (!document) throw new Error(id)
    const guide = practiceGuide(document.practice ?? practiceFor(document), 100, 60, 120)
    expect(linesOf(marks(id, guide, 'left'))).toEqual(linesOf(marks(id, guide, 'right')))
  })
})
