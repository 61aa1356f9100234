/** The moving hand: pure, steady, and at its end the picture of the step. */
import { describe, expect, it } from 'vitest'
import type { Point } from '../geometry/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import { type Demonstration, momentAt, secondsOf, type Step } from './index.ts'
import { shownOf } from './shown-of.ts'

const placesOf = ({ pose }: Step): readonly Point[] => [...(pose.needle ? [pose.needle.eye, pose.needle.tip] : []), ...pose.loose.flat()]

function farthest(a: readonly Point[], b: readonly Point[]): number {
  return Math.max(0, ...a.map((at, index) => Math.hypot(at.x - (b[index]?.x ?? at.x), at.y - (b[index]?.y ?? at.y))))
}

const at = (shown: Demonstration, index: number, share: number): Step => momentAt(shown, index, share) as Step

describe('a moment of a step', () => {
  it.each(LIBRARY.map((one) => [one.id] as const))('%s: the same at the same time, still at its end, and never a leap', (id) => {
    const shown = shownOf(id)
    for (const [index, step] of shown.steps.entries()) {
      expect(at(shown, index, 1)).toBe(step)
      expect(at(shown, index, 0.3)).toEqual(at(shown, index, 0.3))
      const reach = 1e-3 + farthest(placesOf(at(shown, index, 0)), placesOf(at(shown, index, 0.999)))
      let before = at(shown, index, 0)
      for (let share = 0.02; share < 1; share += 0.02) {
        const now = at(shown, index, share)
        const [a, b] = [placesOf(before), placesOf(now)]
        if (a.length === b.length) expect(farthest(a, b), `step ${step.number} at ${share.toFixed(2)}`).toBeLessThan(0.12 * reach + 0.02)
        for (const { x, y } of b) expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true)
        before = now
      }
      expect(secondsOf(step)).toBeGreaterThan(1)
    }
  })

  it('stem: the needle comes along the line and has made nothing before it is drawn through', () => {
    const shown = shownOf('stem-stitch')
    const needle = (share: number) => at(shown, 1, share).pose.needle
    // From the right, where its eye is, to the left.
    expect(needle(0)?.tip.x).toBeGreaterThan(needle(0.5)?.tip.x ?? 0)
    expect(needle(0)?.under).toBeNull()
    expect(needle(0.95)?.under?.[0]).toBeCloseTo(needle(1)?.under?.[0] ?? 0, 6)
    expect(at(shown, 2, 0.5).sequence).toBe(shown.steps[1]?.sequence)
  })

  it('chain: the loop closes to where it lies', () => {
    const shown = shownOf('chain-stitch')
    const loop = shown.segments.find((segment) => segment.kind === 'loop')
    const [closing] = at(shown, 2, 0.999).pose.loose
    const ends = loop?.points ?? []
    expect(Math.hypot((closing?.at(-1)?.x ?? 0) - (ends.at(-1)?.x ?? 9), (closing?.at(-1)?.y ?? 0) - (ends.at(-1)?.y ?? 9))).toBeLessThan(0.01)
    const wide = (way: readonly Point[] = []): number => Math.max(...way.map((one) => one.x)) - Math.min(...way.map((one) => one.x))
    expect(wide(at(shown, 2, 0).pose.loose[0])).toBeGreaterThan(2 * wide(closing))
  })
})
