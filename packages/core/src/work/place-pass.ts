/** Which placement rule a pass asks for, given what guide it has: the one table that joins the two. */
import { mm, sum } from '../base/index.ts'
import { insetRegion, type MeasuredPath, measurePath, type Point, ringPath, tightestRadius } from '../geometry/index.ts'
import { gridPoint, type ReadGuide, type ReadOf } from '../guide/index.ts'
import type { Compiled } from '../notation/index.ts'
import { alongVein } from './along-vein.ts'
import type { CompiledPlace } from './compiled.ts'
import { failed, type Frame, frameAt, MOST_FRAMES, oneRun, type Placed } from './frames.ts'
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

/** On a curve a row's stitches shorten to no less than this share of their length. */
const SHORTEST_SHARE = 0.6

export function placePass(request: PlaceRequest): Placed {
  const { place, leftHand: mirror, value } = request
  const guide = request.guide.kind === 'grid' && place.kind !== 'cells' && place.kind !== 'times' ? gridAsShape(request.guide) : request.guide
  const maybe = (compiled: Compiled | null): number => (compiled ? value(compiled) : 0)
  switch (place.kind) {
    case 'along':
      if (guide.kind === 'line' || guide.kind === 'shape') {
        const once = guide.kind === 'line' ? placeAlong(alongRequest(request, place, guide)) : alongShape(request, place, guide)
        return again(once, place.again ? Math.max(1, Math.round(value(place.again))) : 1)
      }
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
      const frame = beginningOf(guide, mirror)
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

function alongRequest(request: PlaceRequest, place: Along, guide: ReadOf<'line'>): AlongRequest {
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
    const spacing = value(place.rows.spacing)
    // Counted before a row is drawn: rows upon rows of a table's size take half a minute.
    if (guide.areaMm2 / (spacing * advance) > MOST_FRAMES) return failed(['rows'], 'place.many-across', { apart: mm(advance), most: MOST_FRAMES })
    const paths = rowPaths(guide, spacing, place.rows.follow, advance, SHORTEST_SHARE * advance)
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
  const stretches = alongVein(guide)
  const last = request.leftHand ? 0 : stretches.length - 1
  const placed = stretches.map((line, index) => {
    const along = alongRequest(request, place, line)
    // Stitches gather beyond the base; before a hole those that begin behind it lean back over the place.
    return placeAlong(index === last ? along : { ...along, tail: Math.max(0, along.tail) })
  })
  return joined(request.leftHand !== place.reverse ? placed.reverse() : placed)
}

/** The same line so many times, each a row of its own. */
function again(placed: Placed, rows: number): Placed {
  if (rows === 1) return placed
  if (!(rows <= MOST_ROWS)) return failed(['again'], 'place.many-repeats', { count: rows, most: MOST_ROWS })
  // Frames measure themselves when they are asked: the row is added to what they find.
  const inRow = (frame: Frame, row: number): Frame => Object.create(frame, { values: { get: () => ({ ...frame.values, row, rows }) } }) as Frame
  return {
    ...placed,
    runs: Array.from({ length: rows }, (_, row) =>
      placed.runs.map((run) => ({ ...run, frames: run.frames.map((frame) => inRow(frame, row)), endFrame: inRow(run.endFrame, row) })),
    ).flat(),
  }
}

const MOST_ROWS = 1000

/** Several lines worked one after the other. */
function joined(placed: readonly Placed[]): Placed {
  return {
    runs: placed.flatMap((one) => one.runs),
    legs: placed.flatMap((one) => one.legs),
    lengthMm: sum(placed.map((one) => one.lengthMm)),
    problems: placed.flatMap((one) => one.problems),
  }
}

/** The frame in which weaving and the like is worked, whose places come from what it passes. */
function beginningOf(guide: ReadGuide, mirror: boolean): Frame {
  const ahead = { x: mirror ? -1 : 1, y: 0 }
  const frame = (origin: Point, values: Readonly<Record<string, number>>, named?: (name: string) => Point | null, direction: Point = ahead): Frame =>
    frameAt(origin, direction, mirror ? -1 : 1, values, named)
  switch (guide.kind) {
    case 'line': {
      const { centre, path } = guide
      const first = path.points[0] as Point
      const radius = centre ? Math.hypot(first.x - centre.x, first.y - centre.y) : 0
      return frame(centre ?? first, { radius }, (name) => (name === 'centre' ? (centre ?? null) : null))
    }
    case 'shape':
      return frame(guide.outline.points[0] as Point, {})
    case 'spots':
      return placeOnce(guide, mirror).runs[0]?.frames[0] ?? frame({ x: 0, y: 0 }, {})
    case 'grid':
      return frame(guide.at, { size: guide.cellMm, columns: guide.columns, rows: guide.rows })
    case 'pins': {
      const pin = guide.pins[0] as Point
      const height = Math.hypot(pin.x - guide.base.x, pin.y - guide.base.y)
      return frame(guide.base, { height }, (name) => (name === 'pin' ? pin : name === 'base' ? guide.base : null), towardsPins(guide))
    }
  }
}
