/** Closed outlines: area, convexity, the chords that a direction cuts from them. Millimetres. */
import { cross, dot, type Point } from './point.ts'

/** The area enclosed, mm2, whichever way round the outline runs. */
export function areaOf(outline: readonly Point[]): number {
  let twice = 0
  for (const [index, a] of outline.entries()) {
    const b = outline[(index + 1) % outline.length] as Point
    twice += cross(a, b)
  }
  return Math.abs(twice) / 2
}

export interface Extent {
  readonly from: number
  readonly to: number
}

/** How far the outline reaches along a direction, as dot products with it. */
export function extentAlong(outline: readonly Point[], direction: Point): Extent {
  let from = Number.POSITIVE_INFINITY
  let to = Number.NEGATIVE_INFINITY
  for (const at of outline) {
    const along = dot(at, direction)
    from = Math.min(from, along)
    to = Math.max(to, along)
  }
  return { from, to }
}

export interface Chord {
  readonly a: Point
  readonly b: Point
}
