/** Shorthand for the documents of the library. */
import type { StitchDocument } from '../../notation/index.ts'

export const stitch = (given: Omit<StitchDocument, 'format' | 'version'>): StitchDocument => ({ format: 'lemmata-stitch', version: 1, ...given })
