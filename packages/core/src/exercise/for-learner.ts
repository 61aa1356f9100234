/** A sampler as one learner works it: what is left free chosen, or nothing left open for one who wants clear orders. */
import { surroundingsOf } from '../assign/index.ts'
import { caution, type Figures, type Problem } from '../base/index.ts'
import type { Learner, LearnerChoice } from '../classes/index.ts'
import { MAIN_ROLE } from '../notation/index.ts'
import { type Exercise, type FreeSetting, layExercise, type Sampler } from '../sampler/index.ts'
import { substituted } from './substitutes.ts'
import { workExercise, type WorkedExercise } from './work-exercise.ts'

/** Which of an exercise's settings each choice settles. */
const SETTLES: Readonly<Record<Exclude<keyof LearnerChoice, 'stitch'>, FreeSetting>> = {
  thread: 'colour',
  strands: 'strands',
  parameters: 'length',
  marks: 'marks',
}

export interface ForLearner {
  readonly sampler: Sampler
  /** Choices that the exercise does not leave free, or no longer can be kept; they are passed over. */
  readonly problems: readonly Problem[]
}

/** Exercises without a choice stay the very same objects, so that what was worked of them still holds. */
export function forLearner(sampler: Sampler, learner: Learner): ForLearner {
  const problems: Problem[] = []
  const exercises = sampler.exercises.map((exercise, index) => {
    const made = chosen(sampler, exercise, learner.choices[exercise.id] ?? {}, (code, figures) =>
      problems.push({ ...caution(code, ['exercises', index], figures), about: [learner.name, exercise.name] }),
    )
    if (!learner.settled || (made.free === undefined && made.substitutes === undefined)) return made
    const { free: _open, substitutes: _others, ...settled } = made
    return settled
  })
  return { sampler: { ...sampler, exercises }, problems }
}

/** What the class has worked, as this learner works it: only what is chosen otherwise is worked anew. */
export function workForLearner(
  sampler: Sampler,
  learner: Learner,
  done: readonly WorkedExercise[],
): { readonly exercises: readonly WorkedExercise[]; readonly problems: readonly Problem[] } {
  const made = forLearner(sampler, learner)
  const around = surroundingsOf(made.sampler)
  const wanted = new Map(made.sampler.exercises.map((exercise) => [exercise.id, exercise] as const))
  const problems: Problem[] = [...made.problems]
  const exercises = done.flatMap((one) => {
    const exercise = wanted.get(one.exercise.id)
    if (!exercise || exercise === one.exercise) return [one]
    const laid = layExercise(exercise, made.sampler.drawing)
    const result = laid.ok ? workExercise(laid.value, around) : laid
    if (!result.ok) problems.push(...result.problems)
    return result.ok ? [result.value] : []
  })
  return { exercises, problems }
}

function chosen(sampler: Sampler, exercise: Exercise, choice: LearnerChoice, pass: (code: string, figures: Figures) => void): Exercise {
  let made = exercise
  if (choice.stitch !== undefined) {
    const substitute = exercise.substitutes?.find((one) => one.stitch === choice.stitch)
    if (substitute) made = { ...substituted(exercise, substitute), ...(exercise.free ? { free: exercise.free } : {}) }
    else pass('learner.stitch-not-allowed', { stitch: choice.stitch })
  }
  for (const key of Object.keys(SETTLES) as (keyof typeof SETTLES)[]) {
    if (choice[key] === undefined) continue
    if (!exercise.free?.includes(SETTLES[key])) pass('learner.not-free', { setting: SETTLES[key] })
    else if (key === 'thread' && !sampler.threads.some((thread) => thread.id === choice.thread)) pass('learner.thread-gone', {})
    else made = settle({ ...made, ...settingOf(made, key, choice) }, SETTLES[key])
  }
  return made
}

/** A learner chooses for the main thread; the others follow it. */
function settingOf(exercise: Exercise, key: keyof typeof SETTLES, choice: LearnerChoice): Partial<Exercise> {
  switch (key) {
    case 'thread':
    case 'strands':
      return { materials: { ...exercise.materials, [MAIN_ROLE]: { ...exercise.materials?.[MAIN_ROLE], [key]: choice[key] } } }
    case 'parameters':
      return { parameters: { ...exercise.parameters, ...choice.parameters } }
    case 'marks':
      return { marks: choice.marks }
  }
}

/** What has been chosen is open no longer. */
function settle(exercise: Exercise, setting: FreeSetting): Exercise {
  const { free, ...rest } = exercise
  const left = (free ?? []).filter((one) => one !== setting)
  return left.length > 0 ? { ...rest, free: left } : rest
}
