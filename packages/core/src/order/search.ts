/**
 * The search: plans are grown place by place, all of one length side by side. Two that have placed the same
 * exercises and leave the same future are one, the cheaper (dynamic programming over sets, Held and Karp 1962); one that
 * cannot beat the best plan known, by the bound on what is still to come, is dropped. While nothing else is
 * dropped the answer is proven. When a length has more plans than may be kept, the most promising stay, and the
 * least bound among those let go is what is proven. Steps, not the clock, end it: the same course gives the same answer.
 */
import { RETURN_FROM, RETURN_TO } from './cost.ts'
import type { Completion } from './bound.ts'
import type { OrderProblem } from './problem.ts'

interface Node {
  readonly parent: Node | null
  readonly item: number
  /** Begins a lesson. */
  readonly opens: boolean
  /** Bits of the items placed, 31 to a number. */
  readonly placed: readonly number[]
  readonly cost: number
  readonly least: number
  readonly used: number
  readonly hasNew: number
  readonly lesson: number
  /** Minutes in fives of what is not yet placed. */
  readonly left: number
  /** For each motion that should return: -1 not met, -2 settled, otherwise the lesson in which it was first met. */
  readonly met: readonly number[]
}

/** A plan and what might be placed next; `cost` holds the prices of what is not yet placed, so that `least` is a bound. */
interface Step {
  readonly node: Node
  readonly item: number
  readonly opens: boolean
  readonly cost: number
  readonly least: number
  readonly used: number
  readonly hasNew: number
}

export interface SearchResult {
  /** Indices of items, lesson by lesson; null where no permitted plan was found. */
  readonly lessons: readonly (readonly number[])[] | null
  readonly cost: number
  /** Proven: no permitted plan costs less. */
  readonly bound: number
  readonly steps: number
  /** Every plan was tried or shown to cost more. */
  readonly complete: boolean
}

const BITS = 31
const MET_NOT = -1
const SETTLED = -2

export interface SearchEffort {
  readonly width: number
  /** Only plans in which nothing overtakes what stands `reach` places or more before it in this order (Balas and Simonetti 2001). */
  readonly near?: { readonly order: readonly number[]; readonly reach: number }
  readonly onPlace?: (share: number) => boolean
}

export function searchOrder(problem: OrderProblem, completion: Completion, atMost: number, { width, near, onPlace }: SearchEffort): SearchResult {
  const search = new Search(problem, completion, atMost, near)
  let layer: readonly Node[] = [search.root()]
  let letGo = Infinity
  for (let place = 0; place < problem.count; place += 1) {
    if (onPlace && !onPlace(place / problem.count)) return { lessons: null, cost: Infinity, bound: completion.bound, steps: search.steps, complete: false }
    const grown = search.grow(layer, place, width)
    letGo = Math.min(letGo, grown.letGo)
    layer = grown.kept
  }
  let best: Node | null = null
  for (const node of layer) if (best === null || node.least < best.least) best = node
  const cost = best?.least ?? Infinity
  return {
    lessons: best ? lessonsOf(best) : null,
    cost,
    bound: near ? completion.bound : Math.max(completion.bound, Math.min(letGo, cost, atMost)),
    steps: search.steps,
    complete: letGo === Infinity && near === undefined,
  }
}

/** Ties by what was placed, so that nothing depends on how a table happens to be filled. */
function byPromise(a: Node, b: Node): number {
  return a.least - b.least || a.item - b.item || compare(a.placed, b.placed) || a.used - b.used || a.lesson - b.lesson || compare(a.met, b.met)
}

function compare(a: readonly number[], b: readonly number[]): number {
  for (const [index, one] of a.entries()) if (one !== b[index]) return one - (b[index] as number)
  return 0
}

function lessonsOf(last: Node): number[][] {
  const back: Node[] = []
  for (let node: Node | null = last; node && node.item >= 0; node = node.parent) back.push(node)
  const lessons: number[][] = []
  for (const node of back.reverse()) {
    if (node.opens) lessons.push([])
    lessons.at(-1)?.push(node.item)
  }
  return lessons
}

class Search {
  steps = 0
  /** Whether it matters which lesson it is. */
  private readonly countsLessons: boolean
  private readonly hasCompany: boolean
  private readonly masks: readonly (readonly number[])[]
  /** Prices of all items: those placed have been paid. */
  private readonly allPrices: number
  /** For each item, sets of which one must have been placed. */
  private readonly anyMasks: readonly (readonly (readonly number[])[])[]
  /** For each item, those that bring one of its motions if they come first. */
  private readonly unlessMasks: readonly (readonly (readonly number[])[])[]
  /** For each item, which of the motions that should return it has. */
  private readonly motions: readonly (readonly number[])[]

  constructor(
    private readonly problem: OrderProblem,
    private readonly completion: Completion,
    private readonly atMost: number,
    near: SearchEffort['near'],
  ) {
    const words = Math.ceil(problem.count / BITS)
    const maskOf = (items: readonly number[]): number[] => {
      const mask = new Array<number>(words).fill(0)
      for (const item of items) mask[Math.floor(item / BITS)] = (mask[Math.floor(item / BITS)] as number) | (1 << (item % BITS))
      return mask
    }
    const place = new Map(near?.order.map((item, at) => [item, at] as const))
    this.masks = problem.earlier.map((earlier, item) =>
      maskOf(near ? [...earlier, ...near.order.slice(0, Math.max(0, (place.get(item) as number) - near.reach + 1))] : earlier),
    )
    this.anyMasks = problem.earlierAny.map((sets) => sets.map(maskOf))
    this.unlessMasks = problem.freshUnless.map((sets) => sets.map(maskOf))
    this.countsLessons = problem.most < problem.count || problem.lesson.some((one) => one >= 0)
    this.hasCompany = problem.with.some((companions) => companions.length > 0)
    this.allPrices = completion.price.reduce((total, one) => total + one, 0) + problem.lessonsCost - completion.lessonPrice * problem.most
    this.motions = problem.items.map((_, item) => problem.returns.flatMap((having, at) => (having.includes(item) ? [at] : [])))
  }

  root(): Node {
    const placed = new Array<number>(Math.max(1, Math.ceil(this.problem.count / BITS))).fill(0)
    const met = this.problem.returns.map(() => MET_NOT)
    return { parent: null, item: -1, opens: false, placed, cost: this.allPrices, least: 0, used: 0, hasNew: 0, lesson: -1, left: this.problem.totalUnits, met }
  }

  /**
   * All plans one place longer, as far as they can still beat the best known. Each is weighed first by a figure that is
   * quickly had and never too high; only the promising ones are built. `letGo`: nothing that was dropped for want
   * of room costs less.
   */
  grow(layer: readonly Node[], place: number, width: number): { readonly kept: readonly Node[]; readonly letGo: number } {
    const steps = this.stepsFrom(layer, place)
    let letGo = Infinity
    // Many lead to the same future, so more are built than are kept.
    const most = 3 * width
    let promising = steps
    if (steps.length > most) {
      const line = Float64Array.from(steps, (step) => step.least).sort()[most] as number
      promising = steps.filter((step) => step.least < line)
      letGo = line
    }
    const kept = new Map<string, Node>()
    for (const step of promising) {
      const node = this.take(step)
      if (!node) continue
      const key = this.futureOf(node)
      const other = kept.get(key)
      if (!other || node.cost < other.cost - 1e-9) kept.set(key, node)
    }
    const nodes = [...kept.values()]
    if (nodes.length <= width) return { kept: nodes, letGo }
    nodes.sort(byPromise)
    return { kept: nodes.slice(0, width), letGo: Math.min(letGo, (nodes[width] as Node).least) }
  }

  private stepsFrom(layer: readonly Node[], place: number): Step[] {
    const { count, units, room, fullness, atPlace, next, freshAlone, freshMore, most, opening, lesson: pinned } = this.problem
    const steps: Step[] = []
    const open = opening + this.completion.lessonPrice
    for (const node of layer) {
      // What is left must fit into the lessons that there may still be.
      const lessonsLeft = most - node.lesson - 1
      const mayOpen = lessonsLeft > 0 && node.left <= lessonsLeft * room && (node.item < 0 || this.mayClose(node))
      for (let item = 0; item < count; item += 1) {
        if (has(node.placed, item) || !this.mayFollow(node.placed, item)) continue
        this.steps += 1
        const size = units[item] as number
        const fresh = this.freshIn(node.placed, item)
        const isNew = fresh > 0 ? 1 : 0
        const pin = pinned[item] as number
        const arc =
          node.cost -
          (this.completion.price[item] as number) +
          (atPlace[item * count + place] as number) +
          (node.item < 0 ? 0 : (next[node.item * count + item] as number))
        if (mayOpen && (pin < 0 || pin === node.lesson + 1)) {
          const cost = arc + open + (node.item < 0 ? 0 : (fullness[node.used] as number)) + (freshAlone[fresh] as number)
          const after = this.completion.after(place, item, size, isNew)
          if (cost + after < this.atMost - 1e-9) steps.push({ node, item, opens: true, cost, least: cost + after, used: size, hasNew: isNew })
        }
        if (node.item >= 0 && node.used + size <= room && (pin < 0 || pin === node.lesson)) {
          const cost = arc + ((node.hasNew ? freshMore : freshAlone)[fresh] as number)
          const hasNew = node.hasNew | isNew
          const after = this.completion.after(place, item, node.used + size, hasNew)
          if (cost + after < this.atMost - 1e-9) steps.push({ node, item, opens: false, cost, least: cost + after, used: node.used + size, hasNew })
        }
      }
    }
    return steps
  }

  private mayFollow(placed: readonly number[], item: number): boolean {
    const mask = this.masks[item] as readonly number[]
    for (let word = 0; word < mask.length; word += 1) {
      const bits = mask[word] as number
      if (((placed[word] as number) & bits) !== bits) return false
    }
    for (const any of this.anyMasks[item] as readonly (readonly number[])[]) if (!meets(placed, any)) return false
    return true
  }

  /** Motions that come to the course with this item, after what is placed. */
  private freshIn(placed: readonly number[], item: number): number {
    let fresh = this.problem.fresh[item] as number
    for (const others of this.unlessMasks[item] as readonly (readonly number[])[]) if (!meets(placed, others)) fresh += 1
    return fresh
  }

  /** The step as a plan of its own, with the motions that can no longer return paid for. */
  private take({ node, item, opens, cost, least, used, hasNew }: Step): Node | null {
    const lesson = opens ? node.lesson + 1 : node.lesson
    const placed = [...node.placed]
    placed[Math.floor(item / BITS)] = (placed[Math.floor(item / BITS)] as number) | (1 << (item % BITS))
    const { met, unreturned } = this.noteMotions(node, item, lesson, placed)
    // Lessons that were allowed and not held were paid for in the relaxation.
    const left = node.left - (this.problem.units[item] as number)
    const unheld = left === 0 ? this.completion.lessonPrice * (this.problem.most - lesson - 1) : 0
    const paid = unreturned * this.problem.returnCost + unheld
    if (least + paid >= this.atMost - 1e-9) return null
    return { parent: node, item, opens, placed, cost: cost + paid, least: least + paid, used, hasNew, lesson, left, met }
  }

  /** No one who must share the lesson is left out, and no one is pinned to it who is not in it. */
  private mayClose(node: Node): boolean {
    const { lesson: pinned, with: companions } = this.problem
    if (this.hasCompany)
      for (let one: Node | null = node; one && one.item >= 0; one = one.opens ? null : one.parent) {
        for (const other of companions[one.item] as readonly number[]) if (!has(node.placed, other)) return false
      }
    if (this.countsLessons) for (const [item, lesson] of pinned.entries()) if (lesson === node.lesson && !has(node.placed, item)) return false
    return true
  }

  private noteMotions(node: Node, item: number, lesson: number, placed: readonly number[]): { met: readonly number[]; unreturned: number } {
    const { returns } = this.problem
    const met = [...node.met]
    let unreturned = 0
    for (const at of this.motions[item] as readonly number[]) {
      const first = met[at] as number
      if (first === MET_NOT) met[at] = lesson
      else if (first >= 0 && lesson - first >= RETURN_FROM && lesson - first <= RETURN_TO) met[at] = SETTLED
    }
    for (let at = 0; at < met.length; at += 1) {
      const first = met[at] as number
      if (first < 0) continue
      if (lesson - first <= RETURN_TO && anyLeft(returns[at] as readonly number[], placed)) continue
      met[at] = SETTLED
      unreturned += 1
    }
    return { met, unreturned }
  }

  /** Two nodes with the same future are one. */
  private futureOf(node: Node): string {
    let key = String.fromCharCode(node.item, node.used, node.hasNew, this.countsLessons ? node.lesson : 0)
    for (const word of node.placed) key += String.fromCharCode(word & 0xffff, word >>> 16)
    for (const first of node.met) key += String.fromCharCode(first < 0 ? 100 - first : node.lesson - first)
    return this.hasCompany ? `${key};${this.waiting(node)}` : key
  }

  /** Companions that this lesson still waits for. */
  private waiting(node: Node): string {
    const waiting: number[] = []
    for (let one: Node | null = node; one && one.item >= 0; one = one.opens ? null : one.parent) {
      for (const other of this.problem.with[one.item] as readonly number[]) if (!has(node.placed, other)) waiting.push(other)
    }
    return waiting.sort((a, b) => a - b).join()
  }
}

function has(placed: readonly number[], item: number): boolean {
  return ((placed[Math.floor(item / BITS)] as number) & (1 << (item % BITS))) !== 0
}

function meets(placed: readonly number[], mask: readonly number[]): boolean {
  for (const [word, bits] of mask.entries()) if (((placed[word] as number) & bits) !== 0) return true
  return false
}

function anyLeft(items: readonly number[], placed: readonly number[]): boolean {
  for (const item of items) if (!has(placed, item)) return true
  return false
}
