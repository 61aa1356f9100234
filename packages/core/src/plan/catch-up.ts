/** The way in for a learner who joins late: what the lesson rests on, in order, and how long it takes. */
import { type CourseItem, type CoursePlan, reachable, rulesOf, type CourseSettings } from '../order/index.ts'

export interface CatchUp {
  readonly ids: readonly string[]
  readonly minutes: number
}

/** Exercises of earlier lessons that those of this lesson (from 0) need to have been learned; not what only lies under them. */
export function catchUp(course: readonly CourseItem[], plan: CoursePlan, lesson: number, settings: CourseSettings): CatchUp {
  const needs = new Map<string, string[]>()
  const place = new Map(plan.lessons.flat().map((id, index) => [id, index] as const))
  for (const rule of rulesOf(course, settings)) {
    if (rule.kind !== 'before' || (rule.because.why !== 'motions' && rule.because.why !== 'base')) continue
    // Of several that teach it as well, the one that the class had first.
    const [taught] = [rule.first, ...rule.or].sort((a, b) => (place.get(a) ?? Infinity) - (place.get(b) ?? Infinity))
    needs.set(rule.then, [...(needs.get(rule.then) ?? []), taught as string])
  }
  const wanted = new Set((plan.lessons[lesson] ?? []).flatMap((id) => [...reachable(id, needs)]))
  const ids = plan.lessons
    .slice(0, lesson)
    .flat()
    .filter((id) => wanted.has(id))
  const minutes = course.filter((item) => ids.includes(item.id)).reduce((total, item) => total + item.minutes + item.homeMinutes, 0)
  return { ids, minutes }
}
