/** Closed outlines: area, convexity, the chords that a direction cuts from them. Millimetres. */
import { cross, dot, leftOf, type Point, subtract } from './point.ts'

/** The area enclosed, mm2, whichever way round the outline runs. */
export function areaOf(outline: readonly Point[]): number {
  let twice = 0
  for (const [index, a] of outline.entries()) {
    const b = outline[(index + 1) % outline.length] as Point
    twice += cross(a, b)
  }
  return Math.abs(twice) / 2
}

/**
 * True when the outline bulges everywhere. Flattened curves wobble by less than the flattening error, so
 * a turn the wrong way counts only when it reaches a hundredth of a radian.
 */
export function isConvex(outline: readonly Point[]): boolean {
  let sign = 0
  const count = outline.length
  for (let index = 0; index < count; index += 1) {
    const a = outline[index] as Point
    const b = outline[(index + 1) % count] as Point
    const c = outline[(index + 2) % count] as Point
    const u = subtract(b, a)
    const v = subtract(c, b)
    const turn = Math.atan2(cross(u, v), dot(u, v))
    if (Math.abs(turn) < 0.01) continue
    if (sign === 0) sign = Math.sign(turn)
    else if (Math.sign(turn) !== sign) return false
  }
  return true
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

/**
 * Where the line `along . p = at` lies inside the outline: `a` on the side to the left of `along`.
 * Two chords where the line leaves the shape and comes back; none where it misses it.
 */
export function chordsAt(outline: readonly Point[], along: Point, at: number): Chord[] {
  const side = leftOf(along)
  const hits: { place: number; at: Point }[] = []
  for (const [index, p] of outline.entries()) {
    const q = outline[(index + 1) % outline.length] as Point
    const before = dot(p, along) - at
    const after = dot(q, along) - at
    // Half-open, so that a line through a vertex is counted once.
    if (before < 0 === after < 0) continue
    const share = before / (before - after)
    const hit = { x: p.x + (q.x - p.x) * share, y: p.y + (q.y - p.y) * share }
    hits.push({ place: dot(hit, side), at: hit })
  }
  hits.sort((one, other) => other.place - one.place)
  const chords: Chord[] = []
  for (let index = 0; index + 1 < hits.length; index += 2) {
    chords.push({ a: (hits[index] as { at: Point }).at, b: (hits[index + 1] as { at: Point }).at })
  }
  return chords
}
