/** Rows of a line stitch that fill a shape: rings inside the outline, the outer one first, or straight rows. mm. */
import { areaOf, type Chord, lerp, type MeasuredPath, measurePath, nearestPlace, placeAt, ringPath, shrinkRegion, shrinkRings } from '../geometry/index.ts'
import { rowChords, type ShapeGuide } from './place-across.ts'

const MOST_ROWS = 2000
/** A ring of fewer stitches than this is no longer round. */
const FEWEST_ROUND = 3.5

/** `stitchMm`: a stitch on a straight row; `bentMm`: the shortest that it becomes on a bend. */
export function rowPaths(guide: ShapeGuide, spacingMm: number, follow: 'outline' | 'direction', stitchMm: number, bentMm: number): MeasuredPath[] {
  return follow === 'direction' ? straightRows(rowChords(guide, spacingMm), stitchMm) : rings(guide, spacingMm, bentMm)
}

function straightRows(chords: readonly Chord[], shortestMm: number): MeasuredPath[] {
  const rows = chords.flatMap(({ a, b }) => measurePath([a, b]) ?? [])
  const long = rows.filter((row) => row.length >= shortestMm)
  return long.length > 0 ? long : rows.sort((a, b) => b.length - a.length).slice(0, 1)
}

/** The outer row lies half a row inside the outline. Where a ring is too small to go round, one part row fills the middle. */
function rings(guide: ShapeGuide, spacingMm: number, bentMm: number): MeasuredPath[] {
  const rows: MeasuredPath[] = []
  const middles: MeasuredPath[] = []
  let parts = shrinkRegion(guide.region, spacingMm / 2)
  for (let count = 0; count < MOST_ROWS && parts.length > 0; count += 1) {
    for (const part of parts) {
      const ring = ringPath(part)
      if (!ring) continue
      // A ring whose two sides all but touch is a part row as well.
      const thin = (2 * areaOf(ring.points)) / ring.length < 0.25 * spacingMm
      if (ring.length >= FEWEST_ROUND * bentMm && !thin) rows.push(ring)
      else {
        const middle = acrossRing(ring)
        const filled = middle && middles.some((part) => nearestPlace(part, placeAt(middle, middle.length / 2).at).distance < 0.6 * spacingMm)
        if (middle && !filled && middle.length >= 0.5 * bentMm) {
          rows.push(middle)
          middles.push(middle)
        }
      }
    }
    parts = shrinkRings(parts, spacingMm)
  }
  return rows
}

function acrossRing({ points }: MeasuredPath): MeasuredPath | null {
  let ends: { square: number; a: number; b: number } = { square: 0, a: 0, b: 0 }
  for (const [a, from] of points.entries()) {
    for (let b = a + 1; b < points.length; b += 1) {
      const to = points[b] as typeof from
      const square = (from.x - to.x) ** 2 + (from.y - to.y) ** 2
      if (square > ends.square) ends = { square, a, b }
    }
  }
  const [a, b] = [points[ends.a], points[ends.b]]
  // A hair inside, so that it does not begin in a hole that the ring around it has used.
  return a && b ? measurePath([lerp(a, b, 0.06), lerp(a, b, 0.94)]) : null
}
