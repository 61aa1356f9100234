/** Thread that lies flat beside its neighbours: strips that share their edges, strands along them, a band of light across them. */
import type { Point } from '../geometry/index.ts'
import type { DrawingItem, Stroke } from './drawing.ts'
import { chordDirection, type LineStyle } from './line-thread.ts'
import type { Chord, Strip } from './strips.ts'
import { acrossLight, darker, drift, hash, lighter, LIGHT, shadowOn, sway, tone, USUAL_SHEEN } from './tone.ts'

export interface FlatStyle extends LineStyle {
  /** In which order it came: neighbours drift in tone together. */
  readonly sequence: number
}

const at = (a: Point, b: Point, share: number): Point => ({ x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share })

/** The shadows of a run of strips lie under all of them: between neighbours there is none. */
export function flatShadow(strips: readonly Strip[], flatMm: number, cloth: string): DrawingItem[] {
  const by = 0.9 * Math.min(flatMm, 0.5)
  return strips.length === 0
    ? []
    : [
        {
          kind: 'fill',
          points: shifted(strips[0]?.outline ?? [], by),
          also: strips.slice(1).map((one) => shifted(one.outline, by)),
          ...shadowOn(cloth),
        },
      ]
}

const shifted = (points: readonly Point[], by: number): readonly Point[] => points.map((one) => ({ x: one.x + 0.1 * by, y: one.y + 0.17 * by }))

export function drawFlat(strip: Strip, style: FlatStyle): DrawingItem[] {
  const { look, detail, pixelsPerMm = 4 } = style
  const { colour, flatWidthMm: width, sheen = USUAL_SHEEN } = look
  const g = acrossLight(chordDirection([strip.from, strip.to]))
  if (detail === 'chords' || detail === 'body') {
    const base = Math.round(40 * (sheen.flat * g + 0.028 * drift(style.seed, 0.37 * style.sequence))) / 40
    const items: DrawingItem[] = [
      { kind: 'fill', points: strip.outline, colour: tone(colour, sheen.flat * g - 0.06) },
      { kind: 'stroke', paths: [[strip.from, strip.to]], widthMm: 1.04 * width + 0.7 / pixelsPerMm, colour: tone(colour, base), cap: 'butt' },
    ]
    const long = Math.hypot(strip.to.x - strip.from.x, strip.to.y - strip.from.y)
    if (style.sequence % 4 < 2 && long * pixelsPerMm > 6) items.push(streak(strip, style, g))
    return items
  }
  const full = detail === 'full'
  const base = sheen.flat * g + 0.04 * sway(style.seed, 3 * style.sequence) + 0.03 * drift(style.seed, 0.21 * style.sequence)
  const strands = full ? bounded(Math.round((width * pixelsPerMm) / 3.2), 3, 6) : bounded(Math.round((width * pixelsPerMm) / 2.4), 1, 2)
  const items: DrawingItem[] = [
    { kind: 'fill', points: strip.outline, colour: darker(colour, 0.5) },
    { kind: 'fill', points: strip.outline, colour: tone(colour, base - (full ? 0.2 : 0.12)) },
  ]
  const along = chordDirection([strip.from, strip.to])
  const litLeft = along.y * LIGHT.x - along.x * LIGHT.y > 0
  for (let index = 0; index < strands; index += 1) {
    const lane = laneOf(strip, (index + 0.5) / strands)
    const first = index === (litLeft ? 0 : strands - 1)
    const last = index === (litLeft ? strands - 1 : 0)
    const own = base + 0.035 * sway(style.seed, 31 * style.sequence + index) + (first && strands > 1 ? 0.015 : last && strands > 1 ? -0.05 : 0)
    items.push({ kind: 'stroke', paths: [[lane.from, lane.to]], widthMm: (0.87 * width) / strands, colour: tone(colour, own), cap: 'butt' })
    items.push(...light(lane, style, index, strands, g))
  }
  for (const [a, b] of [
    [strip.from, strip.to],
    [strip.to, strip.from],
  ] as const) {
    const long = Math.hypot(b.x - a.x, b.y - a.y)
    const reach = Math.min(0.35 * width, 0.3 * long)
    items.push({
      kind: 'stroke',
      paths: [[a, at(a, b, reach / Math.max(1e-9, long))]],
      widthMm: 0.9 * width,
      colour: darker(colour, 0.8),
      opacity: 0.14,
      cap: 'butt',
    })
  }
  return items
}

/** Along the strip, a share of the way from its left edge to its right one. */
function laneOf({ left, right }: Strip, share: number): Chord {
  return { from: at(left.from, right.from, share), to: at(left.to, right.to, share) }
}

function streak(strip: Strip, { look, seed, sequence, pixelsPerMm = 4 }: FlatStyle, g: number): Stroke {
  const sheen = look.sheen ?? USUAL_SHEEN
  const d = chordDirection([strip.from, strip.to])
  const middle = 0.5 + 0.31 * (d.x * LIGHT.x + d.y * LIGHT.y)
  const ragged = (end: number): number => 0.025 * sway(seed, 17 * sequence + end)
  return {
    kind: 'stroke',
    paths: [[at(strip.from, strip.to, clamped(middle - 0.21 + ragged(1))), at(strip.from, strip.to, clamped(middle + 0.21 + ragged(2)))]],
    widthMm: Math.max(0.6 * look.flatWidthMm, 0.8 / pixelsPerMm),
    colour: lighter(look.colour, Math.max(0.1, sheen.gloss + 0.1 * g)),
    opacity: 0.3,
    cap: 'butt',
  }
}

/** Two ragged bands of light on each strand: what says silk. */
function light(lane: Chord, { look, seed, sequence }: FlatStyle, strand: number, strands: number, g: number): Stroke[] {
  const { colour, flatWidthMm: width, sheen = USUAL_SHEEN } = look
  const d = chordDirection([lane.from, lane.to])
  const own = 53 * sequence + 7 * strand
  const middle = 0.5 + 0.34 * (d.x * LIGHT.x + d.y * LIGHT.y) + 0.06 * sway(seed, own)
  const band = (half: number, wide: number, by: number, opacity: number): Stroke => ({
    kind: 'stroke',
    paths: [[at(lane.from, lane.to, clamped(middle - half)), at(lane.from, lane.to, clamped(middle + half))]],
    widthMm: (wide * width) / strands,
    colour: lighter(colour, by),
    opacity,
    cap: 'butt',
  })
  return [
    band(0.3 + 0.08 * sway(seed, own + 1), 0.55, sheen.gloss + 0.14 * g, 0.42),
    band(0.15 + 0.06 * sway(seed, own + 2), 0.38, Math.min(0.9, sheen.gloss + 0.25 + 0.14 * g), 0.4),
  ]
}

const clamped = (share: number): number => Math.min(0.97, Math.max(0.03, share))
const bounded = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value))

/**
 * A stitch of an interlocking fill: where it comes up through the row before, it begins at a point, each at a place of its
 * own, so that no line of ends is seen.
 */
export function drawInterlocking(path: readonly Point[], style: FlatStyle): DrawingItem[] {
  const { look, detail, seed, sequence, pierces = false, pixelsPerMm = 4 } = style
  const { colour, flatWidthMm: width, sheen = USUAL_SHEEN } = look
  const [from, to] = [path[0] as Point, path[path.length - 1] as Point]
  const long = Math.hypot(to.x - from.x, to.y - from.y)
  if (long < 1e-6) return []
  const along = chordDirection([from, to])
  const side = { x: along.y, y: -along.x }
  const g = acrossLight(along)
  const base = sheen.flat * g + 0.04 * sway(seed, 3 * sequence) + 0.03 * drift(seed, 0.21 * sequence)
  const k0 = pierces ? Math.min(0.25 * long, 5 * width) * (0.4 + 0.6 * hash(seed, sequence)) : 0
  const wide = width + (detail === 'full' ? 0 : 0.9 / pixelsPerMm)
  const place = (s: number, half: number): Point => ({ x: from.x + along.x * s + side.x * half * wide, y: from.y + along.y * s + side.y * half * wide })
  const shape = (side: 1 | -1): Point[] =>
    (k0 > 0
      ? [
          [0, 0.04],
          [0.2 * k0, 0.04],
          [0.6 * k0, 0.275],
          [k0, 0.5],
          [long, 0.5],
        ]
      : [
          [0, 0.5],
          [long, 0.5],
        ]
    ).map(([s, half]) => place(s as number, side * (half as number)))
  const outline = [...shape(1), ...shape(-1).reverse()]
  const items: DrawingItem[] = [{ kind: 'fill', points: outline, colour: tone(colour, base - (detail === 'full' ? 0.05 : 0)) }]
  if (detail === 'chords' || detail === 'body') return items
  const strands = detail === 'full' ? bounded(Math.round((width * pixelsPerMm) / 3.2), 2, 5) : 2
  for (let index = 0; index < strands; index += 1) {
    const own = 41 * sequence + index
    const begin = pierces ? Math.min(0.25 * long, 5 * width) * (0.1 + 0.9 * hash(seed, own) ** 2) : 0
    const across = (index + 0.5) / strands - 0.5
    const start = place(begin, across * (k0 > 0 && begin < k0 ? 0.5 : 1))
    const end = place(long, across)
    items.push({ kind: 'stroke', paths: [[start, end]], widthMm: (0.87 * width) / strands, colour: tone(colour, base + 0.035 * sway(seed, own)), cap: 'butt' })
    const middle = 0.5 + 0.3 * sway(seed, own + 9)
    items.push({
      kind: 'stroke',
      paths: [[at(start, end, clamped(middle - 0.2)), at(start, end, clamped(middle + 0.2))]],
      widthMm: (0.5 * width) / strands,
      colour: lighter(colour, sheen.gloss + 0.1 * g),
      opacity: 0.28,
      cap: 'butt',
    })
  }
  return items
}
