/** Laying a thread along the guide on the surface. */
import type { Point } from '../../geometry/index.ts'
import type { LayMove } from '../../notation/index.ts'
import type { CompiledByKind } from '../compiled.ts'
import type { Frame } from '../frames.ts'
import { type MoveRule, onward } from './rule.ts'

export const lay: MoveRule<LayMove, CompiledByKind['lay']> = {
  read: (move, common, reader) => ({
    ...common,
    kind: 'lay',
    from: reader.expression(move.lay[0]),
    to: reader.expression(move.lay[1]),
    aside: reader.maybe(move.aside),
  }),
  work: (move, hand) => {
    const { frame, thread } = hand
    hand.laid = hand.role
    const way = wayAlong(frame, hand.value(move.from), hand.value(move.to), hand.maybe(move.aside) ?? 0)
    thread.lead(way, 'move.nothing-to-lay')
    thread.note('lay')
    thread.surface('lay', way[way.length - 1] as Point, hand.context(move, onward(hand)))
  },
}

const MOST_STOPS = 2000

/** Places on a line between two nominal distances, near enough (1 mm) that the curve through them follows the line. */
function wayAlong(frame: Frame, from: number, to: number, aside: number): Point[] {
  const reach = to - from
  const count = Math.min(MOST_STOPS, Math.max(1, Math.ceil(Math.abs(reach))))
  const stops = Array.from({ length: count + 1 }, (_, index) => from + (reach * index) / count)
  const corners = (frame.corners ?? []).filter((corner) => corner > Math.min(from, to) && corner < Math.max(from, to))
  return [...stops, ...corners].sort((a, b) => (reach >= 0 ? a - b : b - a)).map((s) => frame.at(s, aside).at)
}
