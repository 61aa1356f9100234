/** Holding the thread in front for the pass that goes on with it. */
import type { HoldMove } from '../../notation/index.ts'
import type { CompiledByKind } from '../compiled.ts'
import { type MoveRule, onward } from './rule.ts'

export const hold: MoveRule<HoldMove, CompiledByKind['hold']> = {
  read: (_move, common) => ({ ...common, kind: 'hold' }),
  work: (move, hand) => hand.thread.hold(hand.context(move, onward(hand))),
}
