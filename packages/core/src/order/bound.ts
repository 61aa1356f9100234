/**
 * A proven lower bound. The rules that every exercise stands exactly once, and that there are so many lessons at most, are
 * let go and paid for with a price on each (Lagrangian relaxation); what is left is the cheapest walk through places, with the minutes used and whether the
 * lesson has something new as its state, which counts evenness, variety, novelty and minutes exactly. Prices
 * are moved towards "each once" by subgradients with Polyak's step (Held, Wolfe and Crowder 1974). Returns of motions are
 * left out here: they only add. The table of what is still to come serves the search as well.
 */
import { byDifficulty } from './course.ts'
import type { OrderProblem } from './problem.ts'

export interface Completion {
  /** No order costs less than this, returns left aside. */
  readonly bound: number
  /** The price of each item in this relaxation. */
  readonly price: Float64Array
  /** And of each lesson opened: 0 where there may be as many as one likes. */
  readonly lessonPrice: number
  /** Least cost, prices taken off, of all places after `place` when `last` stands there. */
  readonly after: (place: number, last: number, used: number, hasNew: number) => number
}

export interface BoundEffort {
  readonly rounds: number
  /** Called between rounds with the share done; may stop by answering false. */
  readonly onRound?: (share: number) => boolean
}

export function boundOrder(problem: OrderProblem, atMost: number, { rounds, onRound }: BoundEffort): Completion {
  const walks = new Walks(problem)
  let price = pricesOfSorting(problem)
  let best = price
  let lessonPrice = 0
  let bestLessonPrice = 0
  let bound = Number.NEGATIVE_INFINITY
  let pace = 1
  let idle = 0
  for (let round = 0; round < rounds; round += 1) {
    if (onRound && !onRound(round / rounds)) break
    const found = walks.cheapest(price, lessonPrice)
    if (found.cost > bound + 1e-9) {
      bound = found.cost
      best = price
      bestLessonPrice = lessonPrice
      idle = 0
    } else if (++idle >= 4) {
      pace /= 2
      idle = 0
    }
    let square = 0
    for (const times of found.times) square += (1 - times) ** 2
    // A price on lessons is never below nothing: fewer than there may be are allowed.
    const tooMany = found.lessons > problem.most || lessonPrice > 0 ? found.lessons - problem.most : 0
    square += tooMany ** 2
    if (square === 0 || bound >= atMost - 1e-9 || pace < 1e-3) break
    const step = (pace * Math.max(atMost - found.cost, 1e-3 * Math.abs(atMost))) / square
    price = price.map((one, item) => one + step * (1 - (found.times[item] as number)))
    lessonPrice = Math.max(0, lessonPrice + step * tooMany)
  }
  walks.cheapest(best, bestLessonPrice)
  return { bound, price: best, lessonPrice: bestLessonPrice, after: (place, last, used, hasNew) => walks.after(place, last, used, hasNew) }
}

/**
 * Prices to begin with. Were evenness all, the order by difficulty would be the best, and these its dual: what an item
 * costs in its place less what the place is worth, a place being worth more than the one before by what the two
 * items beside it would pay for the change, halfway between them.
 */
function pricesOfSorting({ items, count, atPlace }: OrderProblem): Float64Array<ArrayBuffer> {
  const sorted = byDifficulty(items.map(({ id, difficulty }, index) => ({ id, difficulty, index }))).map((one) => one.index)
  const price = new Float64Array(count)
  let worth = 0
  for (const [place, item] of sorted.entries()) {
    const before = sorted[place - 1]
    if (before !== undefined) {
      const change = (one: number): number => (atPlace[one * count + place] as number) - (atPlace[one * count + place - 1] as number)
      worth += (change(before) + change(item)) / 2
    }
    price[item] = (atPlace[item * count + place] as number) - worth
  }
  return price
}

interface Walk {
  readonly cost: number
  /** How often it visits each item. */
  readonly times: Int32Array
  readonly lessons: number
}

class Walks {
  /** Places from which, and up to which, each item may stand. */
  private readonly from: Int32Array
  private readonly to: Int32Array
  /** Items that may follow each at all. */
  private readonly follow: readonly Int32Array[]
  private readonly width: number
  private readonly table: Float64Array
  /** What opening a lesson costs. */
  private open = 0

  constructor(private readonly problem: OrderProblem) {
    const { count, earlier, later, room } = problem
    this.from = Int32Array.from(earlier, (list) => list.length)
    this.to = Int32Array.from(later, (list) => count - 1 - list.length)
    this.follow = earlier.map((list, last) => Int32Array.from(Array.from({ length: count }, (_, i) => i).filter((i) => i !== last && !list.includes(i))))
    this.width = 2 * (room + 1)
    this.table = new Float64Array(count * count * this.width)
  }

  after(place: number, last: number, used: number, hasNew: number): number {
    return this.table[(place * this.problem.count + last) * this.width + 2 * used + hasNew] as number
  }

  /** Fills the table for these prices; the cheapest walk. */
  cheapest(price: Float64Array, lessonPrice: number): Walk {
    const { count, opening } = this.problem
    this.open = opening + lessonPrice
    for (let place = count - 1; place >= 0; place -= 1) for (let last = 0; last < count; last += 1) this.fill(place, last, price)
    return this.trace(price, lessonPrice)
  }

  private fill(place: number, last: number, price: Float64Array): void {
    const { count, units, room, fullness, atPlace, next, fresh, freshAlone, freshMore } = this.problem
    const { width, table } = this
    const here = (place * count + last) * width
    if (place < (this.from[last] as number) || place > (this.to[last] as number)) {
      table.fill(Infinity, here, here + width)
      return
    }
    if (place === count - 1) {
      for (let used = 0; used <= room; used += 1) table[here + 2 * used] = table[here + 2 * used + 1] = fullness[used] as number
      return
    }
    table.fill(Infinity, here, here + width)
    let opened = Infinity
    const least = units[last] as number
    for (const item of this.follow[last] as Int32Array) {
      if (place + 1 < (this.from[item] as number) || place + 1 > (this.to[item] as number)) continue
      const there = ((place + 1) * count + item) * width
      const arc = (atPlace[item * count + place + 1] as number) + (next[last * count + item] as number) - (price[item] as number)
      const size = units[item] as number
      const isNew = (fresh[item] as number) > 0 ? 1 : 0
      const alone = arc + (freshAlone[fresh[item] as number] as number)
      const more = arc + (freshMore[fresh[item] as number] as number)
      const another = this.open + alone + (table[there + 2 * size + isNew] as number)
      if (another < opened) opened = another
      for (let used = least; used + size <= room; used += 1) {
        const target = there + 2 * (used + size)
        const plain = alone + (table[target + isNew] as number)
        if (plain < (table[here + 2 * used] as number)) table[here + 2 * used] = plain
        const second = more + (table[target + 1] as number)
        if (second < (table[here + 2 * used + 1] as number)) table[here + 2 * used + 1] = second
      }
    }
    for (let used = least; used <= room; used += 1) {
      const closed = (fullness[used] as number) + opened
      if (closed < (table[here + 2 * used] as number)) table[here + 2 * used] = closed
      if (closed < (table[here + 2 * used + 1] as number)) table[here + 2 * used + 1] = closed
    }
  }

  private trace(price: Float64Array, lessonPrice: number): Walk {
    const { count, units, room, fullness, atPlace, next, fresh, freshAlone, freshMore, most, lessonsCost } = this.problem
    const times = new Int32Array(count)
    let cost = Infinity
    let last = -1
    let lessons = 1
    for (let item = 0; item < count; item += 1) {
      const begun =
        this.open +
        (atPlace[item * count] as number) -
        (price[item] as number) +
        (freshAlone[fresh[item] as number] as number) +
        this.after(0, item, units[item] as number, (fresh[item] as number) > 0 ? 1 : 0)
      if (begun < cost) {
        cost = begun
        last = item
      }
    }
    if (last < 0) return { cost: Infinity, times, lessons: 0 }
    let used = units[last] as number
    let hasNew = (fresh[last] as number) > 0 ? 1 : 0
    times[last] = 1
    for (let place = 0; place + 1 < count; place += 1) {
      let least = Infinity
      let step = { item: -1, used: 0, hasNew: 0, opens: false }
      for (const item of this.follow[last] as Int32Array) {
        const arc = (atPlace[item * count + place + 1] as number) + (next[last * count + item] as number) - (price[item] as number)
        const size = units[item] as number
        const isNew = (fresh[item] as number) > 0 ? 1 : 0
        const another = this.open + (fullness[used] as number) + arc + (freshAlone[fresh[item] as number] as number) + this.after(place + 1, item, size, isNew)
        if (another < least) {
          least = another
          step = { item, used: size, hasNew: isNew, opens: true }
        }
        if (used + size > room) continue
        const joined = arc + ((hasNew ? freshMore : freshAlone)[fresh[item] as number] as number) + this.after(place + 1, item, used + size, hasNew | isNew)
        if (joined < least) {
          least = joined
          step = { item, used: used + size, hasNew: hasNew | isNew, opens: false }
        }
      }
      if (step.item < 0) break
      last = step.item
      used = step.used
      hasNew = step.hasNew
      if (step.opens) lessons += 1
      times[last] = (times[last] as number) + 1
    }
    return { cost: cost + price.reduce((total, one) => total + one, 0) + lessonsCost - lessonPrice * most, times, lessons }
  }
}
