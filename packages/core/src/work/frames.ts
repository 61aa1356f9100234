/**
 * Placement rules: how the frames of a stitch lie along or across a guide. One function each, in one table;
 * many stitches share them. A frame turns its own coordinates into points of the cloth.
 */
import { type Problem, type ProblemPath, error, sum } from '../base/index.ts'
import {
  chordsAt,
  extentAlong,
  leftOf,
  type MeasuredPath,
  type Place as PathPlace,
  placeAt,
  type Point,
  step,
  subtract,
  unit,
  fromAngle,
} from '../geometry/index.ts'
import { type GuideWidth, makeRuler, type ReadGuide, readRuler, type Ruler, widthsAt } from '../guide/index.ts'
import type { LegFit } from './types.ts'

export interface Frame {
  /** The place of (s, t): the local direction of working comes with it. */
  readonly at: (s: number, t: number) => PathPlace
  readonly named: (name: string) => Point | null
  /** 1, or -1 where left and right are exchanged for the left hand. */
  readonly mirror: 1 | -1
  /** The sides are an outline, where the eye sees every slip. */
  readonly outlined?: boolean
  /** Values for expressions: span, col and the like. */
  readonly values: Readonly<Record<string, number>>
}

/** One unbroken run of frames with its own start and end. */
export interface Run {
  readonly frames: readonly Frame[]
  /** The frame in which the end is worked: one advance beyond the last. */
  readonly endFrame: Frame
  readonly closed: boolean
  /** Begins again after a corner. */
  readonly afterCorner: boolean
}

export interface Placed {
  readonly runs: readonly Run[]
  readonly legs: readonly LegFit[]
  readonly lengthMm: number
  readonly problems: readonly Problem[]
}

export interface AlongRequest {
  readonly path: MeasuredPath
  readonly steps: readonly number[]
  readonly tail: number
  readonly closedTail: number
  readonly cornerTail: number
  readonly restart: boolean
  readonly mirror: boolean
  /** Fewest advances in each leg, from the tolerance on curves. */
  readonly atLeast: readonly number[]
  /** "Right beside": a tie this far beyond the last hole needs no mark of its own. */
  readonly besideMm: number
  readonly width?: GuideWidth | undefined
  readonly centre?: Point | undefined
  /** So many frames, whatever would fit. */
  readonly times?: number | undefined
}

const MOST_FRAMES = 60_000

/** Equal steps along a line, a hole on every corner. */
export function placeAlong(request: AlongRequest): Placed {
  const { path, steps, mirror } = request
  const advance = sum(steps)
  if (!(advance > 0) || steps.some((one) => !(one > 0))) {
    return failed(['step'], 'The steps along the guide must all be longer than 0 mm.')
  }
  if (path.length / advance > MOST_FRAMES)
    return failed(['step'], `Stitches ${advance.toFixed(3)} mm apart make more than ${MOST_FRAMES} of them on this line. Ask for longer ones.`)
  const bounds = [...new Set([0, ...path.corners, path.length])].sort((a, b) => a - b)
  const lengths = bounds.slice(1).map((bound, index) => bound - (bounds[index] as number))
  if (request.restart && lengths.length > 1 && request.times === undefined) return placeLegs(request, bounds, lengths)
  const ruler =
    request.times === undefined
      ? makeRuler({ legs: lengths, closed: path.closed, steps, tail: request.tail, atLeast: request.atLeast })
      : countRuler(request.times, advance, path.length)
  const repeats = path.closed ? Math.max(1, ruler.repeats - Math.max(0, Math.round(request.closedTail / advance))) : ruler.repeats
  const end = ruler.nominal.at(-1) as number
  const wrapped = path.closed ? (u: number) => u - Math.floor(u / end + 1e-12) * end : (u: number) => u
  // The left hand walks the line from its other end. What the last step leaves over (a tie beyond the last
  // hole) is left over at the other end, so that both hands use the same marks.
  const over = mirror && !path.closed ? leftOver(steps, end) : 0
  const left = over <= 1.5 * request.besideMm ? over : 0
  const alongOf = (u: number): number => (mirror ? (path.closed ? end - wrapped(u) : end - left - u) : wrapped(u))
  const frameAt = (k: number): Frame => {
    const origin = k * advance
    const middle = placeAt(path, readRuler(ruler, alongOf(origin)))
    const reach = widthsAt(request.width, middle)
    const [wl, wr] = mirror ? [reach.right, reach.left] : [reach.left, reach.right]
    return {
      mirror: mirror ? -1 : 1,
      named: (name) => (name === 'centre' ? (request.centre ?? null) : null),
      outlined: request.width?.kind === 'outline',
      values: { wl, wr, w: (wl + wr) / 2, rest: end - origin },
      at: (s, t) => onPath(path, readRuler(ruler, alongOf(origin + s)), t, mirror),
    }
  }
  return {
    runs: [{ frames: Array.from({ length: repeats }, (_, k) => frameAt(k)), endFrame: frameAt(repeats), closed: path.closed, afterCorner: false }],
    legs: ruler.legs.map((leg) => ({ lengthMm: leg.lengthMm, count: leg.advances, pitchMm: advance * leg.stretch })),
    lengthMm: path.length,
    problems: [],
  }
}

/** Each leg between corners is a line of its own, with a start and an end. */
function placeLegs(request: AlongRequest, bounds: readonly number[], lengths: readonly number[]): Placed {
  const { path } = request
  const placed = lengths.map((_, index) => {
    const from = bounds[index] as number
    const until = bounds[index + 1] as number
    const points = [
      placeAt(path, from).at,
      ...path.points.filter((__, at) => (path.starts[at] as number) > from + 1e-9 && (path.starts[at] as number) < until - 1e-9),
      placeAt(path, until, true).at,
    ]
    const starts = [0, ...path.starts.filter((start) => start > from + 1e-9 && start < until - 1e-9).map((start) => start - from), until - from]
    const leg: MeasuredPath = { points, starts, length: until - from, closed: false, corners: [] }
    const endsOnCorner = request.mirror ? index > 0 : index < lengths.length - 1
    return placeAlong({ ...request, path: leg, tail: endsOnCorner ? request.cornerTail : request.tail, restart: false, atLeast: [request.atLeast[index] ?? 0] })
  })
  const ordered = request.mirror ? [...placed].reverse() : placed
  return {
    runs: ordered.flatMap((one, index) => one.runs.map((run) => ({ ...run, afterCorner: index > 0 }))),
    legs: placed.flatMap((one) => one.legs),
    lengthMm: path.length,
    problems: placed.flatMap((one) => one.problems),
  }
}

/** A ruler for so many repeats: one even stretch over the whole guide. */
function countRuler(times: number, advance: number, lengthMm: number): Ruler {
  const repeats = Math.max(1, Math.round(times))
  const stretch = lengthMm / (repeats * advance)
  return { nominal: [0, repeats * advance], true: [0, lengthMm], repeats, legs: [{ lengthMm, advances: repeats, stretch }], advance }
}

function leftOver(steps: readonly number[], end: number): number {
  const advance = sum(steps)
  let reached = Math.floor(end / advance + 1e-9) * advance
  for (const one of steps) {
    if (reached + one > end + 1e-9) break
    reached += one
  }
  return end - reached
}

function onPath(path: MeasuredPath, along: number, t: number, mirror: boolean): PathPlace {
  const place = placeAt(path, along)
  const direction = mirror ? { x: -place.direction.x, y: -place.direction.y } : place.direction
  if (t === 0) return { at: place.at, direction }
  // The reflected left of the reversed direction is the left of the direction itself.
  return { at: step(place.at, leftOf(place.direction), t), direction }
}

/** Chords across a shape, side by side. A shape's direction lines say which way the stitches lie. */
export function placeAcross(guide: Extract<ReadGuide, { kind: 'shape' }>, pitchMm: number, mirror: boolean): Placed {
  if (!(pitchMm > 0)) return failed(['pitch'], 'The spacing of a fill must be above 0 mm.')
  const lie = stitchDirection(guide)
  const progress = leftOf(lie)
  const extent = extentAlong(guide.outline.points, progress)
  const reach = extent.to - extent.from
  const count = Math.max(1, Math.round(reach / pitchMm))
  if (count > MOST_FRAMES)
    return failed(['pitch'], `Stitches ${pitchMm.toFixed(3)} mm apart make more than ${MOST_FRAMES} of them in this shape. Ask for wider ones.`)
  const frames: Frame[] = []
  const chords = Array.from({ length: count }, (_, index) => chordsAt(guide.outline.points, progress, extent.from + ((index + 0.5) / count) * reach)).flat()
  for (const [col, { a, b }] of chords.entries()) {
    const named = (name: string): Point | null => (name === 'a' ? a : name === 'b' ? b : null)
    const direction = unit(subtract(b, a)) ?? lie
    frames.push({
      mirror: mirror ? -1 : 1,
      named,
      values: { col, span: Math.hypot(a.x - b.x, a.y - b.y) },
      at: (s, t) => ({ at: step(step(a, direction, s), leftOf(direction), t), direction }),
    })
  }
  if (frames.length === 0) return failed(['pitch'], 'No stitch fits into this shape.')
  if (mirror) frames.reverse()
  const last = frames[frames.length - 1] as Frame
  const gap = reach / count
  return {
    runs: [{ frames, endFrame: last, closed: false, afterCorner: false }],
    legs: [{ lengthMm: reach, count: frames.length, pitchMm: gap }],
    lengthMm: reach,
    problems: [],
  }
}

/** Along the given direction line, else across the narrowest width: shorter stitches lie better. */
function stitchDirection(guide: Extract<ReadGuide, { kind: 'shape' }>): Point {
  const given = guide.directions[0]
  const drawn = given ? unit(subtract(placeAt(given, given.length, true).at, placeAt(given, 0).at)) : null
  if (drawn) return drawn
  let narrowest = Number.POSITIVE_INFINITY
  let best: Point = { x: 0, y: 1 }
  // The narrowest width of a convex outline is square to one of its edges.
  const points = guide.outline.points
  for (let index = 0; index + 1 < points.length; index += 1) {
    const edge = unit(subtract(points[index + 1] as Point, points[index] as Point))
    if (!edge) continue
    const square = leftOf(edge)
    const { from, to } = extentAlong(points, square)
    if (to - from < narrowest - 1e-6) {
      narrowest = to - from
      best = square
    }
  }
  // Downwards or to the right, so that a shape drawn either way round is filled the same way.
  return best.y < -1e-9 || (Math.abs(best.y) < 1e-9 && best.x < 0) ? { x: -best.x, y: -best.y } : best
}

/** One frame at each spot, turned as the guide says. */
export function placeOnce(guide: Extract<ReadGuide, { kind: 'spots' }>, mirror: boolean): Placed {
  const direction = fromAngle(guide.turnRad)
  const frames = guide.at.map(
    (spot): Frame => ({
      mirror: mirror ? -1 : 1,
      named: (name) => (name === 'centre' ? spot : corner(name, spot, direction, guide.sideMm, mirror)),
      values: guide.sideMm === undefined ? {} : { size: guide.sideMm },
      at: (s, t) => ({ at: step(step(spot, direction, s), leftOf(direction), mirror ? -t : t), direction }),
    }),
  )
  const gaps = guide.at.slice(1).map((spot, index) => Math.hypot(spot.x - (guide.at[index] as Point).x, spot.y - (guide.at[index] as Point).y))
  const lengthMm = sum(gaps)
  return {
    runs: [{ frames, endFrame: frames[frames.length - 1] as Frame, closed: false, afterCorner: false }],
    legs: [{ lengthMm, count: frames.length, pitchMm: gaps.length > 0 ? lengthMm / gaps.length : 0 }],
    lengthMm,
    problems: [],
  }
}

/** The corners of a square, named as on a map: north is the side to the left of its direction. */
function corner(name: string, spot: Point, direction: Point, side: number | undefined, mirror: boolean): Point | null {
  if (side === undefined || !/^[ns][ew]$/.test(name)) return null
  const north = leftOf(direction)
  const flip = mirror ? -1 : 1
  const x = name[1] === 'e' ? side / 2 : -side / 2
  const y = (name[0] === 'n' ? side / 2 : -side / 2) * flip
  return step(step(spot, direction, x), north, y)
}

function failed(path: ProblemPath, message: string): Placed {
  return { runs: [], legs: [], lengthMm: 0, problems: [error('work.placement', path, message)] }
}
