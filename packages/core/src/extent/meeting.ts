/** Where two exercises meet on the cloth: holes of one beside holes of the other, or on its shape. mm. */
import type { WorkedExercise, WorkedPiece } from '../exercise/index.ts'
import { distance, isInRegion, nearestPlace, type Point } from '../geometry/index.ts'
import { boxesMeet, boxOfPiece } from './box.ts'

/** Threads nearer than this touch, mm. */
export const TOUCH_MM = 1
/** A line that runs so near the edge of a shape for most of its way is its outline, mm. */
const OUTLINE_MM = 1.5
const MOST_OF_ITS_WAY = 0.7

/** Some hole of one lies on the other's shape or beside one of its holes. */
export function exercisesMeet(one: WorkedExercise, other: WorkedExercise): boolean {
  return one.pieces.some((a) => other.pieces.some((b) => mayMeet(a, b) && piecesTouch(a, b)))
}

/** Some piece of the first is a line along the edge of a shape of the second. */
export function isOutlineOf(line: WorkedExercise, fill: WorkedExercise): boolean {
  return line.pieces.some((a) => fill.pieces.some((b) => mayMeet(a, b) && outlines(a, b)))
}

function mayMeet(a: WorkedPiece, b: WorkedPiece): boolean {
  const [one, other] = [boxOfPiece(a), boxOfPiece(b)]
  return one !== null && other !== null && boxesMeet(one, other, TOUCH_MM)
}

/** An outline reaches as far as the shape, to each side, and no further. */
function isAsLarge(a: WorkedPiece, b: WorkedPiece): boolean {
  const [one, other] = [boxOfPiece(a), boxOfPiece(b)]
  return one !== null && other !== null && (['left', 'right', 'top', 'bottom'] as const).every((side) => Math.abs(one[side] - other[side]) < 3 * OUTLINE_MM)
}

function outlines(line: WorkedPiece, fill: WorkedPiece): boolean {
  if (line.guide.kind !== 'line' || fill.guide.kind !== 'shape' || !isAsLarge(line, fill)) return false
  const { outline } = fill.guide
  const { holes } = line.worked
  const near = holes.filter((hole) => nearestPlace(outline, hole).distance < OUTLINE_MM).length
  return near >= MOST_OF_ITS_WAY * holes.length
}

function piecesTouch(a: WorkedPiece, b: WorkedPiece): boolean {
  const inside = (piece: WorkedPiece, at: Point): boolean => piece.guide.kind === 'shape' && isInRegion(piece.guide.region, at)
  const near = cellsOf(b)
  return a.worked.holes.some((hole) => inside(b, hole) || isBeside(near, hole)) || b.worked.holes.some((hole) => inside(a, hole))
}

type Cells = ReadonlyMap<string, readonly Point[]>
const cells = new WeakMap<WorkedPiece, Cells>()

/** The holes of a piece by squares as wide as touching is. */
function cellsOf(piece: WorkedPiece): Cells {
  const known = cells.get(piece)
  if (known) return known
  const found = new Map<string, Point[]>()
  for (const hole of piece.worked.holes) {
    const key = `${Math.floor(hole.x / TOUCH_MM)},${Math.floor(hole.y / TOUCH_MM)}`
    const list = found.get(key)
    if (list) list.push(hole)
    else found.set(key, [hole])
  }
  cells.set(piece, found)
  return found
}

function isBeside(near: Cells, at: Point): boolean {
  const [x, y] = [Math.floor(at.x / TOUCH_MM), Math.floor(at.y / TOUCH_MM)]
  for (let dx = -1; dx <= 1; dx += 1) {
    for (let dy = -1; dy <= 1; dy += 1) if ((near.get(`${x + dx},${y + dy}`) ?? []).some((other) => distance(at, other) < TOUCH_MM)) return true
  }
  return false
}
