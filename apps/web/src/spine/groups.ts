/** The exercises as the spine lists them: lesson by lesson, then what is taught in none. */
import type { CoursePlan } from '@lemmata/core/order'
import { type Sampler, teachingOrder } from '@lemmata/core/sampler'

export interface SpineGroup {
  /** Of the plan; null for what stands in no lesson. */
  readonly lesson: number | null
  readonly title: string
  readonly ids: readonly string[]
}

/** The plan's lessons hold what could be worked; what could not stands where the document has it. */
export function spineGroups(sampler: Sampler, plan: CoursePlan): readonly SpineGroup[] {
  const planned = new Set(plan.lessons.flat())
  const order = teachingOrder(sampler).map((one) => one.id as string)
  const excluded = new Set(sampler.exercises.flatMap((one) => (one.pins?.excluded ? [one.id as string] : [])))
  const groups = Array.from({ length: Math.max(plan.lessons.length, sampler.lessons.length) }, (_, lesson): SpineGroup => {
    const written = sampler.lessons[lesson]
    const ids = plan.lessons[lesson] ?? []
    return {
      lesson,
      title: written?.title ?? `Lesson ${lesson + 1}`,
      ids: withUnplanned(
        ids,
        (written?.exercises ?? []).filter((id) => !excluded.has(id)),
        planned,
      ),
    }
  })
  const shown = new Set(groups.flatMap((group) => group.ids))
  const rest = order.filter((id) => !shown.has(id))
  const left = rest.filter((id) => excluded.has(id))
  const others = rest.filter((id) => !left.includes(id))
  return [
    ...groups,
    ...(others.length > 0 ? [{ lesson: null, title: 'In no lesson', ids: others }] : []),
    ...(left.length > 0 ? [{ lesson: null, title: 'Not taught', ids: left }] : []),
  ]
}

function withUnplanned(ids: readonly string[], written: readonly string[], planned: ReadonlySet<string>): readonly string[] {
  const result = [...ids]
  written.forEach((id, index) => {
    if (planned.has(id) || result.includes(id)) return
    const before = written
      .slice(0, index)
      .reverse()
      .find((one) => result.includes(one))
    result.splice(before === undefined ? 0 : result.indexOf(before) + 1, 0, id)
  })
  return result
}

/** One exercise a place up or down: over a heading it goes into the lesson before or after. Null at either end. */
export function movedBy(plan: CoursePlan, id: string, by: -1 | 1): CoursePlan | null {
  const lesson = plan.lessons.findIndex((ids) => ids.includes(id))
  const ids = plan.lessons[lesson]
  if (!ids) return null
  const at = ids.indexOf(id)
  const to = at + by
  const lessons = plan.lessons.map((one) => [...one])
  const own = lessons[lesson] as string[]
  own.splice(at, 1)
  if (to >= 0 && to < ids.length) own.splice(to, 0, id)
  else {
    const next = lessons[lesson + by]
    if (!next) return null
    if (by < 0) next.push(id)
    else next.unshift(id)
  }
  return { lessons }
}

/** Dropped on another row it takes its place; on a heading it is the first of that lesson. */
export function droppedOn(plan: CoursePlan, id: string, target: { readonly id: string } | { readonly lesson: number }, below: boolean): CoursePlan | null {
  if (!plan.lessons.some((ids) => ids.includes(id))) return null
  if ('id' in target && target.id === id) return null
  const lessons = plan.lessons.map((ids) => ids.filter((one) => one !== id))
  if ('lesson' in target) {
    const into = lessons[target.lesson]
    if (!into) return null
    into.unshift(id)
    return { lessons }
  }
  const into = lessons.find((ids) => ids.includes(target.id))
  if (!into) return null
  into.splice(into.indexOf(target.id) + (below ? 1 : 0), 0, id)
  return { lessons }
}
