/** Works the swatches of the wall off the page's thread, apart from the exercises, so that neither waits for the other. */
import type { Surroundings } from '@lemmata/core/assign'
import type { Result } from '@lemmata/core/base'
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { StitchDocument } from '@lemmata/core/notation'
import { expose } from 'comlink'
import { workForWall } from '../stitches/swatch.ts'

const service = {
  swatches: (documents: readonly StitchDocument[], around: Surroundings): Result<WorkedExercise>[] =>
    documents.map((document) => workForWall(document, around)),
}

export type WallService = typeof service
expose(service)
