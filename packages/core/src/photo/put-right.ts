/**
 * What was read wrongly, put right by hand: her eye is the better judge of her own stitches. Along a line only: of stitches across a band no
 * single one is told.
 */
import { sum } from '../base/index.ts'
import { cross, distance, dot, lerp, type Point, rmsOffLine, step } from '../geometry/index.ts'
import { meanAndSpread, type RowFigures } from './judge.ts'
import type { RowKind } from './row-plan.ts'

/** From end to end of each, in the order of the row, mm of the card. */
export type ReadStitches = readonly (readonly [Point, Point])[]

export type PutRight =
  /** No stitch: a fold, a thread's end. What lies apart only; where stitches share holes it is the next one's too. */
  | { readonly kind: 'none'; readonly stitch: number }
  /** Two were taken for one. */
  | { readonly kind: 'two'; readonly stitch: number }
  /** One was taken for two: this and the next. */
  | { readonly kind: 'one-with-next'; readonly stitch: number }
  /** One of its ends lies so much farther along the row. */
  | { readonly kind: 'move'; readonly stitch: number; readonly end: 'first' | 'last'; readonly byMm: number }

export const canPutRight = (kind: RowKind): boolean => kind !== 'crossed' && kind !== 'side-by-side'

/** Of stitches apart, the cloth between the two that one is parted into, mm. */
const BETWEEN_MM = 0.6
/** Shorter than this nothing is made. mm */
const SHORTEST_MM = 0.3

/** `stitches` themselves where it cannot be: nothing is left, or an end would pass another. */
export function putRight(stitches: ReadStitches, kind: RowKind, { stitch: at, ...change }: PutRight): ReadStitches {
  const own = stitches[at]
  if (!own) return stitches
  const [from, to] = own
  switch (change.kind) {
    case 'none':
      return kind === 'apart' && stitches.length > 2 ? [...stitches.slice(0, at), ...stitches.slice(at + 1)] : stitches
    case 'two': {
      const open = kind === 'apart' ? BETWEEN_MM / 2 : 0
      if (distance(from, to) < 2 * (SHORTEST_MM + open)) return stitches
      const middle = distance(from, to) / 2
      return [...stitches.slice(0, at), [from, towards(from, to, middle - open)], [towards(from, to, middle + open), to], ...stitches.slice(at + 1)]
    }
    case 'one-with-next': {
      const next = stitches[at + 1]
      return next && stitches.length > 2 ? [...stitches.slice(0, at), [from, next[1]], ...stitches.slice(at + 2)] : stitches
    }
    case 'move':
      return moved(stitches, kind, at, change)
  }
}

function moved(stitches: ReadStitches, kind: RowKind, at: number, { end, byMm }: Pick<Extract<PutRight, { kind: 'move' }>, 'end' | 'byMm'>): ReadStitches {
  const own = stitches[at]
  if (!own) return stitches
  const along = directionOf(stitches)
  const shift = (at: Point): Point => step(at, along, byMm)
  const changed = [...stitches]
  changed[at] = end === 'first' ? [shift(own[0]), own[1]] : [own[0], shift(own[1])]
  // Where they share holes the hole is moved, and with it the stitch on the other side of it.
  const beside = end === 'first' ? at - 1 : at + 1
  const other = stitches[beside]
  if (other && kind !== 'apart') changed[beside] = end === 'first' ? [other[0], shift(other[1])] : [shift(other[0]), other[1]]
  const ends = changed.flatMap(([a, b]) => [dot(a, along), dot(b, along)])
  const isInOrder = ends.every((one, index) => index === 0 || one - (ends[index - 1] ?? 0) >= (index % 2 === 1 ? SHORTEST_MM : -1e-6))
  return isInOrder ? changed : stitches
}

/** What they measure, as a row that was read; what does not lie along the row is as it was. */
export function figuresOfStitches(stitches: ReadStitches, kind: RowKind, before: RowFigures): RowFigures {
  const along = directionOf(stitches)
  const place = (at: Point): number => dot(at, along)
  const lengthsMm = stitches.map(([from, to]) => distance(from, to))
  const starts = stitches.map(([from]) => place(from))
  const gapsMm = kind === 'apart' ? stitches.slice(1).map(([from], index) => place(from) - place(stitches[index]?.[1] ?? from)) : []
  const last = stitches.at(-1)
  const fromFirst = kind === 'apart' ? (starts.at(-1) ?? 0) - (starts[0] ?? 0) : place(last?.[1] ?? { x: 0, y: 0 }) - (starts[0] ?? 0)
  const ends = stitches.flatMap(([from, to]) => [from, to]).map((at) => ({ x: place(at), y: cross(along, at) }))
  return {
    ...before,
    // Of loops the one that ties the last was counted and is not among them.
    count: stitches.length + (kind === 'looped' ? 1 : 0),
    ...{ lengthsMm, ...meanAndSpread(lengthsMm), gapsMm, gapMm: gapsMm.length > 0 ? sum(gapsMm) / gapsMm.length : null },
    pitchMm: fromFirst / Math.max(1, kind === 'apart' ? stitches.length - 1 : stitches.length),
    driftMm: rmsOffLine(ends),
  }
}

/** `byMm` from the one towards the other. */
const towards = (from: Point, to: Point, byMm: number): Point => lerp(from, to, byMm / Math.max(1e-9, distance(from, to)))

/** From the first hole to the last, of length 1. */
function directionOf(stitches: ReadStitches): Point {
  const [from, to] = [stitches[0]?.[0], stitches.at(-1)?.[1]]
  const long = from && to ? distance(from, to) : 0
  return from && to && long > 0 ? { x: (to.x - from.x) / long, y: (to.y - from.y) / long } : { x: 1, y: 0 }
}
