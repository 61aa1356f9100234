/** All kinds of move, one file each; complete for the compiler. */
import { kindOfMove, type Move, type MoveByKind, type MoveKind } from '../../notation/index.ts'
import type { CompiledByKind, CompiledCommon, CompiledMove } from '../compiled.ts'
import { bead } from './bead.ts'
import { by } from './by.ts'
import { down } from './down.ts'
import { drawn } from './drawn.ts'
import { each } from './each.ts'
import { bundle, cut, withdraw } from './ground.ts'
import { hold } from './hold.ts'
import { lay } from './lay.ts'
import { pad } from './pad.ts'
import { pin, round } from './pin.ts'
import type { Hand, MoveReader, MoveRule } from './rule.ts'
import { over, under } from './slide.ts'
import { take } from './take.ts'
import { up } from './up.ts'
import { cast, wrap } from './wrap.ts'

const MOVES: { readonly [Kind in MoveKind]: MoveRule<MoveByKind[Kind], CompiledByKind[Kind]> } = {
  up,
  down,
  by,
  wrap,
  cast,
  lay,
  hold,
  take,
  drawn,
  pin,
  bead,
  pad,
  cut,
  withdraw,
  bundle,
  each,
  under,
  over,
  round,
}

/** Read by the rule of its kind. */
export function readMove(move: Move, common: CompiledCommon, reader: MoveReader): CompiledMove {
  const rule = MOVES[kindOfMove(move) ?? 'hold'] as MoveRule<Move, CompiledMove>
  return rule.read(move, common, reader)
}

/** Worked by the rule of its kind. */
export function workMove(move: CompiledMove, hand: Hand): void {
  const rule = MOVES[move.kind] as MoveRule<Move, CompiledMove>
  rule.work(move, hand)
}
