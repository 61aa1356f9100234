/**
 * Which flat stitches lie side by side, and the strip of ground that each of them covers: halfway to its neighbours, so
 * that they share their edges as silk does. A gap stays a gap. mm.
 */
import type { Point } from '../geometry/index.ts'
import type { Segment } from '../work/index.ts'

export interface Chord {
  readonly from: Point
  readonly to: Point
}

export interface Strip extends Chord {
  /** Counter-clockwise round as the picture has it: the edge on one side, back along the other. */
  readonly outline: readonly Point[]
  /** Both long edges, from the start of the stitch to its end. */
  readonly left: Chord
  readonly right: Chord
}

/** Shares of the flat width that a neighbour may lie away. */
const LEAST_GAP = 0.2
const MOST_GAP = 1.35
const PARALLEL = 0.9
/** An edge without a neighbour is rounded this much at its corners. */
const CORNER = 0.12

/** By segment; only those that lie flat and are not of an interlocking fill. `pathOf` is where the picture has it. */
export function stripsOf(
  segments: readonly Segment[],
  pathOf: (segment: Segment) => readonly Point[],
  flatMm: (segment: Segment) => number,
): ReadonlyMap<Segment, Strip> {
  const flats = segments.filter((one) => one.lie === 'flat' && one.row === null)
  const chords = flats.map((one): Chord => {
    const path = pathOf(one)
    return { from: path[0] as Point, to: path[path.length - 1] as Point }
  })
  const beside: { left?: Chord; right?: Chord }[] = flats.map(() => ({}))
  flats.forEach((one, index) => {
    // The next stitch, or the next but one where stitches go from side to side of a vein.
    for (const step of [1, 2]) {
      const other = flats[index + step]
      if (!other || other.thread !== one.thread) continue
      if (link(chords, beside, index, index + step, flatMm(one))) break
    }
  })
  return new Map(flats.map((one, index) => [one, stripOf(chords[index] as Chord, beside[index] ?? {}, flatMm(one))] as const))
}

function link(chords: readonly Chord[], beside: { left?: Chord; right?: Chord }[], one: number, two: number, flatMm: number): boolean {
  const [a, b] = [chords[one] as Chord, chords[two] as Chord]
  const [ta, tb] = [direction(a), direction(b)]
  if (!ta || !tb) return false
  const dot = ta.x * tb.x + ta.y * tb.y
  if (Math.abs(dot) < PARALLEL) return false
  const other = dot < 0 ? { from: b.to, to: b.from } : b
  const away = (at: Point, from: Point): number => (at.x - from.x) * ta.y - (at.y - from.y) * ta.x
  const [atStart, atEnd] = [away(other.from, a.from), away(other.to, a.to)]
  // Crossing threads are no neighbours.
  if (atStart * atEnd < 0 && Math.min(Math.abs(atStart), Math.abs(atEnd)) > 0.1 * flatMm) return false
  const gap = Math.abs(atStart + atEnd) / 2
  if (gap < LEAST_GAP * flatMm || gap > MOST_GAP * flatMm) return false
  // Side by side: they overlap along their length.
  const along = (at: Point): number => (at.x - a.from.x) * ta.x + (at.y - a.from.y) * ta.y
  const long = Math.hypot(a.to.x - a.from.x, a.to.y - a.from.y)
  if (along(other.to) < 0.1 * long || along(other.from) > 0.9 * long) return false
  const left = atStart + atEnd > 0
  const ofA = beside[one] as { left?: Chord; right?: Chord }
  const ofB = beside[two] as { left?: Chord; right?: Chord }
  if (left ? ofA.left : ofA.right) return false
  if (left) ofA.left = other
  else ofA.right = other
  const mine = dot < 0 ? { from: a.to, to: a.from } : a
  if (left === dot > 0) ofB.right ??= mine
  else ofB.left ??= mine
  return true
}

function stripOf(chord: Chord, { left, right }: { left?: Chord; right?: Chord }, flatMm: number): Strip {
  const along = direction(chord) ?? { x: 1, y: 0 }
  const side = { x: along.y, y: -along.x }
  const edge = (other: Chord | undefined, to: 1 | -1): { edge: Chord; path: readonly Point[] } => {
    if (other) {
      const halfway = { from: middle(chord.from, other.from), to: middle(chord.to, other.to) }
      return { edge: halfway, path: [halfway.from, halfway.to] }
    }
    const out = (at: Point, by: number, inward: number): Point => ({
      x: at.x + side.x * by * to + along.x * inward,
      y: at.y + side.y * by * to + along.y * inward,
    })
    const [half, cut] = [flatMm / 2, CORNER * flatMm]
    return {
      edge: { from: out(chord.from, half, 0), to: out(chord.to, half, 0) },
      path: [out(chord.from, half - cut, 0), out(chord.from, half, cut), out(chord.to, half, -cut), out(chord.to, half - cut, 0)],
    }
  }
  const [one, two] = [edge(left, 1), edge(right, -1)]
  return { ...chord, left: one.edge, right: two.edge, outline: [...one.path, ...[...two.path].reverse()] }
}

function direction({ from, to }: Chord): Point | null {
  const size = Math.hypot(to.x - from.x, to.y - from.y)
  return size < 1e-9 ? null : { x: (to.x - from.x) / size, y: (to.y - from.y) / size }
}

const middle = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 })
