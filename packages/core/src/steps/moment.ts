/**
 * The moving hand: a step at a moment of it, as a pure function of step and time. The needle comes and goes in, the thread is drawn
 * through and its loop closes to where it lies. Nothing is kept from the moment before.
 */
import type { Point } from '../geometry/index.ts'
import type { Demonstration, Step } from './demonstrate.ts'
import type { Needle, Pose } from './pose.ts'

/** Of the time of a step the needle needs so much to come to its place; then it rests. */
const COMES = 0.8
const DRAWN = 0.85
/** So far before its hole a needle is first seen, as a share of its length. */
const AWAY = 0.15

/** Seconds that a step takes at the usual speed. */
export function secondsOf({ gesture, moment, pose }: Pick<Step, 'gesture' | 'moment' | 'pose'>): number {
  if (moment === 'group') return 1.6
  if (moment === 'turn' || moment === 'turns') return 1.2 + 0.12 * (pose.turns?.count ?? 1)
  return gesture === 'sew' || gesture === 'pass' || gesture === 'half' ? 2.2 : 1.6
}

/** `share`: 0 as the step begins, 1 as its picture shows it. */
export function momentAt({ steps, segments }: Pick<Demonstration, 'steps' | 'segments'>, index: number, share: number): Step | null {
  const step = steps[index]
  if (!step || !(share < 1)) return step ?? null
  const before = steps[index - 1]
  const time = Math.max(0, share)
  const { needle } = step.pose
  if (!needle) return step
  if (needle.under || needle.blunt)
    return {
      ...step,
      sequence: step.gesture === 'sew' ? step.sequence : (before?.sequence ?? step.from),
      pose: comingIn(step.pose, needle, ease(time / COMES)),
    }
  const drawn = ease(time / DRAWN)
  const follows = before && before.gesture === step.gesture && before.moment === 'in' && step.moment === 'drawn' ? before : null
  const lying = follows ? segments.filter(({ side, sequence }) => side === 'front' && sequence > follows.sequence && sequence <= step.sequence) : []
  const closing = follows ? closingTo(follows.pose.loose[0] ?? [], lying[0]?.points ?? [], drawn) : null
  const pose = drawnOutTo(step.pose, needle, drawn)
  return {
    ...step,
    sequence: closing ? (follows?.sequence ?? step.sequence) : step.sequence,
    pose: closing ? { ...pose, loose: [closing, ...pose.loose] } : pose,
  }
}

/** x²(3 - 2x), held to 0 and 1. */
function ease(share: number): number {
  const x = Math.min(1, Math.max(0, share))
  return x * x * (3 - 2 * x)
}

const between = (a: Point, b: Point, share: number): Point => ({ x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share })

/** Along its own way into its place; what is under the cloth grows from where it goes in. */
function comingIn(pose: Pose, needle: Needle, come: number): Pose {
  const { eye, tip } = needle
  const [first, last] = needle.under ?? needle.hidden[0] ?? [0.5, 0.5]
  const back = (1 - first + AWAY) * (1 - come)
  const by = { x: (eye.x - tip.x) * back, y: (eye.y - tip.y) * back }
  const moved = (at: Point): Point => ({ x: at.x + by.x, y: at.y + by.y })
  const shifted = (share: number): number => Math.min(1, share + back)
  const under = needle.under && shifted(first) < 1 ? ([shifted(first), shifted(last)] as const) : null
  const hidden = needle.hidden.flatMap(([from, to]) => (shifted(from) < 1 ? [[shifted(from), shifted(to)] as const] : []))
  return {
    ...pose,
    needle: { ...needle, eye: moved(eye), tip: moved(tip), under, hidden },
    // The thread's end is in its eye.
    loose: pose.loose.map((way) => way.map((at, index) => (index >= way.length - 2 && isAt(way[way.length - 1], eye) ? moved(at) : at))),
  }
}

const isAt = (at: Point | undefined, other: Point): boolean => at !== undefined && Math.hypot(at.x - other.x, at.y - other.y) < 1e-6

/** Out of its hole, thread after it. */
function drawnOutTo(pose: Pose, needle: Needle, drawn: number): Pose {
  const hole = pose.loose[0]?.[0] ?? needle.eye
  const eye = between(hole, needle.eye, drawn)
  return {
    ...pose,
    needle: { ...needle, eye, tip: { x: eye.x + needle.tip.x - needle.eye.x, y: eye.y + needle.tip.y - needle.eye.y } },
    loose: pose.loose.map((way) => way.map((at) => between(hole, at, drawn))),
    pull: drawn < 1 ? pose.pull : null,
  }
}

/** The loose thread on its way to where it lies: each place straight to its own. */
function closingTo(loose: readonly Point[], lying: readonly Point[], drawn: number): readonly Point[] | null {
  if (loose.length < 2 || lying.length < 2) return null
  return loose.map((at, index) => between(at, alongAt(lying, index / (loose.length - 1)), drawn))
}

/** The place at a share of a polyline's length. */
function alongAt(points: readonly Point[], share: number): Point {
  const lengths = points.slice(1).map((at, index) => Math.hypot(at.x - (points[index] as Point).x, at.y - (points[index] as Point).y))
  let left = lengths.reduce((sum, one) => sum + one, 0) * share
  for (const [index, length] of lengths.entries()) {
    if (left <= length && length > 0) return between(points[index] as Point, points[index + 1] as Point, left / length)
    left -= length
  }
  const { x, y } = points[points.length - 1] as Point
  return { x, y }
}
