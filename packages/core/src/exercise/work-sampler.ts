/** A whole sampler worked, exercise by exercise; an unchanged exercise in unchanged surroundings is the same object again. */
import { surroundingsOf, type Surroundings } from '../assign/index.ts'
import type { Result } from '../base/index.ts'
import type { Exercise, Sampler } from '../sampler/index.ts'
import { type WorkedExercise, workExercise } from './work-exercise.ts'

export type WorkExercise = (exercise: Exercise, around: Surroundings) => Result<WorkedExercise>

/**
 * Remembers the last result for each exercise id. Two documents that hold the same exercise object and
 * equal surroundings share the work; an edit to one exercise recomputes one exercise.
 */
export function rememberWork(): WorkExercise {
  const last = new Map<string, { exercise: Exercise; around: Surroundings; result: Result<WorkedExercise> }>()
  return (exercise, around) => {
    const before = last.get(exercise.id)
    if (before && before.exercise === exercise && isSameAround(before.around, around)) return before.result
    const result = workExercise(exercise, around)
    last.set(exercise.id, { exercise, around, result })
    return result
  }
}

function isSameAround(a: Surroundings, b: Surroundings): boolean {
  return (
    a.cloth === b.cloth &&
    a.threads === b.threads &&
    a.stitches === b.stitches &&
    a.brief.level === b.brief.level &&
    a.brief.waysOfWorking === b.brief.waysOfWorking &&
    a.brief.hardFor === b.brief.hardFor
  )
}

export function workSampler(sampler: Sampler, work: WorkExercise = workExercise): ReadonlyMap<string, Result<WorkedExercise>> {
  const around = surroundingsOf(sampler)
  return new Map(sampler.exercises.map((exercise) => [exercise.id, work(exercise, around)]))
}
