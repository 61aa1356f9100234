/** Works exercises off the page's thread. */
import type { Surroundings } from '@lemmata/core/assign'
import { workExercise } from '@lemmata/core/exercise'
import type { LaidExercise } from '@lemmata/core/sampler'
import { expose, transfer } from 'comlink'
import { pack, type Packed } from './packed.ts'

const service = {
  work: (laid: readonly LaidExercise[], around: Surroundings): Packed => {
    const packed = pack(laid.map((one) => workExercise(one, around)))
    return transfer(packed, [packed.places.buffer, packed.counts.buffer])
  },
}

export type WorkService = typeof service
expose(service)
