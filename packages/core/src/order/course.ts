/**
 * The course as ordering sees it: each exercise with its difficulty, minutes and motions, and what rests on
 * what. Rests-on comes from the moves and does not depend on the order.
 */
import { clamp } from '../base/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import type { Pins } from '../sampler/index.ts'
import type { Motion } from '../work/index.ts'
import { type ClothReason, orderOnCloth } from './on-cloth.ts'

export interface CourseItem {
  readonly id: string
  readonly name: string
  readonly difficulty: number
  /** Minutes that count against the lesson: showing it, and working it, or the part of that done in class. */
  readonly minutes: number
  readonly homeMinutes: number
  /** Of these: the teacher shows it. */
  readonly showMinutes: number
  /** Of these: what the first attempts at something new take longer. */
  readonly firstMinutes: number
  readonly motions: readonly Motion[]
  readonly family: string
  readonly stitch: string
  /** The stitch that a composite or a filling of rows is built on. */
  readonly base: string | null
  /** What must be worked first on the cloth, and why. */
  readonly after: readonly { readonly id: string; readonly because: ClothReason }[]
  /** Stands free of the cloth or carries beads: worked when everything around it is done. */
  readonly detached: boolean
  readonly pins: Pins
}

/** Coming up, going down and working backwards is holding a needle: taught with whatever comes first. */
const PLAIN: readonly Motion[] = ['up', 'down', 'turn-back']

/** Two halves of one thing are taught as one. */
const TAUGHT_AS: Readonly<Partial<Record<Motion, Motion>>> = {
  'leave-loop': 'catch-loop',
  wind: 'wrap',
  pin: 'round-pin',
  plunge: 'lay',
  tie: 'lay',
  'pass-over': 'pass-under',
}

const FREE_OF_THE_CLOTH: readonly Motion[] = ['stand', 'bead', 'round-pin']

export function motionsOf(done: WorkedExercise): readonly Motion[] {
  return (Object.keys(done.motions) as Motion[]).filter((motion) => !PLAIN.includes(motion)).sort()
}

/** The motions as a lesson brings them: leaving a loop and catching it is one thing to learn. */
export function taughtMotions(motions: readonly Motion[]): readonly Motion[] {
  return [...new Set(motions.map((motion) => TAUGHT_AS[motion] ?? motion))].sort()
}

/** A teacher works so many repeats, at half her learners' pace or slower: one to four minutes in recorded lessons. */
const SHOWN_REPEATS = 3
const SHOWN_SLOWER = 2
const SHOWN_LEAST = 1
const SHOWN_MOST = 4
/** The first twenty of a new stitch take two to three times as long as the hundredth; the usual minutes are of the second or third session. */
const FIRST_STITCHES = 20
const FIRST_LONGER = 0.5

/** The exercises that are taught (not those the teacher has set aside), as far as they can be worked. */
export function courseOf(done: readonly WorkedExercise[]): readonly CourseItem[] {
  const taught = done.filter((one) => !one.exercise.pins?.excluded)
  const lies = orderOnCloth(taught)
  const rests = restsOn(taught.map((one) => ({ id: one.exercise.id, difficulty: one.difficulty.score, motions: taughtMotions(motionsOf(one)) })))
  return taught.map((one) => {
    const { exercise, assigned } = one
    const motions = motionsOf(one)
    const home = (exercise.homePercent ?? 0) / 100
    const each = one.minutes.stitching / Math.max(1, one.stitches)
    const showMinutes = clamp(SHOWN_REPEATS * SHOWN_SLOWER * each, SHOWN_LEAST, SHOWN_MOST)
    const bringsNew = taughtMotions(motions).length > (rests.get(exercise.id)?.length ?? 0)
    const firstMinutes = bringsNew ? FIRST_LONGER * each * Math.min(FIRST_STITCHES, one.stitches) : 0
    const working = one.minutes.total + firstMinutes
    return {
      id: exercise.id,
      name: exercise.name,
      difficulty: one.difficulty.score,
      minutes: showMinutes + working * (1 - home),
      homeMinutes: working * home,
      showMinutes,
      firstMinutes: firstMinutes * (1 - home),
      motions: taughtMotions(motions),
      family: assigned.document.family ?? 'other',
      stitch: exercise.stitch,
      base: assigned.base,
      after: [...(exercise.over ?? []).map((id) => ({ id, because: 'said' as const })), ...(lies.get(exercise.id) ?? [])],
      detached: motions.some((motion) => FREE_OF_THE_CLOTH.includes(motion)),
      pins: exercise.pins ?? {},
    }
  })
}

export interface RestsOn {
  readonly on: string
  readonly motion: Motion
}

/** For each motion of an exercise, the easiest exercise of the course that has it (ties by id); none if it is that one itself. */
export function restsOn(course: readonly Pick<CourseItem, 'id' | 'difficulty' | 'motions'>[]): ReadonlyMap<string, readonly RestsOn[]> {
  const easiest = new Map<Motion, string>()
  for (const item of byDifficulty(course)) for (const motion of item.motions) if (!easiest.has(motion)) easiest.set(motion, item.id)
  return new Map(
    course.map((item) => [
      item.id,
      item.motions.flatMap((motion) => {
        const first = easiest.get(motion) as string
        return first === item.id ? [] : [{ on: first, motion }]
      }),
    ]),
  )
}

/** For each composite, the easiest exercise of the course in the stitch that it is built on. */
export function restsOnBase(course: readonly CourseItem[]): ReadonlyMap<string, string> {
  const easiest = new Map<string, string>()
  for (const item of byDifficulty(course)) if (!easiest.has(item.stitch)) easiest.set(item.stitch, item.id)
  return new Map(
    course.flatMap((item) => {
      const base = item.base === null ? undefined : easiest.get(item.base)
      return base === undefined || base === item.id ? [] : [[item.id, base] as const]
    }),
  )
}

export function byDifficulty<T extends Pick<CourseItem, 'id' | 'difficulty'>>(course: readonly T[]): T[] {
  return [...course].sort((a, b) => a.difficulty - b.difficulty || (a.id < b.id ? -1 : 1))
}
