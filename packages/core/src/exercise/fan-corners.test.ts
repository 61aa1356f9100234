/** Blanket round a corner: three spokes share the corner's hole, the middle one on the bisector. Worked by hand on right angles. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { newSampler } from '../sampler/index.ts'
import { leftAlone, sentenceOf, workAlone } from '../testing/index.ts'

function blanket(path: string, parameters = { L: 4, H: 6 }) {
  const done = workAlone(
    { id: 'x', name: 'Edge', stitch: 'blanket-stitch', guide: { kind: 'line', path }, parameters, strands: 2 },
    surroundingsOf(newSampler('Test')),
  )
  if (!done.ok) throw new Error(sentenceOf(done.problems))
  return done.value
}
const at = (holes: readonly { x: number; y: number }[]) => holes.map(({ x, y }) => `${(Math.round(x * 100) + 0) / 100},${(Math.round(y * 100) + 0) / 100}`)
const half = Math.round(600 / Math.SQRT2) / 100

describe('blanket stitch at a corner', () => {
  // To the right, then down the picture: the line turns away from spokes that stand above it.
  const away = 'M 0 0 L 20 0 L 20 20'
  // To the right, then up: it turns towards them.
  const towards = 'M 0 0 L 20 0 L 20 -20'

  it('that turns away from its spokes has three of them from the hole on the line', () => {
    const { worked } = blanket(away)
    const holes = at(worked.holes)
    expect(holes.filter((hole) => hole === '20,0')).toHaveLength(3)
    const tops = holes.flatMap((hole, index) => (holes[index + 1] === '20,0' ? [hole] : []))
    // Square to the first leg, halfway, square to the second; all six high.
    expect(tops).toEqual(['20,-6', `${(2000 + half * 100) / 100},${-half}`, '26,0'])
    // Ten spokes for two legs of five, and two more at the corner.
    expect(worked.fitted.count).toBe(12)
  })

  it('that turns towards them has three of them into one hole where the tops meet', () => {
    const holes = at(blanket(towards).worked.holes)
    // Six from both legs; from the places before, at and after the corner; the second leg also holds the tie, so its steps are 3.92.
    expect(holes.flatMap((hole, index) => (hole === '14,-6' ? [holes[index + 1]] : []))).toEqual(['16,0', '20,0', '20,-3.92'])
    // No spoke crosses the bisector.
    const tops = blanket(towards)
      .worked.holes.filter((hole) => hole.move === 'down')
      .slice(0, -1)
    for (const top of tops) expect(top.x <= 14.001 || top.y <= -5.999).toBe(true)
  })

  it('has the same holes for the left hand, from the other end', () => {
    for (const path of [away, towards, 'M 0 0 L 24 0 L 24 24 L 0 24 Z', 'M 0 0 L 0 24 L 24 24 L 24 0 Z']) {
      const right = blanket(path)
      const left = leftAlone(right)
      if (!left.ok) throw new Error(sentenceOf(left.problems))
      // Each hand begins without a spoke at its own end; what lies away from the ends of the line is the same.
      const { points } = right.guide.kind === 'line' ? right.guide.path : { points: [] }
      const ends = [points[0], points.at(-1)]
      const inside = (holes: typeof right.worked.holes) =>
        new Set(at(holes.filter((hole) => ends.every((end) => !end || Math.hypot(hole.x - end.x, hole.y - end.y) > 7))))
      expect(inside(left.value.holes)).toEqual(inside(right.worked.holes))
    }
  })

  it('goes round a square, inside and outside, with three spokes at each of the four corners', () => {
    const outside = at(blanket('M 0 0 L 24 0 L 24 24 L 0 24 Z').worked.holes)
    for (const corner of ['24,0', '24,24', '0,24']) expect(outside.filter((hole) => hole === corner)).toHaveLength(3)
    const inside = at(blanket('M 0 0 L 0 24 L 24 24 L 24 0 Z').worked.holes)
    for (const hole of ['6,18', '18,18', '18,6', '6,6']) expect(inside.filter((one) => one === hole)).toHaveLength(3)
  })
})
