/** Going down. */
import type { DownMove } from '../../notation/index.ts'
import type { CompiledDown } from '../compiled.ts'
import { noteReturn, noteSide, tiesLaid } from './enter.ts'
import type { MoveRule } from './rule.ts'

export const down: MoveRule<DownMove, CompiledDown> = {
  read: (move, common, reader) => ({
    ...common,
    kind: 'down',
    point: reader.point(move.down),
    loose: move.loose ?? false,
    wraps: reader.maybe(move.wraps),
    split: move.split === undefined ? null : reader.reference(move.split, 'split'),
    plunge: move.plunge ?? false,
  }),
  work: (move, hand) => {
    const found = hand.point(move.point)
    if (!found || hand.leftOut) return
    noteReturn(found, hand)
    if (hand.made.inner !== null || tiesLaid(hand)) hand.thread.note('tie')
    const split = move.split ? hand.reference(move.split) : null
    hand.thread.down(found.at, { loose: move.loose, split, plunge: move.plunge, wraps: hand.maybe(move.wraps) ?? 0 }, hand.context(move, found.direction))
    noteSide(move, found, hand)
  },
}
