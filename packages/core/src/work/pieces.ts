/** What is finished before the next is begun: a woven point on its pin, a web on its spot. */
import type { ReadGuide } from '../guide/index.ts'
import type { CompiledPass } from './compiled.ts'

/**
 * Each pin carries a piece of its own, but a fan of pins is one. On spots and squares a stitch of several passes in one needleful is
 * made whole at each; where a later pass takes another needle, all are worked in the first thread and then in the second.
 */
export function piecesOf(guide: ReadGuide, passes: readonly CompiledPass[]): readonly [ReadGuide, ...ReadGuide[]] {
  const pieces = allPieces(guide, passes)
  return [pieces[0] ?? guide, ...pieces.slice(1)]
}

function allPieces(guide: ReadGuide, passes: readonly CompiledPass[]): readonly ReadGuide[] {
  if (guide.kind === 'pins') {
    const fan = passes.some(({ place }) => place.kind === 'pins' && place.fan)
    return fan ? [guide] : guide.pins.map((pin) => ({ ...guide, pins: [pin] }))
  }
  if (guide.kind !== 'spots' || !passes.some(({ pass }) => pass.continues)) return [guide]
  return guide.at.map((spot, index) => ({ ...guide, at: [spot], turns: [guide.turns[index] ?? 0] }))
}
