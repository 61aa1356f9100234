/**
 * The course as ordering sees it: each exercise with its difficulty, minutes and motions, and what rests on
 * what. Rests-on comes from the moves and does not depend on the order.
 */
import type { WorkedExercise } from '../exercise/index.ts'
import type { Motion } from '../work/index.ts'

export interface CourseItem {
  readonly id: string
  readonly name: string
  readonly difficulty: number
  readonly minutes: number
  readonly motions: readonly Motion[]
  /** Ids that must be worked first on the cloth. */
  readonly after: readonly string[]
}

/** Coming up, going down and working backwards is holding a needle: taught with whatever comes first. */
const PLAIN: readonly Motion[] = ['up', 'down', 'turn-back']

export function motionsOf(done: WorkedExercise): readonly Motion[] {
  return (Object.keys(done.worked.motions) as Motion[]).filter((motion) => !PLAIN.includes(motion)).sort()
}

export function courseOf(done: readonly WorkedExercise[]): readonly CourseItem[] {
  return done.map((one) => ({
    id: one.exercise.id,
    name: one.exercise.name,
    difficulty: one.difficulty.score,
    minutes: one.minutes.total,
    motions: motionsOf(one),
    after: one.exercise.after ?? [],
  }))
}

export interface RestsOn {
  readonly on: string
  readonly motion: Motion
}

/** For each motion of an exercise, the easiest exercise of the course that has it (ties by id); none if it is that one itself. */
export function restsOn(course: readonly Pick<CourseItem, 'id' | 'difficulty' | 'motions'>[]): ReadonlyMap<string, readonly RestsOn[]> {
  const easiest = new Map<Motion, { id: string; difficulty: number }>()
  for (const item of [...course].sort((a, b) => a.difficulty - b.difficulty || a.id.localeCompare(b.id))) {
    for (const motion of item.motions) if (!easiest.has(motion)) easiest.set(motion, item)
  }
  return new Map(
    course.map((item) => [
      item.id,
      item.motions.flatMap((motion) => {
        const first = easiest.get(motion)
        return first && first.id !== item.id ? [{ on: first.id, motion }] : []
      }),
    ]),
  )
}
