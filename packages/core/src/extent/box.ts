/** The upright box of what an exercise covers on the cloth, thread and marks. mm. */
import { unreachable } from '../base/index.ts'
import { type Box, boxOf, type Point } from '../geometry/index.ts'
import type { Mark, WorkedExercise, WorkedPiece } from '../exercise/index.ts'

/** An exercise that was worked once keeps its box; an edit works another. */
const boxes = new WeakMap<WorkedPiece, Box | null>()

export function boxOfPiece(piece: WorkedPiece): Box | null {
  const known = boxes.get(piece)
  if (known !== undefined) return known
  const box = boxOf([...piece.worked.segments.flatMap((segment) => segment.points), ...piece.marks.flatMap(placesOf)])
  boxes.set(piece, box)
  return box
}

export function boxOfExercise({ pieces }: WorkedExercise): Box | null {
  return boxOf(pieces.flatMap((piece) => cornersOf(boxOfPiece(piece))))
}

function cornersOf(box: Box | null): Point[] {
  return box
    ? [
        { x: box.left, y: box.top },
        { x: box.right, y: box.bottom },
      ]
    : []
}

function placesOf(mark: Mark): readonly Point[] {
  switch (mark.kind) {
    case 'dot':
    case 'start':
    case 'words':
      return [mark.at]
    case 'line':
      return mark.points
    default:
      return unreachable(mark)
  }
}

/** They lie no farther apart than so much. */
export function boxesMeet(a: Box, b: Box, withinMm: number): boolean {
  return a.left - withinMm < b.right && b.left - withinMm < a.right && a.top - withinMm < b.bottom && b.top - withinMm < a.bottom
}
