import { byId, placeOf, putById, success } from '../../base/index.ts'
import { referencesOf } from '../references.ts'
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
    if (was) return { kind: 'put-stitch', stitch: was, at: placeOf(before.stitches, was.id) }
    const isNamed = referencesOf(before).some((one) => one.names === 'stitch' && one.id === stitch.id)
    return { kind: 'remove-stitch', id: stitch.id, ...(isNamed ? { namesStay: true } : {}) }
  },
}
