import { type GuideId, success } from '../../base/index.ts'
import { isSimilarity, type Matrix } from '../../geometry/index.ts'
import { transformGuide } from '../../guide/index.ts'
import { transformCopies } from '../copies.ts'
import type { DrawnGuide, GuideGroup } from '../types.ts'
import type { Operation } from './index.ts'
import { gone, type SamplerTools } from './tools.ts'
import { refused } from '../../base/index.ts'

/** Guides moved, turned, scaled or mirrored together, with the centres and paths of their copies; a motif's too where all of it is moved. */
export interface TransformGuides {
  readonly kind: 'transform-guides'
  readonly ids: readonly GuideId[]
  readonly matrix: Matrix
}

export const transformGuides: SamplerTools<TransformGuides> = {
  apply: (sampler, { ids, matrix }) => {
    if (!isSimilarity(matrix)) return refused('operation.bends')
    const { guides } = sampler.drawing
    const missing = ids.find((id) => !guides.some((one) => one.id === id))
    if (missing !== undefined) return gone('guide', missing)
    return success({
      ...sampler,
      drawing: {
        ...sampler.drawing,
        guides: guides.map((one) => (ids.includes(one.id) ? carried(one, matrix) : one)),
        groups: sampler.drawing.groups.map((one) => (isCarried(one, ids) && one.copies ? { ...one, copies: transformCopies(one.copies, matrix) } : one)),
      },
    })
  },
  // Carried back, a place would differ by a rounding: what was there is written again.
  invert: (before, { ids }) => {
    const were = before.drawing.guides.filter((one) => ids.includes(one.id))
    if (were.length === 0) return null
    const groups = before.drawing.groups.filter((one) => isCarried(one, ids) && one.copies)
    return {
      kind: 'batch',
      operations: [
        ...were.map(({ id, guide, copies }): Operation => ({ kind: 'change-guide', id, set: copies ? { guide, copies } : { guide } })),
        ...groups.map(({ id, copies }): Operation => ({ kind: 'change-group', id, set: { copies } })),
      ],
    }
  },
}

/** A motif goes along with its copies when all of it goes. */
function isCarried({ members }: GuideGroup, ids: readonly GuideId[]): boolean {
  return members.length > 0 && members.every((one) => ids.includes(one))
}

function carried(drawn: DrawnGuide, matrix: Matrix): DrawnGuide {
  return { ...drawn, guide: transformGuide(drawn.guide, matrix), ...(drawn.copies ? { copies: transformCopies(drawn.copies, matrix) } : {}) }
}
