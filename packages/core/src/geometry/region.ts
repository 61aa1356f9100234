// The library has no types of its own; whoever compiles this file needs these.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./poisson-disk-sampling.d.ts" />
/** A region of the cloth: an outline with holes. Chords cut from it, rings within it, spots scattered over it. mm. */
import { ClipperOffset, EndType, JoinType } from 'clipper2-ts'
import PoissonDiskSampling from 'poisson-disk-sampling'
import { type MeasuredPath, measurePath, placeAt } from './measured-path.ts'
import { cross, distance, dot, leftOf, type Point, subtract } from './point.ts'
import { type Chord, extentAlong } from './shape.ts'
import { thinned } from './thinned.ts'
import { CORNER_RAD } from './svg-path.ts'

/** The outline first, then its holes; each a list of points, closed whether or not the first is repeated. */
export type Region = readonly (readonly Point[])[]

/** Of a millimetre that offsetting keeps: a ten-thousandth. */
const FINE = 10_000
/** A corner sticks out no farther than so many times what is offset. */
const MOST_MITER = 2
/** An inner ring follows its outline to this: a twentieth of the finest thread, and a fifteenth of the points. */
const THINNED_MM = 0.01

/**
 * Where the line `along . p = at` lies inside the region: `a` on the side to the left of `along`. One chord
 * for each stretch inside; none where it misses.
 */
export function chordsOfRegion(region: Region, along: Point, at: number): Chord[] {
  const side = leftOf(along)
  const hits: { place: number; at: Point }[] = []
  for (const ring of region) {
    for (let index = 0; index < ring.length; index += 1) {
      const p = ring[index] as Point
      const q = ring[index + 1 < ring.length ? index + 1 : 0] as Point
      const before = dot(p, along) - at
      const after = dot(q, along) - at
      // Half-open, so that a line through a vertex is counted once.
      if (before < 0 === after < 0) continue
      const share = before / (before - after)
      const hit = { x: p.x + (q.x - p.x) * share, y: p.y + (q.y - p.y) * share }
      hits.push({ place: dot(hit, side), at: hit })
    }
  }
  hits.sort((one, other) => other.place - one.place)
  const chords: Chord[] = []
  for (let index = 0; index + 1 < hits.length; index += 2) {
    chords.push({ a: (hits[index] as { at: Point }).at, b: (hits[index + 1] as { at: Point }).at })
  }
  return chords
}

/** Inside the outline and in none of its holes. */
export function isInRegion(region: Region, at: Point): boolean {
  let inside = false
  for (const ring of region) {
    // By number: asked for every hole of a filling, and pairs made for each point take most of it.
    for (let index = 0; index < ring.length; index += 1) {
      const p = ring[index] as Point
      const q = ring[index + 1 < ring.length ? index + 1 : 0] as Point
      if (p.y > at.y === q.y > at.y) continue
      if (at.x < p.x + ((q.x - p.x) * (at.y - p.y)) / (q.y - p.y)) inside = !inside
    }
  }
  return inside
}

/**
 * The region made smaller by so much on every side; larger when negative. It may fall into several parts, or
 * vanish. Every ring of the answer has the region on its left.
 */
export function shrinkRegion(region: Region, byMm: number): Point[][] {
  const wound = region.map((ring, index) => wind(ring, index === 0))
  if (byMm === 0) return wound.map((ring) => [...ring].reverse())
  return inflated(
    wound.map((ring) => thinned(ring, THINNED_MM)),
    -byMm,
  )
}

/** Rings as `shrinkRegion` gives them, made smaller again: ring upon ring this is far quicker than from the outline each time. */
export function shrinkRings(rings: readonly (readonly Point[])[], byMm: number): Point[][] {
  return inflated(
    rings.map((ring) => [...ring].reverse()),
    -byMm,
  )
}

function inflated(wound: readonly (readonly Point[])[], byMm: number): Point[][] {
  const offset = new ClipperOffset(MOST_MITER)
  // It reckons in whole numbers.
  offset.addPaths(
    wound.map((ring) => ring.map(({ x, y }) => ({ x: Math.round(x * FINE), y: Math.round(y * FINE) }))),
    JoinType.Miter,
    EndType.Polygon,
  )
  const found: { readonly x: number; readonly y: number }[][] = []
  offset.execute(byMm * FINE, found)
  return found.map((ring) => ring.map(({ x, y }) => ({ x: x * (1 / FINE), y: y * (1 / FINE) })).reverse())
}

/** Made smaller by as much as asked, or by as large a part of it as leaves something. */
export function insetRegion(region: Region, byMm: number): Point[][] {
  for (const share of [1, 0.5, 0.25, 0.1]) {
    const inside = shrinkRegion(region, byMm * share)
    if (inside.length > 0) return inside
  }
  return shrinkRegion(region, 0)
}

/** Outlines run one way and holes the other, as the offsetting library wants them. */
function wind(ring: readonly Point[], outer: boolean): readonly Point[] {
  const points = ring.length > 1 && same(ring[0] as Point, ring[ring.length - 1] as Point) ? ring.slice(0, -1) : ring
  let twice = 0
  for (const [index, a] of points.entries()) twice += cross(a, points[(index + 1) % points.length] as Point)
  return twice > 0 === outer ? points : [...points].reverse()
}

function same(a: Point, b: Point): boolean {
  return Math.abs(a.x - b.x) < 1e-9 && Math.abs(a.y - b.y) < 1e-9
}

/** Points of a ring nearer than this are one: offsetting leaves crumbs where arcs meet. */
const CRUMB_MM = 0.02
/** A corner is judged by where the ring goes this far before and after it. */
const LOOK_MM = 0.3

/** A ring as a closed path with its corners found again; it begins on one where there is any. */
export function ringPath(ring: readonly Point[]): MeasuredPath | null {
  const points: Point[] = []
  for (const at of ring) {
    const last = points.at(-1)
    if (!last || distance(at, last) > CRUMB_MM) points.push(at)
  }
  while (points.length > 1 && distance(points[0] as Point, points[points.length - 1] as Point) <= CRUMB_MM) points.pop()
  const plain = points.length < 3 ? null : measurePath([...points, points[0] as Point], true)
  if (!plain) return null
  const turns = points.map((_, index) => turnAt(plain, plain.starts[index] as number))
  const sharp = turns.flatMap((turn, index) => (turn > CORNER_RAD ? [index] : []))
  const isCorner = turns.map((turn, index) => {
    if (turn <= CORNER_RAD) return false
    const here = plain.starts[index] as number
    // The sharpest within reach: a rounded tip is one corner, not three.
    return !sharp.some((at) => {
      const other = turns[at] as number
      return at !== index && roundGap(here, plain.starts[at] as number, plain.length) < LOOK_MM && (other > turn || (other === turn && at < index))
    })
  })
  const first = Math.max(0, isCorner.indexOf(true))
  const turned = [...points.slice(first), ...points.slice(0, first)]
  const corners = [...isCorner.slice(first), ...isCorner.slice(0, first)].flatMap((corner, index) => (corner ? [index] : []))
  return measurePath([...turned, turned[0] as Point], true, corners)
}

function turnAt(path: MeasuredPath, travelled: number): number {
  const reach = Math.min(LOOK_MM, path.length / 8)
  const at = placeAt(path, travelled).at
  const u = subtract(at, placeAt(path, travelled - reach + path.length).at)
  const v = subtract(placeAt(path, travelled + reach).at, at)
  return Math.abs(Math.atan2(cross(u, v), dot(u, v)))
}

function roundGap(a: number, b: number, around: number): number {
  const apart = Math.abs(a - b)
  return Math.min(apart, around - apart)
}

/** A random sequence that is the same every time: Park and Miller's multiplier. */
export function sequenceFrom(seed: number): () => number {
  let state = (Math.abs(Math.trunc(seed)) % 2147483646) + 1
  return () => {
    state = (state * 48271) % 2147483647
    return (state - 1) / 2147483646
  }
}

const MOST_SPOTS = 20_000

/** Spots shoulder to shoulder: a honeycomb shaken by a twelfth, so that no row shows. */
export function packSpots(region: Region, apartMm: number): Point[] {
  const outline = region[0] ?? []
  const wide = extentAlong(outline, { x: 1, y: 0 })
  const tall = extentAlong(outline, { x: 0, y: 1 })
  const step = apartMm * Math.sqrt(0.75)
  if (!(apartMm > 0) || ((wide.to - wide.from) * (tall.to - tall.from)) / (apartMm * step) > MOST_SPOTS) return []
  const shake = sequenceFrom(20_011)
  const spots: Point[] = []
  for (let row = 0; tall.from + row * step <= tall.to + 1e-9; row += 1) {
    const line: Point[] = []
    for (let x = wide.from + (row % 2 === 0 ? 0 : apartMm / 2); x <= wide.to + 1e-9; x += apartMm) {
      const at = { x: x + ((shake() - 0.5) * apartMm) / 6, y: tall.from + row * step + ((shake() - 0.5) * apartMm) / 6 }
      if (isInRegion(region, at)) line.push(at)
    }
    spots.push(...(row % 2 === 0 ? line : line.reverse()))
  }
  return spots
}

/** Spots no nearer than `apartMm` to each other and hardly further: blue noise (Bridson 2007). Row by row, to and fro. */
export function scatterSpots(region: Region, apartMm: number): Point[] {
  const outline = region[0] ?? []
  const wide = extentAlong(outline, { x: 1, y: 0 })
  const tall = extentAlong(outline, { x: 0, y: 1 })
  const [w, h] = [wide.to - wide.from, tall.to - tall.from]
  if (!(apartMm > 0) || (w * h) / (apartMm * apartMm) > MOST_SPOTS) return []
  const sampling = new PoissonDiskSampling({ shape: [w, h], minDistance: apartMm, maxDistance: apartMm * 1.1, tries: 30 }, sequenceFrom(20_011))
  const spots = sampling
    .fill()
    .map(([x, y]) => ({ x: wide.from + (x ?? 0), y: tall.from + (y ?? 0) }))
    .filter((at) => isInRegion(region, at))
  const row = (at: Point): number => Math.floor((at.y - tall.from) / (1.6 * apartMm))
  return spots.sort((a, b) => row(a) - row(b) || (row(a) % 2 === 0 ? a.x - b.x : b.x - a.x))
}
