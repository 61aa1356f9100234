/** Works the swatches of the wall off the page's thread, apart from the exercises, so that neither waits for the other. */
import type { Surroundings } from '@lemmata/core/assign'
import type { StitchDocument } from '@lemmata/core/notation'
import { expose, transfer } from 'comlink'
import { workForWall } from '../stitches/swatch.ts'
import { pack, type Packed } from './packed.ts'

const service = {
  swatches: (documents: readonly StitchDocument[], around: Surroundings): Packed => {
    const packed = pack(documents.map((document) => workForWall(document, around)))
    return transfer(packed, [packed.places.buffer, packed.counts.buffer])
  },
}

export type WallService = typeof service
expose(service)
