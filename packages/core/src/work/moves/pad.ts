/** Padding: felt, or stitches, that lift what is worked over them. */
import { mm } from '../../base/index.ts'
import { insetRegion, type Point } from '../../geometry/index.ts'
import type { ReadGuide } from '../../guide/index.ts'
import type { PadMove } from '../../notation/index.ts'
import type { CompiledByKind } from '../compiled.ts'
import { MoveError } from '../thread-settings.ts'
import { type MoveRule, onward } from './rule.ts'

export const pad: MoveRule<PadMove, CompiledByKind['pad']> = {
  read: (move, common, reader) => ({ ...common, kind: 'pad', height: reader.expression(move.pad), felt: reader.maybe(move.felt) }),
  work: (move, hand) => {
    const { thread } = hand
    const heightMm = hand.value(move.height)
    const felt = move.felt ? feltOutline(hand.guide, hand.value(move.felt)) : null
    if (!(heightMm > 0 && heightMm <= HIGHEST_MM)) throw new MoveError('move.pad', { height: mm(heightMm), most: mm(HIGHEST_MM) })
    thread.raise(heightMm)
    thread.note('pad')
    if (felt) thread.patch('felt', felt)
    const at = felt?.[0] ?? thread.lastPoint
    if (at) thread.surface('pad', at, hand.context(move, onward(hand)))
  },
}

const HIGHEST_MM = 20

function feltOutline(guide: ReadGuide, insetMm: number): readonly Point[] {
  if (guide.kind !== 'shape') throw new MoveError('move.felt')
  return insetRegion(guide.region, insetMm)[0] as readonly Point[]
}
