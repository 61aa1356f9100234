/** Moves that help: each is what it says, none breaks what was kept, and nothing better was passed over. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { brokenRules } from './broken.ts'
import { costOf, type CoursePlan } from './cost.ts'
import { gainsOf } from './gains.ts'
import type { CourseItem } from './course.ts'
import { type CourseSettings, USUAL_WISHES } from './wishes.ts'

/** Exercises of these difficulties, unlike one another in everything else. */
const someCourse = (difficulties: readonly number[]): CourseItem[] =>
  difficulties.map((difficulty, index) => ({
    id: `i${index}`,
    name: `Exercise ${index}`,
    difficulty,
    minutes: 30,
    homeMinutes: 0,
    showMinutes: 2,
    firstMinutes: 0,
    motions: [],
    family: `f${index}`,
    stitch: `s${index}`,
    base: null,
    passes: 1,
    measures: 1,
    after: [],
    detached: false,
    pins: {},
  }))
const usualSettings = (more: Partial<CourseSettings>): CourseSettings => ({
  lessonMinutes: 90,
  lessons: null,
  lessonIds: ['l1', 'l2'],
  wishes: USUAL_WISHES,
  ...more,
})

describe('gains', () => {
  it('two exercises in the wrong order: the one move that mends it is the first', () => {
    const course = someCourse([10, 30, 20, 40])
    const plan = { lessons: [['i0', 'i1', 'i2', 'i3']] }
    const [best] = gainsOf(course, plan, usualSettings({ lessonMinutes: 600 }))
    expect(best?.plan.lessons.flat()).toEqual(['i0', 'i2', 'i1', 'i3'])
    expect(best?.sentence).toMatch(/^(Exercise 2 after Exercise 0|Exercise 1 after Exercise 2), in lesson 1$/)
  })

  it('an even climb has none', () => {
    const course = someCourse([10, 20, 30, 40])
    expect(gainsOf(course, { lessons: [['i0', 'i1', 'i2', 'i3']] }, usualSettings({ lessonMinutes: 600 }))).toEqual([])
  })

  it('of any course: the plan costs so much less, keeps all exercises, breaks nothing new, and each is of another exercise', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 5, max: 60 }), { minLength: 3, maxLength: 8 }), fc.integer({ min: 1, max: 4 }), (difficulties, inLesson) => {
        const course = someCourse(difficulties)
        const settings = usualSettings({})
        const ids = course.map((item) => item.id)
        const plan: CoursePlan = { lessons: Array.from({ length: Math.ceil(ids.length / inLesson) }, (_, at) => ids.slice(at * inLesson, (at + 1) * inLesson)) }
        const now = costOf(plan, course, settings).total
        const broken = brokenRules(course, plan, settings).map((one) => one.sentence)
        const gains = gainsOf(course, plan, settings)
        expect(new Set(gains.map((one) => one.id)).size).toBe(gains.length)
        for (const one of gains) {
          expect([...one.plan.lessons.flat()].sort()).toEqual([...ids].sort())
          expect(now - costOf(one.plan, course, settings).total).toBeCloseTo(one.gain, 9)
          expect(one.gain).toBeGreaterThanOrEqual(0.5)
          for (const rule of brokenRules(course, one.plan, settings)) expect(broken).toContain(rule.sentence)
        }
        expect(gains.map((one) => one.gain)).toEqual([...gains.map((one) => one.gain)].sort((a, b) => b - a))
      }),
      { numRuns: 60 },
    )
  })
})
