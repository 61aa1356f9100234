/** Thread wound into what stands up: knots with their turns, bullions, beads. */
import type { Point } from '../geometry/index.ts'
import { isCast, type Segment } from '../work/index.ts'
import { every, pathLength } from './along-path.ts'
import type { DrawingItem } from './drawing.ts'
import { drawLineThread, type LineStyle } from './line-thread.ts'
import { darker, LIGHT, lighter, shadowOn, sway, tone, USUAL_SHEEN } from './tone.ts'

/** A round bead with its light and its hole. */
export function bead(segment: Segment, path: readonly Point[], cloth: string): DrawingItem[] {
  const at = path[path.length - 1] as Point
  const radius = segment.sizeMm / 2
  const shadow = shadowOn(cloth)
  return [
    { kind: 'disc', at: { x: at.x + 0.15 * radius, y: at.y + 0.25 * radius }, radiusMm: radius * 1.05, fill: shadow.colour, opacity: shadow.opacity },
    { kind: 'disc', at, radiusMm: radius, fill: '#5B7186' },
    { kind: 'disc', at: { x: at.x - 0.3 * radius, y: at.y - 0.35 * radius }, radiusMm: 0.35 * radius, fill: '#E8EEF2', opacity: 0.85 },
    { kind: 'disc', at, radiusMm: 0.22 * radius, fill: '#1F2A37', opacity: 0.7 },
  ]
}

/** Turns seen from above, each a little different: thread laid round a dark eye, or in two bows where it was crossed. */
export function knot(segment: Segment, path: readonly Point[], style: LineStyle): DrawingItem[] {
  const { look, seed, detail, cloth, pixelsPerMm } = style
  const { colour } = look
  const radius = (segment.sizeMm / 2) * (1 + 0.06 * sway(seed, 1))
  const end = path[path.length - 1] as Point
  const at = { x: end.x + 0.05 * radius * sway(seed, 2), y: end.y + 0.05 * radius * sway(seed, 3) }
  // A knot with a tail: the thread that leads to it.
  const tail = pathLength(path) > segment.sizeMm ? drawLineThread(path, { ...style, loose: true }) : []
  const shape = outline(at, radius, seed, segment.turns)
  const shadow = shadowOn(cloth)
  const moved = shape(1.05).map((p) => ({ x: p.x + 0.2 * radius, y: p.y + 0.32 * radius }))
  const small = detail === 'chords' || (pixelsPerMm !== undefined && radius * pixelsPerMm < 2.6)
  const items: DrawingItem[] = [
    ...tail,
    { kind: 'fill', points: moved, colour: shadow.colour, opacity: shadow.opacity },
    { kind: 'fill', points: shape(1), colour: darker(colour, small ? 0.12 : 0.42) },
  ]
  if (small)
    return [
      ...items,
      {
        kind: 'disc',
        at: { x: at.x + 0.25 * radius * LIGHT.x, y: at.y + 0.25 * radius * LIGHT.y },
        radiusMm: 0.42 * radius,
        fill: lighter(colour, 0.22),
        opacity: 0.8,
      },
    ]
  const width = Math.min(1.06 * look.lineWidthMm, 0.66 * radius)
  for (const piece of segment.wound === 'eight' ? bows(at, radius, width, seed) : spiral(at, radius, width, segment.turns, seed))
    items.push(...windings(piece, at, width, style))
  items.push({
    kind: 'disc',
    at: { x: at.x + 0.08 * radius * sway(seed, 4), y: at.y + 0.08 * radius * sway(seed, 5) },
    radiusMm: 0.13 * radius,
    fill: darker(colour, 0.75),
  })
  return items
}

function outline(at: Point, radius: number, seed: number, turns: number): (by: number) => Point[] {
  const squeeze = 0.86 + 0.12 * (0.5 + 0.5 * sway(seed, 6))
  const turned = Math.PI * sway(seed, 7)
  const phase = Math.PI * sway(seed, 8)
  return (by) =>
    Array.from({ length: 28 }, (_, index) => {
      const angle = (2 * Math.PI * index) / 28
      const wave = 1 + 0.05 * Math.cos(2 * angle + phase) + 0.03 * Math.cos((turns > 1 ? 3 : 2) * angle - phase)
      const [x, y] = [Math.cos(angle) * radius * by * wave, Math.sin(angle) * radius * by * wave * squeeze]
      return { x: at.x + x * Math.cos(turned) - y * Math.sin(turned), y: at.y + x * Math.sin(turned) + y * Math.cos(turned) }
    })
}

/** So many turns and a little more, from the edge inwards, cut into two pieces a turn: each is lit for itself. */
function spiral(at: Point, radius: number, width: number, turns: number, seed: number): Point[][] {
  const wound = turns + 0.35 + 0.1 * sway(seed, 9)
  const start = Math.PI * sway(seed, 10)
  const steps = Math.max(12, Math.round(20 * wound))
  const place = (index: number): Point => {
    const share = index / steps
    const angle = start + share * wound * 2 * Math.PI
    const out = radius - 0.46 * width - (radius - 0.46 * width - 0.22 * radius) * share ** 1.25
    return { x: at.x + Math.cos(angle) * out, y: at.y + Math.sin(angle) * out }
  }
  const pieces: Point[][] = []
  const each = Math.max(4, Math.round(steps / (2 * wound)))
  for (let from = 0; from < steps; from += each) pieces.push(Array.from({ length: Math.min(each, steps - from) + 1 }, (_, index) => place(from + index)))
  return pieces
}

/** Crossed on the needle, as a colonial knot is: two bows, one over the other, and the thread that closes them. */
function bows(at: Point, radius: number, width: number, seed: number): Point[][] {
  const turned = Math.PI * sway(seed, 10)
  const out = radius - 0.5 * width
  const bow = (to: 1 | -1): Point[] =>
    Array.from({ length: 15 }, (_, index) => {
      const angle = -2.35 + (4.7 * index) / 14
      const [x, y] = [to * (0.36 * radius + 0.6 * out * Math.cos(angle)), 0.74 * out * Math.sin(angle)]
      return { x: at.x + x * Math.cos(turned) - y * Math.sin(turned), y: at.y + x * Math.sin(turned) + y * Math.cos(turned) }
    })
  const across = Array.from({ length: 7 }, (_, index) => {
    const [x, y] = [0.12 * radius * Math.sin(index), out * (1 - index / 3)]
    return { x: at.x + x * Math.cos(turned + 0.5) - y * Math.sin(turned + 0.5), y: at.y + x * Math.sin(turned + 0.5) + y * Math.cos(turned + 0.5) }
  })
  return [bow(1), bow(-1), across]
}

function windings(piece: readonly Point[], at: Point, width: number, { look, cloth }: LineStyle): DrawingItem[] {
  const { colour, sheen = USUAL_SHEEN } = look
  const middle = piece[piece.length >> 1] as Point
  const out = Math.hypot(middle.x - at.x, middle.y - at.y)
  const f = out < 1e-9 ? 0 : ((middle.x - at.x) * LIGHT.x + (middle.y - at.y) * LIGHT.y) / out
  const moved = (x: number, y: number): Point[] => piece.map((p) => ({ x: p.x + x * width, y: p.y + y * width }))
  return [
    { kind: 'stroke', paths: [moved(0.08, 0.15)], widthMm: width, colour: shadowOn(cloth).colour, opacity: 0.2, cap: 'round' },
    { kind: 'stroke', paths: [piece], widthMm: width, colour: darker(colour, 0.36), cap: 'round' },
    { kind: 'stroke', paths: [piece], widthMm: 0.82 * width, colour: tone(colour, 0.06 + 0.17 * f), cap: 'round' },
    {
      kind: 'stroke',
      paths: [moved(0.14 * LIGHT.x, 0.14 * LIGHT.y)],
      widthMm: 0.3 * width,
      colour: lighter(colour, Math.max(0.08, sheen.gloss + 0.22 * f)),
      opacity: 0.6,
      cap: 'round',
    },
  ]
}

/** Turns side by side along the core: rounding at both ends, each leaning and lying a little differently. */
export function coil(segment: Segment, path: readonly Point[], style: LineStyle): DrawingItem[] {
  const { look, detail, seed, cloth } = style
  const { colour, lineWidthMm: width, sheen = USUAL_SHEEN } = look
  const total = pathLength(path)
  if (detail === 'chords') return [{ kind: 'stroke', paths: [path], widthMm: 2.2 * width, colour: tone(colour, 0.02), cap: 'round' }]
  const shadow = shadowOn(cloth)
  const half = (s: number): number => 1.3 * width * (0.5 + 0.5 * Math.sqrt(Math.min(1, Math.max(0, Math.min(s, total - s) / (1.4 * width)))))
  const items: DrawingItem[] = [
    { kind: 'stroke', paths: [path.map((p) => ({ x: p.x + 0.22 * width, y: p.y + 0.38 * width }))], widthMm: 2.5 * width, ...shadow, cap: 'round' },
    { kind: 'stroke', paths: [path], widthMm: 2.1 * width, colour: darker(colour, 0.55), cap: 'round' },
  ]
  const bow = 0.22 * width * sway(seed, 11)
  const spread = (s: number): number => bow * Math.sin((Math.PI * s) / total)
  let index = 0
  for (const { at, along } of every(path, total / Math.max(1, segment.turns))) {
    index += 1
    const s = ((index - 0.5) * total) / Math.max(1, segment.turns)
    const side = { x: along.y, y: -along.x }
    const reach = half(s) * (1 + 0.05 * sway(seed, 20 + index))
    const lean = (0.26 + 0.05 * sway(seed, 60 + index)) * width
    const shift = spread(s) + 0.035 * width * sway(seed, 100 + index)
    const put = (u: number): Point => ({
      x: at.x + side.x * (u * reach + shift) + along.x * lean * Math.sin((Math.PI / 2) * u),
      y: at.y + side.y * (u * reach + shift) + along.y * lean * Math.sin((Math.PI / 2) * u),
    })
    const turn = [-1, -0.5, 0, 0.5, 1].map(put)
    items.push({ kind: 'stroke', paths: [turn], widthMm: width, colour: darker(colour, 0.4), cap: 'round' })
    const facing = side.x * LIGHT.x + side.y * LIGHT.y
    for (let part = 0; part < 4; part += 1) {
      const u = -0.75 + 0.5 * part
      items.push({
        kind: 'stroke',
        paths: [[turn[part] as Point, turn[part + 1] as Point]],
        widthMm: 0.84 * width,
        colour: tone(colour, 0.04 + 0.16 * u * facing - 0.12 * u * u),
        cap: 'round',
      })
    }
    items.push({
      kind: 'stroke',
      paths: [[put(0.15 * facing - 0.35), put(0.15 * facing + 0.35)]],
      widthMm: 0.26 * width,
      colour: lighter(colour, sheen.gloss),
      opacity: 0.6,
      cap: 'round',
    })
    // A cast loop leaves its little bar along one edge.
    if (isCast(segment.wound))
      items.push({ kind: 'disc', at: put(segment.wound === 'cast-both' && index % 2 === 1 ? -1 : 1), radiusMm: 0.55 * width, fill: darker(colour, 0.12) })
  }
  return items
}
