/**
 * The order of teaching. For a course of up to eight exercises every permitted order is tried: slow and
 * obviously right, and kept as the measure of anything faster. Longer courses get the best of a beam of
 * partial orders, and say that it is not proven.
 *
 * cost of an order = sum over places of (rise - even rise)^2 / 100          close to a straight ramp
 *                  + 2 for each whole 10 points that a fall exceeds 10       no long falls
 *                  + 3 for each motion beyond the first that is new at once  one new thing at a time
 *                  + 1 for each motion that returns neither 2, 3 nor 4 places after its first use (where it could)
 */
import type { Motion } from '../work/index.ts'
import { type CourseItem, restsOn, type RestsOn } from './course.ts'

export interface OrderAnswer {
  readonly order: readonly string[]
  readonly lessons: readonly (readonly string[])[]
  readonly steps: readonly { readonly id: string; readonly difficulty: number; readonly rise: number; readonly newMotions: readonly Motion[] }[]
  readonly cost: number
  /** No order costs less than this. */
  readonly bound: number
  readonly optimal: boolean
  readonly why: ReadonlyMap<string, string>
}

const MOST_EXACT = 8
const BEAM = 400

export function findOrder(given: readonly CourseItem[], lessonMinutes: number): OrderAnswer {
  // Ties break by id, so that shuffling the input changes nothing.
  const course = [...given].sort((a, b) => a.id.localeCompare(b.id))
  const before = precedence(course)
  const exact = course.length <= MOST_EXACT
  const best = exact ? tryAll(course, before) : tryBeam(course, before)
  const order = best ?? course
  return describeOrder(order, lessonMinutes, exact && best !== null)
}

export function describeOrder(order: readonly CourseItem[], lessonMinutes: number, optimal: boolean): OrderAnswer {
  const rests = restsOn(order)
  const met = new Set<Motion>()
  const steps = order.map((item, index) => {
    const newMotions = item.motions.filter((motion) => !met.has(motion))
    for (const motion of item.motions) met.add(motion)
    return { id: item.id, difficulty: item.difficulty, rise: item.difficulty - (order[index - 1]?.difficulty ?? 0), newMotions }
  })
  const cost = orderCost(order)
  return {
    order: order.map((item) => item.id),
    lessons: fillLessons(order, lessonMinutes),
    steps,
    cost,
    bound: optimal ? cost : 0,
    optimal,
    why: new Map(
      order.map((item, index) => [item.id, explain(index, item, order, rests.get(item.id) ?? [], steps[index]?.newMotions ?? [], steps[index]?.rise ?? 0)]),
    ),
  }
}

/** Which items must stand before which: rests-on and the order on the cloth. */
function precedence(course: readonly CourseItem[]): ReadonlyMap<string, ReadonlySet<string>> {
  const rests = restsOn(course)
  const known = new Set(course.map((item) => item.id))
  return new Map(
    course.map((item) => [
      item.id,
      new Set([...(rests.get(item.id) ?? []).map((one) => one.on), ...item.after].filter((id) => known.has(id) && id !== item.id)),
    ]),
  )
}

export function orderCost(order: readonly CourseItem[]): number {
  return costWith(order, order.length, evenRise(order))
}

function evenRise(course: readonly CourseItem[]): number {
  const scores = course.map((item) => item.difficulty)
  return course.length > 1 ? (Math.max(...scores) - Math.min(...scores)) / (course.length - 1) : 0
}

function costWith(order: readonly CourseItem[], length: number, even: number): number {
  let cost = 0
  const first = new Map<Motion, number>()
  const returned = new Set<Motion>()
  for (let index = 0; index < length; index += 1) {
    const item = order[index] as CourseItem
    if (index > 0) {
      const rise = item.difficulty - (order[index - 1] as CourseItem).difficulty
      cost += (rise - even) ** 2 / 100
      if (rise < -10) cost += 2 * Math.floor((-rise - 10) / 10 + 1)
    }
    let fresh = 0
    for (const motion of item.motions) {
      const at = first.get(motion)
      if (at === undefined) {
        first.set(motion, index)
        fresh += 1
      } else if (index - at >= 2 && index - at <= 4) returned.add(motion)
    }
    cost += 3 * Math.max(0, fresh - 1)
  }
  for (const [motion, at] of first) if (at + 2 < length && !returned.has(motion)) cost += 1
  return cost
}

function tryAll(course: readonly CourseItem[], before: ReadonlyMap<string, ReadonlySet<string>>): readonly CourseItem[] | null {
  const even = evenRise(course)
  const order: CourseItem[] = []
  const placed = new Set<string>()
  let best: { order: readonly CourseItem[]; cost: number } | null = null
  const place = (): void => {
    if (order.length === course.length) {
      const cost = costWith(order, order.length, even)
      if (best === null || cost < best.cost - 1e-9) best = { order: [...order], cost }
      return
    }
    for (const item of course) {
      if (placed.has(item.id) || ![...(before.get(item.id) ?? [])].every((id) => placed.has(id))) continue
      order.push(item)
      placed.add(item.id)
      place()
      placed.delete(item.id)
      order.pop()
    }
  }
  place()
  return (best as { order: readonly CourseItem[] } | null)?.order ?? null
}

/** Keeps the most promising partial orders of each length. */
function tryBeam(course: readonly CourseItem[], before: ReadonlyMap<string, ReadonlySet<string>>): readonly CourseItem[] | null {
  const even = evenRise(course)
  let beam: { order: CourseItem[]; cost: number }[] = [{ order: [], cost: 0 }]
  for (let length = 0; length < course.length; length += 1) {
    const next: { order: CourseItem[]; cost: number }[] = []
    for (const { order } of beam) {
      const placed = new Set(order.map((item) => item.id))
      for (const item of course) {
        if (placed.has(item.id) || ![...(before.get(item.id) ?? [])].every((id) => placed.has(id))) continue
        const longer = [...order, item]
        // A partial order that has left the easy ones behind pays for them later: count what it skipped.
        const skipped = course.filter((other) => !placed.has(other.id) && other.id !== item.id && other.difficulty < item.difficulty).length
        next.push({ order: longer, cost: costWith(longer, longer.length, even) + 0.3 * skipped })
      }
    }
    next.sort(
      (a, b) =>
        a.cost - b.cost ||
        a.order
          .map((item) => item.id)
          .join()
          .localeCompare(b.order.map((item) => item.id).join()),
    )
    beam = next.slice(0, BEAM)
  }
  return beam[0]?.order ?? null
}

/** Lessons filled in order; one exercise longer than a lesson has one to itself. */
function fillLessons(order: readonly CourseItem[], lessonMinutes: number): readonly (readonly string[])[] {
  const lessons: string[][] = []
  let minutes = Number.POSITIVE_INFINITY
  for (const item of order) {
    if (minutes + item.minutes > lessonMinutes) {
      lessons.push([])
      minutes = 0
    }
    lessons.at(-1)?.push(item.id)
    minutes += item.minutes
  }
  return lessons
}

export interface BrokenRule {
  readonly rule: 'rests-on' | 'after'
  /** The exercise that stands too early, and the one it needs. */
  readonly exercise: string
  readonly needs: string
  readonly sentence: string
}

/** What is wrong with an order, in sentences with the nearest repair. */
export function brokenRules(course: readonly CourseItem[], order: readonly string[]): readonly BrokenRule[] {
  const place = new Map(order.map((id, index) => [id, index] as const))
  const names = new Map(course.map((item) => [item.id, item.name] as const))
  const rests = restsOn(course)
  const broken: BrokenRule[] = []
  const at = (id: string): number => place.get(id) ?? Number.POSITIVE_INFINITY
  for (const item of course) {
    const late = new Map<string, Motion[]>()
    for (const { on, motion } of rests.get(item.id) ?? []) if (at(on) > at(item.id)) late.set(on, [...(late.get(on) ?? []), motion])
    for (const [on, motions] of late) {
      broken.push({
        rule: 'rests-on',
        exercise: item.id,
        needs: on,
        sentence: `\u201c${item.name}\u201d needs ${motions.map(motionWord).join(' and ')}, which \u201c${names.get(on) ?? on}\u201d teaches more easily. Move it to just after \u201c${names.get(on) ?? on}\u201d.`,
      })
    }
    for (const needs of item.after) {
      if (names.has(needs) && at(needs) > at(item.id))
        broken.push({
          rule: 'after',
          exercise: item.id,
          needs,
          sentence: `\u201c${item.name}\u201d lies over \u201c${names.get(needs)}\u201d on the cloth. Move it to just after \u201c${names.get(needs)}\u201d.`,
        })
    }
  }
  return broken
}

const COUNTS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight']
const ORDINALS = ['First', 'Second', 'Third', 'Fourth', 'Fifth', 'Sixth', 'Seventh', 'Eighth', 'Ninth', 'Tenth']

function explain(index: number, item: CourseItem, order: readonly CourseItem[], rests: readonly RestsOn[], fresh: readonly Motion[], rise: number): string {
  const place = ORDINALS[index] ?? `Number ${index + 1}`
  const needs = [...new Set(rests.map((one) => one.on))].map((id) => order.find((other) => other.id === id)?.name ?? id)
  const parts: string[] = []
  if (needs.length > 0) parts.push(`rests on ${needs.join(' and ')}`)
  parts.push(
    fresh.length === 0
      ? 'brings nothing new'
      : `brings ${fresh.length === 1 ? 'one new motion' : `${COUNTS[fresh.length] ?? fresh.length} new motions`}, ${fresh.map(motionWord).join(' and ')}`,
  )
  if (index > 0) parts.push(`step ${rise >= 0 ? '+' : '\u2212'}${Math.abs(Math.round(rise))}`)
  else parts.push(`difficulty ${Math.round(item.difficulty)}`)
  return `${place}: ${parts.join('; ')}.`
}

const MOTION_WORDS: Readonly<Record<Motion, string>> = {
  up: 'coming up',
  down: 'going down',
  'shared-hole': 'going back to a used hole',
  'turn-back': 'working backwards',
  split: 'splitting the thread',
  'leave-loop': 'leaving a loop',
  'catch-loop': 'catching the loop',
  'cross-loop': 'crossing the loop',
  'keep-side': 'keeping the thread to one side',
  wrap: 'wrapping the needle',
  'pass-under': 'sliding under a thread',
  'pass-over': 'passing over a thread',
  edge: 'landing on an edge',
  width: 'keeping the width even',
  alternate: 'alternating sides',
  wind: 'winding with the second hand',
  cast: 'casting on the needle',
  stand: 'working on a standing needle',
  weave: 'weaving over and under',
  eight: 'winding a figure of eight',
  angle: 'turning the angle',
  interlock: 'interlocking rows',
  count: 'counting',
  lay: 'laying a thread',
  tie: 'tying a thread down',
  plunge: 'taking a laid end to the back',
  pin: 'setting a pin',
  'round-pin': 'going round a pin',
  bead: 'taking a bead on',
  pad: 'padding',
  withdraw: 'drawing out cloth threads',
  cut: 'cutting the cloth',
}

export function motionWord(motion: Motion): string {
  return MOTION_WORDS[motion]
}
