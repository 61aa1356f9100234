/** The course as numbers, for the search and its bound: exercises by their place in the list, sorted by id. */
import type { CourseItem } from './course.ts'
import {
  evenShare,
  EXTRA_LESSON,
  freshCost,
  fullnessCost,
  lessonAim,
  motionsToReturn,
  offRamp,
  rampOf,
  returnCost,
  roomOf,
  samenessCost,
  stepCost,
  totalUnits,
  unitsOf,
} from './cost.ts'
import { motionOpeners } from './rests-on.ts'
import { groupsOf, type Rule } from './rules.ts'
import type { CourseSettings } from './wishes.ts'

export interface OrderProblem {
  readonly items: readonly CourseItem[]
  readonly count: number
  /** Cost of item i at place p: `atPlace[i * count + p]`. */
  readonly atPlace: Float64Array
  /** Cost of item j right after item i: `next[i * count + j]`. */
  readonly next: Float64Array
  /** Minutes in fives, and how many a lesson has. */
  readonly units: Int32Array
  readonly room: number
  readonly totalUnits: number
  /** Cost of a lesson of so many fives. */
  readonly fullness: Float64Array
  /** Lessons that there may be at most, and what each costs; `lessonsCost` is paid besides. */
  readonly most: number
  readonly opening: number
  readonly lessonsCost: number
  /** Motions that are first met in this exercise, whatever the order: rests-on sees to that. */
  readonly fresh: Int32Array
  /** Motions that are first met in this exercise unless one of these others was placed before it. */
  readonly freshUnless: readonly (readonly (readonly number[])[])[]
  /** What so many fresh motions cost in a lesson that has none yet, and in one that has. */
  readonly freshAlone: Float64Array
  readonly freshMore: Float64Array
  /** For each motion that should come back, the items that have it. */
  readonly returns: readonly (readonly number[])[]
  readonly returnCost: number
  /** Items that must stand before each, and after it, with all that follows from that. */
  readonly earlier: readonly (readonly number[])[]
  readonly later: readonly (readonly number[])[]
  /** For each item, sets of which one must stand before it. */
  readonly earlierAny: readonly (readonly (readonly number[])[])[]
  /** The lesson each must stand in, or -1. */
  readonly lesson: Int32Array
  /** Items that must stand in the same lesson as each. */
  readonly with: readonly (readonly number[])[]
}

/** Lessons beyond what are aimed at that a problem allows; null: as many as there are exercises. */
export type ExtraLessons = number | null

/** Null where the rules of order run in a circle. */
export function orderProblem(given: readonly CourseItem[], settings: CourseSettings, rules: readonly Rule[], extra: ExtraLessons = null): OrderProblem | null {
  const items = [...given].sort((a, b) => (a.id < b.id ? -1 : 1))
  const count = items.length
  const { wishes } = settings
  const index = new Map(items.map((item, place) => [item.id, place] as const))
  const ramp = rampOf(items)
  const share = evenShare(items, settings)
  const room = roomOf(settings)
  const atPlace = new Float64Array(count * count)
  const next = new Float64Array(count * count)
  for (const [i, item] of items.entries()) {
    for (let p = 0; p < count; p += 1) atPlace[i * count + p] = wishes.evenness * offRamp(item.difficulty, ramp, p)
    for (const [j, other] of items.entries())
      next[i * count + j] = wishes.evenness * stepCost(other.difficulty - item.difficulty, ramp) + wishes.variety * samenessCost(item, other)
  }
  const openers = motionOpeners(items)
  const opensWith = items.map(({ id, motions }) =>
    motions.flatMap((motion) => (openers.get(motion)?.has(id) ? [[...(openers.get(motion) as ReadonlySet<string>)]] : [])),
  )
  const mostMotions = Math.max(0, ...items.map((item) => item.motions.length))
  const aim = lessonAim(items, settings)
  const most = extra === null ? Math.max(1, count) : aim + extra
  // At most what is aimed at: each lesson less costs. Otherwise none can have fewer, and each lesson more costs.
  const opening = extra === 0 ? -EXTRA_LESSON : EXTRA_LESSON
  const earlier = closure(count, rules, index)
  if (!earlier) return null
  const later = items.map((_, i) => items.flatMap((_one, j) => (earlier[j]?.includes(i) ? [j] : [])))
  const lesson = new Int32Array(count).fill(-1)
  for (const rule of rules) if (rule.kind === 'lesson') lesson[index.get(rule.id) as number] = rule.lesson
  return {
    items,
    count,
    atPlace,
    next,
    units: Int32Array.from(items, (item) => unitsOf(item, settings)),
    room,
    totalUnits: totalUnits(items, settings),
    fullness: Float64Array.from({ length: room + 1 }, (_, units) => wishes.minutes * fullnessCost(units, share)),
    most,
    opening,
    lessonsCost: -opening * aim,
    fresh: Int32Array.from(opensWith, (motions) => motions.filter((ids) => ids.length === 1).length),
    freshUnless: opensWith.map((motions, i) =>
      motions.filter((ids) => ids.length > 1).map((ids) => ids.flatMap((id) => (index.get(id) === i ? [] : [index.get(id) as number]))),
    ),
    freshAlone: Float64Array.from({ length: mostMotions + 1 }, (_, fresh) => wishes.novelty * freshCost(fresh, false)),
    freshMore: Float64Array.from({ length: mostMotions + 1 }, (_, fresh) => wishes.novelty * freshCost(fresh, true)),
    returns: motionsToReturn(items, settings).map((motion) => items.flatMap((item, i) => (item.motions.includes(motion) ? [i] : []))),
    returnCost: wishes.return * returnCost,
    earlier,
    later,
    earlierAny: items.map(({ id }) =>
      rules.flatMap((rule) =>
        rule.kind === 'before' && rule.then === id && rule.or.length > 0 ? [[rule.first, ...rule.or].flatMap((one) => index.get(one) ?? [])] : [],
      ),
    ),
    lesson,
    with: companions(items, rules),
  }
}

/** For each item all that must stand before it; null when something must stand before itself. */
function closure(count: number, rules: readonly Rule[], index: ReadonlyMap<string, number>): number[][] | null {
  const before = Array.from({ length: count }, () => new Set<number>())
  for (const rule of rules) if (rule.kind === 'before' && rule.or.length === 0) before[index.get(rule.then) as number]?.add(index.get(rule.first) as number)
  for (let through = 0; through < count; through += 1)
    for (const set of before) if (set.has(through)) for (const one of before[through] as Set<number>) set.add(one)
  return before.some((set, i) => set.has(i)) ? null : before.map((set) => [...set].sort((a, b) => a - b))
}

function companions(items: readonly CourseItem[], rules: readonly Rule[]): number[][] {
  const group = groupsOf(items, rules)
  return items.map((item, i) => items.flatMap((other, j) => (j !== i && group.get(other.id) === group.get(item.id) ? [j] : [])))
}
