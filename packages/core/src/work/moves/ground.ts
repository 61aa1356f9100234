/** Opening the ground: a gap cut in the cloth, threads drawn out of it. Neither can be undone. */
import { mm } from '../../base/index.ts'
import { leftOf, type Point, step } from '../../geometry/index.ts'
import type { BundleMove, CutMove, WithdrawMove } from '../../notation/index.ts'
import type { CompiledByKind, CompiledMove } from '../compiled.ts'
import type { Frame } from '../frames.ts'
import { MoveError } from '../thread-settings.ts'
import { type Hand, type MoveRule, onward } from './rule.ts'

export const cut: MoveRule<CutMove, CompiledByKind['cut']> = {
  read: (move, common, reader) => ({ ...common, kind: 'cut', point: reader.point(move.cut), size: reader.expression(move.size) }),
  work: (move, hand) => {
    const found = hand.point(move.point)
    if (found) open(hand, move, gapAround(found.at, hand.value(move.size), hand.frame), found.direction)
  },
}

export const withdraw: MoveRule<WithdrawMove, CompiledByKind['withdraw']> = {
  read: (move, common, reader) => ({
    ...common,
    kind: 'withdraw',
    from: reader.expression(move.withdraw[0]),
    to: reader.expression(move.withdraw[1]),
  }),
  work: (move, hand) => {
    const [low, high] = [hand.value(move.from), hand.value(move.to)]
    open(hand, move, [...wholeGuide(hand.frames, low), ...wholeGuide(hand.frames, high).reverse()], onward(hand))
  },
}

export const bundle: MoveRule<BundleMove, CompiledByKind['bundle']> = {
  read: (move, common, reader) => ({
    ...common,
    kind: 'bundle',
    from: reader.expression(move.bundle[0]),
    to: reader.expression(move.bundle[1]),
    at: reader.expression(move.at),
  }),
  work: (move, { frame, thread, value }) => {
    const at = value(move.at)
    thread.patch('bundle', [frame.at(value(move.from), at).at, frame.at(value(move.to), at).at])
  },
}

function open(hand: Hand, move: CompiledMove & { readonly kind: 'cut' | 'withdraw' }, outline: readonly Point[], direction: Point): void {
  const { thread } = hand
  thread.patch(move.kind === 'cut' ? 'gap' : 'drawn', outline)
  thread.note(move.kind)
  thread.surface(move.kind, outline[0] as Point, hand.context(move, direction))
}

/** A square gap in a cell, a round one elsewhere. */
function gapAround(at: Point, sizeMm: number, frame: Frame): Point[] {
  if (!(sizeMm > 0)) throw new MoveError('move.gap', { size: mm(sizeMm) })
  const half = sizeMm / 2
  if (frame.values['columns'] !== undefined) {
    const { direction } = frame.at(0, 0)
    const corner = (along: number, aside: number): Point => step(step(at, direction, along), leftOf(direction), aside)
    return [corner(-half, half), corner(half, half), corner(half, -half), corner(-half, -half)]
  }
  return Array.from({ length: 48 }, (_, index) => {
    const angle = (2 * Math.PI * index) / 48
    return { x: at.x + half * Math.cos(angle), y: at.y + half * Math.sin(angle) }
  })
}

/** The whole guide at one height, as far as its frames go. */
function wholeGuide(frames: readonly Frame[], t: number): Point[] {
  const last = frames[frames.length - 1] as Frame
  return [...frames.map((frame) => frame.at(0, t).at), last.at(Math.max(0, last.values['rest'] ?? 0), t).at]
}
