/** Winding the thread round the needle: wraps, a figure of eight, loops cast on. */
import type { CastMove, WrapMove } from '../../notation/index.ts'
import type { CompiledByKind } from '../compiled.ts'
import type { ThreadState } from '../thread-state.ts'
import { MoveError } from '../thread-settings.ts'
import { isCast, type Wound } from '../types.ts'
import type { MoveRule } from './rule.ts'

export const wrap: MoveRule<WrapMove, CompiledByKind['wrap']> = {
  read: (move, common, reader) => ({ ...common, kind: 'wrap', turns: reader.expression(move.wrap), eight: move.turn === 'eight' }),
  work: (move, { thread, value }) => wind(thread, value(move.turns), move.eight ? 'eight' : 'wrap', null),
}

export const cast: MoveRule<CastMove, CompiledByKind['cast']> = {
  read: (move, common, reader) => ({
    ...common,
    kind: 'cast',
    turns: reader.expression(move.cast),
    free: reader.maybe(move.free),
    both: move.sides === 'both',
  }),
  work: (move, { thread, value, maybe }) => wind(thread, value(move.turns), move.both ? 'cast-both' : 'cast', maybe(move.free)),
}

const MOST_TURNS = 200

function wind(thread: ThreadState, turns: number, wound: Wound, freeMm: number | null): void {
  thread.inFront('move.nothing-to-wrap')
  if (!(turns >= 1) || turns > MOST_TURNS) throw new MoveError('move.turns', { turns, what: isCast(wound) ? 'loops' : 'wraps', most: MOST_TURNS })
  const count = Math.round(turns)
  thread.takeUp({ turns: count, wound, freeMm })
  thread.note('wind')
  thread.note(isCast(wound) ? 'cast' : 'wrap', count)
  if (wound === 'cast-both') thread.note('alternate', count)
  if (wound === 'eight') thread.note('eight')
  if (freeMm !== null) thread.note('stand')
}
