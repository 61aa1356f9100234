/** Where the design may lie: inside the hoop with room for fingers and the needle's angle, or on the cloth. mm. */
import type { WorkedExercise, WorkedPiece } from '../exercise/index.ts'
import type { Point } from '../geometry/index.ts'
import { outsideClear } from '../materials/index.ts'
import type { Sampler } from '../sampler/index.ts'

/** How far a place lies outside the clear area or off the cloth; 0 inside. */
export function outsideBy(at: Point, { cloth, workingHoop }: Pick<Sampler, 'cloth' | 'workingHoop'>): number {
  const offCloth = Math.max(-at.x, -at.y, at.x - cloth.widthMm, at.y - cloth.heightMm, 0)
  const offHoop = workingHoop ? outsideClear(at, workingHoop) : 0
  return Math.max(offCloth, offHoop)
}

export interface Reach {
  readonly reachMm: number
  readonly piece: WorkedPiece | null
  readonly at: Point | null
}

/** Of one exercise on one cloth in one hoop: list, stage, cloth and card ask for the same. */
const known = new WeakMap<WorkedExercise, { readonly cloth: Sampler['cloth']; readonly hoop: Sampler['workingHoop']; readonly reach: Reach }>()

/** The piece that reaches furthest outside the clear area, and how far; 0 where all lies inside. */
export function reachOutside(done: WorkedExercise, around: Pick<Sampler, 'cloth' | 'workingHoop'>): Reach {
  const before = known.get(done)
  if (before?.cloth === around.cloth && before.hoop === around.workingHoop) return before.reach
  let reach: Reach = { reachMm: 0, piece: null, at: null }
  for (const piece of done.pieces) {
    for (const segment of piece.worked.segments) {
      for (const { x, y } of segment.points) {
        const reachMm = outsideBy({ x, y }, around)
        if (reachMm > reach.reachMm) reach = { reachMm, piece, at: { x, y } }
      }
    }
  }
  known.set(done, { cloth: around.cloth, hoop: around.workingHoop, reach })
  return reach
}
