/**
 * What rests on what, from the moves alone; it does not depend on the order. For each motion of an exercise, on the
 * exercise of the course in the simplest stitch that has it: fewest motions, then fewest passes, then fewest measures to
 * keep, then the easiest. For a composite also on the simplest exercise in its base, and what is built on a stitch never
 * counts as teaching what that stitch teaches.
 *
 * Two exercises bind each other to nothing where teaching either first is as good: in one stitch, or in two as simple, a point
 * apart; or the one more than a point easier than the simplest. Those teach the motion as well, and what rests on it may follow any of them.
 */
import type { Motion } from '../work/index.ts'

/** What is looked at to tell what rests on what. */
export interface Teachable {
  readonly id: string
  readonly difficulty: number
  readonly motions: readonly Motion[]
  readonly stitch: string
  /** The stitch that a composite or a filling of rows is built on. */
  readonly base: string | null
  /** How many times over the guide the stitch goes. */
  readonly passes: number
  /** Lengths, heights and counts that the hand must keep. */
  readonly measures: number
}

export interface RestsOn {
  readonly on: string
  /** Others that would do as well. */
  readonly or: readonly string[]
}

export interface RestsOnMotion extends RestsOn {
  readonly motion: Motion
}

/** Points of difficulty within which two exercises are as hard as each other. */
const AS_HARD = 1

/** The exercises that teach something: the simplest, and others that would do as well. */
interface Teachers {
  readonly simplest: Teachable
  readonly all: ReadonlySet<string>
}

export function restsOn(course: readonly Teachable[]): ReadonlyMap<string, readonly RestsOnMotion[]> {
  const teachers = motionTeachers(course)
  return new Map(
    course.map((item) => [
      item.id,
      item.motions.flatMap((motion) => {
        const taught = teachers.get(motion) as Teachers
        return taught.all.has(item.id) ? [] : [{ motion, ...onTeachers(taught) }]
      }),
    ]),
  )
}

/** For each composite, the simplest exercise of the course in the stitch that it is built on, and those as easy. */
export function restsOnBase(course: readonly Teachable[]): ReadonlyMap<string, RestsOn> {
  const teachers = stitchTeachers(simplestFirst(course))
  return new Map(
    course.flatMap((item) => {
      const taught = item.base === null ? undefined : teachers.get(item.base)
      return taught === undefined || taught.all.has(item.id) ? [] : [[item.id, onTeachers(taught)] as const]
    }),
  )
}

/** Exercises that bring a motion to the course: it takes its learners the longest in these. */
export function firstTeachers(course: readonly Teachable[]): ReadonlySet<string> {
  return new Set([...motionTeachers(course).values()].map(({ simplest }) => simplest.id))
}

/** Which exercises may be the first to bring each motion. */
export function motionOpeners(course: readonly Teachable[]): ReadonlyMap<Motion, ReadonlySet<string>> {
  return new Map([...motionTeachers(course)].map(([motion, { all }]) => [motion, all] as const))
}

function onTeachers({ simplest, all }: Teachers): RestsOn {
  return { on: simplest.id, or: [...all].filter((id) => id !== simplest.id) }
}

function motionTeachers(course: readonly Teachable[]): ReadonlyMap<Motion, Teachers> {
  const order = simplestFirst(course)
  const bases = stitchTeachers(order)
  const having = new Map<Motion, Teachable[]>()
  for (const item of order) for (const motion of item.motions) having.set(motion, [...(having.get(motion) ?? []), item])
  return new Map(
    [...having].map(([motion, items]) => {
      const simplest = items[0] as Teachable
      const isBuiltOnIt = (item: Teachable): boolean => {
        const base = item.base === null ? undefined : bases.get(item.base)?.simplest
        return base !== undefined && base.id !== item.id && base.motions.includes(motion)
      }
      const all = items.filter((item) => item === simplest || (!isBuiltOnIt(item) && isFreeOf(item, simplest)))
      return [motion, { simplest, all: new Set(all.map((item) => item.id)) }] as const
    }),
  )
}

function isFreeOf(item: Teachable, simplest: Teachable): boolean {
  const easier = simplest.difficulty - item.difficulty
  return easier > AS_HARD || (easier >= -AS_HARD && (item.stitch === simplest.stitch || bySimplicity(item, simplest) <= 0))
}

function stitchTeachers(order: readonly Teachable[]): ReadonlyMap<string, Teachers> {
  const teachers = new Map<string, { simplest: Teachable; all: Set<string> }>()
  for (const item of order) {
    const known = teachers.get(item.stitch)
    if (!known) teachers.set(item.stitch, { simplest: item, all: new Set([item.id]) })
    else if (isFreeOf(item, known.simplest)) known.all.add(item.id)
  }
  return teachers
}

function bySimplicity(a: Teachable, b: Teachable): number {
  return a.motions.length - b.motions.length || a.passes - b.passes || a.measures - b.measures
}

/** From the simplest, but nothing before the first exercise in the stitch it is built on: so that what rests on what never runs in a circle. */
function simplestFirst(course: readonly Teachable[]): readonly Teachable[] {
  const waiting = [...course].sort((a, b) => bySimplicity(a, b) || a.difficulty - b.difficulty || (a.id < b.id ? -1 : 1))
  const order: Teachable[] = []
  const placed = new Set<string>()
  const taught = new Set(course.map((item) => item.stitch))
  while (waiting.length > 0) {
    const ready = waiting.findIndex(({ base, stitch }) => base === null || base === stitch || !taught.has(base) || placed.has(base))
    // Bases that rest on each other are refused with the stitch; here they wait for nothing.
    const [item] = waiting.splice(Math.max(0, ready), 1) as [Teachable]
    order.push(item)
    placed.add(item.stitch)
  }
  return order
}
