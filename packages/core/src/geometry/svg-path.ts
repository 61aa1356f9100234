/**
 * SVG path data in millimetres to measured paths. Parsing, absolute coordinates and arcs to curves are
 * svgpath's; curves are flattened here so that no point of the polyline is further than
 * `FLATTENING_MM` from the curve.
 */
import svgpath from 'svgpath'
import { error, failure, type Result, success } from '../base/index.ts'
import { type MeasuredPath, measurePath } from './measured-path.ts'
import { distance, type Point, subtract, turnBetween, unit } from './point.ts'

/** Keeps the length of an 8 mm circle true to a hundredth of a millimetre in 50. */
export const FLATTENING_MM = 0.0005

/** Turning more than this at a point of the given path is a corner (45 degrees). */
export const CORNER_RAD = Math.PI / 4

/** A path longer than this is a drawing, not a guide: 100 000 characters hold some 5 000 points. */
export const MAX_PATH_CHARACTERS = 100_000
const MAX_POINTS = 60_000
/** Ten metres: larger than any cloth on a table. */
const MAX_COORDINATE_MM = 10_000

/** The first subpath of the data, measured. Later subpaths are left out and said so. */
export function parsePath(data: string): Result<MeasuredPath> {
  const many = parsePaths(data)
  if (!many.ok) return many
  const [first, ...rest] = many.value
  if (first === undefined) return failure(error('geometry.path-empty', []))
  if (rest.length > 0) {
    return failure(error('geometry.path-parts', [], { parts: many.value.length }))
  }
  return success(first)
}

/** Every subpath that has a length. */
export function parsePaths(data: string): Result<readonly MeasuredPath[]> {
  if (data.length > MAX_PATH_CHARACTERS) {
    return failure(error('geometry.path-too-long', [], { characters: data.length, most: MAX_PATH_CHARACTERS }))
  }
  const parsed = svgpath(data)
  const reason = (parsed as unknown as { err?: string }).err
  if (reason) return failure(error('geometry.path-unreadable', [], { reason }))
  const reader = new PathReader()
  parsed
    .abs()
    .unarc()
    .unshort()
    .iterate((segment) => {
      reader.take(segment[0], segment.slice(1) as unknown as number[])
    })
  reader.finish()
  if (reader.points > MAX_POINTS) {
    return failure(error('geometry.path-too-many-points', [], { most: MAX_POINTS }))
  }
  if (reader.furthest > MAX_COORDINATE_MM || !Number.isFinite(reader.furthest)) {
    return failure(error('geometry.path-too-far', [], { reach: reader.furthest.toExponential(1), most: MAX_COORDINATE_MM }))
  }
  return success(reader.paths)
}

interface Vertex {
  readonly at: Point
  /** A point of the given path, where a corner may be; false for points put in by flattening. */
  readonly given: boolean
}

/** Collects flattened vertices; svgpath calls it once a segment. */
class PathReader {
  readonly paths: MeasuredPath[] = []
  points = 0
  furthest = 0
  private vertices: Vertex[] = []
  private closed = false

  take(command: string, numbers: readonly number[]): void {
    const here = this.vertices.at(-1)?.at ?? { x: 0, y: 0 }
    const n = (index: number): number => numbers[index] ?? Number.NaN
    switch (command) {
      case 'M':
        this.finish()
        this.push({ x: n(0), y: n(1) }, true)
        return
      case 'L':
        this.push({ x: n(0), y: n(1) }, true)
        return
      case 'H':
        this.push({ x: n(0), y: here.y }, true)
        return
      case 'V':
        this.push({ x: here.x, y: n(0) }, true)
        return
      case 'Q':
        this.curve([here, { x: n(0), y: n(1) }, { x: n(2), y: n(3) }])
        return
      case 'C':
        this.curve([here, { x: n(0), y: n(1) }, { x: n(2), y: n(3) }, { x: n(4), y: n(5) }])
        return
      case 'Z':
      case 'z': {
        const start = this.vertices[0]?.at
        if (start === undefined) return
        if (distance(start, here) > 1e-6) this.push(start, true)
        else if (this.vertices.length > 1) this.vertices[this.vertices.length - 1] = { at: start, given: true }
        this.closed = true
        this.finish()
        this.push(start, true)
        return
      }
      default:
        return
    }
  }

  finish(): void {
    const corners = cornersOf(this.vertices, this.closed)
    const measured = measurePath(
      this.vertices.map((vertex) => vertex.at),
      this.closed,
      corners,
    )
    if (measured) this.paths.push(measured)
    this.vertices = []
    this.closed = false
  }

  private push(at: Point, given: boolean): void {
    this.points += 1
    this.furthest = Math.max(this.furthest, Math.abs(at.x), Math.abs(at.y))
    if (this.points <= MAX_POINTS) this.vertices.push({ at, given })
  }

  /**
   * Wang's bound: n = sqrt(d (d-1) M / (8 tolerance)) equal steps of the parameter keep a Bezier curve of
   * degree d within the tolerance, M being the largest second difference of its control points.
   */
  private curve(control: readonly Point[]): void {
    const degree = control.length - 1
    let largest = 0
    for (let index = 0; index + 2 <= degree; index += 1) {
      const [a, b, c] = [control[index] as Point, control[index + 1] as Point, control[index + 2] as Point]
      largest = Math.max(largest, Math.hypot(a.x - 2 * b.x + c.x, a.y - 2 * b.y + c.y))
    }
    const exact = Math.ceil(Math.sqrt((degree * (degree - 1) * largest) / (8 * FLATTENING_MM)))
    const steps = Number.isFinite(exact) ? Math.min(Math.max(1, exact), MAX_POINTS) : 1
    for (let index = 1; index <= steps; index += 1) this.push(onBezier(control, index / steps), index === steps)
  }
}

/** Bernstein's form of a quadratic or cubic curve, from its three or four control points. */
function onBezier(control: readonly Point[], share: number): Point {
  const rest = 1 - share
  const [a, b, c, d] = control as readonly [Point, Point, Point, Point?]
  const weights = d ? [rest ** 3, 3 * rest * rest * share, 3 * rest * share * share, share ** 3] : [rest * rest, 2 * rest * share, share * share, 0]
  const [wa, wb, wc, wd] = weights as [number, number, number, number]
  return { x: wa * a.x + wb * b.x + wc * c.x + wd * (d?.x ?? 0), y: wa * a.y + wb * b.y + wc * c.y + wd * (d?.y ?? 0) }
}

/** Indexes of given points where the path turns by more than 45 degrees. On a closed path the start may be one. */
function cornersOf(vertices: readonly Vertex[], closed: boolean): number[] {
  const corners: number[] = []
  const last = vertices.length - 1
  for (let index = 0; index <= last; index += 1) {
    const vertex = vertices[index] as Vertex
    if (!vertex.given || (!closed && (index === 0 || index === last)) || (closed && index === last)) continue
    const before = neighbour(vertices, index, -1, closed)
    const after = neighbour(vertices, index, 1, closed)
    if (!before || !after) continue
    const a = unit(subtract(vertex.at, before))
    const b = unit(subtract(after, vertex.at))
    if (a && b && Math.abs(turnBetween(a, b)) > CORNER_RAD + 1e-9) corners.push(index)
  }
  return corners
}

function neighbour(vertices: readonly Vertex[], index: number, by: 1 | -1, closed: boolean): Point | null {
  const here = (vertices[index] as Vertex).at
  const count = vertices.length - (closed ? 1 : 0)
  for (let far = 1; far < count; far += 1) {
    const other = closed ? (index + by * far + count * far) % count : index + by * far
    const vertex = vertices[other]
    if (vertex === undefined) return null
    if (distance(vertex.at, here) > 1e-9) return vertex.at
  }
  return null
}
