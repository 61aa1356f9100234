/** Which exercises must be worked again: those that are no longer laid or surrounded as when they were. */
import type { Surroundings } from '@lemmata/core/assign'
import type { Result } from '@lemmata/core/base'
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { Exercise, LaidExercise } from '@lemmata/core/sampler'

export interface Entry {
  readonly laid: Result<LaidExercise>
  readonly around: Surroundings
  /** Which question it answers: later ones are larger. */
  readonly question: number
  readonly result: Result<WorkedExercise>
}

export type Entries = ReadonlyMap<string, Entry>

export interface Laid {
  readonly exercise: Exercise
  readonly laid: Result<LaidExercise>
}

/** What cannot be laid has its answer already. */
export function staleWork(all: readonly Laid[], entries: Entries, around: Surroundings): readonly Laid[] {
  return all.filter(({ exercise, laid }) => {
    const entry = entries.get(exercise.id)
    return entry?.laid !== laid || (laid.ok && entry.around !== around)
  })
}
