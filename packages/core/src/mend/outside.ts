/** An exercise outside the clear area: said with its figures, and moved back inside by the shortest way. */
import { caution, mm, type Problem } from '../base/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { outsideBy, reachOutside } from '../extent/index.ts'
import { moveBy, type Point } from '../geometry/index.ts'
import { HOOP_MARGIN_MM, nearestInside } from '../materials/index.ts'
import type { Operation, Sampler } from '../sampler/index.ts'

/** Less is not seen, mm. */
const SEEN_MM = 0.05
/** Past the border, so that rounding does not leave it on it, mm. */
const INSIDE_MM = 0.1
const MOST_MOVES = 16

type Ground = Pick<Sampler, 'cloth' | 'workingHoop'>

export function outsideProblem(done: WorkedExercise, sampler: Ground): Problem | null {
  const { reachMm, piece, at } = reachOutside(done, sampler)
  if (reachMm <= SEEN_MM || !at) return null
  const offCloth = outsideBy(at, { cloth: sampler.cloth }) > SEEN_MM
  const which = done.pieces.length > 1 ? { piece: done.pieces.findIndex((one) => one === piece) + 1, pieces: done.pieces.length } : {}
  const crushed = !offCloth && sampler.workingHoop !== undefined && reachMm > HOOP_MARGIN_MM && isRaised(done) ? { crushed: 'raised' } : {}
  return caution('cloth.outside', ['on'], { reach: mm(reachMm), beyond: offCloth ? 'cloth' : 'clear-area', ...which, ...crushed })
}

/** Wound, woven or padded: it stands up from the cloth. */
function isRaised({ motions }: WorkedExercise): boolean {
  return RAISED.some((motion) => (motions[motion] ?? 0) > 0)
}

const RAISED = ['wind', 'weave', 'pad'] as const

/** Null where it cannot lie inside, and where a group decides where its guides lie. */
export function moveInside(done: WorkedExercise, sampler: Ground & Pick<Sampler, 'drawing'>): Operation | null {
  const ids = done.exercise.on.map((on) => on.guide)
  if (sampler.drawing.groups.some((group) => group.members.some((id) => ids.includes(id)))) return null
  const points = done.pieces.flatMap((piece) => piece.worked.segments.flatMap((segment) => segment.points))
  let by: Point = { x: 0, y: 0 }
  for (let move = 0; move < MOST_MOVES; move += 1) {
    const outermost = points.reduce<{ at: Point; reach: number }>(
      (far, { x, y }) => {
        const at = { x: x + by.x, y: y + by.y }
        const reach = outsideBy(at, sampler)
        return reach > far.reach ? { at, reach } : far
      },
      { at: by, reach: 0 },
    )
    if (outermost.reach <= SEEN_MM) return move === 0 ? null : { kind: 'transform-guides', ids, matrix: moveBy(by) }
    const inside = nearestClear(outermost.at, sampler)
    by = { x: by.x + inside.x - outermost.at.x, y: by.y + inside.y - outermost.at.y }
  }
  return null
}

function nearestClear(at: Point, { cloth, workingHoop }: Ground): Point {
  const onCloth = {
    x: Math.min(cloth.widthMm - INSIDE_MM, Math.max(INSIDE_MM, at.x)),
    y: Math.min(cloth.heightMm - INSIDE_MM, Math.max(INSIDE_MM, at.y)),
  }
  return workingHoop ? nearestInside(onCloth, workingHoop, HOOP_MARGIN_MM + INSIDE_MM) : onCloth
}
