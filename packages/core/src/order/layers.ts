/**
 * A piece in layers: exercises that meet on the cloth, each above what must be worked before it there. Pairs that
 * meet without anything saying which comes first are left for the teacher to decide.
 */
import type { WorkedExercise } from '../exercise/index.ts'
import type { CourseItem } from './course.ts'
import type { CoursePlan } from './cost.ts'
import { type ClothReason, meetingsOnCloth } from './on-cloth.ts'
import { beforeInWords, namesIn } from './rule-words.ts'

export interface LayerLink {
  readonly first: string
  readonly then: string
  readonly because: ClothReason
  /** Without a full stop. */
  readonly words: string
  /** The plan works them the other way round. */
  readonly broken: boolean
}

export interface Stack {
  /** From the cloth upwards; those of one layer do not lie on one another, or nobody has said which does. */
  readonly layers: readonly (readonly string[])[]
  readonly links: readonly LayerLink[]
  /** They meet, and nothing says which is worked first. */
  readonly undecided: readonly (readonly [string, string])[]
}

/** Stacks of two exercises or more, in the order of the course. */
export function stackLayers(done: readonly WorkedExercise[], course: readonly CourseItem[], plan: CoursePlan): readonly Stack[] {
  const known = new Set(course.map((item) => item.id))
  const name = namesIn(course)
  const place = new Map(plan.lessons.flat().map((id, index) => [id, index] as const))
  const links = course.flatMap((item) =>
    item.after
      .filter(({ id }) => known.has(id) && id !== item.id)
      .map(({ id: first, because }): LayerLink => {
        const words = beforeInWords({ kind: 'before', first, or: [], then: item.id, because: { why: 'cloth', reason: because } }, name)
        return { first, then: item.id, because, words, broken: (place.get(first) ?? 0) > (place.get(item.id) ?? 0) }
      }),
  )
  const decided = new Set(links.flatMap(({ first, then }) => [`${first} ${then}`, `${then} ${first}`]))
  const undecided = meetingsOnCloth(done.filter((one) => known.has(one.exercise.id))).filter(([a, b]) => !decided.has(`${a} ${b}`))
  return groups(
    course.map((item) => item.id),
    [...links.map(({ first, then }) => [first, then] as const), ...undecided],
  ).map((ids) => {
    const inside = (id: string): boolean => ids.includes(id)
    const own = links.filter((link) => inside(link.then))
    return { layers: inLayers(ids, own), links: own, undecided: undecided.filter(([a]) => inside(a)) }
  })
}

/** Those joined by some pair, each group in the order of the list. */
function groups(ids: readonly string[], pairs: readonly (readonly [string, string])[]): readonly (readonly string[])[] {
  const group = new Map(ids.map((id) => [id, id] as const))
  for (const [a, b] of pairs) {
    const [to, from] = [group.get(a), group.get(b)]
    if (to !== undefined && from !== undefined) for (const [id, one] of group) if (one === from) group.set(id, to)
  }
  return [...new Set(group.values())].map((one) => ids.filter((id) => group.get(id) === one)).filter((members) => members.length > 1)
}

/** Each a layer above the highest it lies on; what has been said in a circle lies together. */
function inLayers(ids: readonly string[], links: readonly LayerLink[]): readonly (readonly string[])[] {
  const level = new Map(ids.map((id): [string, number] => [id, 0]))
  for (let round = 1; round < ids.length; round += 1) {
    for (const { first, then } of links) level.set(then, Math.min(ids.length - 1, Math.max(level.get(then) ?? 0, (level.get(first) ?? 0) + 1)))
  }
  const heights = [...new Set(level.values())].sort((a, b) => a - b)
  return heights.map((height) => ids.filter((id) => level.get(id) === height))
}
