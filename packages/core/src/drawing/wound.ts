/** What stands up: knots, coils and beads. */
import { leftOf, type Point } from '../geometry/index.ts'
import { mix } from '../materials/index.ts'
import type { Segment } from '../work/index.ts'
import { every, pathLength } from './along-path.ts'
import type { DrawingItem } from './drawing.ts'
import { DARK, type Detail, type OneLook } from './look.ts'
import { sheen, stretch, twist } from './stretch.ts'

/** A round bead with its light and its hole. */
export function bead(segment: Segment, path: readonly Point[]): DrawingItem[] {
  const at = path[path.length - 1] as Point
  const radius = segment.sizeMm / 2
  return [
    { kind: 'disc', at: { x: at.x + 0.15 * radius, y: at.y + 0.25 * radius }, radiusMm: radius * 1.05, fill: '#2b2118', opacity: 0.25 },
    { kind: 'disc', at, radiusMm: radius, fill: '#5B7186' },
    { kind: 'disc', at: { x: at.x - 0.3 * radius, y: at.y - 0.35 * radius }, radiusMm: 0.35 * radius, fill: '#E8EEF2', opacity: 0.85 },
    { kind: 'disc', at, radiusMm: 0.22 * radius, fill: '#1F2A37', opacity: 0.7 },
  ]
}

/** Wound turns seen from above: a disc, a spiral of so many turns, a dark eye. */
export function knot(segment: Segment, path: readonly Point[], colour: string, look: OneLook, detail: Detail): DrawingItem[] {
  const at = path[path.length - 1] as Point
  const radius = segment.sizeMm / 2
  if (detail === 'chords') return [{ kind: 'disc', at, radiusMm: radius, fill: colour }]
  const width = Math.min(look.lineWidthMm, radius * 0.8)
  const turns = segment.turns + 0.35
  const spiral: Point[] = []
  for (let index = 0; index <= 22 * turns; index += 1) {
    const angle = (index / 22) * 2 * Math.PI
    const out = (radius - width / 2) * (0.25 + (0.75 * index) / (22 * turns))
    spiral.push({ x: at.x + Math.cos(angle - 2.2) * out, y: at.y + Math.sin(angle - 2.2) * out })
  }
  // A knot with a tail: the thread that leads to it.
  const tail = pathLength(path) > segment.sizeMm ? stretch(path, colour, look.lineWidthMm, detail, segment) : []
  const items: DrawingItem[] = [
    ...tail,
    { kind: 'disc', at: { x: at.x + 0.18 * radius, y: at.y + 0.26 * radius }, radiusMm: radius * 1.06, fill: '#2b2118', opacity: 0.2 },
    { kind: 'disc', at, radiusMm: radius, fill: mix(colour, DARK, 0.4) },
    { kind: 'stroke', paths: [spiral], widthMm: width, colour: mix(colour, DARK, 0.34), cap: 'round' },
    { kind: 'stroke', paths: [spiral], widthMm: 0.74 * width, colour, cap: 'round' },
  ]
  if (detail === 'full') items.push(...twist(spiral, colour, width * 0.8))
  else items.push(sheen(spiral, colour, width * 0.8))
  items.push({ kind: 'disc', at, radiusMm: 0.2 * radius, fill: mix(colour, DARK, 0.62) })
  return items
}

/** Turns side by side along the core. */
export function coil(segment: Segment, path: readonly Point[], colour: string, look: OneLook, detail: Detail): DrawingItem[] {
  if (detail === 'chords') return [{ kind: 'stroke', paths: [path], widthMm: 2 * look.lineWidthMm, colour, cap: 'round' }]
  const items: DrawingItem[] = [
    {
      kind: 'stroke',
      paths: [path.map((at) => ({ x: at.x + 0.15, y: at.y + 0.25 }))],
      widthMm: 2.4 * look.lineWidthMm,
      colour: '#2b2118',
      opacity: 0.18,
      cap: 'butt',
    },
  ]
  const total = pathLength(path)
  for (const { at, along } of every(path, total / Math.max(1, segment.turns))) {
    const across = leftOf(along)
    const half = 1.15 * look.lineWidthMm
    const turn = [
      { x: at.x + across.x * half + along.x * 0.28 * look.lineWidthMm, y: at.y + across.y * half + along.y * 0.28 * look.lineWidthMm },
      { x: at.x - across.x * half - along.x * 0.28 * look.lineWidthMm, y: at.y - across.y * half - along.y * 0.28 * look.lineWidthMm },
    ]
    items.push({ kind: 'stroke', paths: [turn], widthMm: look.lineWidthMm, colour: mix(colour, DARK, 0.42), cap: 'round' })
    items.push({ kind: 'stroke', paths: [turn], widthMm: 0.76 * look.lineWidthMm, colour, cap: 'round' })
    if (detail === 'full') items.push(...twist(turn, colour, look.lineWidthMm * 0.8))
    // A cast loop leaves its little bar along one edge.
    if (segment.wound === 'cast') items.push({ kind: 'disc', at: turn[0] as Point, radiusMm: 0.55 * look.lineWidthMm, fill: mix(colour, DARK, 0.12) })
  }
  return items
}
