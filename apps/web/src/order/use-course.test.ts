/** A plan as edits of the sampler: whole where it must be, one exercise where that is all that moved. */
import { bandSampler } from '@lemmata/contract/testing'
import { workSampler } from '@lemmata/core/exercise'
import { courseOf, courseSettings, findOrder, planOf } from '@lemmata/core/order'
import { applyOperation } from '@lemmata/core/sampler'
import { describe, expect, it } from 'vitest'
import { arrangeAs, isWritten, lessonsOf } from './use-course.ts'

const demo = bandSampler('2026-12-03')
const course = courseOf(workSampler(demo).done)
const settings = courseSettings(demo)

describe('a plan taken over', () => {
  it('becomes the lessons, which keep their ids and titles by their place', () => {
    const found = findOrder(course, settings)
    if (!found.found) throw new Error(found.conflict.sentence)
    const applied = applyOperation(demo, arrangeAs(demo, found.plan))
    if (!applied.ok) throw new Error(applied.problems[0]?.code)
    expect(applied.value.lessons.map((lesson) => lesson.exercises)).toEqual(found.plan.lessons)
    expect(applied.value.lessons.map((lesson) => [lesson.id, lesson.title])).toEqual(demo.lessons.map((lesson) => [lesson.id, lesson.title]))
    // And is then the plan that the sampler holds.
    expect(planOf(applied.value, course, settings).lessons).toEqual(found.plan.lessons)
  })

  it('with more lessons than there are makes new ones, with ids that nobody has', () => {
    const alone = { lessons: course.map((item) => [item.id]) }
    const lessons = lessonsOf(demo, alone)
    expect(lessons).toHaveLength(8)
    expect(new Set(lessons.map((lesson) => lesson.id)).size).toBe(8)
    expect(lessons.slice(6).map((lesson) => lesson.title)).toEqual(['Lesson 7', 'Lesson 8'])
  })

  it('is written where the sampler has a lesson for each of its lessons', () => {
    expect(isWritten(demo, planOf(demo, course, settings))).toBe(true)
    const untaught = { ...demo, lessons: [] }
    expect(isWritten(untaught, planOf(untaught, course, settings))).toBe(false)
  })
})
