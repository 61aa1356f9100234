/**
 * A stretch of thread that lies as a line: its shadow, an edge, a body whose tone follows the light, a highlight, ends that
 * taper and dive into their holes, the grooves of its twist, and two strands apart where a needle has split it.
 */
import type { Point } from '../geometry/index.ts'
import { chordOr } from './along-path.ts'
import type { DrawingItem, Stroke } from './drawing.ts'
import type { Detail, OneLook } from './look.ts'
import { between, ribbon, type Station, stationsAlong } from './stations.ts'
import { acrossLight, darker, drift, lighter, LIGHT, shadowOn, smoothStep, tone, USUAL_SHEEN } from './tone.ts'

export interface LineStyle {
  readonly look: OneLook
  readonly detail: Detail
  readonly seed: number
  readonly cloth: string
  /** Pixels a millimetre, where they are known: no line is thinner than can be seen. */
  readonly pixelsPerMm?: number | undefined
  /** It comes out through another thread: that end begins at nothing. */
  readonly pierces?: boolean
  readonly parted?: readonly Point[]
  /** Lies over others without a hole at its ends: wound, cast, or in the hand. */
  readonly loose?: boolean
}

export function drawLineThread(path: readonly Point[], style: LineStyle): DrawingItem[] {
  switch (style.detail) {
    case 'chords':
      return [chord(path, style)]
    case 'body':
      return lit(path, style)
    default:
      return rounded(path, style)
  }
}

/** A line alone, at the scale it is shown at: as samples show it. */
export function drawLine(path: readonly Point[], look: OneLook, pixelsPerMm: number, cloth = '#FFFDF8'): DrawingItem[] {
  return rounded(path, { look, detail: look.lineWidthMm * pixelsPerMm < 8 ? 'edged' : 'full', seed: 1, cloth, pixelsPerMm })
}

function chord(path: readonly Point[], { look, pixelsPerMm }: LineStyle): Stroke {
  const width = look.lineWidthMm
  return {
    kind: 'stroke',
    paths: [chordOr(path, width / 2)],
    widthMm: Math.max(width, pixelsPerMm ? 0.9 / pixelsPerMm : 0),
    colour: tone(look.colour, (look.sheen ?? USUAL_SHEEN).line * acrossLight(chordDirection(path))),
    cap: 'butt',
  }
}

function lit(path: readonly Point[], { look }: LineStyle): Stroke[] {
  const width = look.lineWidthMm
  const along = chordDirection(path)
  const side = { x: along.y, y: -along.x }
  const towards = 0.1 * width * (side.x * LIGHT.x + side.y * LIGHT.y)
  const moved = path.map((at) => ({ x: at.x + side.x * towards, y: at.y + side.y * towards }))
  return [
    { kind: 'stroke', paths: [path], widthMm: 1.02 * width, colour: darker(look.colour, 0.2), cap: 'butt' },
    {
      kind: 'stroke',
      paths: [shortened(moved, 0.2 * width)],
      widthMm: 0.55 * width,
      colour: tone(look.colour, 0.05 + (look.sheen ?? USUAL_SHEEN).line * acrossLight(along)),
      cap: 'round',
    },
  ]
}

function rounded(path: readonly Point[], style: LineStyle): DrawingItem[] {
  const { look, detail, seed, cloth } = style
  const full = detail === 'full'
  const { colour, lineWidthMm: width, sheen = USUAL_SHEEN } = look
  const stations = stationsAlong(path, width, (full ? 0.8 : 1.4) * width)
  if (stations.length === 0) return []
  const total = stations[stations.length - 1]?.s as number
  const taper = taperOf(width, total, style)
  const even = (at: Station): number => 1 + 0.045 * drift(seed, at.s / (2.3 * width))
  const wander = (at: Station): number => 0.03 * width * drift(seed + 1, at.s / (3.1 * width)) * smoothStep(0, width, Math.min(at.s, total - at.s))
  const half =
    (k: number) =>
    (at: Station): number =>
      0.5 * width * k * taper(at.s) * even(at)
  const off =
    (by: number) =>
    (at: Station): number =>
      wander(at) + by * width * (at.nx * LIGHT.x + at.ny * LIGHT.y)
  const band = (k: number, by: number): Point[] => ribbon(stations, half(k), off(by))
  const items: DrawingItem[] = []
  const shadow = shadowOn(cloth)
  const inset = Math.min(0.32 * width, 0.2 * total)
  const short = between(stations, inset, total - inset)
  if (short.length > 1)
    items.push({
      kind: 'stroke',
      paths: [short.map((at) => ({ x: at.x + 0.1 * width, y: at.y + 0.17 * width }))],
      widthMm: 0.98 * width,
      ...shadow,
      cap: 'round',
    })
  items.push({ kind: 'fill', points: band(1, 0), colour: darker(colour, 0.5) })
  if (full) items.push({ kind: 'fill', points: band(0.88, 0.03), colour: darker(colour, 0.26) })
  items.push(...body(stations, half(full ? 0.7 : 0.74), off(0.06), colour, sheen.line))
  if (style.parted && style.parted.length > 0) items.push(...split(stations, style.parted, style, taper, even))
  else if (full) items.push(...grooves(stations, total, taper, style))
  if (short.length > 1) {
    const g = acrossLight(chordDirection(path))
    items.push({
      kind: 'fill',
      points: ribbon(short, half(full ? 0.34 : 0.3), off(0.17)),
      colour: lighter(colour, Math.max(0.08, sheen.gloss + 0.16 * g)),
      opacity: full ? 0.5 : 0.6,
    })
    if (full)
      items.push({
        kind: 'fill',
        points: ribbon(short, half(0.12), off(0.2)),
        colour: lighter(colour, Math.min(0.9, sheen.gloss + 0.3 + 0.2 * g)),
        opacity: 0.45,
      })
  }
  if (!style.loose) items.push(...dives(stations, total, style))
  return items
}

/** Narrow at its holes, wider as it rises; where it comes out through another thread it begins at almost nothing. */
function taperOf(width: number, total: number, { pierces = false, loose = false }: LineStyle): (s: number) => number {
  if (loose) return () => 1
  const end = (x: number, t0: number, over: number): number => t0 + (1 - t0) * smoothStep(0, over * width, x)
  const reach = Math.min(0.95, (0.5 * total) / width)
  return (s) => Math.min(pierces ? end(s, 0.2, Math.min(1.5, (0.5 * total) / width)) : end(s, 0.6, reach), end(total - s, 0.6, reach))
}

/** In runs of like direction, three tones. */
function body(stations: readonly Station[], half: (at: Station) => number, off: (at: Station) => number, colour: string, share: number): DrawingItem[] {
  const classOf = (at: Station): number => Math.round(1.5 * acrossLight({ x: at.tx, y: at.ty }))
  const items: DrawingItem[] = []
  let from = 0
  for (let index = 1; index <= stations.length; index += 1) {
    const next = stations[index]
    const first = stations[from] as Station
    if (next && classOf(next) === classOf(first)) continue
    const run = stations.slice(from, Math.min(stations.length, index + 1))
    if (run.length > 1) items.push({ kind: 'fill', points: ribbon(run, half, off), colour: tone(colour, (share * classOf(first)) / 1.5) })
    from = index
  }
  return items
}

/** Two strands with a gap between them wherever a needle came through: a braid. */
function split(
  stations: readonly Station[],
  parted: readonly Point[],
  { look, detail }: LineStyle,
  taper: (s: number) => number,
  even: (at: Station) => number,
): DrawingItem[] {
  const { colour, lineWidthMm: width, sheen = USUAL_SHEEN } = look
  const places = parted.map((at) => nearest(stations, at))
  const open = (at: Station): number => places.reduce((most, s) => Math.max(most, 0.17 * width * Math.exp(-(((at.s - s) / (0.8 * width)) ** 2))), 0)
  const gap = ribbon(
    stations,
    (at) => Math.max(0.02 * width, 0.9 * open(at)),
    () => 0,
  )
  const items: DrawingItem[] = [{ kind: 'fill', points: gap, colour: darker(colour, 0.62) }]
  if (detail !== 'full') return items
  for (const side of [1, -1]) {
    const strand =
      (k: number) =>
      (at: Station): number =>
        0.25 * width * k * taper(at.s) * even(at) * Math.max(0.1, 1 - (1.18 * open(at)) / width)
    const off = (at: Station): number => side * (0.245 * width * taper(at.s) + 0.5 * open(at))
    const lit = (at: Station): number => (at.nx * LIGHT.x + at.ny * LIGHT.y) * side
    const facing = lit(stations[stations.length >> 1] as Station)
    items.push(
      { kind: 'fill', points: ribbon(stations, strand(0.74), off), colour: tone(colour, facing > 0 ? 0.05 : -0.06) },
      {
        kind: 'fill',
        points: ribbon(stations, strand(0.26), (at) => off(at) + 0.05 * width * lit(at) * side),
        colour: lighter(colour, sheen.gloss),
        opacity: 0.55,
      },
    )
  }
  return items
}

function nearest(stations: readonly Station[], at: Point): number {
  let best = Number.POSITIVE_INFINITY
  let found = 0
  for (const one of stations) {
    const away = (one.x - at.x) ** 2 + (one.y - at.y) ** 2
    if (away < best) {
      best = away
      found = one.s
    }
  }
  return found
}

/** The plies of its twist are helices: seen from above, one cosine after another. */
function grooves(stations: readonly Station[], total: number, taper: (s: number) => number, { look, seed }: LineStyle): DrawingItem[] {
  const { colour, lineWidthMm: width, sheen = USUAL_SHEEN } = look
  const lay = sheen.lay * width
  const dark: Point[][] = []
  const light: Point[][] = []
  const place = walker(stations)
  const phase = (lay / sheen.plies) * Math.abs(drift(seed, 7))
  const margin = 0.35 * width
  for (let start = phase - lay / 2; start < total; start += lay / sheen.plies) {
    dark.push(...turn(start, (theta, w) => -0.44 * w * Math.cos(theta)))
    light.push(...turn(start + lay / (2 * sheen.plies), (theta, w, lit) => -0.3 * w * Math.cos(theta) + 0.12 * width * lit))
  }
  function turn(start: number, offset: (theta: number, w: number, lit: number) => number): Point[][] {
    const points: Point[] = []
    for (let index = 0; index <= 8; index += 1) {
      const theta = (Math.PI * index) / 8
      const s = start + (lay * theta) / (2 * Math.PI)
      if (s < margin || s > total - margin) continue
      const at = place(s)
      const by = offset(theta, width * taper(s), at.nx * LIGHT.x + at.ny * LIGHT.y)
      points.push({ x: at.x + at.nx * by, y: at.y + at.ny * by })
    }
    return points.length > 1 ? [points] : []
  }
  if (dark.length === 0) return []
  return [
    { kind: 'stroke', paths: dark, widthMm: 0.15 * width, colour: darker(colour, 0.45), opacity: 0.35, cap: 'round' },
    { kind: 'stroke', paths: dark, widthMm: 0.06 * width, colour: darker(colour, 0.75), opacity: 0.6, cap: 'round' },
    ...(light.length > 0
      ? [{ kind: 'stroke' as const, paths: light, widthMm: 0.1 * width, colour: lighter(colour, 0.4), opacity: 0.4, cap: 'round' as const }]
      : []),
  ]
}

/** Places by their way along, asked for in any order. */
function walker(stations: readonly Station[]): (s: number) => Station {
  return (s) => {
    let low = 0
    let high = stations.length - 1
    while (high - low > 1) {
      const middle = (low + high) >> 1
      if ((stations[middle] as Station).s <= s) low = middle
      else high = middle
    }
    const [a, b] = [stations[low] as Station, stations[high] as Station]
    const share = b.s === a.s ? 0 : (s - a.s) / (b.s - a.s)
    return { ...a, x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share, s }
  }
}

/** It darkens where it goes into the cloth; not where it comes out through another thread. */
function dives(stations: readonly Station[], total: number, { look, detail, pierces = false }: LineStyle): Stroke[] {
  const { colour, lineWidthMm: width } = look
  const dark = darker(colour, 0.85)
  const ends = (reach: number): Point[][] =>
    [pierces ? [] : between(stations, 0, Math.max(reach, 0.12 * width)), between(stations, total - Math.max(reach, 0.12 * width), total)].flatMap((part) =>
      part.length > 1 ? [part.map(({ x, y }) => ({ x, y }))] : [],
    )
  const strokes: Stroke[] = [{ kind: 'stroke', paths: ends(0.22 * width), widthMm: 0.5 * width, colour: dark, opacity: 0.26, cap: 'butt' }]
  if (detail === 'full') strokes.push({ kind: 'stroke', paths: ends(0.5 * width), widthMm: 0.66 * width, colour: dark, opacity: 0.15, cap: 'butt' })
  return strokes.filter((one) => one.paths.length > 0)
}

export function chordDirection(path: readonly Point[]): Point {
  const [a, b] = [path[0] as Point, path[path.length - 1] as Point]
  const size = Math.hypot(b.x - a.x, b.y - a.y)
  return size < 1e-9 ? { x: 1, y: 0 } : { x: (b.x - a.x) / size, y: (b.y - a.y) / size }
}

/** Less at both ends, never less than its middle. */
function shortened(path: readonly Point[], byMm: number): readonly Point[] {
  if (path.length < 2) return path
  const result = [...path]
  const cut = (from: number, towards: number): void => {
    const [a, b] = [result[from] as Point, result[towards] as Point]
    const size = Math.hypot(b.x - a.x, b.y - a.y)
    const share = size === 0 ? 0 : Math.min(0.4, byMm / size)
    result[from] = { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share }
  }
  cut(0, 1)
  cut(result.length - 1, result.length - 2)
  return result
}
