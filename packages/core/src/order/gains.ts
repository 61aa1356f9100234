/** What moving one exercise would gain: the few moves that help the present order most, each said in things one can count. */
import { brokenRules, put } from './broken.ts'
import { compareInWords, tallyOf } from './compare.ts'
import { costOf, type CoursePlan } from './cost.ts'
import type { CourseItem } from './course.ts'
import type { CourseSettings } from './wishes.ts'

export interface OrderGain {
  readonly id: string
  /** "Hail after Isobar, in lesson 4." */
  readonly sentence: string
  /** "One fewer jump; but one more long fall." */
  readonly words: string
  readonly plan: CoursePlan
  /** How much less the order costs. */
  readonly gain: number
}

/** Less than this nobody would move an exercise for. */
const LEAST_GAIN = 0.5

/** At most `most`, the best first, each of another exercise; none breaks a rule that is kept now. */
export function gainsOf(course: readonly CourseItem[], plan: CoursePlan, settings: CourseSettings, most = 3): readonly OrderGain[] {
  const names = new Map(course.map((item) => [item.id, item.name] as const))
  const now = costOf(plan, course, settings).total
  const candidates: { readonly id: string; readonly after: string | null; readonly lesson: number; readonly plan: CoursePlan; readonly gain: number }[] = []
  for (const id of names.keys())
    for (const [lesson, ids] of plan.lessons.entries())
      for (const after of [null, ...ids]) {
        if (after === id || isThere(ids, id, after)) continue
        const moved = put(plan, id, lesson, after === null ? 'begin' : { after })
        const gain = now - costOf(moved, course, settings).total
        if (gain >= LEAST_GAIN) candidates.push({ id, after, lesson, plan: moved, gain })
      }
  candidates.sort((a, b) => b.gain - a.gain)
  const broken = new Set(brokenRules(course, plan, settings).map((one) => one.sentence))
  const mine = tallyOf(course, plan, settings)
  const gains: OrderGain[] = []
  for (const { id, after, lesson, plan: moved, gain } of candidates) {
    if (gains.length >= most) break
    if (gains.some((one) => one.id === id)) continue
    // What is broken otherwise is no gain, however even the climb.
    const worse = brokenRules(course, moved, settings)
    if (worse.length > broken.size || worse.some((one) => !broken.has(one.sentence))) continue
    const where = after === null ? `first in lesson ${lesson + 1}` : `after ${names.get(after) ?? after}, in lesson ${lesson + 1}`
    gains.push({ id, sentence: `${names.get(id) ?? id} ${where}`, words: compareInWords(mine, tallyOf(course, moved, settings)), plan: moved, gain })
  }
  return gains
}

/** It stands there already. */
function isThere(ids: readonly string[], id: string, after: string | null): boolean {
  return ids.indexOf(id) >= 0 && ids.indexOf(id) === (after === null ? 0 : ids.indexOf(after) + 1)
}
