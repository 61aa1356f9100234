/** The course as the stage and its panels see it: from the worked exercises and the document. */
import {
  brokenRules,
  courseSettings,
  describePlan,
  lessonsFor,
  planOf,
  type BrokenRule,
  type CourseItem,
  type CoursePlan,
  type CourseSettings,
  type PlanDescription,
} from '@lemmata/core/order'
import type { Lesson, Operation, Sampler } from '@lemmata/core/sampler'
import { courseFor, useWorked, type WorkedInPage } from '../compute/use-worked.ts'
import { edit } from '../store/index.ts'
import { newId } from '../store/new-ids.ts'

export interface Course {
  readonly course: readonly CourseItem[]
  readonly settings: CourseSettings
  readonly plan: CoursePlan
  readonly description: PlanDescription
  readonly broken: readonly BrokenRule[]
}

const known = new WeakMap<Sampler, { readonly worked: WorkedInPage; readonly course: Course }>()

/** Reckoned once for what is worked now: list, card, stage and the stages' states share it. */
export function courseNow(sampler: Sampler, worked: WorkedInPage): Course {
  const before = known.get(sampler)
  if (before?.worked === worked) return before.course
  const course = courseFor(worked)
  const settings = courseSettings(sampler)
  const plan = planOf(sampler, course, settings)
  const made = { course, settings, plan, description: describePlan(course, plan, settings), broken: brokenRules(course, plan, settings) }
  known.set(sampler, { worked, course: made })
  return made
}

export function useCourse(sampler: Sampler): Course {
  return courseNow(sampler, useWorked())
}

/** The plan as the sampler's lessons, with the titles they have. */
export function lessonsOf(sampler: Sampler, plan: CoursePlan): readonly Lesson[] {
  return lessonsFor(plan, sampler.lessons, () => newId('l'))
}

/** The edit that makes the plan the order of the sampler; what is not taught keeps its place behind. */
export function arrangeAs(sampler: Sampler, plan: CoursePlan): Operation {
  return { kind: 'arrange-lessons', lessons: lessonsOf(sampler, plan) }
}

export function takePlan(sampler: Sampler, plan: CoursePlan): void {
  edit(arrangeAs(sampler, plan))
}

/** The plan shows more than the lessons that are written: those that minutes make of what is taught in none. */
export function isWritten(sampler: Sampler, plan: CoursePlan): boolean {
  return plan.lessons.length === sampler.lessons.length
}

/** One exercise taken to a place of the plan: alone, where the lessons stand as the plan shows them. */
export function moveTo(sampler: Sampler, plan: CoursePlan, id: string, next: CoursePlan): void {
  const lesson = next.lessons.findIndex((ids) => ids.includes(id))
  const to = sampler.lessons[lesson]
  if (!to || !isWritten(sampler, plan)) takePlan(sampler, next)
  else edit({ kind: 'move-exercise', id, to: { lesson: to.id, at: (next.lessons[lesson] as readonly string[]).indexOf(id) } })
}
