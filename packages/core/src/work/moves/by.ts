/** Leading the thread across the front by a place. */
import type { ByMove } from '../../notation/index.ts'
import type { CompiledByKind } from '../compiled.ts'
import type { MoveRule } from './rule.ts'

export const by: MoveRule<ByMove, CompiledByKind['by']> = {
  read: (move, common, reader) => ({ ...common, kind: 'by', point: reader.point(move.by) }),
  work: (move, hand) => {
    const found = hand.point(move.point)
    if (!found) return
    hand.thread.lead([found.at], 'move.nothing-to-lead')
    const context = hand.context(move, found.direction)
    hand.thread.surface('lead', found.at, context)
    if (context.label !== null) hand.thread.cutWay(context)
  },
}
