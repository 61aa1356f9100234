/** Threads that lie already drawn in by the thread in hand: the bar of a knot into its square, a bundle to its middle. */
import type { DrawnMove } from '../../notation/index.ts'
import type { CompiledByKind } from '../compiled.ts'
import { drawnAside } from '../thread-lie.ts'
import type { MoveRule } from './rule.ts'

export const drawn: MoveRule<DrawnMove, CompiledByKind['drawn']> = {
  read: (move, common, reader) => {
    if (move.drawn.length === 0) reader.wrong('move.names-no-thread')
    return {
      ...common,
      kind: 'drawn',
      references: move.drawn.map((one) => reader.reference(one, 'passed')),
      by: [reader.expression(move.by[0]), reader.expression(move.by[1])],
      at: reader.maybe(move.at),
    }
  },
  work: (move, hand) => {
    const { frame, thread } = hand
    const [from, to] = [frame.at(0, 0).at, frame.at(hand.value(move.by[0]), hand.value(move.by[1])).at]
    const by = { x: to.x - from.x, y: to.y - from.y }
    const share = Math.min(0.95, Math.max(0.05, hand.maybe(move.at) ?? 0.5))
    for (const reference of move.references) thread.drawIn(hand.reference(reference), from, (points) => drawnAside(points, share, by))
  },
}
