/** Changing threads: the one in hand waits in its own needle, another is taken up where it was left. */
import type { TakeMove } from '../../notation/index.ts'
import type { CompiledByKind } from '../compiled.ts'
import type { MoveRule } from './rule.ts'

export const take: MoveRule<TakeMove, CompiledByKind['take']> = {
  read: (move, common) => ({ ...common, kind: 'take', role: move.take }),
  work: (move, hand) => hand.take(move.role),
}
