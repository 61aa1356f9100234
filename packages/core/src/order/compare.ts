/** What one order has over another, in things a teacher can count: jumps, rules, new things at once. */
import { capitalised, countWord } from '../units/index.ts'
import { brokenRules } from './broken.ts'
import { BREATHER, type CoursePlan, motionsToReturn } from './cost.ts'
import type { CourseItem } from './course.ts'
import { describePlan } from './describe.ts'
import { listInWords } from '../units/index.ts'
import type { CourseSettings } from './wishes.ts'

export interface PlanTally {
  readonly broken: number
  /** Steps above the limit. */
  readonly jumps: number
  /** Falls of more than a breather. */
  readonly falls: number
  /** New motions beyond the first of each lesson. */
  readonly crowded: number
  /** Motions that an order could bring back in time, and this one does not. */
  readonly lost: number
  /** Neighbours in the same stitch. */
  readonly alike: number
  readonly lessons: number
}

export function tallyOf(course: readonly CourseItem[], plan: CoursePlan, settings: CourseSettings): PlanTally {
  const { steps, motions } = describePlan(course, plan, settings)
  const stitch = new Map(course.map((item) => [item.id, item.stitch] as const))
  const fresh = new Map<number, number>()
  for (const step of steps) fresh.set(step.lesson, (fresh.get(step.lesson) ?? 0) + step.newMotions.length)
  const returning = new Set(motions.filter((story) => story.returns).map((story) => story.motion))
  return {
    broken: brokenRules(course, plan, settings).length,
    jumps: steps.filter((step) => step.tooSteep).length,
    falls: steps.filter((step) => step.place > 0 && step.rise < -BREATHER).length,
    crowded: [...fresh.values()].reduce((total, count) => total + Math.max(0, count - 1), 0),
    lost: motionsToReturn(course, settings).filter((motion) => !returning.has(motion)).length,
    alike: steps.filter((step, place) => place > 0 && stitch.get(step.id) === stitch.get((steps[place - 1] as { id: string }).id)).length,
    lessons: fresh.size,
  }
}

/** Fewer of a thing, one and several. */
const FEWER: readonly { readonly of: keyof PlanTally; readonly one: string; readonly many: string }[] = [
  { of: 'jumps', one: 'jump', many: 'jumps' },
  { of: 'falls', one: 'long fall', many: 'long falls' },
  { of: 'crowded', one: 'new thing on top of another', many: 'new things on top of others' },
  { of: 'alike', one: 'pair in the same stitch', many: 'pairs in the same stitch' },
  { of: 'lessons', one: 'lesson', many: 'lessons' },
]

/**
 * "Two fewer jumps, one rule kept; but one more long fall." Nothing that can be counted may differ, and the sentence says so:
 * then the steps only lie closer to the ramp, or the minutes are evener.
 */
export function compareInWords(mine: PlanTally, other: PlanTally): string {
  const better: string[] = []
  const worse: string[] = []
  for (const { of, one, many } of FEWER) {
    const fewer = mine[of] - other[of]
    if (fewer > 0) better.push(`${countWord(fewer)} fewer ${fewer === 1 ? one : many}`)
    if (fewer < 0) worse.push(`${countWord(-fewer)} more ${fewer === -1 ? one : many}`)
  }
  const kept = mine.broken - other.broken
  if (kept > 0) better.push(`${countWord(kept)} ${kept === 1 ? 'rule' : 'rules'} kept`)
  if (kept < 0) worse.push(`${countWord(-kept)} ${kept === -1 ? 'rule' : 'rules'} broken`)
  const back = mine.lost - other.lost
  if (back > 0) better.push(`${countWord(back)} more ${back === 1 ? 'motion comes' : 'motions come'} back in time`)
  if (back < 0) worse.push(`${countWord(-back)} ${back === -1 ? 'motion does' : 'motions do'} not come back in time`)
  if (better.length === 0 && worse.length === 0) return 'Nothing to count: only a more even climb, or evener lessons.'
  const gains = better.length > 0 ? andComma(better) : ''
  const losses = worse.length > 0 ? `${gains === '' ? '' : '; but '}${andComma(worse)}` : ''
  return `${capitalised(`${gains}${losses}`)}.`
}

/** Commas alone between two, as the short form of a comparison has it. */
function andComma(words: readonly string[]): string {
  return words.length === 2 ? words.join(', ') : listInWords(words)
}
