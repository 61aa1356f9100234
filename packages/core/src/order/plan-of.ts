/** The plan that a sampler holds, and a plan as its lessons. */
import { type Lesson, type Sampler, teachingOrder } from '../sampler/index.ts'
import { type CoursePlan, roomOf, unitsOf } from './cost.ts'
import type { CourseItem } from './course.ts'
import type { CourseSettings } from './wishes.ts'

/** Lessons as the teacher made them; what stands in none is added at the end, filled by minutes. */
export function planOf(
  sampler: Pick<Sampler, 'exercises' | 'lessons'>,
  course: readonly CourseItem[],
  settings: Pick<CourseSettings, 'lessonMinutes'>,
): CoursePlan {
  const items = new Map(course.map((item) => [item.id, item] as const))
  const lessons = sampler.lessons.map((lesson) => lesson.exercises.filter((id) => items.has(id)))
  const placed = new Set<string>(lessons.flat())
  const rest = teachingOrder(sampler).flatMap(({ id }) => (placed.has(id) ? [] : (items.get(id) ?? [])))
  return { lessons: [...lessons, ...filledLessons(rest, settings)] }
}

/** Lessons filled in order; one exercise longer than a lesson has one to itself. */
export function filledLessons(order: readonly CourseItem[], settings: Pick<CourseSettings, 'lessonMinutes'>): readonly (readonly string[])[] {
  const room = roomOf(settings)
  const lessons: string[][] = []
  let used = Infinity
  for (const item of order) {
    const size = unitsOf(item, settings)
    if (used + size > room) {
      lessons.push([])
      used = 0
    }
    lessons.at(-1)?.push(item.id)
    used += size
  }
  return lessons
}

/** The plan as lessons: titles and ids stay with their place; the last ones are dropped when there are fewer. */
export function lessonsFor(plan: CoursePlan, before: readonly Lesson[], newId: (index: number) => string): readonly Lesson[] {
  const planned = new Set(plan.lessons.flat())
  return plan.lessons.map((exercises, index) => {
    const was = before[index]
    // What cannot be worked, or is not taught, is in no plan; it stays with its lesson.
    const left = (was?.exercises ?? []).filter((id) => !planned.has(id))
    return { id: was?.id ?? newId(index), title: was?.title ?? `Lesson ${index + 1}`, exercises: [...exercises, ...left] }
  })
}

/** A plan kept from before, without what has gone since, and with what has come in lessons of its own at the end. */
export function refreshPlan(plan: CoursePlan, course: readonly CourseItem[]): CoursePlan {
  const ids = new Set(course.map((item) => item.id))
  const lessons = plan.lessons.map((lesson) => lesson.filter((id) => ids.has(id)))
  const there = new Set(lessons.flat())
  return { lessons: [...lessons, ...course.filter((item) => !there.has(item.id)).map((item) => [item.id])] }
}
