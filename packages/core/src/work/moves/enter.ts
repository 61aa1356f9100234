/** What going through the cloth asks of the hand, whichever way it goes. */
import { dot, type Point, subtract, unit } from '../../geometry/index.ts'
import type { CompiledDown, CompiledPoint, CompiledUp } from '../compiled.ts'
import type { FoundPoint } from '../find-point.ts'
import type { Hand } from './rule.ts'

/** The needle travels against the direction of working: it cannot be loaded several stitches at a time. */
export function noteReturn(found: FoundPoint, { thread }: Hand): void {
  const last = thread.lastPoint
  if (!last) return
  const travel = unit(subtract(found.at, last))
  if (travel && dot(travel, found.direction) < -0.3) thread.note('turn-back')
}

/** An edge that ends side by side must make, or a hole off the line at an even distance from it. */
export function noteSide(move: CompiledUp | CompiledDown, found: FoundPoint, hand: Hand): void {
  const { made, thread } = hand
  const isAside = made.block === 'repeat' && made.inner === null && liesAside(move.point, found.at, hand)
  if (hand.sideBySide && (found.edge || (isAside && found.side))) thread.note('edge')
  else if (found.edge || isAside) thread.note('width')
}

/** Something laid in another thread is being tied down. */
export function tiesLaid({ laid, role }: Hand): boolean {
  return laid !== null && laid !== role
}

/** Off the line by more than the thread is wide, and not to tie another thread down. */
function liesAside(form: CompiledPoint, at: Point, hand: Hand): boolean {
  if (form.kind !== 'frame' || tiesLaid(hand)) return false
  const on = hand.frame.at(hand.value(form.s), 0).at
  return Math.hypot(at.x - on.x, at.y - on.y) > hand.lineWidthMm
}
