/** What next, in one line with its reason, in the unit of the sampler. */
import type { Advice } from '@lemmata/core/photo'
import { describe, expect, it } from 'vitest'
import { nextForTeacher } from './class-words.ts'

const names = { exercise: (id: string) => `A ${id}`, lesson: () => 2 }
const next = (advice?: Advice, units: 'mm' | 'in' = 'mm'): string =>
  nextForTeacher({ kind: 'practise', exercise: 'Drizzle', minutes: 12, planned: 30, ...(advice ? { advice } : {}) }, names, units)

describe('what next', () => {
  it('is the time that is left where no row was photographed', () => {
    expect(next()).toBe('Practise A Drizzle: 12 of 30 min')
  })

  it.each<[Advice, string]>([
    [{ kind: 'uneven', spreadMm: 0.6, beforeMm: null }, 'A Drizzle: mark every third hole, lengths vary by 0.6 mm'],
    [{ kind: 'drifting-lengths', firstMm: 3.4, lastMm: 2.2 }, 'A Drizzle: mark every third hole, lengths go from 3.4 mm to 2.2 mm'],
    [{ kind: 'larger', lengthMm: 2.5 }, 'A Drizzle: a larger stitch or one more strand, no more even after three rows'],
    [{ kind: 'other-length', lengthMm: 3.2, plannedMm: 2.5 }, 'A Drizzle: shorter stitches, 3.2 mm for 2.5 mm'],
    [{ kind: 'other-length', lengthMm: 2, plannedMm: 2.5 }, 'A Drizzle: longer stitches, 2.0 mm for 2.5 mm'],
    [{ kind: 'gaps', gapMm: 3.6, lengthMm: 3, plannedGapMm: 3 }, 'A Drizzle: less cloth each time, gaps of 3.6 mm for 3.0 mm'],
    [{ kind: 'off-the-line', driftMm: 0.5 }, 'A Drizzle: tighten the hoop, 0.5 mm off the line'],
    [{ kind: 'leaning', leanDeg: -7.4 }, 'A Drizzle: holes straight under one another, it leans 7 degrees'],
    [{ kind: 'cloth-shows', widestMm: 0.5 }, 'A Drizzle: one stitch more where cloth shows, 0.5 mm'],
    [{ kind: 'once-more' }, 'A Drizzle: one more row like the last'],
    [{ kind: 'go-on' }, 'A Drizzle: two good rows, go on without marks'],
  ])('of %j is said with its reason', (advice, said) => {
    expect(next(advice)).toBe(said)
  })

  it('comes in inches fine enough for a stitch', () => {
    expect(next({ kind: 'off-the-line', driftMm: 0.5 }, 'in')).toMatch(/0\.02 in|0\.020 in/)
  })
})
