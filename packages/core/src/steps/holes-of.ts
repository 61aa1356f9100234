/** The holes of what happens, as they were worked. */
import type { Point } from '../geometry/index.ts'
import type { Move, StitchDocument } from '../notation/index.ts'
import type { Hole, Segment, WorkedStitch } from '../work/index.ts'
import { type Happening, moveOf } from './gestures.ts'

interface On {
  readonly worked: WorkedStitch
}

/** What was wound on the needle that goes down there. */
export function woundAt({ hole }: Happening, { worked }: On): Segment | undefined {
  return worked.segments.find((segment) => segment.to === hole && segment.turns > 0)
}

export const holeAt = ({ hole }: Happening, { worked }: On): Point => worked.holes[hole ?? 0] ?? { x: 0, y: 0 }

/** The hole before it in the same pass. */
export function previousHole({ hole }: Happening, { worked }: On): number | null {
  if (hole === null || hole === 0) return null
  const [before, here] = [worked.holes[hole - 1] as Hole, worked.holes[hole] as Hole]
  return before.made.pass === here.made.pass ? hole - 1 : null
}

export function moveOfHole(index: number, { worked, document }: On & { readonly document: StitchDocument }): Move | null {
  return moveOf(document, (worked.holes[index] as Hole).made)
}
