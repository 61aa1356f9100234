/** Which placement rule a pass asks for, given what guide it has: the one table that joins the two. */
import { sum } from '../base/index.ts'
import {
  extentAlong,
  insetRegion,
  isInRegion,
  leftOf,
  type MeasuredPath,
  measurePath,
  placeAt,
  type Point,
  ringPath,
  subtract,
  tightestRadius,
  unit,
} from '../geometry/index.ts'
import { gridPoint, middleOfRails, type ReadGuide } from '../guide/index.ts'
import type { Compiled } from '../notation/index.ts'
import type { CompiledPlace } from './compiled.ts'
import { failed, frameAt, MOST_FRAMES, oneRun, type Placed } from './frames.ts'
import { placeAcross, type ShapeGuide } from './place-across.ts'
import { type AlongRequest, placeAlong, placeWhole } from './place-along.ts'
import { rowPaths } from './place-rows.ts'
import { placeFan, placePins, placeWeave, towardsPins } from './place-pins.ts'
import { placeCells, placeCrossings, placeOnce, placeScattered } from './place-spots.ts'
import { MoveError } from './thread-settings.ts'
import type { Segment } from './types.ts'

export interface PlaceRequest {
  readonly place: CompiledPlace
  readonly guide: ReadGuide
  readonly leftHand: boolean
  readonly restart: boolean
  /** Three spokes to a corner's hole. */
  readonly fan: boolean
  readonly besideMm: number
  /** How far a row that fills a shape may leave its curve, mm. */
  readonly strayMm: number
  readonly atLeast: readonly number[]
  readonly value: (compiled: Compiled) => number
  readonly labelled: (label: string) => readonly Segment[]
}

type LineGuide = Extract<ReadGuide, { kind: 'line' }>

/** On a curve a row's stitches shorten to no less than this share of their length. */
const SHORTEST_SHARE = 0.6

export function placePass(request: PlaceRequest): Placed {
  const { place, leftHand: mirror, value } = request
  const guide = request.guide.kind === 'grid' && place.kind !== 'cells' && place.kind !== 'times' ? gridAsShape(request.guide) : request.guide
  const maybe = (compiled: Compiled | null): number => (compiled ? value(compiled) : 0)
  switch (place.kind) {
    case 'along':
      if (guide.kind === 'line') return placeAlong(alongRequest(request, place, guide))
      if (guide.kind === 'shape') return alongShape(request, place, guide)
      break
    case 'across':
      if (guide.kind !== 'shape') break
      return placeAcross(guide, {
        pitchMm: value(place.pitch),
        mirror,
        turnRad: (maybe(place.turn) * Math.PI) / 180,
        insetMm: maybe(place.inset),
        cuts: place.cuts
          ? { first: place.cuts.first.map(value), step: value(place.cuts.step), bite: maybe(place.cuts.bite), min: maybe(place.cuts.min), by: place.cuts.by }
          : null,
      })
    case 'once':
      if (guide.kind === 'spots') return placeOnce(guide, mirror)
      break
    case 'whole':
      if (guide.kind === 'line') return placeWhole(guide.path, mirror)
      if (guide.kind === 'shape') return placeWhole(guide.outline, mirror)
      break
    case 'times': {
      const times = Math.max(0, Math.round(value(place.times)))
      if (!(times <= MOST_FRAMES)) return failed(['times'], 'place.many-repeats', { count: times, most: MOST_FRAMES })
      const { origin, direction, values, named } = beginningOf(guide, mirror)
      const frame = frameAt(origin, direction, mirror ? -1 : 1, values, named)
      return times === 0
        ? { runs: [], legs: [], lengthMm: 0, problems: [] }
        : oneRun(
            Array.from({ length: times }, () => frame),
            0,
            0,
          )
    }
    case 'scatter':
      if (guide.kind === 'shape') return placeScattered(guide, { apartMm: value(place.apart), insetMm: maybe(place.inset), packed: place.packed }, mirror)
      break
    case 'cells':
      if (guide.kind === 'grid') return placeCells(guide, place.order, mirror)
      break
    case 'pins':
      if (guide.kind === 'pins') return place.fan ? placeFan(guide, mirror) : placePins(guide, mirror)
      break
    case 'weave':
      if (guide.kind === 'pins') return placeWeave(guide, { warps: request.labelled(place.label), tipMm: value(place.tip), beatMm: value(place.beat) }, mirror)
      break
    case 'crossings':
      return placeCrossings(request.labelled(place.labels[0]), request.labelled(place.labels[1]), mirror ? -1 : 1)
  }
  throw new MoveError('place.wrong-guide', { place: place.kind })
}

/** A grid filled as a whole is a rectangle whose stitches stand upright. */
function gridAsShape(grid: Extract<ReadGuide, { kind: 'grid' }>): ShapeGuide {
  const { at, columns, rows, cellMm } = grid
  const foot = gridPoint(grid, 0, rows)
  const corners = [at, gridPoint(grid, columns, 0), gridPoint(grid, columns, rows), foot]
  const outline = measurePath([...corners, at], true, [0, 1, 2, 3]) as MeasuredPath
  const upright = measurePath([at, foot]) as MeasuredPath
  return { kind: 'shape', outline, region: [corners], directions: [upright], areaMm2: columns * rows * cellMm * cellMm }
}

type Along = Extract<CompiledPlace, { kind: 'along' }>

function alongRequest(request: PlaceRequest, place: Along, guide: LineGuide): AlongRequest {
  const { value } = request
  const tail = place.tail ? value(place.tail) : 0
  return {
    path: guide.path,
    width: guide.width,
    centre: guide.centre,
    times: place.times ? value(place.times) : undefined,
    steps: place.steps.map(value),
    tail,
    closedTail: place.closedTail ? value(place.closedTail) : tail,
    cornerTail: place.cornerTail ? value(place.cornerTail) : tail,
    restart: request.restart,
    fan: request.fan,
    mirror: request.leftHand,
    besideMm: request.besideMm,
    atLeast: request.atLeast,
    odd: place.odd,
    reverse: place.reverse,
  }
}

/** A shape as lines: its vein, its outline, or the rows that fill it. */
function alongShape(request: PlaceRequest, place: Along, guide: ShapeGuide): Placed {
  const { value } = request
  if (place.rows) {
    const advance = sum(place.steps.map(value))
    const paths = rowPaths(guide, value(place.rows.spacing), place.rows.follow, advance, SHORTEST_SHARE * advance)
    if (paths.length === 0) return failed(['rows'], 'place.no-row')
    return joined(
      paths.map((path) => {
        const shortened = Math.max(SHORTEST_SHARE * advance, Math.min(advance, Math.sqrt(8 * tightestRadius(path, advance) * request.strayMm)))
        const lengths = [...path.corners.slice(1), path.length].map((end, index) => end - (path.corners[index] ?? 0))
        return placeAlong({
          ...alongRequest(request, place, { kind: 'line', path }),
          atLeast: lengths.map((length) => (shortened < advance ? length / shortened : 0)),
        })
      }),
    )
  }
  if (place.of === 'outline') {
    const inset = place.inset ? value(place.inset) : 0
    const rings = insetRegion(guide.region, inset)
    const paths = rings.flatMap((ring) => ringPath(ring) ?? [])
    if (paths.length === 0) return failed(['inset'], 'place.nothing-inside')
    return joined(paths.map((path) => placeAlong({ ...alongRequest(request, place, { kind: 'line', path }), atLeast: [] })))
  }
  return placeAlong(alongRequest(request, place, alongVein(guide)))
}

/** Several lines worked one after the other. */
function joined(placed: readonly Placed[]): Placed {
  return {
    runs: placed.flatMap((one) => one.runs),
    legs: placed.flatMap((one) => one.legs),
    lengthMm: sum(placed.map((one) => one.lengthMm)),
    problems: placed.flatMap((one) => one.problems),
  }
}

/**
 * A leaf is a band along its vein whose rails are the outline; without a drawn vein, along its longest chord, and where
 * that leaves the shape, as in a crescent, half way between its two sides.
 */
function alongVein(guide: ShapeGuide): LineGuide {
  const width = { kind: 'outline', points: guide.outline.points } as const
  if (guide.vein) return { kind: 'line', path: guide.vein, width }
  let ends: readonly [Point, Point] = [guide.outline.points[0] as Point, guide.outline.points[1] as Point]
  let longest = 0
  // Every fifth point of a finely flattened outline finds the longest chord to a hair.
  const some = guide.outline.points.filter((_, index) => guide.outline.points.length < 200 || index % 5 === 0)
  for (const a of some) {
    for (const b of some) {
      const square = (a.x - b.x) ** 2 + (a.y - b.y) ** 2
      if (square > longest + 1e-9) {
        longest = square
        ends = [a, b]
      }
    }
  }
  const chord = measurePath(ends) as MeasuredPath
  const outside = SHARES.filter((share) => !isInRegion([guide.outline.points], placeAt(chord, chord.length * share).at)).length
  // A hollow side is crossed by a chord that still serves: on a straight vein both halves lie evenly.
  const leaves = outside > MOST_OUTSIDE * SHARES.length
  return { kind: 'line', path: (leaves && betweenSides(guide.outline, ends)) || chord, width }
}

const SHARES = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9]
const MOST_OUTSIDE = 0.5

/** From one end of an outline to the other, half way between the two ways round. */
function betweenSides(outline: MeasuredPath, [from, to]: readonly [Point, Point]): MeasuredPath | null {
  const ring = outline.points.slice(0, -1)
  const at = ring.indexOf(from)
  if (at < 0) return null
  const turned = [...ring.slice(at), ...ring.slice(0, at)]
  const far = turned.indexOf(to)
  if (far < 1) return null
  const left = measurePath(turned.slice(0, far + 1))
  const right = measurePath([...turned.slice(far), from].reverse())
  return left && right && middleOfRails(left, right)
}

/** The greatest width of a leaf, square to its vein, mm. */
export function acrossVein(guide: ShapeGuide): number {
  const { path } = alongVein(guide)
  const first = path.points[0] as Point
  const last = path.points[path.points.length - 1] as Point
  const along = unit(subtract(last, first)) ?? { x: 1, y: 0 }
  const { from, to } = extentAlong(guide.outline.points, leftOf(along))
  return to - from
}

function beginningOf(guide: ReadGuide, mirror: boolean) {
  const none = (): Point | null => null
  const ahead = { x: mirror ? -1 : 1, y: 0 }
  switch (guide.kind) {
    case 'line': {
      const { centre, path } = guide
      const first = path.points[0] as Point
      const radius = centre ? Math.hypot(first.x - centre.x, first.y - centre.y) : 0
      return { origin: centre ?? first, direction: ahead, values: { radius }, named: (name: string) => (name === 'centre' ? (centre ?? null) : null) }
    }
    case 'shape':
      return { origin: guide.outline.points[0] as Point, direction: ahead, values: {}, named: none }
    case 'spots':
      return { origin: guide.at[0] as Point, direction: ahead, values: guide.sideMm === undefined ? {} : { size: guide.sideMm }, named: none }
    case 'grid':
      return { origin: guide.at, direction: ahead, values: { size: guide.cellMm, columns: guide.columns, rows: guide.rows }, named: none }
    case 'pins': {
      const pin = guide.pins[0] as Point
      const height = Math.hypot(pin.x - guide.base.x, pin.y - guide.base.y)
      return {
        origin: guide.base,
        direction: towardsPins(guide),
        values: { height },
        named: (name: string) => (name === 'pin' ? pin : name === 'base' ? guide.base : null),
      }
    }
  }
}
