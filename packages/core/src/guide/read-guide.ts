/** Guides as they are worked: measured, checked, with what a placement needs. */
import { error, failure, type Result, success, unreachable } from '../base/index.ts'
import {
  areaOf,
  chordsOfRegion,
  dot,
  fromAngle,
  isInRegion,
  leftOf,
  lerp,
  type MeasuredPath,
  measurePath,
  parsePath,
  placeAt,
  type Point,
  type Region,
  startAtCorner,
} from '../geometry/index.ts'
import type { Guide, GuideKind } from '../sampler/index.ts'

export type GuideWidth = { readonly kind: 'even'; readonly halfMm: number } | { readonly kind: 'outline'; readonly points: readonly Point[] }

export type ReadGuide =
  | {
      readonly kind: 'line'
      readonly path: MeasuredPath
      /** How far the guide reaches to each side: even (half its width), or up to an outline or rails. */
      readonly width?: GuideWidth
      readonly centre?: Point
    }
  | {
      readonly kind: 'shape'
      readonly outline: MeasuredPath
      /** The outline's points, then those of its holes. */
      readonly region: Region
      readonly directions: readonly MeasuredPath[]
      readonly vein?: MeasuredPath
      readonly areaMm2: number
    }
  | { readonly kind: 'spots'; readonly at: readonly Point[]; readonly turnRad: number /** Squares have a side. */; readonly sideMm?: number }
  | { readonly kind: 'grid'; readonly at: Point; readonly columns: number; readonly rows: number; readonly cellMm: number }
  | { readonly kind: 'pins'; readonly base: Point; readonly pins: readonly Point[] }

/** A guide of this length or less holds no stitch. */
const SHORTEST_MM = 0.5
const MOST_SPOTS = 2000
const MOST_CELLS = 10_000

export function readGuide(guide: Guide): Result<ReadGuide> {
  switch (guide.kind) {
    case 'line': {
      const path = parsePath(guide.path)
      if (!path.ok) return path
      if (path.value.length < SHORTEST_MM)
        return failure(error('guide.too-short', ['path'], `This line is ${path.value.length.toFixed(2)} mm long. Draw it at least ${SHORTEST_MM} mm long.`))
      return success({ kind: 'line', path: startAtCorner(path.value) })
    }
    case 'shape':
      return readShape(guide)
    case 'spot':
    case 'spots': {
      const pairs = guide.kind === 'spot' ? [guide.at] : guide.at
      if (pairs.length === 0) return failure(error('guide.no-spots', ['at'], 'There is no spot yet. Add at least one.'))
      if (pairs.length > MOST_SPOTS)
        return failure(error('guide.too-many-spots', ['at'], `${pairs.length} spots are too many for one exercise; the most is ${MOST_SPOTS}. Divide them.`))
      return success({ kind: 'spots', at: pairs.map(([x, y]) => ({ x, y })), turnRad: guide.turnRad ?? 0 })
    }
    case 'band':
      return readBand(guide)
    case 'ring':
      return success({ kind: 'line', path: circle(guide.at, guide.radiusMm), centre: { x: guide.at[0], y: guide.at[1] } })
    case 'square': {
      const along = fromAngle(guide.turnRad ?? 0)
      const at = Array.from({ length: guide.repeat ?? 1 }, (_, index) => ({
        x: guide.at[0] + along.x * guide.sideMm * index,
        y: guide.at[1] + along.y * guide.sideMm * index,
      }))
      return success({ kind: 'spots', at, turnRad: guide.turnRad ?? 0, sideMm: guide.sideMm })
    }
    case 'grid':
      if (guide.columns * guide.rows > MOST_CELLS)
        return failure(
          error('guide.too-many-cells', ['columns'], `${guide.columns * guide.rows} cells are too many; the most is ${MOST_CELLS}. Divide the grid.`),
        )
      return success({ kind: 'grid', at: { x: guide.at[0], y: guide.at[1] }, columns: guide.columns, rows: guide.rows, cellMm: guide.cellMm })
    case 'pins': {
      const base = { x: guide.base[0], y: guide.base[1] }
      const pins = guide.pins.map(([x, y]) => ({ x, y }))
      if (pins.length === 0 || pins.some((pin) => Math.hypot(pin.x - base.x, pin.y - base.y) < 2))
        return failure(error('guide.pins', ['pins'], 'Each pin must stand at least 2 mm from the base. Move it away, or add one.'))
      return success({ kind: 'pins', base, pins })
    }
    default:
      return unreachable(guide)
  }
}

function readBand(guide: Extract<Guide, { kind: 'band' }>): Result<ReadGuide> {
  if (guide.rails) {
    const rails = guide.rails.map((data) => parsePath(data))
    const [left, right] = rails
    if (!left?.ok) return left ?? failure(error('guide.rails', ['rails'], 'A band needs two rails.'))
    if (!right?.ok) return right ?? failure(error('guide.rails', ['rails'], 'A band needs two rails.'))
    const steps = 80
    const at = (path: MeasuredPath, index: number): Point => placeAt(path, (path.length * index) / steps, true).at
    const middle = measurePath(Array.from({ length: steps + 1 }, (_, index) => lerp(at(left.value, index), at(right.value, index), 0.5)))
    if (!middle) return failure(error('guide.rails', ['rails'], 'The two rails of this band lie on each other. Draw them apart.'))
    return success({ kind: 'line', path: middle, width: { kind: 'outline', points: [...left.value.points, ...[...right.value.points].reverse()] } })
  }
  if (guide.path === undefined || guide.widthMm === undefined) return failure(error('guide.band', ['path'], 'A band needs a path with a width, or two rails.'))
  const path = parsePath(guide.path)
  if (!path.ok) return path
  return success({ kind: 'line', path: path.value, width: { kind: 'even', halfMm: guide.widthMm / 2 } })
}

/** Travelled so that the centre lies to the left. */
function circle(at: readonly [number, number], radiusMm: number): MeasuredPath {
  // Chords of 0.0005 mm sagitta, as curves are flattened.
  const steps = Math.max(24, Math.ceil((2 * Math.PI) / (2 * Math.acos(Math.max(0, 1 - 0.0005 / radiusMm)))))
  const points = Array.from({ length: steps + 1 }, (_, index) => {
    const angle = (-2 * Math.PI * (index % steps)) / steps
    return { x: at[0] + radiusMm * Math.cos(angle), y: at[1] + radiusMm * Math.sin(angle) }
  })
  return measurePath(points, true) as MeasuredPath
}

/** The reach of a guide to the left and right at a place along it, mm. */
export function widthsAt(
  width: GuideWidth | undefined,
  place: { readonly at: Point; readonly direction: Point },
): { readonly left: number; readonly right: number } {
  if (width === undefined) return { left: 0, right: 0 }
  if (width.kind === 'even') return { left: width.halfMm, right: width.halfMm }
  const chords = chordsOfRegion([width.points], place.direction, dot(place.at, place.direction))
  const side = leftOf(place.direction)
  const here = dot(place.at, side)
  for (const { a, b } of chords) {
    const [left, right] = [dot(a, side) - here, here - dot(b, side)]
    if (left >= -0.01 && right >= -0.01) return { left: Math.max(0, left), right: Math.max(0, right) }
  }
  return { left: 0, right: 0 }
}

function readShape(guide: Extract<Guide, { kind: 'shape' }>): Result<ReadGuide> {
  const outline = parsePath(guide.path)
  if (!outline.ok) return outline
  if (!outline.value.closed) return failure(error('guide.open-shape', ['path'], 'This outline is not closed. End its path with Z.'))
  const areaMm2 = areaOf(outline.value.points)
  if (areaMm2 < 1) return failure(error('guide.too-small', ['path'], `This shape holds ${areaMm2.toFixed(2)} mm\u00b2. Draw it at least 1 mm\u00b2 large.`))
  const holes: (readonly Point[])[] = []
  for (const [index, data] of (guide.holes ?? []).entries()) {
    const hole = parsePath(data)
    if (!hole.ok) return hole
    const inside = hole.value.points.every((at) => isInRegion([outline.value.points], at))
    if (!hole.value.closed || !inside)
      return failure(error('guide.hole', ['holes', index], `Hole ${index + 1} must be closed (end its path with Z) and lie inside the outline.`))
    holes.push(hole.value.points)
  }
  const region = [outline.value.points, ...holes]
  const workedMm2 = areaMm2 - holes.reduce((total, hole) => total + areaOf(hole), 0)
  const directions: MeasuredPath[] = []
  for (const data of guide.directions ?? []) {
    const direction = parsePath(data)
    if (!direction.ok) return direction
    directions.push(direction.value)
  }
  if (guide.vein === undefined) return success({ kind: 'shape', outline: outline.value, region, directions, areaMm2: workedMm2 })
  const vein = parsePath(guide.vein)
  return vein.ok ? success({ kind: 'shape', outline: outline.value, region, directions, vein: vein.value, areaMm2: workedMm2 }) : vein
}

/** The kinds of guide in a stitch document's list that this guide may serve as. */
export function guideServes(kinds: readonly string[], kind: GuideKind): boolean {
  return kinds.includes(kind) || (kind === 'spot' && kinds.includes('spots')) || (kind === 'spots' && kinds.includes('spot'))
}
