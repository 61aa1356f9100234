import { byId, placeOf, putById, success } from '../../base/index.ts'
import type { StitchDocument } from '../../notation/index.ts'
import type { SamplerTools } from './tools.ts'

/** A stitch of the sampler's own: new, or written again in its place. */
export interface PutStitch {
  readonly kind: 'put-stitch'
  readonly stitch: StitchDocument
  /** Its place in the list when it is new; the end when left out. */
  readonly at?: number | undefined
}

export const putStitch: SamplerTools<PutStitch> = {
  apply: (sampler, { stitch, at }) => success({ ...sampler, stitches: putById(sampler.stitches, stitch, at ?? sampler.stitches.length) }),
  invert: (before, { stitch }) => {
    const was = byId(before.stitches, stitch.id)
    return was ? { kind: 'put-stitch', stitch: was, at: placeOf(before.stitches, was.id) } : { kind: 'remove-stitch', id: stitch.id }
  },
}
