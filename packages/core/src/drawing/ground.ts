/** What is done to the ground: cut, drawn out, covered with felt. */
import type { Point } from '../geometry/index.ts'
import type { Patch } from '../work/index.ts'
import type { DrawingItem } from './drawing.ts'

/** Where the cloth is cut one sees through it; where threads are drawn out, half. */
export function openGround(patch: Patch, bundles: readonly Patch[] = []): DrawingItem[] {
  if (patch.kind === 'bundle') return []
  const { outline } = patch
  if (patch.kind === 'gap') return [{ kind: 'fill', points: outline, colour: '#3a2d1e', opacity: 0.72 }]
  // The threads that stay run across the strip; its outline goes along one edge and back along the other.
  const half = outline.length >> 1
  const paths: Point[][] = []
  for (let index = 0; index + 1 < half; index += 1) {
    const [a, b] = [outline[index] as Point, outline[index + 1] as Point]
    const [c, d] = [outline[outline.length - 1 - index] as Point, outline[outline.length - 2 - index] as Point]
    const steps = Math.max(1, Math.min(400, Math.round(Math.hypot(b.x - a.x, b.y - a.y) / LEFT_MM)))
    for (let count = 0; count < steps; count += 1) paths.push(bundled(mixed(a, b, (count + 0.5) / steps), mixed(c, d, (count + 0.5) / steps), bundles))
  }
  return [
    { kind: 'fill', points: outline, colour: '#3a2d1e', opacity: 0.3 },
    { kind: 'stroke', paths, widthMm: 0.55 * LEFT_MM, colour: '#F4EFE4', opacity: 0.85, cap: 'butt' },
  ]
}

/** From one thread that stays in a drawn strip to the next: plain linen. */
const LEFT_MM = 0.5

/** Of its width so much is left of a bundle where it is drawn together. */
const BUNDLED = 0.3
/** The bundle of a hem is tied at the edge of the strip, and there the threads begin. */
const EDGE_MM = 0.05

/** A thread that stands in the strip, through the bundle that it belongs to. */
function bundled(top: Point, foot: Point, bundles: readonly Patch[]): Point[] {
  const [dx, dy] = [foot.x - top.x, foot.y - top.y]
  const long = Math.hypot(dx, dy) || 1
  for (const { outline } of bundles) {
    const [from, to] = [outline[0] as Point, outline[1] as Point]
    const [bx, by] = [to.x - from.x, to.y - from.y]
    const turn = dx * by - dy * bx
    if (Math.abs(turn) < 1e-9) continue
    const along = ((from.x - top.x) * by - (from.y - top.y) * bx) / turn
    const share = ((from.x - top.x) * dy - (from.y - top.y) * dx) / turn
    if (share < 0 || share > 1 || along < -EDGE_MM / long || along > 1 + EDGE_MM / long) continue
    const at = mixed(from, to, 0.5 + (share - 0.5) * BUNDLED)
    const bent = (end: Point): Point => ({ x: at.x + (end.x - at.x) * 0.55, y: at.y + (end.y - at.y) * 0.55 })
    const toward = (end: Point): Point => mixed(end, bent(end), 0.5)
    if (along < 0.1) return [at, toward(foot), foot]
    return along > 0.9 ? [top, toward(top), at] : [top, toward(top), at, toward(foot), foot]
  }
  return [top, foot]
}

function mixed(a: Point, b: Point, share: number): Point {
  return { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share }
}

/** Felt laid under, with its shadow. */
export function feltPatch(patch: Patch): DrawingItem[] {
  return [
    { kind: 'fill', points: patch.outline.map((at) => ({ x: at.x + 0.15, y: at.y + 0.25 })), colour: '#2b2118', opacity: 0.18 },
    { kind: 'fill', points: patch.outline, colour: '#D9CDB4' },
    { kind: 'stroke', paths: [[...patch.outline, patch.outline[0] as Point]], widthMm: 0.15, colour: '#8A7A66', opacity: 0.7 },
  ]
}
