/** Taking a bead on the thread. */
import { mm } from '../../base/index.ts'
import type { Point3 } from '../../geometry/index.ts'
import type { BeadMove } from '../../notation/index.ts'
import type { CompiledByKind } from '../compiled.ts'
import { MoveError } from '../thread-settings.ts'
import { type MoveRule, onward } from './rule.ts'

export const bead: MoveRule<BeadMove, CompiledByKind['bead']> = {
  read: (move, common, reader) => ({ ...common, kind: 'bead', size: reader.expression(move.bead) }),
  work: (move, hand) => {
    const { thread } = hand
    const sizeMm = hand.value(move.size)
    const context = hand.context(move, onward(hand))
    const way = thread.inFront('move.nothing-to-bead')
    if (!(sizeMm > 0)) throw new MoveError('move.bead', { size: mm(sizeMm) })
    const at = way[way.length - 1] as Point3
    const from = { ...at, x: at.x - 0.01 }
    const { lastHole } = thread
    thread.log.add({ side: 'front', kind: 'bead', from: lastHole, to: lastHole, way: [from, at], context, label: null, sizeMm }, thread.settings)
    thread.note('bead')
    thread.surface('bead', at, context)
  },
}
