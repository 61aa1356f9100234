/**
 * What is kept of a learner's work: what happened, never what follows from it. An event has an id of its own and is never changed, so that
 * it can be sent twice, from two devices and in any order, and counts once.
 */
import type { ExerciseId, LearnerId, LessonId } from '../base/index.ts'
import type { RowSummary } from '../photo/index.ts'

interface Happened {
  readonly id: string
  /** When, as 2027-01-14T18:30:00.000Z, by the clock of whoever tells it. */
  readonly at: string
  readonly learner: LearnerId
  /** Told by her, or by her teacher. */
  readonly by: 'learner' | 'teacher'
}

export type PracticeEvent = Happened &
  (
    | { readonly kind: 'piece'; readonly exercise: ExerciseId; readonly piece: number; readonly worked: boolean }
    /** She can do the row, or no longer thinks so. */
    | { readonly kind: 'can'; readonly exercise: ExerciseId; readonly can: boolean }
    | { readonly kind: 'minutes'; readonly exercise: ExerciseId; readonly minutes: number }
    /** So many more needlefuls were threaded for it; fewer where one was told by mistake. */
    | { readonly kind: 'needlefuls'; readonly exercise: ExerciseId; readonly count: number }
    /** At which of its steps, from 1; none where she does not say. */
    | { readonly kind: 'stuck'; readonly exercise: ExerciseId; readonly stuck: boolean; readonly step: number | null }
    | { readonly kind: 'question'; readonly exercise: ExerciseId; readonly asked: string }
    /** Asked where the needle goes next in one motion of it: whether she knew. */
    | { readonly kind: 'recall'; readonly exercise: ExerciseId; readonly motion: string; readonly right: boolean }
    /** A practice row that was photographed: its figures, nothing of the picture. */
    | { readonly kind: 'row'; readonly exercise: ExerciseId; readonly row: RowSummary }
    | { readonly kind: 'came'; readonly lesson: LessonId; readonly came: boolean }
  )

export type PracticeState = 'untouched' | 'practising' | 'stuck' | 'can'

export interface ExercisePractice {
  readonly state: PracticeState
  readonly minutes: number
  /** Threaded for it, as far as told. */
  readonly needlefuls: number
  /** Pieces that are worked, from 0, in their order. */
  readonly pieces: readonly number[]
  /** At which step she is stuck; null where she is not, or did not say. */
  readonly stuckAt: number | null
  /** Her photographed rows, the oldest first. */
  readonly rows: readonly RowSummary[]
}

export interface LearnerPractice {
  readonly exercises: ReadonlyMap<ExerciseId, ExercisePractice>
  readonly came: ReadonlyMap<LessonId, boolean>
  readonly questions: readonly { readonly id: string; readonly at: string; readonly exercise: ExerciseId; readonly asked: string }[]
}
