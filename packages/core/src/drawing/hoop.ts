/**
 * A hoop as it is: an inner ring under the cloth or bare, an outer ring with thickness, a screw, shadows; the cloth slack and
 * in folds outside. All light round a ring is one stroke whose colour fades along the light.
 */
import type { Point } from '../geometry/index.ts'
import { luminance } from '../materials/index.ts'
import type { Hoop, Sampler } from '../sampler/index.ts'
import type { Side } from '../work/index.ts'
import { drawForm, drawFormBelow, OVAL_RING, WOOD } from './hoop-forms.ts'
import type { DrawingItem, Ring } from './drawing.ts'
import { darker, hash, LIGHT, lighter, sway } from './tone.ts'

const BRASS = { plain: '#b8923f', light: '#f0d890', dark: '#6d5220' } as const
/** Between the rings, mm. */
const GAP = 0.4
/** Threads of the cloth hang this far apart in the opening of the outer ring, mm. */
const SCREW_GAP = 3.8

export type RoundHoop = Extract<Hoop, { readonly shape: 'round' }>

/** The ring's wood is at least so wide, mm. */
export function ringMm({ nominalMm, insideMm }: RoundHoop): number {
  return Math.max(3.2, (nominalMm - insideMm) / 2)
}

export interface HoopView {
  readonly hoop: Hoop
  readonly cloth: Pick<Sampler['cloth'], 'widthMm' | 'heightMm'> & { readonly hex: string }
  readonly side: Side
}

/** What the hoop does to the cloth: folds outside it, and its shadow. Lies under the thread. */
export function drawHoopBelow({ hoop, cloth, side }: HoopView): DrawingItem[] {
  const at = placeOf(hoop, cloth, side)
  if (hoop.shape !== 'round') return drawFormBelow({ ...hoop, at: [at.x, at.y] }, cloth.hex, luminance(cloth.hex) < 0.18)
  const ring = ringMm(hoop)
  const outer = hoop.insideMm / 2 + 0.72 * ring + GAP + 1.15 * ring
  const dark = luminance(cloth.hex) < 0.18
  return [...folds(at, outer, cloth, dark), ...slackShadow(at, outer, cloth.hex, dark), ...innerShade(at, hoop.insideMm / 2, dark)]
}

/** The rings and the screw. Lies over the thread: what is under the wood is not seen. */
export function drawHoop({ hoop, cloth, side }: HoopView): DrawingItem[] {
  const at = placeOf(hoop, cloth, side)
  if (hoop.shape !== 'round') {
    const wood = drawForm({ ...hoop, at: [at.x, at.y] }, cloth.hex, side === 'front')
    return hoop.shape === 'frame' ? wood : [...wood, ...screw(at, hoop.insideMm[1] / 2 + OVAL_RING.from, OVAL_RING.wide, cloth.hex)]
  }
  const ring = ringMm(hoop)
  const inner = { from: hoop.insideMm / 2, wide: 0.72 * ring }
  const outer = { from: inner.from + inner.wide + GAP, wide: 1.15 * ring }
  const clothOver = side === 'front'
  return [
    // In front, the cloth is drawn over the inner ring.
    band(at, inner.from, inner.wide, clothOver ? cloth.hex : WOOD.plain),
    flank(at, inner.from + 0.2 * inner.wide, 0.4 * inner.wide, ['#000000', 0.26], ['#ffffff', clothOver ? 0.3 : 0.5]),
    flank(at, inner.from + 0.75 * inner.wide, 0.5 * inner.wide, ['#ffffff', clothOver ? 0.3 : 0.5], ['#000000', 0.24]),
    band(at, inner.from + inner.wide, GAP, darker(clothOver ? cloth.hex : WOOD.edge, 0.75)),
    band(at, outer.from, outer.wide, WOOD.edge),
    band(at, outer.from + 0.05 * outer.wide, 0.9 * outer.wide, WOOD.plain),
    flank(at, outer.from + 0.22 * outer.wide, 0.44 * outer.wide, [WOOD.dark, 0.75], [WOOD.light, 0.55]),
    flank(at, outer.from + 0.78 * outer.wide, 0.44 * outer.wide, [WOOD.light, 0.75], [WOOD.dark, 0.75]),
    { kind: 'disc', at, radiusMm: outer.from + 0.5 * outer.wide, stroke: { colour: WOOD.light, widthMm: 0.14 * outer.wide }, opacity: 0.28 },
    ...grain(at, outer.from, outer.wide),
    ...screw(at, outer.from, outer.wide, cloth.hex),
  ]
}

function placeOf(hoop: Hoop, cloth: Pick<Sampler['cloth'], 'widthMm'>, side: Side): Point {
  return { x: side === 'front' ? hoop.at[0] : cloth.widthMm - hoop.at[0], y: hoop.at[1] }
}

function band(at: Point, from: number, wide: number, colour: string): DrawingItem {
  return { kind: 'disc', at, radiusMm: from + wide / 2, stroke: { colour, widthMm: wide } }
}

type Tint = readonly [colour: string, opacity: number]

/** A flank of a ring, lit on one side and in shade on the other: the cosine of the light, exactly. `near` faces it. */
function flank(at: Point, radiusMm: number, widthMm: number, near: Tint, far: Tint): Ring {
  return {
    kind: 'ring',
    at,
    radiusMm,
    widthMm,
    along: { x: -LIGHT.x, y: -LIGHT.y },
    stops: [
      { offset: 0, colour: near[0], opacity: near[1] },
      { offset: 0.5, colour: near[0], opacity: 0 },
      { offset: 0.5, colour: far[0], opacity: 0 },
      { offset: 1, colour: far[0], opacity: far[1] },
    ],
  }
}

function grain(at: Point, from: number, wide: number): DrawingItem[] {
  return Array.from({ length: 9 }, (_, index) => ({
    kind: 'disc' as const,
    at,
    radiusMm: from + wide * (0.1 + 0.8 * hash(3, index)),
    stroke: { colour: index % 2 === 0 ? WOOD.edge : WOOD.light, widthMm: 0.05 * wide },
    opacity: 0.12 + 0.1 * hash(4, index),
  }))
}

/** A bolt through two lugs, with a nut that is turned by hand; at the top. */
function screw(at: Point, from: number, wide: number, clothHex: string): DrawingItem[] {
  const y = at.y - from - wide / 2
  const box = (left: number, top: number, right: number, bottom: number, colour: string): DrawingItem => ({
    kind: 'fill',
    colour,
    points: [
      { x: at.x + left, y: y + top },
      { x: at.x + right, y: y + top },
      { x: at.x + right, y: y + bottom },
      { x: at.x + left, y: y + bottom },
    ],
  })
  const high = 0.75 * wide
  const lines = Array.from({ length: 5 }, (_, index): readonly Point[] => [
    { x: at.x + 8.2 + 0.7 * index, y: y - 0.5 * high },
    { x: at.x + 8.2 + 0.7 * index, y: y + 0.5 * high },
  ])
  return [
    box(-SCREW_GAP / 2, -wide * 0.56, SCREW_GAP / 2, wide * 0.56, darker(clothHex, 0.2)),
    box(-8.5, -0.18 * high, 8, 0.18 * high, BRASS.plain),
    box(-8.5, -0.18 * high, 8, -0.05 * high, BRASS.light),
    ...[-1, 1].flatMap((side) => [
      box(side * (SCREW_GAP / 2 + 1.1) - 1.3, -0.55 * high, side * (SCREW_GAP / 2 + 1.1) + 1.3, 0.55 * high, BRASS.dark),
      box(side * (SCREW_GAP / 2 + 1.1) - 1.1, -0.5 * high, side * (SCREW_GAP / 2 + 1.1) + 1.1, 0.5 * high, BRASS.plain),
      box(side * (SCREW_GAP / 2 + 1.1) - 1.1, -0.5 * high, side * (SCREW_GAP / 2 + 1.1) + 1.1, -0.2 * high, BRASS.light),
    ]),
    box(7.6, -0.6 * high, 11.6, 0.6 * high, BRASS.dark),
    box(7.8, -0.54 * high, 11.4, 0.54 * high, BRASS.plain),
    box(7.8, -0.5 * high, 11.4, -0.15 * high, BRASS.light),
    { kind: 'stroke', paths: lines, widthMm: 0.18, colour: BRASS.dark, opacity: 0.7 },
    box(-9.8, -0.36 * high, -8.2, 0.36 * high, BRASS.dark),
    box(-9.6, -0.3 * high, -8.4, 0.3 * high, BRASS.plain),
  ]
}

/** Seventeen folds that run straight out from the ring, each shaded on one side and lit on the other, clipped to the cloth by whoever draws it. */
function folds(at: Point, outer: number, cloth: HoopView['cloth'], dark: boolean): DrawingItem[] {
  const items: DrawingItem[] = []
  const [lightOf, darkOf] = dark ? [0.03, 0.06] : [0.085, 0.017]
  for (let index = 0; index < 17; index += 1) {
    const angle = ((index + 0.35 * sway(5, index)) * 2 * Math.PI) / 17
    const along = { x: Math.cos(angle), y: Math.sin(angle) }
    const side = { x: along.y, y: -along.x }
    const long = 30 + 60 * hash(6, index)
    const lit = side.x * LIGHT.x + side.y * LIGHT.y
    const strength = Math.abs(lit)
    for (let layer = 1; layer <= 5; layer += 1) {
      for (const to of [1, -1]) {
        const wide = to * layer * 1.1 * (0.7 + 0.6 * hash(7, index))
        const bright = to * lit > 0
        items.push({
          kind: 'fill',
          colour: bright ? lighter(cloth.hex, 0.9) : darker(cloth.hex, 1),
          opacity: (bright ? lightOf : darkOf * (dark ? 1 : 1.8)) * strength,
          points: [
            { x: at.x + along.x * (outer - 1), y: at.y + along.y * (outer - 1) },
            { x: at.x + along.x * (outer + 2) + side.x * wide, y: at.y + along.y * (outer + 2) + side.y * wide },
            { x: at.x + along.x * (outer + long), y: at.y + along.y * (outer + long) },
          ],
        })
      }
    }
  }
  return items
}

function slackShadow(at: Point, outer: number, hex: string, dark: boolean): DrawingItem[] {
  return [0.8, 1.6, 2.5, 3.4].map((by, index) => ({
    kind: 'disc' as const,
    at: { x: at.x + 0.55 * by, y: at.y + 0.95 * by },
    radiusMm: outer + 0.2 * by,
    stroke: { colour: darker(hex, 1), widthMm: 2.4 },
    opacity: Math.min(0.5, (0.14 - 0.025 * index) * (dark ? 2 : 1)),
  }))
}

/** The rim throws a little shade on the cloth that is tight inside it. */
function innerShade(at: Point, inside: number, dark: boolean): DrawingItem[] {
  return [2.2, 1.1].map((wide) => ({
    kind: 'ring' as const,
    at,
    radiusMm: inside - wide / 2,
    widthMm: wide,
    along: { x: -LIGHT.x, y: -LIGHT.y },
    stops: [
      { offset: 0, colour: '#1a120a', opacity: dark ? 0.3 : 0.16 },
      { offset: 0.55, colour: '#1a120a', opacity: 0.02 },
      { offset: 1, colour: '#1a120a', opacity: 0 },
    ],
  }))
}
