/** Works exercises off the page's thread. */
import { workExercise, type WorkedExercise } from '@lemmata/core/exercise'
import type { Surroundings } from '@lemmata/core/assign'
import type { Result } from '@lemmata/core/base'
import type { Exercise } from '@lemmata/core/sampler'
import { expose } from 'comlink'

const service = {
  work: (exercises: readonly Exercise[], around: Surroundings): Result<WorkedExercise>[] => exercises.map((exercise) => workExercise(exercise, around)),
}

export type WorkService = typeof service
expose(service)
