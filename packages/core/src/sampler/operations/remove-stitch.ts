import { byId, placeOf, type StitchId, success, withoutId } from '../../base/index.ts'
import { withoutNamesOf } from '../references.ts'
import type { Operation } from './index.ts'
import { gone, refusedWhileUsed, type SamplerTools } from './tools.ts'

export interface RemoveStitch {
  readonly kind: 'remove-stitch'
  readonly id: StitchId
  /** It was named before it was there, and is again: the way back from writing a stitch that an exercise had been waiting for. */
  readonly namesStay?: true | undefined
}

/** One that is worked, or that another is built on, stays; where it is only allowed instead it is allowed no longer. */
export const removeStitch: SamplerTools<RemoveStitch> = {
  apply: (sampler, { id, namesStay }) => {
    if (!byId(sampler.stitches, id)) return gone('stitch', id)
    if (namesStay) return success({ ...sampler, stitches: withoutId(sampler.stitches, id) })
    const used = refusedWhileUsed(sampler, 'stitch', id)
    if (used) return used
    const free = withoutNamesOf(sampler, 'stitch', id)
    return success({ ...free, stitches: withoutId(free.stitches, id) })
  },
  invert: (before, { id }) => {
    const stitch = byId(before.stitches, id)
    if (!stitch) return null
    const put: Operation = { kind: 'put-stitch', stitch, at: placeOf(before.stitches, id) }
    const allowed = before.exercises.flatMap((one): Operation[] =>
      one.substitutes?.some((substitute) => substitute.stitch === id) ? [{ kind: 'change-exercise', id: one.id, set: { substitutes: one.substitutes } }] : [],
    )
    return allowed.length === 0 ? put : { kind: 'batch', operations: [put, ...allowed] }
  },
}
