/** What is done with lines that are there: the same again beside, the other way round, ended on another, a shape cut by one. mm */
import {
  addAnchor,
  type Anchor,
  type AnchoredPath,
  closedOf,
  crossingsOf,
  isSmooth,
  leftOf,
  lerp,
  type MeasuredPath,
  nearestPlace,
  parsePath,
  partOfAnchors,
  placeAt,
  type Point,
  readAnchors,
  step,
  thinPath,
  tightestRadius,
  turnedAnchors,
  writeAnchors,
} from '../geometry/index.ts'
import { cornered, freehand } from './ways.ts'

/** Fitted so closely that the gap between two lines is even to the eye. */
const FITTED_MM = 0.02

export function turnedLine(path: string): string | null {
  const read = readAnchors(path)
  return read && writeAnchors(turnedAnchors(read))
}

/**
 * The same line so far to the left of it, as it goes (negative: to the right); corners stay corners. Null where it bends more
 * tightly than that and the new line would tie itself in a knot.
 */
export function lineBeside(path: string, byMm: number): string | null {
  const read = readAnchors(path)
  if (!read || Math.abs(byMm) < 0.01) return null
  const found = legsOf(read).map((leg) => besideLeg(leg, byMm))
  const legs = found.flatMap((leg) => (leg ? [leg] : []))
  const [first] = legs
  if (!first || legs.length < found.length) return null
  const joined = legs.slice(1).reduce((all, leg) => joinedAt(all, leg), first)
  const anchors = read.closed ? closedUp(joined) : joined
  const made = writeAnchors({ anchors, closed: read.closed })
  return isKnotted(path, made, byMm) ? null : made
}

export type Side = 'above' | 'below' | 'left' | 'right' | 'outside' | 'inside'

/** Which side of a line lies to the left of the way it goes, as one says it who looks at the cloth; null for no line. */
export function leftSideOf(path: string): Side | null {
  const parsed = parsePath(path)
  if (!parsed.ok) return null
  const way = parsed.value
  if (way.closed) {
    const beside = lineBeside(path, 0.2)
    const other = beside === null ? null : parsePath(beside)
    return other?.ok && other.value.length > way.length ? 'outside' : 'inside'
  }
  const [from, to] = [way.points[0] as Point, way.points.at(-1) as Point]
  const across = leftOf({ x: to.x - from.x, y: to.y - from.y })
  if (Math.abs(across.y) >= Math.abs(across.x)) return across.y < 0 ? 'above' : 'below'
  return across.x < 0 ? 'left' : 'right'
}

/** From corner to corner: each open. A closed path without corners is one leg that ends where it begins. */
function legsOf(path: AnchoredPath): readonly AnchoredPath[] {
  const last = path.anchors.length - 1
  const corners = path.anchors.flatMap((anchor, index) => (isCornerAt(path, anchor, index) ? [index] : []))
  if (path.closed) {
    const starts = corners.length > 0 ? corners : [0]
    return starts.map((from, index) => partOfAnchors(path, from, starts[(index + 1) % starts.length] as number))
  }
  const stops = [0, ...corners, last]
  return stops.slice(1).map((to, index) => partOfAnchors(path, stops[index] as number, to))
}

function isCornerAt(path: AnchoredPath, anchor: Anchor, index: number): boolean {
  const end = !path.closed && (index === 0 || index === path.anchors.length - 1)
  return !end && !isSmooth(anchor)
}

function besideLeg(leg: AnchoredPath, byMm: number): readonly Anchor[] | null {
  const parsed = parsePath(writeAnchors(leg))
  if (!parsed.ok) return null
  const path = parsed.value
  const isStraight = leg.anchors.every((anchor) => anchor.before === null && anchor.after === null)
  const away = (travelled: number): Point => {
    const { at, direction } = placeAt(path, travelled, travelled > path.length / 2)
    return step(at, leftOf(direction), byMm)
  }
  if (isStraight) return [0, path.length].map((travelled) => ({ at: away(travelled), before: null, after: null }))
  const steps = Math.max(8, Math.min(600, Math.ceil(path.length / 0.5)))
  const fitted = freehand(
    Array.from({ length: steps + 1 }, (_, index) => away((path.length * index) / steps)),
    FITTED_MM,
  )
  const made = fitted === null ? null : parsePath(fitted)
  // Inside a bend that is tighter than it lies away, a line turns back on itself.
  if (!made?.ok || (tightestRadius(path, 1) < Math.abs(byMm) && made.value.length < path.length)) return null
  return readAnchors(fitted as string)?.anchors ?? null
}

/** Two legs meet where the ways they come and go cross; where these run alike, half way between their ends. */
function joinedAt(all: readonly Anchor[], leg: readonly Anchor[]): readonly Anchor[] {
  const [last, first] = [all.at(-1) as Anchor, leg[0] as Anchor]
  const at = meeting(all, leg) ?? lerp(last.at, first.at, 0.5)
  return [...all.slice(0, -1), movedTo(last, first, at), ...leg.slice(1)]
}

function closedUp(all: readonly Anchor[]): readonly Anchor[] {
  const [last, first] = [all.at(-1) as Anchor, all[0] as Anchor]
  if (all.length < 3) return all
  const at = Math.hypot(last.at.x - first.at.x, last.at.y - first.at.y) < 0.05 ? first.at : (meeting(all, all) ?? lerp(last.at, first.at, 0.5))
  return [movedTo(last, first, at), ...all.slice(1, -1)]
}

/** The end of one and the start of the next as one place, each with its curve. */
function movedTo(last: Anchor, first: Anchor, at: Point): Anchor {
  const carried = (curve: Point | null, from: Point): Point | null => curve && { x: curve.x + at.x - from.x, y: curve.y + at.y - from.y }
  return { at, before: carried(last.before, last.at), after: carried(first.after, first.at) }
}

function meeting(coming: readonly Anchor[], going: readonly Anchor[]): Point | null {
  const [last, first] = [coming.at(-1) as Anchor, going[0] as Anchor]
  const from = last.before ?? (coming.at(-2) as Anchor).at
  const to = first.after ?? (going[1] as Anchor).at
  const [u, v] = [
    { x: last.at.x - from.x, y: last.at.y - from.y },
    { x: to.x - first.at.x, y: to.y - first.at.y },
  ]
  const turn = u.x * v.y - u.y * v.x
  if (Math.abs(turn) < 0.05 * Math.hypot(u.x, u.y) * Math.hypot(v.x, v.y)) return null
  const along = ((first.at.x - last.at.x) * v.y - (first.at.y - last.at.y) * v.x) / turn
  return { x: last.at.x + along * u.x, y: last.at.y + along * u.y }
}

/** Somewhere it lies nearer to the first line than was said: it was turned inside out, or crosses itself. */
function isKnotted(before: string, after: string, byMm: number): boolean {
  const [was, is] = [parsePath(before), parsePath(after)]
  if (!was.ok || !is.ok) return true
  const spacing = Math.max(0.5, is.value.length / 200)
  return thinPath(is.value, spacing).points.some((at) => nearestPlace(was.value, at).distance < 0.9 * Math.abs(byMm) - 2 * FITTED_MM)
}

/**
 * A line ended on another, and tucked so far under it: cut off beyond, or drawn on straight where it does not reach. The end
 * that lies nearer to the other is meant. Null where they never meet.
 */
export function endOn(path: string, other: string, tuckMm: number): string | null {
  const [read, line, target] = [readAnchors(path), parsePath(path), parsePath(other)]
  if (!read || read.closed || !line.ok || !target.ok) return null
  const end = nearerEnd(line.value, target.value)
  const way = end === 'end' ? read : turnedAnchors(read)
  const measured = parsePath(writeAnchors(way))
  if (!measured.ok) return null
  const made = endedOn(way, measured.value, target.value, tuckMm)
  return made && writeAnchors(end === 'end' ? made : turnedAnchors(made))
}

function endedOn(way: AnchoredPath, path: MeasuredPath, target: MeasuredPath, tuckMm: number): AnchoredPath | null {
  const last = way.anchors.at(-1) as Anchor
  const { direction } = placeAt(path, path.length, true)
  const crossing = crossingsOf(path, target).at(-1)
  const straightOn = (from: Point, byMm: number): AnchoredPath =>
    byMm < 0.01 ? way : { ...way, anchors: [...way.anchors, { at: step(from, direction, byMm), before: null, after: null }] }
  if (!crossing) {
    const reach = parsePath(cornered([last.at, step(last.at, direction, FARTHEST_MM)]) ?? '')
    const meets = reach.ok ? crossingsOf(reach.value, target)[0] : undefined
    return meets ? straightOn(last.at, meets.onFirst + tuckMm) : null
  }
  const stop = crossing.onFirst + tuckMm
  if (stop >= path.length - 0.01) return straightOn(last.at, stop - path.length)
  if (stop < 0.1) return null
  const { path: cut, index } = addAnchor(way, placeAt(path, stop).at)
  return partOfAnchors(cut, 0, index)
}

/** The same line so long: cut off at its end, or drawn on straight from there. Null for a closed one, and for next to nothing. */
export function lineOfLength(path: string, lengthMm: number): string | null {
  const [read, measured] = [readAnchors(path), parsePath(path)]
  if (!read || read.closed || !measured.ok || !(lengthMm >= 0.5)) return null
  const way = measured.value
  const more = lengthMm - way.length
  if (Math.abs(more) < 0.005) return path
  if (more < 0) {
    const { path: cut, index } = addAnchor(read, placeAt(way, lengthMm).at)
    return writeAnchors(partOfAnchors(cut, 0, index))
  }
  const last = read.anchors.at(-1) as Anchor
  const at = step(last.at, placeAt(way, way.length, true).direction, more)
  const before = read.anchors.at(-2)
  // A straight leg goes on; a curve is ended, and gone on from straight.
  const straight = last.before === null && (before?.after ?? null) === null
  const anchors = [...(straight ? read.anchors.slice(0, -1) : read.anchors), { at, before: null, after: null }]
  return writeAnchors({ ...read, anchors })
}

/** No sampler is larger. */
const FARTHEST_MM = 2000

function nearerEnd(path: MeasuredPath, target: MeasuredPath): 'start' | 'end' {
  const away = (from: Point): number => Math.min(...target.points.map((at) => Math.hypot(at.x - from.x, at.y - from.y)))
  return away(path.points[0] as Point) < away(path.points.at(-1) as Point) ? 'start' : 'end'
}

/** A closed shape cut by a line that crosses it twice, into two that share the cut to the last digit. Null where it does not. */
export function cutByLine(shape: string, line: string): readonly [string, string] | null {
  const [outline, cut] = [readAnchors(shape), readAnchors(line)]
  const [round, across] = [parsePath(shape), parsePath(line)]
  if (!outline || !cut || cut.closed || !round.ok || !across.ok) return null
  const crossings = crossingsOf(across.value, round.value)
  const [into, out] = crossings
  if (!into || !out || crossings.length !== 2) return null
  const shut: AnchoredPath = { ...outline, closed: true }
  const section = cutAt(cut, into.at, out.at)
  const ring = cutAt(shut, into.at, out.at)
  const middle = partOfAnchors(section.path, section.first, section.second)
  // Out of the shape at the second place, round it to the first, and along the cut again; then the other way about.
  return [
    writeAnchors(closedOf(middle, partOfAnchors(ring.path, ring.second, ring.first))),
    writeAnchors(closedOf(partOfAnchors(ring.path, ring.first, ring.second), turnedAnchors(middle))),
  ]
}

function cutAt(path: AnchoredPath, one: Point, other: Point): { readonly path: AnchoredPath; readonly first: number; readonly second: number } {
  const begun = addAnchor(path, one)
  const ended = addAnchor(exactly(begun.path, begun.index, one), other)
  const first = ended.index <= begun.index ? begun.index + 1 : begun.index
  return { path: exactly(ended.path, ended.index, other), first, second: ended.index }
}

function exactly(path: AnchoredPath, index: number, at: Point): AnchoredPath {
  return { ...path, anchors: path.anchors.map((one, place) => (place === index ? { ...one, at } : one)) }
}
