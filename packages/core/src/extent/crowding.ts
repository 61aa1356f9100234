/**
 * Threads of two lines that run side by side with less room than they need: worked so, the one pushes the other aside, or
 * lies on it. What crosses, what lies over the other by the teacher's word, and two stitches on one guide are meant. mm
 */
import type { WorkedExercise, WorkedPiece } from '../exercise/index.ts'
import { CellIndex, distance, nearestPlace, placeAt, type Point } from '../geometry/index.ts'
import { boxesMeet, boxOfPiece } from './box.ts'

export interface Crowded {
  readonly other: WorkedExercise
  /** For so long one thread lies on the other. */
  readonly alongMm: number
  /** From line to line, that two such threads need. */
  readonly wantedMm: number
  /** Where they lie nearest. */
  readonly at: Point
  /** So moved it would have room. */
  readonly away: Point
}

/** Threads swell to the side and give way to one another; nearer than this share of their width one lies on the other. */
const GIVES = 0.45
/** So long side by side before it is said. */
const LEAST_RUN_MM = 8
const STEP_MM = 0.8
/** The sine of the angle between them: threads that meet more steeply cross. */
const ALONGSIDE = 0.35

/** The neighbour that crowds it for longest; null where all leave it room. */
export function crowdedBy(done: WorkedExercise, others: readonly WorkedExercise[]): Crowded | null {
  let worst: Crowded | null = null
  for (const other of others) {
    if (other === done || isMeant(done, other, others)) continue
    const found = crowds(done, other)
    if (found && (!worst || found.alongMm > worst.alongMm)) worst = found
  }
  return worst
}

function isMeant(a: WorkedExercise, b: WorkedExercise, all: readonly WorkedExercise[]): boolean {
  if (a.exercise.on.some((one) => b.exercise.on.some((other) => other.guide === one.guide))) return true
  return liesOver(a, b, all) || liesOver(b, a, all)
}

/** Itself, or what lies between them. */
function liesOver(upper: WorkedExercise, lower: WorkedExercise, all: readonly WorkedExercise[]): boolean {
  const seen = new Set<string>()
  const look = (id: string): boolean => {
    if (id === lower.exercise.id) return true
    if (seen.has(id)) return false
    seen.add(id)
    return all.find((one) => one.exercise.id === id)?.exercise.over?.some(look) === true
  }
  return look(upper.exercise.id)
}

/** A pair is looked at once, however often and by whom it is asked for. */
const known = new WeakMap<WorkedExercise, WeakMap<WorkedExercise, Crowded | null>>()

function crowds(done: WorkedExercise, other: WorkedExercise): Crowded | null {
  const before = known.get(done) ?? new WeakMap<WorkedExercise, Crowded | null>()
  known.set(done, before)
  const answer = before.get(other)
  if (answer !== undefined) return answer
  const wantedMm = (done.assigned.main.bundle.lineWidthMm + other.assigned.main.bundle.lineWidthMm) / 2
  let found: Crowded | null = null
  for (const a of done.pieces) {
    for (const b of other.pieces) {
      const here = beside(a, b, other, wantedMm)
      if (here && (!found || here.alongMm > found.alongMm)) found = here
    }
  }
  before.set(other, found)
  return found
}

function beside(a: WorkedPiece, b: WorkedPiece, other: WorkedExercise, wantedMm: number): Crowded | null {
  if (a.guide.kind !== 'line' || b.guide.kind !== 'line') return null
  const [one, two] = [boxOfPiece(a), boxOfPiece(b)]
  if (!one || !two || !boxesMeet(one, two, wantedMm)) return null
  const there = laidOf(b)
  let places = 0
  let nearest: { readonly at: Point; readonly gapMm: number; readonly away: Point } | null = null
  for (const here of laidOf(a).places) {
    const beside = nearestBeside(there, here, wantedMm * GIVES)
    if (!beside) continue
    places += 1
    if (!nearest || beside.gapMm < nearest.gapMm) nearest = { at: here.at, ...beside }
  }
  const alongMm = places * STEP_MM
  if (!nearest || alongMm < LEAST_RUN_MM) return null
  // Away from the other's line; where both run on one line, from its thread.
  const own = placeAt(a.guide.path, nearestPlace(a.guide.path, nearest.at).travelled).at
  const line = placeAt(b.guide.path, nearestPlace(b.guide.path, own).travelled).at
  const apartMm = distance(own, line)
  const [way, byMm] =
    apartMm > 0.05
      ? [{ x: (own.x - line.x) / apartMm, y: (own.y - line.y) / apartMm }, wantedMm - (apartMm < wantedMm ? apartMm : nearest.gapMm)]
      : [nearest.away, wantedMm]
  return { other, alongMm, wantedMm, at: nearest.at, away: { x: way.x * byMm, y: way.y * byMm } }
}

/** A place of a thread in front, and the way it lies there. */
interface Laid {
  readonly at: Point
  readonly way: Point
}

interface LaidThread {
  readonly places: readonly Laid[]
  readonly cells: CellIndex
}

const laid = new WeakMap<WorkedPiece, LaidThread>()
const CELL_MM = 1

function laidOf(piece: WorkedPiece): LaidThread {
  const before = laid.get(piece)
  if (before) return before
  const places: Laid[] = []
  const cells = new CellIndex()
  for (const { side, points } of piece.worked.segments) {
    if (side !== 'front') continue
    let next = STEP_MM / 2
    for (let index = 1; index < points.length; index += 1) {
      const [from, to] = [points[index - 1] as Point, points[index] as Point]
      const long = distance(from, to)
      if (long < 1e-6) continue
      const way = { x: (to.x - from.x) / long, y: (to.y - from.y) / long }
      for (; next < long; next += STEP_MM) {
        const at = { x: from.x + way.x * next, y: from.y + way.y * next }
        places.push({ at, way })
        cells.add(Math.floor(at.x / CELL_MM), Math.floor(at.y / CELL_MM))
      }
      next -= long
    }
  }
  const made = { places, cells }
  laid.set(piece, made)
  return made
}

function nearestBeside({ places, cells }: LaidThread, { at, way }: Laid, withinMm: number): { gapMm: number; away: Point } | null {
  let best: { gapMm: number; away: Point } | null = null
  const reach = Math.ceil(withinMm / CELL_MM)
  const [column, row] = [Math.floor(at.x / CELL_MM), Math.floor(at.y / CELL_MM)]
  for (let x = column - reach; x <= column + reach; x += 1) {
    for (let y = row - reach; y <= row + reach; y += 1) {
      for (let index = cells.in(x, y); index >= 0; index = cells.before(index)) {
        const other = places[index] as Laid
        const [dx, dy] = [at.x - other.at.x, at.y - other.at.y]
        if (Math.abs(way.x * other.way.y - way.y * other.way.x) > ALONGSIDE) continue
        // Beside it, not before or behind it.
        const along = dx * other.way.x + dy * other.way.y
        if (Math.abs(along) > STEP_MM) continue
        const aside = dx * -other.way.y + dy * other.way.x
        const gapMm = Math.abs(aside)
        if (gapMm > withinMm || (best && gapMm >= best.gapMm)) continue
        const sign = aside < 0 ? -1 : 1
        best = { gapMm, away: { x: -other.way.y * sign, y: other.way.x * sign } }
      }
    }
  }
  return best
}
