/**
 * Thread drawn as thread: shadow, edge, body, the twist of its strands and the light on them, piece by piece
 * in the order in which they lie. Light comes from the upper left. Widths follow the computed bundle.
 */
import { leftOf, type Point, subtract, unit } from '../geometry/index.ts'
import type { ThreadRole } from '../notation/index.ts'
import type { Patch, Segment, Side } from '../work/index.ts'
import { mix } from '../materials/index.ts'
import type { DrawingItem, Stroke } from './drawing.ts'

/** How much is drawn, by how large a thread appears. */
export type Detail = 'chords' | 'body' | 'edged' | 'full'

export interface OneLook {
  readonly colour: string
  /** By row of an interlocking fill; the last serves all later rows. */
  readonly shades?: readonly string[]
  readonly diameterMm: number
  readonly lineWidthMm: number
  readonly flatWidthMm: number
}

/** The main thread's look, and that of every thread by its role. */
export interface ThreadLook extends OneLook {
  readonly roles?: Readonly<Partial<Record<ThreadRole, OneLook>>>
}

export function lookFor(look: ThreadLook, { thread, row }: Pick<Segment, 'thread'> & { readonly row?: number | null }): OneLook {
  const own = look.roles?.[thread] ?? look
  const shade = own.shades?.[Math.min(row ?? 0, own.shades.length - 1)]
  return shade === undefined ? own : { ...own, colour: shade }
}

const DARK = '#1a1420'
const HOLE = '#3a2d1e'
/** How far the light moves a highlight, in thread widths, towards the upper left. */
const LIGHT: Point = { x: -0.5, y: -0.86 }

/** Pixels that one thread width covers decide how much of it can be seen. */
export function detailFor(widthMm: number, pixelsPerMm: number): Detail {
  const pixels = widthMm * pixelsPerMm
  return pixels < 1.3 ? 'chords' : pixels < 3 ? 'body' : pixels < 7 ? 'edged' : 'full'
}

/** One side of a worked exercise. The back comes mirrored about `mirrorX`, as one sees it turning the cloth over. */
export function drawThread(
  segments: readonly Segment[],
  side: Side,
  main: ThreadLook,
  detail: Detail,
  mirrorX = 0,
  patches: readonly Patch[] = [],
): DrawingItem[] {
  const shown = segments.filter((segment) => segment.side === side).sort((a, b) => a.order - b.order)
  const seen = side === 'front' ? (at: Point): Point => at : (at: Point): Point => ({ x: 2 * mirrorX - at.x, y: at.y })
  const items: DrawingItem[] = []
  const waiting = patches.map((patch) => ({ ...patch, outline: patch.outline.map(seen) }))
  for (const patch of waiting) if (patch.kind !== 'felt') items.push(...openGround(patch))
  if (detail === 'edged' || detail === 'full') items.push(...holes(shown, main, seen))
  const felt = waiting.filter((patch) => patch.kind === 'felt' && side === 'front')
  for (const segment of shown) {
    while (felt[0] && felt[0].sequence < segment.sequence) items.push(...feltPatch(felt.shift() as Patch))
    const path = segment.points.map(seen)
    const look = lookFor(main, segment)
    const colour = side === 'front' ? look.colour : mix(look.colour, '#cfc4b0', 0.35)
    if (segment.kind === 'bead') items.push(...bead(segment, path))
    else if (segment.kind === 'knot') items.push(...knot(segment, path, colour, look, detail))
    else if (segment.kind === 'coil') items.push(...coil(segment, path, colour, look, detail))
    else items.push(...stretch(path, colour, segment.lie === 'flat' ? look.flatWidthMm : look.lineWidthMm, detail, segment))
    // In a fill the lenses would line up and draw the very row line that should not show.
    if (segment.parted.length > 0 && detail !== 'chords' && segment.lie !== 'flat')
      items.push(...lenses(segment.parted.map(seen), path, colour, look.lineWidthMm))
  }
  for (const patch of felt) items.push(...feltPatch(patch))
  return items
}

/** Where the cloth is cut one sees through it; where threads are drawn out, half. */
function openGround(patch: Patch): DrawingItem[] {
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

function feltPatch(patch: Patch): DrawingItem[] {
  return [
    { kind: 'fill', points: patch.outline.map((at) => ({ x: at.x + 0.15, y: at.y + 0.25 })), colour: '#2b2118', opacity: 0.18 },
    { kind: 'fill', points: patch.outline, colour: '#D9CDB4' },
    { kind: 'stroke', paths: [[...patch.outline, patch.outline[0] as Point]], widthMm: 0.15, colour: '#8A7A66', opacity: 0.7 },
  ]
}

/** A round bead with its light and its hole. */
function bead(segment: Segment, path: readonly Point[]): DrawingItem[] {
  const at = path[path.length - 1] as Point
  const radius = segment.sizeMm / 2
  return [
    { kind: 'disc', at: { x: at.x + 0.15 * radius, y: at.y + 0.25 * radius }, radiusMm: radius * 1.05, fill: '#2b2118', opacity: 0.25 },
    { kind: 'disc', at, radiusMm: radius, fill: '#5B7186' },
    { kind: 'disc', at: { x: at.x - 0.3 * radius, y: at.y - 0.35 * radius }, radiusMm: 0.35 * radius, fill: '#E8EEF2', opacity: 0.85 },
    { kind: 'disc', at, radiusMm: 0.22 * radius, fill: '#1F2A37', opacity: 0.7 },
  ]
}

/** Straight from end to end where nobody could tell; a loop or a laid thread keeps its way. */
function chordOr(path: readonly Point[], withinMm: number): readonly Point[] {
  const [first, last] = [path[0] as Point, path[path.length - 1] as Point]
  const size = Math.hypot(last.x - first.x, last.y - first.y)
  const off = (at: Point): number =>
    size < 1e-9 ? Math.hypot(at.x - first.x, at.y - first.y) : Math.abs((at.x - first.x) * (last.y - first.y) - (at.y - first.y) * (last.x - first.x)) / size
  return path.some((at) => off(at) > withinMm) ? path : [first, last]
}

function stretch(path: readonly Point[], colour: string, widthMm: number, detail: Detail, segment: Segment): DrawingItem[] {
  if (detail === 'chords')
    return [
      {
        kind: 'stroke',
        paths: [chordOr(path, widthMm / 2)],
        widthMm,
        colour: segment.lie === 'flat' ? mix(colour, DARK, 0.1) : colour,
        cap: 'butt',
      },
    ]
  if (detail === 'body') return [{ kind: 'stroke', paths: [path], widthMm, colour, cap: 'round' }]
  const items: DrawingItem[] = [
    {
      kind: 'stroke',
      paths: [path.map((at) => ({ x: at.x + 0.12 * widthMm, y: at.y + 0.2 * widthMm }))],
      widthMm: 1.2 * widthMm,
      colour: '#2b2118',
      opacity: 0.18,
      cap: 'butt',
    },
    { kind: 'stroke', paths: [path], widthMm, colour: mix(colour, DARK, 0.42), cap: 'butt' },
    { kind: 'stroke', paths: [lengthened(path, 0.03)], widthMm: 0.8 * widthMm, colour, cap: 'butt' },
  ]
  if (detail === 'full') items.push(...twist(path, colour, widthMm))
  else items.push(sheen(path, colour, widthMm))
  items.push(...ends(path, colour, widthMm, segment))
  return items
}

/** A light line towards the lit side, for thread too small to show its twist. */
function sheen(path: readonly Point[], colour: string, widthMm: number): Stroke {
  return {
    kind: 'stroke',
    paths: [path.map((at) => ({ x: at.x + LIGHT.x * 0.16 * widthMm, y: at.y + LIGHT.y * 0.16 * widthMm }))],
    widthMm: 0.22 * widthMm,
    colour: mix(colour, '#ffffff', 0.34),
    opacity: 0.7,
    cap: 'butt',
  }
}

/** S-shaped strokes across the thread, and a dash of light beside each; the slant is the same whichever way it runs. */
function twist(path: readonly Point[], colour: string, widthMm: number): Stroke[] {
  const dark: Point[][] = []
  const light: Point[][] = []
  for (const { at, along } of every(path, 0.62 * widthMm)) {
    const across = leftOf(along)
    const place = (a: number, c: number): Point => ({
      x: at.x + along.x * a * widthMm + across.x * c * widthMm,
      y: at.y + along.y * a * widthMm + across.y * c * widthMm,
    })
    dark.push([place(-0.34, -0.36), place(-0.14, -0.12), place(0.14, 0.12), place(0.34, 0.36)])
    // Moved towards the light in proportion to how far the side faces it.
    const towards = (across.x * LIGHT.x + across.y * LIGHT.y) * 0.2
    const middle = { x: at.x + along.x * 0.31 * widthMm + across.x * towards * widthMm, y: at.y + along.y * 0.31 * widthMm + across.y * towards * widthMm }
    light.push([
      { x: middle.x - along.x * 0.2 * widthMm - across.x * 0.07 * widthMm, y: middle.y - along.y * 0.2 * widthMm - across.y * 0.07 * widthMm },
      { x: middle.x + along.x * 0.2 * widthMm + across.x * 0.07 * widthMm, y: middle.y + along.y * 0.2 * widthMm + across.y * 0.07 * widthMm },
    ])
  }
  return [
    { kind: 'stroke', paths: dark, widthMm: 0.11 * widthMm, colour: mix(colour, DARK, 0.3), opacity: 0.75, cap: 'round' },
    { kind: 'stroke', paths: light, widthMm: 0.16 * widthMm, colour: mix(colour, '#ffffff', 0.38), opacity: 0.75, cap: 'round' },
  ]
}

/** The thread darkens where it goes into the cloth; left out where threads pierce each other, or a row line would show; faint where thread lies flat. */
function ends(path: readonly Point[], colour: string, widthMm: number, segment: Segment): Stroke[] {
  if (segment.parted.length > 0 || segment.pierces) return []
  const faint = segment.lie === 'flat' ? 0.6 : 1
  const strokes: Stroke[] = []
  const dark = mix(colour, DARK, 0.8)
  for (const [lengthMm, opacity] of [
    [0.55, 0.18],
    [0.28, 0.4],
  ] as const) {
    strokes.push({
      kind: 'stroke',
      paths: [taken(path, lengthMm * widthMm), taken([...path].reverse(), lengthMm * widthMm)],
      widthMm: 0.8 * widthMm,
      colour: dark,
      opacity: opacity * faint,
      cap: 'butt',
    })
  }
  return strokes
}

function holes(shown: readonly Segment[], look: ThreadLook, seen: (at: Point) => Point): DrawingItem[] {
  const items: DrawingItem[] = []
  for (const segment of shown) {
    if (segment.lie === 'flat') continue
    for (const at of [segment.points[0] as Point, segment.points[segment.points.length - 1] as Point]) {
      items.push({ kind: 'disc', at: seen(at), radiusMm: 0.42 * look.diameterMm, fill: HOLE, opacity: 0.45 })
    }
  }
  return items
}

/** A lens opens where the needle parted the thread. */
function lenses(places: readonly Point[], path: readonly Point[], colour: string, widthMm: number): DrawingItem[] {
  const along = unit(subtract(path[path.length - 1] as Point, path[0] as Point)) ?? { x: 1, y: 0 }
  const across = leftOf(along)
  return places.map((at) => {
    const put = (a: number, c: number): Point => ({
      x: at.x + along.x * a * widthMm + across.x * c * widthMm,
      y: at.y + along.y * a * widthMm + across.y * c * widthMm,
    })
    return {
      kind: 'fill',
      points: [put(-0.75, 0), put(-0.3, 0.17), put(0.3, 0.17), put(0.75, 0), put(0.3, -0.17), put(-0.3, -0.17)],
      colour: mix(colour, DARK, 0.6),
    }
  })
}

/** Wound turns seen from above: a disc, a spiral of so many turns, a dark eye. */
function knot(segment: Segment, path: readonly Point[], colour: string, look: OneLook, detail: Detail): DrawingItem[] {
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
function coil(segment: Segment, path: readonly Point[], colour: string, look: OneLook, detail: Detail): DrawingItem[] {
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

function* every(path: readonly Point[], stepMm: number): Generator<{ at: Point; along: Point }> {
  if (!(stepMm > 1e-4)) return
  let due = stepMm / 2
  let travelled = 0
  for (let index = 0; index + 1 < path.length; index += 1) {
    const a = path[index] as Point
    const b = path[index + 1] as Point
    const size = Math.hypot(b.x - a.x, b.y - a.y)
    if (size === 0) continue
    const along = { x: (b.x - a.x) / size, y: (b.y - a.y) / size }
    while (due <= travelled + size) {
      const on = due - travelled
      yield { at: { x: a.x + along.x * on, y: a.y + along.y * on }, along }
      due += stepMm
    }
    travelled += size
  }
}

function pathLength(path: readonly Point[]): number {
  let total = 0
  for (let index = 1; index < path.length; index += 1)
    total += Math.hypot((path[index] as Point).x - (path[index - 1] as Point).x, (path[index] as Point).y - (path[index - 1] as Point).y)
  return total
}

/** Each end a little longer, so that stretches join without a gap. */
function lengthened(path: readonly Point[], byMm: number): readonly Point[] {
  const first = unit(subtract(path[0] as Point, path[1] ?? (path[0] as Point)))
  const last = unit(subtract(path[path.length - 1] as Point, path[path.length - 2] ?? (path[path.length - 1] as Point)))
  if (!first || !last) return path
  const from = path[0] as Point
  const to = path[path.length - 1] as Point
  return [{ x: from.x + first.x * byMm, y: from.y + first.y * byMm }, ...path, { x: to.x + last.x * byMm, y: to.y + last.y * byMm }]
}

/** The beginning of a path, so many mm of it. */
function taken(path: readonly Point[], lengthMm: number): readonly Point[] {
  const kept: Point[] = [path[0] as Point]
  let left = lengthMm
  for (let index = 1; index < path.length && left > 0; index += 1) {
    const a = path[index - 1] as Point
    const b = path[index] as Point
    const size = Math.hypot(b.x - a.x, b.y - a.y)
    const share = size === 0 ? 1 : Math.min(1, left / size)
    kept.push({ x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share })
    left -= size
  }
  return kept
}
