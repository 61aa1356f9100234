/** Equal steps along a line, a band, a ring: fitted by the guide's ruler, a hole on every corner. */
import { mm, sum } from '../base/index.ts'
import { leftOf, type MeasuredPath, type Place as PathPlace, placeAt, type Point, step } from '../geometry/index.ts'
import { type GuideWidth, makeRuler, readRuler, type Ruler } from '../guide/index.ts'
import { AlongFrame, type AlongLine, onPath, VaryingFrame, withPlaces } from './along-frame.ts'
import { fannedAt } from './fan-corners.ts'
import { failed, type Frame, MOST_FRAMES, oneRun, type Placed } from './frames.ts'

export interface AlongRequest {
  readonly path: MeasuredPath
  readonly steps: readonly number[]
  readonly tail: number
  readonly closedTail: number
  readonly cornerTail: number
  readonly restart: boolean
  /** Three spokes to a corner's hole. */
  readonly fan?: boolean | undefined
  readonly mirror: boolean
  /** Fewest advances in each leg, from the tolerance on curves. */
  readonly atLeast: readonly number[]
  /** "Right beside": a tie this far beyond the last hole needs no mark of its own. */
  readonly besideMm: number
  readonly width?: GuideWidth | undefined
  readonly centre?: Point | undefined
  /** So many frames, whatever would fit. */
  readonly times?: number | undefined
  /** An odd number of frames. */
  readonly odd?: boolean | undefined
  /** Worked from the far end back. */
  readonly reverse?: boolean | undefined
}

/** Equal steps along a line, a hole on every corner. */
export function placeAlong(request: AlongRequest): Placed {
  const { path, steps, mirror } = request
  const advance = sum(steps)
  if (!(advance > 0) || steps.some((one) => !(one > 0))) {
    return failed(['step'], 'place.no-step')
  }
  if (path.length / advance > MOST_FRAMES) return failed(['step'], 'place.many-along', { apart: mm(advance), most: MOST_FRAMES })
  const bounds = [...new Set([0, ...path.corners, path.length])].sort((a, b) => a - b)
  const lengths = bounds.slice(1).map((bound, index) => bound - (bounds[index] as number))
  if (request.restart && lengths.length > 1 && request.times === undefined) return placeLegs(request, bounds, lengths)
  const fitted = request.times === undefined ? makeRuler({ legs: lengths, closed: path.closed, steps, tail: request.tail, atLeast: request.atLeast }) : null
  const ruler = fitted && !(request.odd && fitted.repeats % 2 === 0) ? fitted : countRuler(request.times ?? nextOdd(fitted?.repeats ?? 1), advance, path.length)
  if (ruler.repeats > MOST_FRAMES) return failed(['times'], 'place.many-repeats', { count: ruler.repeats, most: MOST_FRAMES })
  const repeats = path.closed ? Math.max(1, ruler.repeats - Math.max(0, Math.round(request.closedTail / advance))) : ruler.repeats
  const end = ruler.nominal.at(-1) as number
  const wrapped = path.closed ? (u: number) => u - Math.floor(u / end + 1e-12) * end : (u: number) => u
  // The left hand walks the line from its other end. What the last step leaves over (a tie beyond the last
  // hole) is left over at the other end, so that both hands use the same marks.
  const over = mirror && !path.closed ? leftOver(steps, end) : 0
  const left = over <= 1.5 * request.besideMm ? over : 0
  const alongOf = (u: number): number => (mirror ? (path.closed ? end - wrapped(u) : end - left - u) : wrapped(u))
  const line: AlongLine = { ...request, ruler, advance, alongOf, end }
  const isVarying = request.width !== undefined && request.width.kind !== 'even'
  const frameAt = (k: number): Frame => (isVarying ? new VaryingFrame(line, k * advance) : new AlongFrame(line, k * advance))
  const single = Array.from({ length: repeats }, (_, k) => frameAt(k))
  const frames = request.fan ? single.flatMap((frame, k) => fanned(frame, fannedAt(path, readRuler(ruler, alongOf((k + 1) * advance))), mirror)) : single
  return {
    runs: [
      { frames: request.reverse ? [...frames].reverse() : frames, endFrame: frameAt(request.reverse ? -1 : repeats), closed: path.closed, afterCorner: false },
    ],
    legs: ruler.legs.map((leg) => ({ lengthMm: leg.lengthMm, count: leg.advances, pitchMm: advance * leg.stretch })),
    lengthMm: path.length,
    problems: [],
  }
}

/** A repeat that ends on a corner which turns away from its spokes becomes three, from the same hole. */
function fanned(frame: Frame, spokes: readonly PathPlace[] | null, mirror: boolean): readonly Frame[] {
  if (!spokes) return [frame]
  const inTurn = mirror ? [...spokes].reverse() : spokes
  return inTurn.map(({ at, direction }, index): Frame => {
    const facing = mirror ? { x: -direction.x, y: -direction.y } : direction
    const there = (t: number): PathPlace => ({ at: step(at, leftOf(direction), t), direction: facing })
    // Only the first still has the way to the corner before it.
    return withPlaces(frame, (s, t) => (index === 0 && s <= 0 ? frame.at(s, t) : there(t)))
  })
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
  const ordered = request.mirror !== (request.reverse ?? false) ? [...placed].reverse() : placed
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

/** The odd number of spokes next above an even one. */
function nextOdd(count: number): number {
  return count + 1
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

/** One frame for the whole line: a thread laid along it. `U` is its length, mm. */
export function placeWhole(path: MeasuredPath, mirror: boolean): Placed {
  const at = (s: number, t: number): PathPlace => onPath(path, mirror ? path.length - s : s, t, mirror)
  const corners = path.corners.map((corner) => (mirror ? path.length - corner : corner)).sort((a, b) => a - b)
  return oneRun([{ mirror: mirror ? -1 : 1, named: () => null, values: { U: path.length, rest: path.length }, at, corners }], path.length, path.length)
}
