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
import type { Lesson, Sampler } from '@lemmata/core/sampler'
import { useMemo } from 'react'
import { courseFor, useWorked } from '../compute/use-worked.ts'
import { edit } from '../store/index.ts'

export interface Course {
  readonly course: readonly CourseItem[]
  readonly settings: CourseSettings
  readonly plan: CoursePlan
  readonly description: PlanDescription
  readonly broken: readonly BrokenRule[]
}

export function useCourse(sampler: Sampler): Course {
  const worked = useWorked()
  return useMemo(() => {
    const course = courseFor(worked)
    const settings = courseSettings(sampler)
    const plan = planOf(sampler, course, settings)
    return { course, settings, plan, description: describePlan(course, plan, settings), broken: brokenRules(course, plan, settings) }
  }, [worked, sampler])
}

/** The plan as the sampler's lessons, with the titles they have. */
export function lessonsOf(sampler: Sampler, plan: CoursePlan): readonly Lesson[] {
  return lessonsFor(plan, sampler.lessons, () => `l${crypto.randomUUID().slice(0, 8)}`)
}

/** The plan becomes the order of the sampler; exercises that are not taught keep their place behind. */
export function takePlan(sampler: Sampler, plan: CoursePlan): void {
  edit({ kind: 'set-order', ids: plan.lessons.flat(), lessons: lessonsOf(sampler, plan) })
}
