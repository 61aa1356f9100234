/** Works exercises off the page's thread. */
import type { Surroundings } from '@lemmata/core/assign'
import type { Result } from '@lemmata/core/base'
import { workExercise, type WorkedExercise } from '@lemmata/core/exercise'
import type { LaidExercise } from '@lemmata/core/sampler'
import { expose } from 'comlink'

const service = {
  work: (laid: readonly LaidExercise[], around: Surroundings): Result<WorkedExercise>[] => laid.map((one) => workExercise(one, around)),
}

export type WorkService = typeof service
expose(service)
