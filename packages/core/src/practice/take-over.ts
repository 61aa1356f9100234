/** What was learned, taken into the sampler: from then on each exercise is reckoned as classes took it, until it is left out again. */
import { learnedTimes, type WorkedExercise } from '../exercise/index.ts'
import type { LearnedTimes, Operation } from '../sampler/index.ts'
import type { Learned } from './learned.ts'

const LEAST_TIMES = 0.2
const MOST_TIMES = 5

/**
 * Of an exercise that was told of, its own; of the others, the class's pace. What was taken over before is in what is reckoned already, so
 * that the new is measured on the old. `planned`: minutes at home as they are reckoned now.
 */
export function timesLearned(
  { exercise }: Pick<WorkedExercise, 'exercise'>,
  learned: Learned,
  planned: (exercise: string) => number,
  on: string,
): LearnedTimes | null {
  if (learned.learners === 0) return null
  const own = learned.exercises.get(exercise.id)
  const usual = planned(exercise.id)
  const by = own && usual > 0 ? own.minutes / usual : learned.pace
  const times = Math.min(MOST_TIMES, Math.max(LEAST_TIMES, learnedTimes(exercise) * by))
  return { stitch: exercise.stitch, times: Math.round(times * 100) / 100, learners: own?.learners ?? learned.learners, on }
}

/** All of them in one edit, that is undone in one. */
export function takeOver(done: readonly WorkedExercise[], learned: Learned, planned: (exercise: string) => number, on: string): Operation {
  const operations = done.flatMap((one): Operation[] => {
    const times = timesLearned(one, learned, planned, on)
    return times ? [{ kind: 'change-exercise', id: one.exercise.id, set: { learned: times } }] : []
  })
  return { kind: 'batch', operations }
}

export function leaveOutLearned(done: readonly Pick<WorkedExercise, 'exercise'>[]): Operation {
  const kept = done.filter(({ exercise }) => exercise.learned !== undefined)
  return { kind: 'batch', operations: kept.map(({ exercise: { id } }): Operation => ({ kind: 'change-exercise', id, set: {}, clear: ['learned'] })) }
}
