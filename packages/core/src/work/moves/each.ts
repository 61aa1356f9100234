/** The same moves again and again, in small frames along a thread or between two points. */
import type { Point } from '../../geometry/index.ts'
import type { EachMove } from '../../notation/index.ts'
import type { CompiledEach } from '../compiled.ts'
import { framesOnThread } from '../each.ts'
import type { Hand, MoveRule } from './rule.ts'

/** A tie's holes stand so far beside the thread that it holds, mm. */
const BESIDE_TIED_MM = 0.08

export const each: MoveRule<EachMove, CompiledEach> = {
  read: (move, common, reader) => {
    const { along, every, offset, from, back } = move.each
    const moves = reader.inner(move.moves)
    if (!moves) reader.wrong('move.each-within-each')
    return {
      ...common,
      kind: 'each',
      along: typeof along === 'string' ? reader.reference(along, 'passed') : { from: reader.point(along.from), to: reader.point(along.to) },
      every: reader.expression(every),
      offset: reader.maybe(offset),
      from: from === undefined ? null : reader.point(from),
      back: back ?? false,
      moves: moves ?? [],
    }
  },
  work: (move, hand) => {
    const { frame, thread } = hand
    const from = move.from ? hand.point(move.from) : null
    // A thread that is tied down has been laid.
    if ('label' in move.along && move.moves.some((one) => one.kind === 'down')) thread.note('lay')
    const along = wayOf(move.along, hand)
    if (!along) return
    const frames = framesOnThread(along.way, {
      everyMm: hand.value(move.every),
      offsetMm: hand.maybe(move.offset),
      from: from?.at ?? null,
      back: move.back,
      halfWidthMm: along.halfWidthMm + BESIDE_TIED_MM,
      mirror: frame.mirror,
      values: frame.values,
    })
    for (const inner of frames) hand.within(inner, move.moves)
  },
}

interface Along {
  readonly way: readonly Point[]
  readonly halfWidthMm: number
}

function wayOf(along: CompiledEach['along'], hand: Hand): Along | null {
  if ('label' in along) {
    const tied = hand.thread.log.find(hand.reference(along), hand.frame.at(0, 0).at)
    return { way: tied.points, halfWidthMm: hand.settings(tied.thread, tied.lie).lineWidthMm / 2 }
  }
  const [from, to] = [hand.point(along.from), hand.point(along.to)]
  return from && to ? { way: [from.at, to.at], halfWidthMm: hand.lineWidthMm / 2 } : null
}
