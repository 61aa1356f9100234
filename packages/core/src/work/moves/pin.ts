/** A pin: set in the cloth, and the thread taken round it. */
import type { Point3 } from '../../geometry/index.ts'
import type { PinMove, RoundMove } from '../../notation/index.ts'
import type { CompiledByKind } from '../compiled.ts'
import { wayRoundPost } from '../post-rule.ts'
import type { MoveRule } from './rule.ts'

export const pin: MoveRule<PinMove, CompiledByKind['pin']> = {
  read: (move, common, reader) => ({ ...common, kind: 'pin', point: reader.point(move.pin) }),
  work: (move, hand) => {
    const found = hand.point(move.point)
    if (!found) return
    hand.thread.note('pin')
    hand.thread.surface('pin', found.at, hand.context(move, found.direction))
  },
}

export const round: MoveRule<RoundMove, CompiledByKind['round']> = {
  read: (move, common, reader) => ({ ...common, kind: 'round', post: reader.point(move.round), to: reader.point(move.to) }),
  work: (move, hand) => {
    const { thread } = hand
    const [post, to] = [hand.point(move.post), hand.point(move.to)]
    if (!post || !to) return
    const context = hand.context(move, post.direction)
    const way = thread.inFront('move.nothing-to-take-round')
    const { diameterMm, lineWidthMm } = thread.settings
    const before = way[way.length - 1] as Point3
    const { direction, mirror } = context
    const turn = wayRoundPost({ a: before, b: to.at, c: post.at, direction, round: 'inside', mirror, diameterMm, lineWidthMm })
    // Up to the far side of the pin the thread is one leg; what follows is the next.
    const contact = Math.floor((turn.length - 1) / 2)
    way.push(...turn.slice(1, contact + 1))
    thread.note('round-pin')
    thread.surface('round', post.at, context)
    thread.cutWay(context)
    thread.inFront('move.nothing-to-take-round').push(...turn.slice(contact + 1, -1))
  },
}
