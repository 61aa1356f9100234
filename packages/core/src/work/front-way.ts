/** The way of a thread in front as one curve, cut where it slides under something. mm. */
import { type Point3, splineThrough } from '../geometry/index.ts'

/** A part of a way that lies under something: from and to way-point, and its place in the order in which threads lie. */
export interface Under {
  readonly from: number
  readonly to: number
  readonly order: number
}

export interface FrontPiece {
  readonly points: readonly Point3[]
  /** Where it slides under something: how it lies. Null on top of all before it. */
  readonly order: number | null
  /** Which of the unders this piece leads to, or null after the last. */
  readonly before: number | null
}

/** At least one piece for a way of two points or more; pieces without length are left out. */
export function cutUnders(way: readonly Point3[], unders: readonly Under[]): readonly FrontPiece[] {
  if (way.length < 2) return []
  const curve = splineThrough(way)
  if (unders.length === 0) return [{ points: curve, order: null, before: null }]
  const perStep = (curve.length - 1) / (way.length - 1)
  const part = (from: number, to: number): readonly Point3[] => curve.slice(Math.round(from * perStep), Math.round(to * perStep) + 1)
  const pieces: FrontPiece[] = []
  let done = 0
  for (const [index, under] of unders.entries()) {
    pieces.push({ points: part(done, under.from), order: null, before: index }, { points: part(under.from, under.to), order: under.order, before: null })
    done = under.to
  }
  pieces.push({ points: part(done, way.length - 1), order: null, before: null })
  return pieces.filter((piece) => piece.points.length > 1)
}
