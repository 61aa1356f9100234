/**
 * Needle, loose thread and thumb of a moment, as the picture lies. W is the thread's width. A needle that sews points from where it
 * goes in to where it comes out; the loose thread lies on the side on which it is kept, or under the point that catches it.
 */
import { distance, type Point } from '../geometry/index.ts'

export interface Needle {
  readonly eye: Point
  readonly tip: Point
  /** Under the cloth, as shares of the way from eye to tip. */
  readonly under: readonly [number, number] | null
  /** Under threads, likewise. */
  readonly hidden: readonly (readonly [number, number])[]
  /** Passed under thread, not into the cloth. */
  readonly blunt: boolean
}

export interface Pose {
  readonly needle: Needle | null
  /** Each a thread that is not yet laid: a way through these places. */
  readonly loose: readonly (readonly Point[])[]
  /** Where the free hand holds the thread, and from where it comes. */
  readonly thumb: { readonly at: Point; readonly from: Point } | null
  /** Which way to draw, from and to. */
  readonly pull: readonly [Point, Point] | null
  /** Turns on the needle, the first where it is, each so far on from the last. */
  readonly turns: { readonly first: Point; readonly step: Point; readonly across: Point; readonly count: number } | null
}

export const NOTHING_IN_HAND: Pose = { needle: null, loose: [], thumb: null, pull: null, turns: null }

const plus = (a: Point, b: Point, by = 1): Point => ({ x: a.x + b.x * by, y: a.y + b.y * by })
const minus = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y })
const half = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 })
const dot = (a: Point, b: Point): number => a.x * b.x + a.y * b.y

function unit(v: Point, otherwise: Point = { x: 1, y: 0 }): Point {
  const size = Math.hypot(v.x, v.y)
  return size < 1e-9 ? otherwise : { x: v.x / size, y: v.y / size }
}

/** To this side of a way; where the side says nothing, away from the hand. */
function normalToward(way: Point, side: Point, right: 1 | -1): Point {
  const n = { x: -way.y, y: way.x }
  const by = dot(n, side)
  return (Math.abs(by) > 1e-6 ? by : dot(n, { x: -right, y: 0.3 })) >= 0 ? n : { x: -n.x, y: -n.y }
}

/** Drawn through: the thread comes out here and leads to the needle. */
export function drawnOut(at: Point, way: Point, right: 1 | -1, W: number): Pose {
  const bow = normalToward(way, { x: 0, y: -1 }, right)
  const eye = plus(at, way, 8.5 * W)
  const beyond = unit(plus(way, bow, -0.35))
  return {
    ...NOTHING_IN_HAND,
    needle: { eye, tip: plus(eye, beyond, 11 * W), under: null, hidden: [], blunt: false },
    loose: [[at, plus(plus(at, way, 3.5 * W), bow, 1.6 * W), plus(eye, beyond, -1.2 * W), eye]],
    pull: [plus(plus(at, bow, 4 * W), way, 1.5 * W), plus(plus(at, bow, 4 * W), way, 8.5 * W)],
  }
}

/** The free hand comes from the learner's side; where it holds up a thread, from its own. */
const fromBelow = (at: Point, right: 1 | -1): Pose['thumb'] => ({ at, from: { x: -0.26 * right, y: 0.966 } })
const fromAside = (at: Point, right: 1 | -1): Pose['thumb'] => ({ at, from: { x: -0.94 * right, y: 0.34 } })

/** Straight down into a hole; the eye leans to the hand's side. `right`: 1 for the right hand, -1 for the left. */
export function stabbed(at: Point, right: 1 | -1, W: number): Pose {
  const lean = { x: right * 0.5, y: -0.866 }
  const [eye, tip] = [plus(at, lean, 11 * W), plus(at, lean, -5 * W)]
  return { ...NOTHING_IN_HAND, needle: { eye, tip, under: [11 / 16, 1], hidden: [], blunt: false } }
}

export interface Sewn {
  /** Where the thread came up last. */
  readonly from: Point
  readonly entry: Point
  readonly exit: Point
  /** The thread that follows catches a loop. */
  readonly loops: boolean
  /** The side on which the thread is kept, as seen; null where it is not said. */
  readonly kept: Point | null
  /** How far the point stands out, in widths, where it is more than usual. */
  readonly pointWidths?: number
  /** 1 for the right hand, -1 for the left. */
  readonly right: 1 | -1
  readonly W: number
}

export function sewn({ from: A, entry: P, exit: Q, loops, kept, pointWidths, right, W }: Sewn): Pose {
  const u = unit(minus(Q, P))
  const free = (pointWidths ?? (loops ? 4.75 : 2.5)) * W
  const [eye, tip] = [plus(P, u, -9.5 * W), plus(Q, u, free)]
  const long = distance(eye, tip)
  const needle: Needle = { eye, tip, under: [(9.5 * W) / long, 1 - free / long], hidden: [], blunt: false }
  const behindEye = plus(eye, u, -1.5 * W)
  if (loops && distance(A, P) < 2.5 * W) {
    // Round the point, and back to the eye on the other side.
    const size = distance(P, Q)
    const b = Math.max(0.55 * size, 4 * W)
    const n = normalToward(u, { x: -right, y: 0 }, right)
    const X = plus(Q, u, 0.65 * free)
    const H = plus(plus(P, u, 0.75 * size), n, b)
    const near = plus(plus(P, u, 0.75 * size), n, -b)
    return {
      ...NOTHING_IN_HAND,
      needle,
      loose: [[A, plus(plus(P, u, 0.15 * size), n, 0.7 * b), H, X, near, plus(plus(P, n, -0.8 * b), u, -5 * W), behindEye, eye]],
      thumb: fromBelow(H, right),
    }
  }
  const chord = unit(minus(P, A), { x: -u.x, y: -u.y })
  const side = kept ?? (loops ? minus(Q, half(A, P)) : Math.abs(u.y) > 0.5 ? { x: -u.x, y: -u.y } : { x: 0, y: 1 })
  const n = normalToward(chord, side, right)
  // Where the needle goes on away from it, the thread follows it.
  if (!loops && !kept && dot(minus(P, A), u) > 0.5 * distance(A, P)) {
    const bow = normalToward(u, { x: 0, y: 1 }, right)
    return { ...NOTHING_IN_HAND, needle, loose: [[A, plus(plus(A, bow, 3.5 * W), u, 1.2 * W), plus(plus(eye, bow, 3.5 * W), u, -1.2 * W), behindEye, eye]] }
  }
  const b = Math.max(0.4 * distance(A, P), 6 * W)
  const H = plus(half(A, P), n, b)
  const R = plus(plus(P, n, 0.7 * b), u, -6 * W)
  const way = loops
    ? [A, plus(half(A, plus(Q, u, 0.65 * free)), n, 0.15 * b), plus(Q, u, 0.65 * free), plus(R, n, 0.2 * b), behindEye, eye]
    : [A, H, R, behindEye, eye]
  return {
    ...NOTHING_IN_HAND,
    needle,
    loose: [way],
    thumb: loops ? fromBelow(plus(plus(Q, u, 0.65 * free), n, 1.2 * W), right) : kept ? fromBelow(H, right) : null,
  }
}

export interface Passed {
  readonly from: Point
  readonly at: Point
  /** Which way the needle runs, a unit vector. */
  readonly way: Point
  /** Where the work goes on, a unit vector. */
  readonly onward: Point
  readonly hitch: boolean
  readonly hidden: (eye: Point, tip: Point) => Needle['hidden']
  readonly right: 1 | -1
  readonly W: number
}

export function passed({ from: A, at, way, onward, hitch, hidden, right, W }: Passed): Pose {
  const [eye, tip] = [plus(at, way, -9 * W), plus(at, way, 5 * W)]
  const needle: Needle = { eye, tip, under: null, hidden: hidden(eye, tip), blunt: true }
  const behindEye = plus(eye, way, -1.5 * W)
  const side = normalToward(way, onward, right)
  if (!hitch) return { ...NOTHING_IN_HAND, needle, loose: [[A, plus(half(A, behindEye), side, 2.5 * W), behindEye, eye]] }
  const X = plus(at, way, 3.4 * W)
  return {
    ...NOTHING_IN_HAND,
    needle,
    loose: [[A, plus(half(A, X), side, -1.4 * W), X, plus(plus(at, side, 6 * W), way, 0.5 * W), plus(plus(at, side, 5 * W), way, -7 * W), behindEye, eye]],
    thumb: fromBelow(plus(X, way, 1.2 * W), right),
  }
}

export interface Wound {
  /** Where the thread came up. */
  readonly from: Point
  readonly turns: number
  readonly right: 1 | -1
  readonly W: number
}

/** The needle lies against the thread above the cloth, point to the free hand. */
export function woundInAir({ from: A, turns, right, W }: Wound): Pose {
  const c = plus(A, { x: -0.5 * right * W, y: -7 * W })
  const u = { x: -right * 0.97, y: 0.24 }
  const count = Math.max(1, turns)
  const first = plus(c, u, (1.05 * W * (count - 1)) / 2)
  const held = plus(c, { x: -right * 8 * W, y: -6.5 * W })
  const eye = plus(c, u, -10 * W)
  return {
    ...NOTHING_IN_HAND,
    needle: { eye, tip: plus(c, u, 7 * W), under: null, hidden: [], blunt: false },
    loose: [
      [A, plus(A, { x: -0.4 * right * W, y: -3.5 * W }), plus(first, { x: 0.2 * right * W, y: 0.7 * W })],
      [plus(plus(first, u, -1.05 * W * (count - 1)), { x: 0, y: -0.7 * W }), plus(half(c, held), { x: 0, y: -1.2 * W }), held],
      [eye, plus(eye, { x: right * 1.5 * W, y: 3 * W }), plus(eye, { x: right * 1 * W, y: 8 * W })],
    ],
    thumb: fromAside(held, right),
    turns: { first, step: { x: -u.x * 1.05 * W, y: -u.y * 1.05 * W }, across: { x: 0.3 * right, y: 0.95 }, count },
  }
}

/** On a needle that stands half out of the cloth: from the cloth outward. */
export function woundHalfOut({
  from,
  turns,
  right,
  W,
  entry: P,
  exit: Q,
  all,
}: Wound & { readonly entry: Point; readonly exit: Point; readonly all: number }): Pose {
  const u = unit(minus(Q, P), { x: -right, y: 0 })
  const point = (all + 4) * 1.05
  const posed = sewn({ from, entry: P, exit: Q, loops: false, kept: { x: 0, y: 1 }, pointWidths: point, right, W })
  const across = normalToward(u, { x: 0, y: 1 }, right)
  const first = plus(Q, u, 1.3 * W)
  const last = plus(first, u, 1.05 * W * (turns - 1))
  const held = plus(plus(last, { x: -right * 4 * W, y: -8 * W }), u, 0)
  return {
    ...posed,
    loose: [
      [from, plus(Q, across, 0.4 * W), plus(first, across, 0.7 * W)],
      [plus(last, { x: 0, y: -0.7 * W }), plus(half(last, held), { x: right * 0.8 * W, y: 0 }), held],
      [plus(P, { x: 0, y: 0 }), plus(P, { x: right * W, y: 3.5 * W }), plus(posed.needle?.eye ?? P, { x: 0, y: 3 * W }), posed.needle?.eye ?? P],
    ],
    thumb: fromAside(held, right),
    turns: { first, step: { x: u.x * 1.05 * W, y: u.y * 1.05 * W }, across, count: turns },
  }
}

/** Point in the cloth, turns on the shaft, the thread held taut. */
export function woundUpright({ from: A, at, turns, right, W }: Wound & { readonly at: Point }): Pose {
  const up = { x: right * 0.26, y: -0.966 }
  const [eye, tip] = [plus(at, up, 12 * W), plus(at, up, -4.5 * W)]
  const count = Math.max(1, turns)
  const first = plus(at, up, 1.2 * W)
  const last = plus(first, up, 1.05 * W * (count - 1))
  const held = plus(at, { x: -right * 10 * W, y: -3 * W })
  return {
    ...NOTHING_IN_HAND,
    needle: { eye, tip, under: [12 / 16.5, 1], hidden: [], blunt: false },
    loose: [
      [A, plus(half(A, first), { x: -right * 1 * W, y: -0.6 * W }), plus(first, { x: -right * 0.8 * W, y: 0 })],
      [plus(last, { x: -right * 0.8 * W, y: 0 }), plus(half(last, held), { x: 0, y: -0.8 * W }), held],
    ],
    thumb: fromAside(held, right),
    turns: { first, step: { x: up.x * 1.05 * W, y: up.y * 1.05 * W }, across: { x: -0.98, y: -0.2 * right }, count },
  }
}
