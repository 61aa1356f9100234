/** The forms of hoops and frames: round, oval, and frames of four bars; what lies inside, and how far something lies out. mm */
import type { Point } from '../geometry/index.ts'
import { HOOP_MARGIN_MM } from './hoops.ts'

export type HoopForm =
  | { readonly shape: 'round'; readonly insideMm: number; readonly at: readonly [number, number] }
  | { readonly shape: 'oval' | 'frame'; readonly insideMm: readonly [number, number]; readonly at: readonly [number, number] }

/** Both rings of a hoop together are so wide; the bar of a frame. */
const RING_MM = 4
export const BAR_MM = 18

/** Half of what is free inside, across and down, less so much all round; 0 where nothing is left. */
export function insideHalves(hoop: HoopForm, lessMm = 0): readonly [number, number] {
  const [across, down] = hoop.shape === 'round' ? [hoop.insideMm, hoop.insideMm] : hoop.insideMm
  return [Math.max(0, across / 2 - lessMm), Math.max(0, down / 2 - lessMm)]
}

/** Half of the clear area, which keeps room for fingers and the needle's angle. */
export function clearHalves(hoop: HoopForm): readonly [number, number] {
  return insideHalves(hoop, HOOP_MARGIN_MM)
}

/** Across and down, with its wood. */
export function outerOf(hoop: HoopForm & { readonly nominalMm?: number | undefined }): readonly [number, number] {
  if (hoop.shape === 'round') return [hoop.nominalMm ?? hoop.insideMm + 2 * RING_MM, hoop.nominalMm ?? hoop.insideMm + 2 * RING_MM]
  const wood = 2 * (hoop.shape === 'frame' ? BAR_MM : RING_MM)
  return [hoop.insideMm[0] + wood, hoop.insideMm[1] + wood]
}

/** The outline of what is inside, so much within it (beyond it where negative), clockwise from its top; closed by its first place. */
export function hoopOutline(hoop: HoopForm, lessMm: number, steps = 128): readonly Point[] {
  const [a, b] = insideHalves(hoop, lessMm)
  const [x, y] = hoop.at
  if (hoop.shape === 'frame')
    return [
      { x: x - a, y: y - b },
      { x: x + a, y: y - b },
      { x: x + a, y: y + b },
      { x: x - a, y: y + b },
      { x: x - a, y: y - b },
    ]
  return Array.from({ length: steps + 1 }, (_, index) => {
    const turn = (2 * Math.PI * index) / steps
    return { x: x + a * Math.sin(turn), y: y - b * Math.cos(turn) }
  })
}

/** How far a place lies outside the clear area; 0 inside. */
export function outsideClear(at: Point, hoop: HoopForm, lessMm = HOOP_MARGIN_MM): number {
  const inside = nearestInside(at, hoop, lessMm)
  return Math.hypot(at.x - inside.x, at.y - inside.y)
}

/** The place itself where it is inside, else the nearest that is. */
export function nearestInside(at: Point, hoop: HoopForm, lessMm = HOOP_MARGIN_MM): Point {
  const [a, b] = insideHalves(hoop, lessMm)
  const [x, y] = [at.x - hoop.at[0], at.y - hoop.at[1]]
  if (hoop.shape === 'frame') return { x: hoop.at[0] + Math.min(a, Math.max(-a, x)), y: hoop.at[1] + Math.min(b, Math.max(-b, y)) }
  const away = Math.hypot(x, y)
  if (hoop.shape === 'round') {
    const share = away <= a ? 1 : a / away
    return { x: hoop.at[0] + x * share, y: hoop.at[1] + y * share }
  }
  if (a === 0 || b === 0) return { x: hoop.at[0], y: hoop.at[1] }
  if ((x / a) ** 2 + (y / b) ** 2 <= 1) return at
  const [ex, ey] = nearestOnOval(Math.abs(x), Math.abs(y), a, b)
  return { x: hoop.at[0] + Math.sign(x) * ex, y: hoop.at[1] + Math.sign(y) * ey }
}

/** In the first quarter, from outside: by the evolute's centre of curvature, a few steps (A. Nürnberg, 2006). */
function nearestOnOval(x: number, y: number, a: number, b: number): readonly [number, number] {
  let [tx, ty] = [Math.SQRT1_2, Math.SQRT1_2]
  for (let turn = 0; turn < 6; turn += 1) {
    const [ex, ey] = [((a * a - b * b) * tx ** 3) / a, ((b * b - a * a) * ty ** 3) / b]
    const [rx, ry] = [a * tx - ex, b * ty - ey]
    const [qx, qy] = [x - ex, y - ey]
    const [r, q] = [Math.hypot(rx, ry), Math.hypot(qx, qy) || 1]
    tx = Math.min(1, Math.max(0, ((qx * r) / q + ex) / a))
    ty = Math.min(1, Math.max(0, ((qy * r) / q + ey) / b))
    const size = Math.hypot(tx, ty) || 1
    tx /= size
    ty /= size
  }
  return [a * tx, b * ty]
}

/** The largest upright rectangle so many times as wide as high that lies inside. */
export function rectangleInside(hoop: HoopForm, widthOverHeight: number, lessMm = HOOP_MARGIN_MM): { readonly widthMm: number; readonly heightMm: number } {
  const [a, b] = insideHalves(hoop, lessMm)
  const heightMm = a === 0 || b === 0 ? 0 : hoop.shape === 'frame' ? 2 * Math.min(b, a / widthOverHeight) : 2 / Math.hypot(widthOverHeight / a, 1 / b)
  return { widthMm: heightMm * widthOverHeight, heightMm }
}
