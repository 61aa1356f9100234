/** Letters and other tight curves: a stitch shortens so far that it lies on its line, and no further than it is good. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { nearestPlace } from '../geometry/index.ts'
import type { Guide } from '../guide/index.ts'
import { newSampler } from '../sampler/index.ts'
import { sentenceOf, type ShortExercise, workAlone } from '../testing/index.ts'

const around = surroundingsOf(newSampler('Letters'))

function work(stitch: string, path: string, more: Partial<ShortExercise> = {}) {
  const guide: Guide = { kind: 'line', path }
  const worked = workAlone({ id: 'e', name: 'Letter', stitch, guide, ...more }, around)
  if (!worked.ok) throw new Error(sentenceOf(worked.problems))
  return worked.value
}

/** An S 8 mm high: two bows of radius 2. */
const LETTER_S = 'M 54 46 A 2 2 0 0 0 50 46 A 2 2 0 0 0 52 48 A 2 2 0 0 1 54 50 A 2 2 0 0 1 50 50'
const ring = (radius: number): string => `M ${50 - radius} 50 A ${radius} ${radius} 0 0 1 ${50 + radius} 50 A ${radius} ${radius} 0 0 1 ${50 - radius} 50 Z`

describe('back stitch', () => {
  it('in a letter 8 mm high is short enough for its bows: no longer than the chord that strays as far as is allowed', () => {
    const { worked, toleranceMm, deviationMm, problems, assigned } = work('back-stitch', LETTER_S, { strands: 1 })
    // A chord of c over a bow of radius r strays by r - sqrt(r^2 - c^2 / 4): of r = 2 and t it is at most 2 sqrt(2 r t - t^2).
    const longest = 2 * Math.sqrt(4 * toleranceMm - toleranceMm ** 2)
    expect(worked.fitted.pitchMm).toBeLessThanOrEqual(longest + 1e-6)
    expect(worked.fitted.pitchMm).toBeLessThan([...assigned.parameters.values()][0]?.value ?? 0)
    expect(deviationMm).toBeLessThanOrEqual(toleranceMm + 1e-9)
    expect(problems.map((one) => one.code)).not.toContain('exercise.tight-curve')
  })

  it('lies on its line: no thread in front is further off than is allowed', () => {
    const { worked, guide, toleranceMm } = work('back-stitch', LETTER_S, { strands: 1 })
    if (guide.kind !== 'line') throw new Error('not a line')
    for (const { side, points } of worked.segments) {
      if (side !== 'front') continue
      const [a, b] = [points[0], points[points.length - 1]]
      if (!a || !b) throw new Error('a piece without ends')
      for (const share of [0.25, 0.5, 0.75]) {
        const at = { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share }
        expect(nearestPlace(guide.path, at).distance).toBeLessThanOrEqual(toleranceMm + 0.01)
      }
    }
  })

  it('grows with the ring it follows, as the square root of the radius, to its usual length', () => {
    const pitches = [2, 4, 8, 16, 32].map((radius) => work('back-stitch', ring(radius), { strands: 1 }).worked.fitted.pitchMm)
    for (const [index, pitch] of pitches.entries()) if (index > 0) expect(pitch).toBeGreaterThanOrEqual((pitches[index - 1] ?? 0) - 0.05)
    // Twice the radius, 1.41 times the chord; whole stitches round a small ring move it by a few hundredths.
    expect((pitches[1] ?? 0) / (pitches[0] ?? 1)).toBeGreaterThan(1.2)
    expect((pitches[1] ?? 0) / (pitches[0] ?? 1)).toBeLessThan(1.6)
  })

  it('too tight to follow even at its shortest is said, with the bow it cannot follow', () => {
    const { problems } = work('back-stitch', ring(0.8), { strands: 6 })
    expect(sentenceOf(problems.filter((one) => one.code === 'exercise.tight-curve'))).toMatch(
      /^Even at its shortest good length back stitch leaves the line by 0\.\d+ mm/,
    )
  })
})

describe.each(['back-stitch', 'stem-stitch', 'split-stitch', 'chain-stitch', 'running-stitch'])('%s', (stitch) => {
  it('shortens on a bow of radius 4 and not on a straight line', () => {
    const [bent, straight] = [work(stitch, ring(4)), work(stitch, 'M 10 50 H 110')]
    expect(bent.worked.fitted.pitchMm).toBeLessThan(straight.worked.fitted.pitchMm)
  })
})

describe('a gap', () => {
  it('too wide is out of its range; it is no stitch that could sag', () => {
    const { problems } = work('running-stitch', 'M 10 50 H 110', { parameters: { L: 3, G: 12 } })
    expect(sentenceOf(problems.filter((one) => one.path[1] === 'G'))).toMatch(/^Gap: 1[0-9.]+ mm\. This stitch is good from .* to 8 mm; usual is 3 mm\.$/)
  })
})
