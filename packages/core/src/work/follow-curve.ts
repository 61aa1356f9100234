/**
 * Stitches are straight and guides bend. On a curve the pitch is shortened, leg by leg, until the drawn
 * thread keeps to the guide within the exercise's tolerance. What the stitch does on a straight guide (the
 * width of a chain, the slant of a stem) is not a fault and is taken off first.
 */
import { type Result, success } from '../base/index.ts'
import { dot, leftOf, measurePath, type MeasuredPath, nearestPlace, placeAt, type Point, subtract, thinPath, tightestRadius, unit } from '../geometry/index.ts'
import { type ReadGuide, widthsAt } from '../guide/index.ts'
import type { Segment, WorkedStitch } from './types.ts'
import { type StitchWork, workStitch } from './work-stitch.ts'

export interface Followed {
  readonly worked: WorkedStitch
  /** Fewest advances a leg, so that the other hand can be worked to the same marks. */
  readonly atLeast: readonly number[]
  /** How far the drawn thread leaves the guide, mm. */
  readonly deviationMm: number
  /** The shortest good stitch was reached before the tolerance was. */
  readonly tooTight: boolean
}

interface Band {
  readonly left: number
  readonly right: number
}

const MOST_ROUNDS = 60

export function followCurve(work: StitchWork, toleranceMm: number): Result<Followed> {
  const first = workStitch(work)
  if (!first.ok) return first
  const plain = { worked: first.value, atLeast: [], deviationMm: 0, tooTight: false }
  // Spokes of a ring leave it on purpose.
  if (work.guide.kind !== 'line' || work.guide.centre || isStraight(work.guide.path)) return success(plain)
  const path = thinPath(work.guide.path, chordWithin(tightestRadius(work.guide.path, SPAN_MM)))
  const band = straightBand(work, first.value)
  const mostAdvances = shortestGood(work, first.value)
  let worked = first.value
  let atLeast = worked.fitted.legs.map(() => 0)
  let deviations = measureDeviations(path, worked, band)
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    let changed = false
    const next = atLeast.map((least, leg) => {
      const fit = worked.fitted.legs[leg]
      const off = deviations[leg] ?? 0
      if (!fit || off <= toleranceMm) return least
      const count = Math.round(fit.count)
      // Sagitta falls with the square of the length: jump near the answer, then one at a time.
      const wanted = Math.max(count + 1, Math.floor(count * Math.sqrt(off / toleranceMm)) - 1)
      const allowed = Math.min(wanted, Math.floor((mostAdvances[leg] ?? 0) + 1e-9))
      if (allowed <= count) return least
      changed = true
      return allowed
    })
    if (!changed) break
    const again = workStitch({ ...work, atLeast: next })
    if (!again.ok) return again
    worked = again.value
    atLeast = next
    deviations = measureDeviations(path, worked, band)
  }
  const deviationMm = Math.max(0, ...deviations)
  return success({ worked, atLeast, deviationMm, tooTight: deviationMm > toleranceMm + 1e-9 })
}

/** The line is judged by chords that lie no further off it than this, mm: a hundredth of a thread is not seen. */
const JUDGED_OFF_MM = 0.005
/** And no longer than this, mm, however gentle the curve. */
const JUDGED_MM = 2
/** How tight a curve is, is judged over places so far apart, mm. */
const SPAN_MM = 0.5

/** A chord of c leaves a bend of radius r by c squared over 8 r. */
function chordWithin(radiusMm: number): number {
  return Math.min(JUDGED_MM, Math.sqrt(8 * radiusMm * JUDGED_OFF_MM))
}

/** Nowhere off the straight way from corner to corner. */
function isStraight(path: MeasuredPath): boolean {
  const bounds = [...new Set([0, ...path.corners, path.length])].sort((a, b) => a - b)
  return bounds.slice(1).every((end, index) => {
    const begin = bounds[index] as number
    const from = placeAt(path, begin).at
    const along = unit(subtract(placeAt(path, end, true).at, from))
    if (along === null) return false
    return path.points.every((at, point) => {
      const travelled = path.starts[point] ?? path.length
      const inside = travelled > begin && travelled < end
      return !inside || Math.abs(dot(subtract(at, from), leftOf(along))) < STRAIGHT_MM
    })
  })
}

const STRAIGHT_MM = 1e-3

/** How far the thread reaches to each side on a straight guide. */
export function straightBand(work: StitchWork, worked: WorkedStitch): Band {
  const half = halfWidth(work.guide)
  const straight = workOnStraight(work, Math.max(worked.fitted.askedMm * 6, 6 * (half ?? 0)), half)
  if (!straight) return { left: 0, right: 0 }
  let left = 0
  let right = 0
  for (const segment of straight.segments) {
    if (segment.side !== 'front') continue
    // The straight guide runs along y = 0 to the right, so left is up.
    for (const at of segment.points) {
      left = Math.max(left, -at.y)
      right = Math.max(right, at.y)
    }
  }
  return { left, right }
}

/** The furthest that a band reaches to either side; null for a line. */
function halfWidth(guide: ReadGuide): number | null {
  if (guide.kind !== 'line' || !guide.width) return null
  if (guide.width.kind === 'even') return guide.width.halfMm
  const { path, width } = guide
  const reaches = Array.from({ length: 21 }, (_, index) => widthsAt(width, placeAt(path, (path.length * index) / 20, index === 20)))
  return Math.max(...reaches.flatMap(({ left, right }) => [left, right]))
}

/** `halfMm`: on a band so wide to either side. */
export function workOnStraight(work: Omit<StitchWork, 'guide'>, lengthMm: number, halfMm: number | null = null): WorkedStitch | null {
  const path = measurePath([
    { x: 0, y: 0 },
    { x: lengthMm, y: 0 },
  ])
  if (!path) return null
  const guide: ReadGuide = { kind: 'line', path, ...(halfMm === null ? {} : { width: { kind: 'even', halfMm } }) }
  const { atLeast: _unused, ...rest } = work
  const worked = workStitch({ ...rest, guide, leftHand: false })
  return worked.ok ? worked.value : null
}

/** The most advances in each leg before a length falls under its window. */
function shortestGood(work: StitchWork, worked: WorkedStitch): number[] {
  let smallest = 0.25
  for (const { kind, value, min } of work.parameters.values()) {
    if (kind === 'length' && min !== null && value > 0) smallest = Math.max(smallest, Math.min(1, min / value))
  }
  return worked.fitted.legs.map((leg) => leg.lengthMm / (worked.fitted.askedMm * smallest))
}

/** The furthest that the front thread lies outside its straight band, for each leg between corners. */
export function measureDeviations(path: MeasuredPath, worked: WorkedStitch, band: Band): number[] {
  const ends: number[] = []
  for (const leg of worked.fitted.legs) ends.push((ends.at(-1) ?? 0) + leg.lengthMm)
  const deviations = worked.fitted.legs.map(() => 0)
  const window = 1.5 * worked.fitted.askedMm + 3
  let guess = 0
  let pass = 0
  const far = 2 * Math.max(band.left, band.right) + window
  for (const segment of worked.segments) {
    if (segment.side !== 'front') continue
    const { made } = segment
    eachSample(segment, (at) => {
      // Another pass begins anywhere along the guide, and so does the next row of one.
      const close = made.pass === pass ? nearestNear(path, at, guess, window) : null
      const near = close && close.distance < far ? close : nearestPlace(path, at)
      pass = made.pass
      guess = near.travelled
      // Beyond an open end there is no guide to keep to.
      if (!path.closed && (near.travelled < 1e-6 || near.travelled > path.length - 1e-6)) return
      const off = Math.max(near.offset - band.left, -near.offset - band.right, 0)
      const leg = ends.findIndex((end) => near.travelled <= end + 1e-9)
      if (leg >= 0) deviations[leg] = Math.max(deviations[leg] as number, off)
    })
  }
  return deviations
}

function nearestNear(path: MeasuredPath, at: Point, guess: number, window: number) {
  const near = nearestPlace(path, at, guess - window, guess + window)
  if (!path.closed || (guess > window && guess < path.length - window)) return near
  const other = guess <= window ? nearestPlace(path, at, path.length - window, path.length) : nearestPlace(path, at, 0, window)
  return other.distance < near.distance ? other : near
}

const WAY_POINTS = [0]
const AND_BETWEEN = [0, 0.25, 0.5, 0.75]

/** Way-points and places between them: a straight stitch leaves a curve most at its middle. */
function eachSample({ points }: Segment, look: (at: Point) => void): void {
  const shares = points.length > 4 ? WAY_POINTS : AND_BETWEEN
  for (let index = 0; index + 1 < points.length; index += 1) {
    const a = points[index] as Point
    const b = points[index + 1] as Point
    for (const share of shares) look({ x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share })
  }
  look(points[points.length - 1] as Point)
}
