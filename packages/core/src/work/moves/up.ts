/** Coming up from behind. */
import type { UpMove } from '../../notation/index.ts'
import type { CompiledUp } from '../compiled.ts'
import { noteReturn, noteSide } from './enter.ts'
import type { MoveRule } from './rule.ts'

export const up: MoveRule<UpMove, CompiledUp> = {
  read: (move, common, reader) => ({
    ...common,
    kind: 'up',
    point: reader.point(move.up),
    round: move.round ?? null,
    split: move.split === undefined ? null : reader.reference(move.split, 'split'),
    half: move.half ?? false,
    wraps: reader.maybe(move.wraps),
    and: move.and === undefined ? null : reader.point(move.and),
  }),
  work: (move, hand) => {
    const found = hand.point(move.point)
    hand.leftOut = !found
    if (!found) return
    noteReturn(found, hand)
    hand.thread.up(
      found.at,
      {
        round: move.round,
        split: move.split ? hand.reference(move.split) : null,
        half: move.half,
        wraps: hand.maybe(move.wraps) ?? 0,
        and: move.and ? (hand.point(move.and)?.at ?? null) : null,
      },
      hand.context(move, found.direction),
    )
    noteSide(move, found, hand)
  },
}
