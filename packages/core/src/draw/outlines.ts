/** Closed outlines as they grow: a leaf with its vein, a petal, a box. mm */
import type { Guide } from '../guide/index.ts'
import type { Point } from '../geometry/index.ts'
import { hundredths } from '../guide/index.ts'

/** A leaf between two tips: how wide, and where it is widest as a share of its length. Its vein runs from tip to tip. */
export function leaf(from: Point, to: Point, widthMm: number, widest = 0.45): Guide | null {
  return between(from, to, widthMm, widest, 0.62)
}

/** A petal: narrow where it grows, round where it ends. */
export function petal(from: Point, to: Point, widthMm: number, widest = 0.68): Guide | null {
  return between(from, to, widthMm, widest, 1.0)
}

/** `round`: how full the far end is, as a share of half the width. */
function between(from: Point, to: Point, widthMm: number, widest: number, round: number): Guide | null {
  const size = Math.hypot(to.x - from.x, to.y - from.y)
  if (size < 1 || !(widthMm > 0) || !(widest > 0.05 && widest < 0.95)) return null
  const [ux, uy] = [(to.x - from.x) / size, (to.y - from.y) / size]
  const put = (along: number, aside: number): string => `${hundredths(from.x + ux * along - uy * aside)} ${hundredths(from.y + uy * along + ux * aside)}`
  const [half, at] = [widthMm / 2, widest * size]
  const rest = size - at
  const out = (side: 1 | -1): string =>
    `C ${put(0.3 * at, side * half * 0.62)} ${put(0.55 * at, side * half)} ${put(at, side * half)} C ${put(at + 0.45 * rest, side * half)} ${put(size - (round < 1 ? 0.3 : 0) * rest, side * half * round)} ${put(size, 0)}`
  const back = (side: 1 | -1): string =>
    `C ${put(size - (round < 1 ? 0.3 : 0) * rest, side * half * round)} ${put(at + 0.45 * rest, side * half)} ${put(at, side * half)} C ${put(0.55 * at, side * half)} ${put(0.3 * at, side * half * 0.62)} ${put(0, 0)}`
  return {
    kind: 'shape',
    path: `M ${put(0, 0)} ${out(1)} ${back(-1)} Z`,
    vein: `M ${put(0, 0)} L ${put(size, 0)}`,
    directions: [`M ${put(at, half)} L ${put(at, -half)}`],
  }
}

export function box(from: Point, to: Point): Guide | null {
  const [left, right] = [Math.min(from.x, to.x), Math.max(from.x, to.x)].map(hundredths) as [number, number]
  const [top, bottom] = [Math.min(from.y, to.y), Math.max(from.y, to.y)].map(hundredths) as [number, number]
  if (right - left < 0.5 || bottom - top < 0.5) return null
  return { kind: 'shape', path: `M ${left} ${top} L ${right} ${top} L ${right} ${bottom} L ${left} ${bottom} Z` }
}
