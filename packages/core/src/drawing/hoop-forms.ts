/**
 * An oval hoop in its two rings, and a frame of four bars with the cloth pinned over them: lit as a round hoop is, but in short
 * pieces, for their outlines turn unevenly.
 */
import { type Point } from '../geometry/index.ts'
import { BAR_MM, type HoopForm, hoopOutline } from '../materials/index.ts'
import type { DrawingItem } from './drawing.ts'
import { darker, LIGHT, lighter } from './tone.ts'

export type LongForm = Extract<HoopForm, { readonly shape: 'oval' | 'frame' }>

export const WOOD = { edge: '#6f4d2a', plain: '#c69c66', light: '#f3dcb2', dark: '#4a3219' } as const
const BRASS = { plain: '#c8a14e', light: '#f5dfa2', dark: '#6d5220' } as const
/** Of an oval hoop, mm: the inner ring, the gap, the outer ring. */
const INNER_MM = 3
const GAP_MM = 0.4
const OUTER_MM = 4.6
/** The outer ring of an oval hoop, from the edge of what is free inside; the screw goes through it. */
export const OVAL_RING = { from: INNER_MM + GAP_MM, wide: OUTER_MM } as const
/** Pins of a frame stand so far apart, in the middle of its bars. */
const PINS_MM = 24

/** Outside is all that is slack; its shadow, and the shade that the rim throws inside. */
export function drawFormBelow(hoop: LongForm, hex: string, dark: boolean): DrawingItem[] {
  const beyond = hoop.shape === 'frame' ? BAR_MM : INNER_MM + GAP_MM + OUTER_MM
  const shadow = [0.8, 1.6, 2.5, 3.4].map((by, index): DrawingItem => {
    const points = hoopOutline(hoop, -beyond - 0.2 * by).map(({ x, y }) => ({ x: x + 0.55 * by, y: y + 0.95 * by }))
    return {
      kind: 'stroke',
      paths: [points],
      closed: true,
      widthMm: 2.4,
      colour: darker(hex, 1),
      opacity: Math.min(0.5, (0.14 - 0.025 * index) * (dark ? 2 : 1)),
    }
  })
  const shade = [2.2, 1.1].flatMap((wide) => flank(hoop, wide / 2, wide, ['#1a120a', dark ? 0.3 : 0.16], ['#1a120a', 0]))
  return [...shadow, ...shade]
}

export function drawForm(hoop: LongForm, hex: string, front: boolean): DrawingItem[] {
  return hoop.shape === 'frame' ? frame(hoop, hex, front) : oval(hoop, hex, front)
}

function oval(hoop: LongForm, hex: string, front: boolean): DrawingItem[] {
  const from = INNER_MM + GAP_MM
  const grain = [0.2, 0.35, 0.55, 0.7, 0.85].map(
    (share, index): DrawingItem => ({ ...band(hoop, -from - share * OUTER_MM, 0.22, index % 2 === 0 ? WOOD.edge : WOOD.light), opacity: 0.16 }),
  )
  return [
    // In front, the cloth is drawn over the inner ring.
    band(hoop, -INNER_MM / 2, INNER_MM, front ? hex : WOOD.plain),
    ...flank(hoop, -0.2 * INNER_MM, 0.4 * INNER_MM, ['#000000', 0.26], ['#ffffff', front ? 0.3 : 0.5]),
    ...flank(hoop, -0.75 * INNER_MM, 0.5 * INNER_MM, ['#ffffff', front ? 0.3 : 0.5], ['#000000', 0.24]),
    band(hoop, -INNER_MM - GAP_MM / 2, GAP_MM, darker(front ? hex : WOOD.edge, 0.75)),
    band(hoop, -from - OUTER_MM / 2, OUTER_MM, WOOD.edge),
    band(hoop, -from - OUTER_MM / 2, 0.9 * OUTER_MM, WOOD.plain),
    ...flank(hoop, -from - 0.22 * OUTER_MM, 0.44 * OUTER_MM, [WOOD.dark, 0.75], [WOOD.light, 0.55]),
    ...flank(hoop, -from - 0.78 * OUTER_MM, 0.44 * OUTER_MM, [WOOD.light, 0.75], [WOOD.dark, 0.75]),
    ...grain,
  ]
}

/** In front the cloth lies over the bars, pinned all round; from behind the bars are seen, mitred at the corners. */
function frame(hoop: LongForm, hex: string, front: boolean): DrawingItem[] {
  const middle = hoopOutline(hoop, -BAR_MM / 2)
  const corners = hoopOutline(hoop, 0).map((inner, index): readonly Point[] => [inner, hoopOutline(hoop, -BAR_MM)[index] as Point])
  const ridge = [...flank(hoop, -0.6, 1.2, ['#000000', 0.2], ['#ffffff', 0.28]), ...flank(hoop, -BAR_MM + 0.6, 1.2, ['#ffffff', 0.3], ['#000000', 0.26])]
  if (!front)
    return [
      band(hoop, -BAR_MM / 2, BAR_MM, WOOD.edge),
      band(hoop, -BAR_MM / 2, BAR_MM - 0.8, WOOD.plain),
      ...[0.25, 0.4, 0.6, 0.8].map(
        (share, index): DrawingItem => ({ ...band(hoop, -share * BAR_MM, 0.3, index % 2 === 0 ? WOOD.edge : WOOD.light), opacity: 0.18 }),
      ),
      { kind: 'stroke', paths: corners, widthMm: 0.4, colour: WOOD.dark, opacity: 0.7 },
      ...ridge,
    ]
  return [{ ...band(hoop, -BAR_MM / 2, BAR_MM, lighter(hex, 0.5)), opacity: 0.14 }, ...ridge, ...pinsAlong(middle).flatMap(pin)]
}

function pinsAlong(outline: readonly Point[]): readonly Point[] {
  return outline.slice(1).flatMap((to, index) => {
    const from = outline[index] as Point
    const long = Math.hypot(to.x - from.x, to.y - from.y)
    const count = Math.max(1, Math.round(long / PINS_MM))
    return Array.from({ length: count }, (_, place) => ({ x: from.x + ((to.x - from.x) * place) / count, y: from.y + ((to.y - from.y) * place) / count }))
  })
}

function pin(at: Point): DrawingItem[] {
  return [
    { kind: 'disc', at: { x: at.x + 0.5, y: at.y + 0.8 }, radiusMm: 2.3, fill: '#1a120a', opacity: 0.25 },
    { kind: 'disc', at, radiusMm: 2.3, fill: BRASS.dark },
    { kind: 'disc', at, radiusMm: 2.05, fill: BRASS.plain },
    { kind: 'disc', at: { x: at.x - 0.6, y: at.y - 0.7 }, radiusMm: 0.8, fill: BRASS.light, opacity: 0.85 },
  ]
}

function band(hoop: LongForm, lessMm: number, widthMm: number, colour: string): Extract<DrawingItem, { kind: 'stroke' }> {
  return { kind: 'stroke', paths: [hoopOutline(hoop, lessMm)], closed: true, widthMm, colour }
}

type Tint = readonly [colour: string, opacity: number]

/** As `near` where it faces the light, as `far` where it turns away, by the cosine. */
function flank(hoop: LongForm, lessMm: number, widthMm: number, near: Tint, far: Tint): DrawingItem[] {
  const points = hoopOutline(hoop, lessMm, 64)
  return points.slice(1).flatMap((to, index): DrawingItem[] => {
    const from = points[index] as Point
    const long = Math.hypot(to.x - from.x, to.y - from.y)
    if (long < 1e-6) return []
    // Outward, for an outline that goes clockwise.
    const lit = ((to.y - from.y) * LIGHT.x - (to.x - from.x) * LIGHT.y) / long
    const [colour, most] = lit > 0 ? near : far
    const opacity = most * Math.abs(lit)
    return opacity < 0.01 ? [] : [{ kind: 'stroke', paths: [[from, to]], widthMm, colour, opacity, cap: 'butt' }]
  })
}
