/** What is done to the ground: cut, drawn out, covered with felt. */
import type { Point } from '../geometry/index.ts'
import type { Patch } from '../work/index.ts'
import type { DrawingItem } from './drawing.ts'

/** Where the cloth is cut one sees through it; where threads are drawn out, half. */
export function openGround(patch: Patch): DrawingItem[] {
  const { outline } = patch
  if (patch.kind === 'gap') return [{ kind: 'fill', points: outline, colour: '#3a2d1e', opacity: 0.72 }]
  // The threads that stay run across the strip; its outline goes along one edge and back along the other.
  const half = outline.length >> 1
  const paths: Point[][] = []
  for (let index = 0; index + 1 < half; index += 1) {
    const [a, b] = [outline[index] as Point, outline[index + 1] as Point]
    const [c, d] = [outline[outline.length - 1 - index] as Point, outline[outline.length - 2 - index] as Point]
    const steps = Math.max(1, Math.min(400, Math.round(Math.hypot(b.x - a.x, b.y - a.y) / LEFT_MM)))
    for (let count = 0; count < steps; count += 1) paths.push([mixed(a, b, (count + 0.5) / steps), mixed(c, d, (count + 0.5) / steps)])
  }
  return [
    { kind: 'fill', points: outline, colour: '#3a2d1e', opacity: 0.3 },
    { kind: 'stroke', paths, widthMm: 0.55 * LEFT_MM, colour: '#F4EFE4', opacity: 0.85, cap: 'butt' },
  ]
}

/** From one thread that stays in a drawn strip to the next: plain linen. */
const LEFT_MM = 0.5

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
