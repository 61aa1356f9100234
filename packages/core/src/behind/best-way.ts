/**
 * In which order, and from which end, pieces are worked so that as little as may be goes on behind the cloth. Exactly for a
 * few (Held and Karp 1962: the best way through every set of pieces, by where it ends); for many the best of several greedy
 * ways, mended by turning stretches round and putting pieces elsewhere until nothing is gained.
 */
import { type Point, sequenceFrom } from '../geometry/index.ts'

export interface Leg {
  readonly from: Point
  readonly to: Point
  /** It may as well be worked from its other end. */
  readonly canTurn: boolean
}

export interface Step {
  /** Index of the leg. */
  readonly leg: number
  readonly turned: boolean
}

export interface Way {
  readonly steps: readonly Step[]
  readonly cost: number
}

/** Where the needle is before the first piece; null where it begins anew. */
export type Start = Point | null
export type CostOf = (from: Point, to: Point) => number

/** So many are still looked through exactly: sets of 14 pieces, with where each ends, are 458,752. */
export const EXACT_LEGS = 14

export function bestWay(legs: readonly Leg[], costOf: CostOf, start: Start): Way {
  return legs.length <= EXACT_LEGS ? exactWay(legs, costOf, start) : goodWay(legs, costOf, start)
}

const entry = (leg: Leg, turned: boolean): Point => (turned ? leg.to : leg.from)
const exit = (leg: Leg, turned: boolean): Point => (turned ? leg.from : leg.to)

/** Of ways that cost the same, the one that begins with what was drawn first. */
const FIRST_DRAWN = 1e-7

/** `end`: where the needle goes on to after the last piece; null where it rests. */
export function exactWay(legs: readonly Leg[], costOf: CostOf, start: Start, end: Start = null): Way {
  const count = legs.length
  if (count === 0) return { steps: [], cost: 0 }
  const states = 2 * count
  const leg = (state: number): Leg => legs[state >> 1] as Leg
  const isOpen = (state: number): boolean => (state & 1) === 0 || leg(state).canTurn
  const full = (1 << count) - 1
  const best = new Float64Array((full + 1) * states).fill(Infinity)
  const from = new Int16Array((full + 1) * states).fill(-1)
  const hop = Array.from({ length: states * states }, (_, index) => {
    const [a, b] = [Math.floor(index / states), index % states]
    return costOf(exit(leg(a), (a & 1) === 1), entry(leg(b), (b & 1) === 1))
  })
  for (let state = 0; state < states; state += 1)
    if (isOpen(state)) best[(1 << (state >> 1)) * states + state] = FIRST_DRAWN * state + (start ? costOf(start, entry(leg(state), (state & 1) === 1)) : 0)
  for (let set = 1; set <= full; set += 1)
    for (let last = 0; last < states; last += 1) {
      const cost = best[set * states + last] as number
      if (cost === Infinity) continue
      for (let next = 0; next < states; next += 1) {
        if ((set & (1 << (next >> 1))) !== 0 || !isOpen(next)) continue
        const at = (set | (1 << (next >> 1))) * states + next
        const to = cost + (hop[last * states + next] as number)
        // By a hair's breadth nothing is gained: the first found stays, so that a way does not jump about.
        if (to < (best[at] as number) - 1e-9) {
          best[at] = to
          from[at] = last
        }
      }
    }
  const whole = (state: number): number => (best[full * states + state] as number) + (end ? costOf(exit(leg(state), (state & 1) === 1), end) : 0)
  let last = 0
  for (let state = 1; state < states; state += 1) if (whole(state) < whole(last) - 1e-9) last = state
  const steps: Step[] = []
  for (let set = full, state = last; state >= 0; ) {
    steps.unshift({ leg: state >> 1, turned: (state & 1) === 1 })
    const before = from[set * states + state] as number
    set &= ~(1 << (state >> 1))
    state = before
  }
  return { steps, cost: wayCost(steps, legs, costOf, start) }
}

/** Way after way is shaken and mended again: so often for a few pieces, less for many. */
const SHAKES = 30

export function goodWay(legs: readonly Leg[], costOf: CostOf, start: Start): Way {
  const many = Math.min(12, legs.length)
  const firsts = Array.from({ length: many }, (_, index): Step => ({ leg: Math.floor((index * legs.length) / many), turned: false }))
  const turnedToo = [null, ...firsts.flatMap((first) => (legs[first.leg]?.canTurn ? [first, { ...first, turned: true }] : [first]))]
  const better = (steps: readonly Step[]): Way => windowed(mended(steps, legs, costOf, start), legs, costOf, start)
  const ways = turnedToo.map((first) => better(greedy(legs, costOf, start, first)))
  let best = ways.reduce((one, way) => (way.cost < one.cost - 1e-9 ? way : one))
  const next = sequenceFrom(40_009)
  for (let shake = 0; shake < SHAKES && legs.length <= MOST_MENDED; shake += 1) {
    const way = better(shaken(best.steps, next))
    if (way.cost < best.cost - 1e-9) best = way
  }
  return best
}

/** Stretch by stretch as well as can be between what comes before and after, until nothing is gained. */
function windowed(way: Way, legs: readonly Leg[], costOf: CostOf, start: Start): Way {
  let { steps } = way
  for (let gained = true; gained; ) {
    gained = false
    for (let from = 0; from === 0 || from + WINDOW / 2 < steps.length; from += WINDOW / 2) {
      const stretch = steps.slice(from, from + WINDOW)
      const [before, after] = [steps[from - 1], steps[from + WINDOW]]
      const best = exactWay(
        stretch.map((step) => legs[step.leg] as Leg),
        costOf,
        before ? exit(legs[before.leg] as Leg, before.turned) : start,
        after ? entry(legs[after.leg] as Leg, after.turned) : null,
      )
      const placed = best.steps.map(({ leg, turned }): Step => ({ leg: (stretch[leg] as Step).leg, turned }))
      const next = [...steps.slice(0, from), ...placed, ...steps.slice(from + WINDOW)]
      if (wayCost(next, legs, costOf, start) < wayCost(steps, legs, costOf, start) - 1e-9) {
        steps = next
        gained = true
      }
    }
  }
  return { steps, cost: wayCost(steps, legs, costOf, start) }
}

/** An even number of pieces. */
const WINDOW = 8

/** Two stretches that follow each other change places: what single moves do not find. */
function shaken(steps: readonly Step[], next: () => number): readonly Step[] {
  const cuts = [0, 1, 2].map(() => Math.floor(next() * (steps.length + 1))).sort((a, b) => a - b) as [number, number, number]
  const [from, middle, to] = cuts
  return [...steps.slice(0, from), ...steps.slice(middle, to), ...steps.slice(from, middle), ...steps.slice(to)]
}

function greedy(legs: readonly Leg[], costOf: CostOf, start: Start, first: Step | null): readonly Step[] {
  const left = new Set(legs.keys())
  const steps: Step[] = []
  const take = (step: Step): void => {
    steps.push(step)
    left.delete(step.leg)
  }
  if (first) take(first)
  else if (!start) take({ leg: 0, turned: false })
  const begun = steps[0]
  let here = begun ? exit(legs[begun.leg] as Leg, begun.turned) : start
  while (left.size > 0) {
    let best: (Step & { cost: number }) | null = null
    for (const leg of left)
      for (const turned of (legs[leg] as Leg).canTurn ? [false, true] : [false]) {
        const cost = here ? costOf(here, entry(legs[leg] as Leg, turned)) : 0
        if (best === null || cost < best.cost) best = { leg, turned, cost }
      }
    const chosen = best as Step
    take({ leg: chosen.leg, turned: chosen.turned })
    here = exit(legs[chosen.leg] as Leg, chosen.turned)
  }
  return steps
}

function wayCost(steps: readonly Step[], legs: readonly Leg[], costOf: CostOf, start: Start): number {
  let here = start
  let cost = 0
  for (const { leg, turned } of steps) {
    const one = legs[leg] as Leg
    if (here) cost += costOf(here, entry(one, turned))
    here = exit(one, turned)
  }
  return cost
}

/** Rounds of mending: each looks at every stretch once. */
const MOST_ROUNDS = 30

function mended(steps: readonly Step[], legs: readonly Leg[], costOf: CostOf, start: Start): Way {
  let way: Way = { steps, cost: wayCost(steps, legs, costOf, start) }
  const tried = (next: readonly Step[]): boolean => {
    const cost = wayCost(next, legs, costOf, start)
    if (cost >= way.cost - 1e-9) return false
    way = { steps: next, cost }
    return true
  }
  // Of very many a round would take too long: the greedy way stands.
  if (steps.length > MOST_MENDED) return way
  const turnable = (stretch: readonly Step[]): readonly Step[] =>
    stretch.map((step) => ((legs[step.leg] as Leg).canTurn ? { leg: step.leg, turned: !step.turned } : step)).reverse()
  const count = steps.length
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    let gained = false
    for (let from = 0; from < count; from += 1)
      for (let to = from; to < count; to += 1) {
        const around = (stretch: readonly Step[]): readonly Step[] => [...way.steps.slice(0, from), ...stretch, ...way.steps.slice(to + 1)]
        // A stretch the other way round, its pieces turned with it where they may be, or as they were.
        gained = tried(around(turnable(way.steps.slice(from, to + 1)))) || gained
        gained = tried(around(way.steps.slice(from, to + 1).reverse())) || gained
      }
    for (let size = 1; size <= 3; size += 1)
      for (let from = 0; from + size <= count; from += 1)
        for (let to = 0; to <= count - size; to += 1) {
          if (to === from) continue
          const moved = way.steps.slice(from, from + size)
          const rest = [...way.steps.slice(0, from), ...way.steps.slice(from + size)]
          for (const stretch of [moved, turnable(moved)])
            if (tried([...rest.slice(0, to), ...stretch, ...rest.slice(to)])) {
              gained = true
              break
            }
        }
    if (!gained) break
  }
  return way
}

const MOST_MENDED = 60
