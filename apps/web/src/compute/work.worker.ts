/** Works exercises, and swatches of the wall, off the page's thread. */
import type { Surroundings } from '@lemmata/core/assign'
import type { Result } from '@lemmata/core/base'
import { workExercise, type WorkedExercise } from '@lemmata/core/exercise'
import type { StitchDocument } from '@lemmata/core/notation'
import type { LaidExercise } from '@lemmata/core/sampler'
import { expose, transfer } from 'comlink'
import { workForWall } from '../stitches/swatch.ts'
import { pack, type Packed } from './packed.ts'

const service = {
  work: (laid: readonly LaidExercise[], around: Surroundings): Packed => sent(laid.map((one) => workExercise(one, around))),
  swatches: (documents: readonly StitchDocument[], around: Surroundings): Packed => sent(documents.map((one) => workForWall(one, around))),
}

function sent(results: readonly Result<WorkedExercise>[]): Packed {
  const packed = pack(results)
  return transfer(packed, [packed.numbers.buffer])
}

export type WorkService = typeof service
expose(service)
