/** Simulated classes: the same twice, the plain forecast where nothing varies, and never better for missing more. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { forecast, type LessonMinutes, rehearse, type SimulatedClass } from './index.ts'

const lesson = (id: string, working: number, home = 20): LessonMinutes => ({
  ...{ lesson: id, showing: 7, working, breaks: 5, home, room: 90, over: 0, longest: null },
})
const twelve = Array.from({ length: 12 }, (_, index) => lesson(`l${index + 1}`, 55 + ((index * 17) % 40)))
const course = { lessons: twelve, homeRoom: 60, weeks: () => 1 }
const usual: SimulatedClass = { classes: 50, learners: 10, spread: 0.35, missed: 0.1, practised: 0.7, seed: 7 }

describe('a rehearsal', () => {
  it('is the same twice with one seed, and another with another', () => {
    expect(rehearse(course, usual)).toEqual(rehearse(course, usual))
    expect(rehearse(course, { ...usual, seed: 8 })).not.toEqual(rehearse(course, usual))
  })

  it('with everyone at the usual pace, at every lesson and at home, is the plain forecast', () => {
    const plain = forecast(twelve, { dates: () => 1, homeRoom: 60, weeks: () => 1 }).find((one) => one.pace === 'usual')
    const found = rehearse(course, { ...usual, spread: 0, missed: 0, practised: 1 })
    for (const [at, one] of found.lessons.entries()) {
      expect(one.middle).toBeCloseTo(plain?.behind[at]?.minutes ?? -1, 9)
      expect(one.ninth).toBeCloseTo(one.middle, 9)
      expect(one.finished).toBe((plain?.behind[at]?.minutes ?? 0) < 0.5 ? 1 : 0)
    }
  })

  it('a lesson missed by all is carried whole: by hand', () => {
    const two = { lessons: [lesson('a', 60), lesson('b', 60)], homeRoom: 30, weeks: () => 1 }
    // 60 and 20 at home less 30; then 60 x 1.15 after a gap, on top of 50, nothing done here, and 20 x 1.15 less 30.
    const found = rehearse(two, { ...usual, spread: 0, missed: 1, practised: 1 })
    expect(found.lessons.map((one) => one.middle)).toEqual([50, expect.closeTo(50 + 69 + 23 - 30, 9)])
    expect(found.stuck).toEqual({ lesson: 'a', share: 1 })
    expect(rehearse(two, { ...usual, spread: 0, missed: 0, practised: 1 }).stuck).toBeNull()
  })

  it('never lets more finish when more lessons are missed, or fewer weeks practised', () => {
    const share = fc.double({ min: 0, max: 1, noNaN: true })
    fc.assert(
      fc.property(share, share, share, fc.nat(1000), (a, b, other, seed) => {
        const [less, more] = [Math.min(a, b), Math.max(a, b)]
        const done = (how: Partial<SimulatedClass>) => rehearse(course, { ...usual, classes: 3, seed, ...how }).lessons.map((one) => one.finished)
        const [few, many] = [done({ missed: less, practised: other }), done({ missed: more, practised: other })]
        const [kept, left] = [done({ missed: other, practised: more }), done({ missed: other, practised: less })]
        for (const at of twelve.keys()) {
          expect(many[at]).toBeLessThanOrEqual(few[at] ?? 0)
          expect(left[at]).toBeLessThanOrEqual(kept[at] ?? 0)
        }
      }),
      { seed: 11, numRuns: 60 },
    )
  })

  it('of nobody, or of no lesson, is told without a figure that is none', () => {
    expect(rehearse(course, { ...usual, classes: 0 }).lessons.every((one) => one.finished === 1)).toBe(true)
    expect(rehearse({ ...course, lessons: [] }, usual)).toEqual({ lessons: [], stuck: null })
  })
})
