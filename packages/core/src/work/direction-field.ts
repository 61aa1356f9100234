/**
 * A field of directions between drawn direction lines. The lines' middles are joined to one curve; at each place
 * of it the direction turns evenly from one line to the next. Stitches are set so that the wider side of the fan
 * stands one pitch apart; on the inner side they crowd, as they do in the hand. mm.
 */
import {
  type Chord,
  chordsOfRegion,
  dot,
  leftOf,
  lerp,
  type MeasuredPath,
  measurePath,
  placeAt,
  type Point,
  type Region,
  splineThrough,
  subtract,
  unit,
} from '../geometry/index.ts'

const MOST_LINES = 60_000

export function fieldLines(region: Region, directions: readonly MeasuredPath[], pitchMm: number): { lines: Chord[][]; reach: number } {
  const drawn = directions.map((path) => ({ from: placeAt(path, 0).at, to: placeAt(path, path.length, true).at }))
  const middles = drawn.map(({ from, to }) => lerp(from, to, 0.5))
  const angles = unwound(drawn.map(({ from, to }) => Math.atan2(to.y - from.y, to.x - from.x)))
  const way = measurePath(splineThrough(middles.map(({ x, y }) => ({ x, y, z: 0 }))))
  if (!way) return { lines: [], reach: 0 }
  const stops = middles.map((middle) => nearestStart(way, middle))
  const size = Math.max(...region.flat().map((at) => Math.hypot(at.x - (middles[0] as Point).x, at.y - (middles[0] as Point).y)))
  const lineAt = (u: number): Chord[] => {
    const angle = turnAt(stops, angles, u)
    const direction = { x: Math.cos(angle), y: Math.sin(angle) }
    const progress = leftOf(direction)
    const middle = placeAt(way, u).at
    const here = dot(middle, progress)
    const along = dot(middle, direction)
    // Of a line that leaves the shape and comes back, only the stretch about the curve belongs to this place.
    return chordsOfRegion(region, progress, here)
      .map((chord) => (dot(subtract(chord.b, chord.a), direction) >= 0 ? chord : { a: chord.b, b: chord.a }))
      .filter((chord) => dot(chord.a, direction) <= along + 0.5 * size && dot(chord.b, direction) >= along - 0.5 * size)
      .sort((one, other) => away(one, along, direction) - away(other, along, direction))
      .slice(0, 1)
  }
  let u = -size
  while (u < way.length + size && lineAt(u).length === 0) u += pitchMm / 4
  const lines: Chord[][] = []
  // The first stitch stands half a pitch inside the shape.
  u += pitchMm / 2
  let reach = pitchMm / 2
  while (u < way.length + size && lines.length < MOST_LINES) {
    const line = lineAt(u)
    if (line.length === 0) break
    lines.push(line)
    const by = stepFrom(line[0] as Chord, (to) => lineAt(to)[0] ?? null, u, pitchMm)
    u += by
    reach += by
  }
  return { lines, reach }
}

/** How far to go until the wider side of the next stitch stands one pitch away. */
function stepFrom(line: Chord, lineAt: (u: number) => Chord | null, from: number, pitchMm: number): number {
  const square = leftOf(unit(subtract(line.b, line.a)) ?? { x: 1, y: 0 })
  let [low, high] = [0, 2 * pitchMm]
  for (let round = 0; round < 18; round += 1) {
    const middle = (low + high) / 2
    const next = lineAt(from + middle)
    const apart = next ? Math.max(Math.abs(dot(subtract(next.a, line.a), square)), Math.abs(dot(subtract(next.b, line.b), square))) : pitchMm * 2
    if (apart > pitchMm && next) high = middle
    else if (!next && middle > pitchMm) high = middle
    else low = middle
  }
  return Math.max(pitchMm / 20, (low + high) / 2)
}

function away(chord: Chord, along: number, direction: Point): number {
  return Math.max(0, dot(chord.a, direction) - along, along - dot(chord.b, direction))
}

/** Each angle the nearest to the one before: a direction line has no head. */
function unwound(angles: readonly number[]): number[] {
  const out: number[] = []
  for (const angle of angles) {
    const last = out.at(-1) ?? angle
    out.push(angle + Math.PI * Math.round((last - angle) / Math.PI))
  }
  return out
}

function turnAt(stops: readonly number[], angles: readonly number[], u: number): number {
  if (u <= (stops[0] as number)) return angles[0] as number
  for (let index = 1; index < stops.length; index += 1) {
    const [from, to] = [stops[index - 1] as number, stops[index] as number]
    if (u <= to) return (angles[index - 1] as number) + (((angles[index] as number) - (angles[index - 1] as number)) * (u - from)) / Math.max(1e-9, to - from)
  }
  return angles[angles.length - 1] as number
}

function nearestStart(way: MeasuredPath, to: Point): number {
  let best = 0
  let nearest = Number.POSITIVE_INFINITY
  for (const [index, at] of way.points.entries()) {
    const gap = Math.hypot(at.x - to.x, at.y - to.y)
    if (gap < nearest) {
      nearest = gap
      best = way.starts[index] as number
    }
  }
  return best
}
