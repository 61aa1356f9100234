/** A whole sampler worked, exercise by exercise, with every problem gathered under its exercise. */
import { surroundingsOf } from '../assign/index.ts'
import { about, atOnce, type Problem, type Result } from '../base/index.ts'
import { type Exercise, layExercises, type Sampler, teachingOrder } from '../sampler/index.ts'
import { samplerBudget, tooMuchInAll } from './sampler-budget.ts'
import { type WorkedExercise, workExercise } from './work-exercise.ts'

export interface WorkedSampler {
  /** In the order of teaching. */
  readonly results: ReadonlyMap<string, Result<WorkedExercise>>
  readonly done: readonly WorkedExercise[]
  /** With paths from the document's root, and the exercise's name before the sentence. */
  readonly problems: readonly Problem[]
}

/** Only those of `wanted` where it is given. */
export const workSampler = (sampler: Sampler, wanted?: ReadonlySet<string>): WorkedSampler => atOnce(workInSteps(sampler, wanted))

/** Exercise by exercise, for whoever has something else to do meanwhile; told before each how much is through, 0 to 1. */
export function* workInSteps(sampler: Sampler, wanted?: ReadonlySet<string>): Generator<number, WorkedSampler> {
  const around = surroundingsOf(sampler)
  const laid = new Map(layExercises(sampler).map((result, index) => [sampler.exercises[index] as Exercise, result] as const))
  const results = new Map<string, Result<WorkedExercise>>()
  const problems: Problem[] = []
  // What is beyond it is not kept, and what comes after not worked: all of them together would not be held.
  const budget = samplerBudget()
  const within = (work: () => Result<WorkedExercise>): Result<WorkedExercise> => (budget.isSpent() ? tooMuchInAll() : budget.take(work()))
  const all = teachingOrder(sampler).filter((one) => !wanted || wanted.has(one.id))
  for (const [index, exercise] of all.entries()) {
    yield index / all.length
    const one = laid.get(exercise) as NonNullable<ReturnType<typeof laid.get>>
    const result = within(() => (one.ok ? workExercise(one.value, around) : one))
    results.set(exercise.id, result)
    problems.push(...underExercise(sampler.exercises.indexOf(exercise), exercise, result.ok ? result.value.problems : result.problems))
  }
  return { results, done: [...results.values()].flatMap((result) => (result.ok ? [result.value] : [])), problems }
}

export function underExercise(index: number, exercise: Pick<Exercise, 'name'>, problems: readonly Problem[]): readonly Problem[] {
  return problems.map((problem) => about({ ...problem, path: ['exercises', index, ...problem.path] }, exercise.name))
}
