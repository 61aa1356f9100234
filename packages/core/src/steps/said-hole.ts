/** What is being told: of which stitch, by which hand, with which holes numbered; and how a hole is spoken of. */
import type { StitchDocument } from '../notation/index.ts'
import type { Hole, WorkedStitch } from '../work/index.ts'
import type { Happening } from './gestures.ts'
import type { Hand } from './hand.ts'
import { holeAt, previousHole } from './holes-of.ts'
import type { SaidHole, Where } from './phrases.ts'
import { type Looking, whereAlong, whereOnGuide } from './where.ts'

export interface Saying {
  readonly document: StitchDocument
  readonly worked: WorkedStitch
  readonly hand: Hand
  readonly looking: Looking
  /** Of a hole, by its index: null where none is drawn. */
  readonly numberOf: (hole: number) => number | null
  /** It has been shown before this. */
  readonly wasShown: (hole: number) => boolean
  /** Names of passes whose thread was taken up already are not said again. */
  readonly isLastOfAll: boolean
}

/** Where one is until one leaves it. */
const ALONG: readonly Where['at'][] = ['line', 'middle-line', 'rail', 'beside-line', 'inside-rail', 'rim']

/** A hole as it is spoken of; `after`: the hole at which the same needle went in. */
export function saidHole(happening: Happening, saying: Saying, after?: Happening): SaidHole {
  const index = happening.hole ?? -1
  const at = holeAt(happening, saying)
  const number = saying.numberOf(index)
  const again = saying.wasShown(index)
  const where: Where[] = []
  const before = previousHole(happening, saying)
  if (again && happening.kind === 'up' && endsThere(index, saying)) where.push({ at: 'stitch-end' })
  else if (!again) {
    const onGuide = whereOnGuide(at, saying.looking)
    if (after?.hole !== undefined && after.hole !== null) {
      const entry = saying.worked.holes[after.hole] as Hole
      const start = previousHole(after, saying)
      const along = whereAlong(
        at,
        start === null ? entry : (saying.worked.holes[start] as Hole),
        { at: entry, hole: saying.numberOf(after.hole) },
        saying.looking,
      )
      if (along) where.push(along)
    } else if (happening.kind === 'down' && before !== null) {
      const start = saying.worked.holes[before] as Hole
      const along = whereAlong(at, start, { at: start, hole: saying.numberOf(before) }, saying.looking)
      if (along) where.push(along)
    }
    // Where the last hole lies too, it is not said again.
    const beside = after?.hole ?? before
    const last = beside === null ? null : whereOnGuide(saying.worked.holes[beside] as Hole, saying.looking)
    if (onGuide && !(ALONG.includes(onGuide.at) && JSON.stringify(onGuide) === JSON.stringify(last))) where.push(onGuide)
  }
  return { number, again, where }
}

function endsThere(index: number, { worked }: Saying): boolean {
  const { same } = worked.holes[index] as Hole
  return worked.holes.some((hole, other) => other < index && hole.same === same && hole.move === 'down')
}
