/**
 * What an order costs, term by term; docs/the-order.md writes it out. Everything here is seen from the whole
 * history of a plan, so that it holds for any order, also one that breaks rules.
 *
 *   evenness   sum over places of ((difficulty - ramp) / 8)^2, the ramp being straight from the easiest to the
 *              hardest, + ((rise - limit) / 8)^2 for a rise above the limit, + ((fall - 6) / 8)^2 for a fall of more than 6
 *   novelty    3 for each motion beyond the first that is new in one lesson
 *   return     1.5 for each motion that none comes back to two to four lessons after the lesson it is first met in, where
 *              an order could (see `motionsToReturn`)
 *   variety    0.5 for each exercise of the same family as the one before it, 1.5 for one in the same stitch
 *   minutes    2 ((minutes - even share) / even share)^2 for each lesson
 *   lessons    2 for each lesson more, or less, than are wished or the minutes need
 *
 * each but the last times the teacher's own weight for that wish. Difficulties are points of 100; minutes count in fives.
 */
import { clamp } from '../base/index.ts'
import type { Motion } from '../work/index.ts'
import { byDifficulty, type CourseItem } from './course.ts'
import type { CourseSettings, Wishes } from './wishes.ts'

/** Exercises in order, lesson by lesson. */
export interface CoursePlan {
  readonly lessons: readonly (readonly string[])[]
}

export interface CostTerms {
  readonly evenness: number
  readonly novelty: number
  readonly return: number
  readonly variety: number
  readonly minutes: number
  readonly lessons: number
  readonly total: number
}

const POINTS = 8
/** Points that a step may fall without being a long fall. */
export const BREATHER = 6
const LEAST_LIMIT = 12
const NEW_AT_ONCE = 3
const NO_RETURN = 1.5
const SAME_FAMILY = 0.5
const SAME_STITCH = 1.5
const UNEVEN_MINUTES = 2
/** A lesson more wants an evening more of everyone: worth it for one thing new at a time, but not if it is nearly empty. */
export const EXTRA_LESSON = 2
/** Lessons after its first in which a motion should come back. */
export const RETURN_FROM = 2
export const RETURN_TO = 4
/** Teachers plan in steps of five minutes. */
export const MINUTES_STEP = 5

export function costOf(plan: CoursePlan, course: readonly CourseItem[], settings: CourseSettings): CostTerms {
  const known = new Map(course.map((item) => [item.id, item] as const))
  const lessons = plan.lessons.map((ids) => ids.flatMap((id) => known.get(id) ?? [])).filter((items) => items.length > 0)
  const order = lessons.flat()
  const { wishes } = settings
  const ramp = rampOf(course)
  const share = evenShare(course, settings)
  let evenness = 0
  let variety = 0
  for (const [place, item] of order.entries()) {
    evenness += offRamp(item.difficulty, ramp, place)
    const before = order[place - 1]
    if (!before) continue
    evenness += stepCost(item.difficulty - before.difficulty, ramp)
    variety += samenessCost(before, item)
  }
  const met = new Map<Motion, number>()
  const returned = new Set<Motion>()
  let novelty = 0
  for (const [lesson, items] of lessons.entries()) {
    let fresh = 0
    for (const motion of items.flatMap((item) => item.motions)) {
      const first = met.get(motion)
      if (first === undefined) {
        met.set(motion, lesson)
        fresh += 1
      } else if (lesson - first >= RETURN_FROM && lesson - first <= RETURN_TO) returned.add(motion)
    }
    novelty += NEW_AT_ONCE * Math.max(0, fresh - 1)
  }
  const unreturned = motionsToReturn(course, settings).filter((motion) => !returned.has(motion)).length
  const minutes = lessons.reduce((total, items) => total + fullnessCost(minuteUnits(items, settings), share), 0)
  const extra = EXTRA_LESSON * Math.abs(lessons.length - lessonAim(course, settings))
  return weighed({ evenness, novelty, return: NO_RETURN * unreturned, variety, minutes, lessons: extra }, wishes)
}

function weighed(terms: Omit<CostTerms, 'total'>, wishes: Wishes): CostTerms {
  const evenness = wishes.evenness * terms.evenness
  const novelty = wishes.novelty * terms.novelty
  const comes = wishes.return * terms.return
  const variety = wishes.variety * terms.variety
  const minutes = wishes.minutes * terms.minutes
  const { lessons } = terms
  return { evenness, novelty, return: comes, variety, minutes, lessons, total: evenness + novelty + comes + variety + minutes + lessons }
}

export interface Ramp {
  readonly from: number
  /** From one exercise to the next, points. */
  readonly rise: number
  /** No step should rise by more, points. */
  readonly limit: number
}

/** The straight ramp from the easiest exercise to the hardest. */
export function rampOf(course: readonly Pick<CourseItem, 'difficulty'>[]): Ramp {
  const scores = course.map((item) => item.difficulty)
  const from = scores.length > 0 ? Math.min(...scores) : 0
  const rise = scores.length > 1 ? (Math.max(...scores) - from) / (scores.length - 1) : 0
  return { from, rise, limit: Math.max(LEAST_LIMIT, 2 * rise) }
}

export function offRamp(difficulty: number, ramp: Ramp, place: number): number {
  return ((difficulty - ramp.from - ramp.rise * place) / POINTS) ** 2
}

export function stepCost(rise: number, ramp: Ramp): number {
  return (Math.max(0, rise - ramp.limit) / POINTS) ** 2 + (Math.max(0, -rise - BREATHER) / POINTS) ** 2
}

export function samenessCost(before: Pick<CourseItem, 'family' | 'stitch'>, item: Pick<CourseItem, 'family' | 'stitch'>): number {
  return before.stitch === item.stitch ? SAME_STITCH : before.family === item.family ? SAME_FAMILY : 0
}

export function freshCost(fresh: number, alreadyOne: boolean): number {
  return NEW_AT_ONCE * Math.max(0, fresh - (alreadyOne ? 0 : 1))
}

export const returnCost = NO_RETURN

/** Minutes of a lesson in fives; what alone is longer than a lesson fills it, and goes on at home. */
export function minuteUnits(items: readonly Pick<CourseItem, 'minutes'>[], settings: Pick<CourseSettings, 'lessonMinutes'>): number {
  const room = roomOf(settings)
  const units = items.map((item) => unitsOf(item, settings))
  return items.length === 1 ? Math.min(room, units[0] as number) : units.reduce((total, one) => total + one, 0)
}

export function unitsOf(item: Pick<CourseItem, 'minutes'>, settings: Pick<CourseSettings, 'lessonMinutes'>): number {
  return clamp(Math.round(item.minutes / MINUTES_STEP), 1, roomOf(settings))
}

export function roomOf({ lessonMinutes }: Pick<CourseSettings, 'lessonMinutes'>): number {
  return Math.max(1, Math.floor(lessonMinutes / MINUTES_STEP))
}

/** Minutes of a lesson, in fives, if all were alike: of as many lessons as are wanted, or as the minutes need. */
export function evenShare(course: readonly CourseItem[], settings: CourseSettings): number {
  return Math.max(1, totalUnits(course, settings) / lessonAim(course, settings))
}

/** Lessons to aim at: those that are wished, as far as there is an exercise for each; more where the minutes need them. */
export function lessonAim(course: readonly CourseItem[], settings: CourseSettings): number {
  const wished = Math.min(settings.lessons ?? 1, course.length)
  return Math.max(wished, Math.ceil(totalUnits(course, settings) / roomOf(settings)), 1)
}

export function totalUnits(course: readonly CourseItem[], settings: CourseSettings): number {
  return course.reduce((total, item) => total + unitsOf(item, settings), 0)
}

export function fullnessCost(units: number, share: number): number {
  return UNEVEN_MINUTES * ((units - share) / share) ** 2
}

/**
 * Motions that an order can bring back in time: by difficulty, some other exercise with the motion stands no more than
 * four lessons after the easiest. One whose exercises lie further apart is a gap to fill, not a fault of the order.
 */
export function motionsToReturn(course: readonly CourseItem[], settings: CourseSettings): readonly Motion[] {
  const reach = (RETURN_TO * course.length) / lessonAim(course, settings)
  const ranks = new Map<Motion, number[]>()
  for (const [rank, { motions }] of byDifficulty(course).entries()) for (const motion of motions) ranks.set(motion, [...(ranks.get(motion) ?? []), rank])
  return [...ranks].filter(([, [first, second]]) => second !== undefined && second - (first as number) <= reach).map(([motion]) => motion)
}
