/** The course as ordering sees it: each exercise with its difficulty, minutes and motions. */
import { clamp } from '../base/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import type { Pins } from '../sampler/index.ts'
import type { Motion } from '../work/index.ts'
import { type ClothReason, orderOnCloth } from './on-cloth.ts'
import { firstTeachers, type Teachable } from './rests-on.ts'

export interface CourseItem extends Teachable {
  readonly name: string
  /** Minutes that count against the lesson: showing it, and working it, or the part of that done in class. */
  readonly minutes: number
  readonly homeMinutes: number
  /** Of these: the teacher shows it. */
  readonly showMinutes: number
  /** Of these: what the first attempts at something new take longer. */
  readonly firstMinutes: number
  readonly family: string
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
  const teachable = taught.map(teachableOf)
  const first = firstTeachers(teachable)
  return taught.map((one, index) => {
    const { exercise, assigned } = one
    const home = (exercise.homePercent ?? 0) / 100
    const each = one.minutes.stitching / Math.max(1, one.stitches)
    const showMinutes = clamp(SHOWN_REPEATS * SHOWN_SLOWER * each, SHOWN_LEAST, SHOWN_MOST)
    const firstMinutes = first.has(exercise.id) ? FIRST_LONGER * each * Math.min(FIRST_STITCHES, one.stitches) : 0
    const working = one.minutes.total + firstMinutes
    return {
      ...(teachable[index] as Teachable),
      name: exercise.name,
      minutes: showMinutes + working * (1 - home),
      homeMinutes: working * home,
      showMinutes,
      firstMinutes: firstMinutes * (1 - home),
      family: assigned.document.family ?? 'other',
      after: [...(exercise.over ?? []).map((id) => ({ id, because: 'said' as const })), ...(lies.get(exercise.id) ?? [])],
      detached: motionsOf(one).some((motion) => FREE_OF_THE_CLOTH.includes(motion)),
      pins: exercise.pins ?? {},
    }
  })
}

function teachableOf(one: WorkedExercise): Teachable {
  const { exercise, assigned, difficulty } = one
  return {
    id: exercise.id,
    difficulty: difficulty.score,
    motions: taughtMotions(motionsOf(one)),
    stitch: exercise.stitch,
    base: assigned.base,
    passes: assigned.document.passes.length,
    // In a row each stitch is also kept in line with the last.
    measures: assigned.parameters.size + (assigned.document.passes.some(({ place }) => 'along' in place || 'across' in place) ? 1 : 0),
  }
}

/** A stitch as the library has it, without a row to be worked on. */
export function teachableStitch(one: WorkedExercise): Teachable {
  return { ...teachableOf(one), id: one.exercise.stitch, difficulty: one.stitchDifficulty.score }
}

export function byDifficulty<T extends Pick<CourseItem, 'id' | 'difficulty'>>(course: readonly T[]): T[] {
  return [...course].sort((a, b) => a.difficulty - b.difficulty || (a.id < b.id ? -1 : 1))
}
