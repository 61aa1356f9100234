import { byId, type GuideId, placeOf, success, withoutId } from '../../base/index.ts'
import { withoutNamesOf } from '../references.ts'
import { gone, refusedWhileUsed, type SamplerTools } from './tools.ts'

export interface RemoveGuide {
  readonly kind: 'remove-guide'
  readonly id: GuideId
}

/** A guide that an exercise is worked on stays; a group lets go of it. */
export const removeGuide: SamplerTools<RemoveGuide> = {
  apply: (sampler, { id }) => {
    if (!byId(sampler.drawing.guides, id)) return gone('guide', id)
    const used = refusedWhileUsed(sampler, 'guide', id)
    if (used) return used
    const free = withoutNamesOf(sampler, 'guide', id)
    return success({ ...free, drawing: { ...free.drawing, guides: withoutId(free.drawing.guides, id) } })
  },
  invert: (before, { id }) => {
    const { guides, groups } = before.drawing
    const guide = byId(guides, id)
    if (!guide) return null
    const add = { kind: 'add-guide', guide, at: placeOf(guides, id) } as const
    const regroup = groups
      .filter((group) => group.members.includes(id))
      .map((group) => ({ kind: 'change-group', id: group.id, set: { members: group.members } }) as const)
    return regroup.length === 0 ? add : { kind: 'batch', operations: [add, ...regroup] }
  },
}
