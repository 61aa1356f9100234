/** A row of the Thread table: one thread of one exercise. */
import type { AssignedThread } from '@lemmata/core/assign'
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { Exercise } from '@lemmata/core/sampler'

export interface ThreadRow {
  readonly key: string
  readonly exercise: Exercise
  readonly letter: string
  readonly done: WorkedExercise | null
  /** Null where the exercise cannot be worked: its thread can be chosen all the same. */
  readonly assigned: AssignedThread | null
  readonly first: boolean
}
