/** The best order of a course: the search and its bound, taken in turns until the answer is proven or the steps are spent. */
import { boundOrder, type Completion } from './bound.ts'
import { type CostTerms, costOf, type CoursePlan, lessonAim } from './cost.ts'
import { type Conflict, conflictOf, findConflict } from './conflict.ts'
import { byDifficulty, type CourseItem } from './course.ts'
import { filledLessons } from './plan-of.ts'
import { type ExtraLessons, type OrderProblem, orderProblem } from './problem.ts'
import { isPin, type Rule, rulesOf } from './rules.ts'
import { searchOrder, type SearchResult } from './search.ts'
import type { CourseSettings } from './wishes.ts'

export interface OrderProgress {
  /** Share of the work that is done, 0 to 1. */
  readonly share: number
  readonly best: CoursePlan | null
  readonly cost: number
  readonly bound: number
}

export type OrderAnswer =
  | {
      readonly found: true
      readonly plan: CoursePlan
      readonly cost: CostTerms
      /** Proven: no permitted plan costs less. */
      readonly bound: number
      readonly optimal: boolean
      /** Plans grown by a place. */
      readonly steps: number
    }
  | { readonly found: false; readonly conflict: Conflict; readonly steps: number }

/** Called now and then; answers false to stop, and the best so far is the answer. */
export type OnProgress = (progress: OrderProgress) => boolean

/** Table cells that may be filled for the bound, and plans that may be grown: about two seconds for forty exercises. */
const BOUND_CELLS = 600_000_000
const GROWN = 1_300_000
/** As many plans of one length are kept when the course is small enough to prove outright. */
const MOST_KEPT = 150_000
const PROVEN_UP_TO = 14
/** Up to so many exercises a last search keeps more, which often proves what the one before it found. */
const WIDER_UP_TO = 26
const KEPT_WIDER = 12_000
/** An order is improved by letting each exercise overtake so many, keeping so many plans of one length. */
const REACH = 8
const KEPT_NEAR = 150
const MOST_TURNS = 8
/** To tell why nothing can be kept, so many rules are tried one by one, each with so many plans of a length. */
const MOST_TRIED = 60
const KEPT_TO_PROVE = 3000

export function findOrder(course: readonly CourseItem[], settings: CourseSettings, onProgress?: OnProgress): OrderAnswer {
  const rules = rulesOf(course, settings)
  const conflict = findConflict(course, rules, settings)
  if (conflict) return { found: false, conflict, steps: 0 }
  let steps = 0
  for (const extra of extraLessons(course, settings)) {
    const problem = orderProblem(course, settings, rules, extra)
    if (!problem) return { found: false, conflict: conflictOf(course, rules), steps }
    const finder = new Finder(problem, onProgress)
    const answer = finder.find()
    steps += answer.steps
    if (answer.plan) {
      const cost = costOf(answer.plan, course, settings)
      return { found: true, plan: answer.plan, cost, bound: answer.optimal ? cost.total : answer.bound, optimal: answer.optimal, steps }
    }
    if (problem.most >= course.length || finder.stopped) {
      const named = answer.optimal ? provenConflict(course, rules, settings) : suspectedConflict(course, rules)
      return { found: false, conflict: named, steps }
    }
  }
  return { found: false, conflict: suspectedConflict(course, rules), steps }
}

/** The wished number of lessons is kept if it can be; else one lesson more, and so on: the teacher sees that it was not. */
function extraLessons(course: readonly CourseItem[], settings: CourseSettings): readonly ExtraLessons[] {
  if (settings.lessons === null) return [null]
  const spare = Math.max(0, course.length - lessonAim(course, settings))
  return Array.from({ length: spare + 1 }, (_, extra) => extra)
}

/** No order keeps all the rules, and minutes have to do with it: what can be left out while that stays so is left out. */
function provenConflict(course: readonly CourseItem[], rules: readonly Rule[], settings: CourseSettings): Conflict {
  let left = rules
  const pins = left.filter(isPin)
  if (canBeKept(course, pins, settings) === false) left = pins
  for (const rule of left.slice(0, MOST_TRIED)) {
    const rest = left.filter((other) => other !== rule)
    if (canBeKept(course, rest, settings) === false) left = rest
  }
  return conflictOf(course, left, `; and a lesson has ${settings.lessonMinutes} minutes`)
}

function suspectedConflict(course: readonly CourseItem[], rules: readonly Rule[]): Conflict {
  const pins = rules.filter(isPin)
  const { sentence } = conflictOf(course, pins)
  return {
    rules: pins,
    sentence: sentence.replace('These cannot all be kept', 'No order was found that keeps all of these, though it is not proven that there is none'),
  }
}

/** The best lessons for an order that stays as it is; null where it breaks a rule. */
export function divideIntoLessons(course: readonly CourseItem[], ids: readonly string[], settings: CourseSettings): CoursePlan | null {
  const inTurn = ids.slice(1).map((then, index): Rule => ({ kind: 'before', first: ids[index] as string, or: [], then, because: { why: 'pinned-before' } }))
  for (const extra of extraLessons(course, settings)) {
    const problem = orderProblem(course, settings, [...rulesOf(course, settings), ...inTurn], extra)
    if (!problem || problem.count === 0) return null
    const { lessons } = searchOrder(problem, boundOrder(problem, Infinity, { rounds: 1 }), Infinity, { width: KEPT_NEAR })
    if (lessons) return named(problem, lessons)
  }
  return null
}

/** The order by difficulty in the best lessons for it; `allowed`: it breaks no rule. */
export function sortedPlan(course: readonly CourseItem[], settings: CourseSettings): { readonly plan: CoursePlan; readonly allowed: boolean } {
  const sorted = byDifficulty(course)
  const divided = divideIntoLessons(
    course,
    sorted.map((item) => item.id),
    settings,
  )
  return { plan: divided ?? { lessons: filledLessons(sorted, settings) }, allowed: divided !== null }
}

function named({ items }: OrderProblem, lessons: readonly (readonly number[])[]): CoursePlan {
  return { lessons: lessons.map((lesson) => lesson.map((item) => (items[item] as CourseItem).id)) }
}

class Finder {
  private best: SearchResult['lessons'] = null
  private cost = Infinity
  private bound = 0
  private steps = 0
  stopped = false

  constructor(
    private readonly problem: OrderProblem,
    private readonly onProgress: OnProgress | undefined,
  ) {}

  find(): Found {
    const { count, room } = this.problem
    if (count === 0) return this.answer(true)
    const small = count <= PROVEN_UP_TO
    const width = Math.max(12, Math.min(MOST_KEPT, Math.round(GROWN / count ** 2)))
    let completion = boundOrder(this.problem, Infinity, { rounds: 1 })
    this.improve(completion, byDifficultyAllowed(this.problem), 0, 0.1)
    if (!this.best && this.turn(completion, Math.min(30, width), 0.1, 0.2)) return this.answer(true)
    const rounds = Math.max(6, Math.min(60, Math.round(BOUND_CELLS / (count ** 3 * room))))
    if (!this.stopped && this.best) {
      completion = boundOrder(this.problem, this.cost, { rounds, onRound: (share) => this.tell(0.2 + 0.3 * share) })
      this.bound = Math.max(this.bound, completion.bound)
      this.improve(completion, this.best.flat(), 0.5, 0.7)
    }
    if (!this.stopped && this.turn(completion, small ? MOST_KEPT : width, 0.7, 1)) return this.answer(true)
    // A course between small and large is often proven once more plans are kept; what the first search found is the line to beat.
    if (!this.stopped && !small && count <= WIDER_UP_TO && this.turn(completion, KEPT_WIDER, 0.85, 1)) return this.answer(true)
    return this.answer(false)
  }

  /** The best within reach of an order, again and again until there is none better. */
  private improve(completion: Completion, from: readonly number[], begin: number, end: number): void {
    let order = from
    for (let turn = 0; turn < MOST_TURNS && !this.stopped; turn += 1) {
      const share = begin + ((end - begin) * turn) / MOST_TURNS
      const found = searchOrder(this.problem, completion, this.cost, { width: KEPT_NEAR, near: { order, reach: REACH }, onPlace: () => this.tell(share) })
      this.steps += found.steps
      if (!found.lessons || found.cost >= this.cost - 1e-9) return
      this.best = found.lessons
      this.cost = found.cost
      order = found.lessons.flat()
    }
  }

  /** True when the best known is proven. */
  private turn(completion: Completion, width: number, from: number, to: number): boolean {
    const found = searchOrder(this.problem, completion, this.cost, { width, onPlace: (share) => this.tell(from + (to - from) * share) })
    this.steps += found.steps
    this.bound = Math.max(this.bound, Math.min(found.bound, this.cost))
    if (found.lessons && found.cost < this.cost) {
      this.best = found.lessons
      this.cost = found.cost
    }
    if (found.complete) this.bound = this.cost
    return found.complete || this.bound >= this.cost - 1e-9
  }

  private plan(): CoursePlan | null {
    return this.best && named(this.problem, this.best)
  }

  private tell(share: number): boolean {
    if (this.onProgress && !this.onProgress({ share, best: this.plan(), cost: this.cost, bound: this.bound })) this.stopped = true
    return !this.stopped
  }

  private answer(optimal: boolean): Found {
    const plan = this.problem.count === 0 ? { lessons: [] } : this.plan()
    return { plan, bound: this.bound, optimal, steps: this.steps }
  }
}

interface Found {
  readonly plan: CoursePlan | null
  readonly bound: number
  readonly optimal: boolean
  readonly steps: number
}

/** Whether some order keeps these rules; null where the search was not wide enough to say. */
function canBeKept(course: readonly CourseItem[], rules: readonly Rule[], settings: CourseSettings): boolean | null {
  const problem = orderProblem(course, settings, rules)
  if (!problem) return false
  const found = searchOrder(problem, boundOrder(problem, Infinity, { rounds: 1 }), Infinity, { width: KEPT_TO_PROVE })
  return found.lessons ? true : found.complete ? false : null
}

/** The easiest first, of those whose turn it may be. */
function byDifficultyAllowed({ items, earlier, earlierAny }: OrderProblem): number[] {
  const order: number[] = []
  const placed = new Set<number>()
  const waiting = byDifficulty(items.map(({ id, difficulty }, index) => ({ id, difficulty, index }))).map((one) => one.index)
  while (waiting.length > 0) {
    const at = waiting.findIndex(
      (item) =>
        (earlier[item] as readonly number[]).every((one) => placed.has(one)) &&
        (earlierAny[item] as readonly (readonly number[])[]).every((any) => any.some((one) => placed.has(one))),
    )
    const [item] = waiting.splice(Math.max(0, at), 1) as [number]
    order.push(item)
    placed.add(item)
  }
  return order
}
