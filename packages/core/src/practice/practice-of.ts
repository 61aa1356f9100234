/** What events come to. The same whatever order they arrived in, and however often. */
import type { ExerciseId, LearnerId, LessonId } from '../base/index.ts'
import type { ExercisePractice, LearnerPractice, PracticeEvent } from './types.ts'

export const UNTOUCHED: ExercisePractice = { state: 'untouched', minutes: 0, needlefuls: 0, pieces: [], stuckAt: null, rows: [] }

/** As they happened; of one moment, by their ids, so that all devices agree. */
export function inOrder(events: readonly PracticeEvent[]): readonly PracticeEvent[] {
  const once = [...new Map(events.map((one) => [one.id, one])).values()]
  const key = (one: PracticeEvent): string => `${one.at} ${one.id}`
  return once.sort((a, b) => (key(a) < key(b) ? -1 : key(a) > key(b) ? 1 : 0))
}

export function practiceOf(events: readonly PracticeEvent[], learner: LearnerId): LearnerPractice {
  const exercises = new Map<ExerciseId, ExercisePractice>()
  const came = new Map<LessonId, boolean>()
  const questions: LearnerPractice['questions'][number][] = []
  for (const event of inOrder(events)) {
    if (event.learner !== learner) continue
    if (event.kind === 'came') came.set(event.lesson, event.came)
    else if (event.kind === 'question') questions.push({ id: event.id, at: event.at, exercise: event.exercise, asked: event.asked })
    // What she remembers is another matter than what she has worked.
    else if (event.kind !== 'recall') exercises.set(event.exercise, after(exercises.get(event.exercise) ?? UNTOUCHED, event))
  }
  return { exercises, came, questions }
}

type OfExercise = Extract<PracticeEvent, { readonly kind: 'piece' | 'can' | 'minutes' | 'needlefuls' | 'stuck' | 'row' }>

function after(before: ExercisePractice, event: OfExercise): ExercisePractice {
  switch (event.kind) {
    case 'piece': {
      const others = before.pieces.filter((one) => one !== event.piece)
      const pieces = event.worked ? [...others, event.piece].sort((a, b) => a - b) : others
      return begun({ ...before, pieces })
    }
    case 'minutes':
      return begun({ ...before, minutes: before.minutes + event.minutes })
    case 'needlefuls':
      return begun({ ...before, needlefuls: Math.max(0, before.needlefuls + event.count) })
    case 'row':
      return begun({ ...before, rows: [...before.rows, event.row] })
    case 'can':
      // Who can do it is not stuck any more.
      if (event.can) return { ...before, state: 'can', stuckAt: null }
      return before.state === 'can' ? begun({ ...before, state: 'untouched' }) : before
    case 'stuck':
      if (event.stuck) return { ...before, state: 'stuck', stuckAt: event.step }
      return before.state === 'stuck' ? { ...before, state: 'practising', stuckAt: null } : before
  }
}

/** Touched it is practised, unless more is known. */
function begun(one: ExercisePractice): ExercisePractice {
  const isTouched = one.minutes > 0 || one.needlefuls > 0 || one.pieces.length > 0 || one.rows.length > 0
  return one.state === 'untouched' || one.state === 'practising' ? { ...one, state: isTouched ? 'practising' : 'untouched' } : one
}
