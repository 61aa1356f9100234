/** Needle, loose thread, fingers and the way of the pull: what is held in a picture of a step. Millimetres of the picture. */
import { type Point, splineThrough } from '../geometry/index.ts'
import { mix } from '../materials/index.ts'
import type { Needle, Pose } from '../steps/index.ts'
import type { DrawingItem } from './drawing.ts'
import { drawLineThread } from './line-thread.ts'
import type { Detail, OneLook } from './look.ts'

const STEEL = '#6E7681'
const STEEL_LIGHT = '#C9CED4'
const HOLE = '#3A2D1E'
const SKIN = '#E6C7A6'
const SKIN_EDGE = '#B08A63'
const PULL = '#A8392B'

export interface InHandLook {
  readonly look: OneLook
  readonly detail: Detail
  readonly cloth: string
  /** From the cloth to the picture, and so many times as large. */
  readonly place: (at: Point) => Point
  readonly scale: number
}

/** The loose thread first: the needle lies on it. */
export function drawPose({ needle, loose, thumb, pull, turns }: Pose, picture: InHandLook): DrawingItem[] {
  const { look, place, scale } = picture
  const width = look.lineWidthMm * scale
  const thread = { ...look, lineWidthMm: width, diameterMm: look.diameterMm * scale, flatWidthMm: look.flatWidthMm * scale }
  const style = { look: thread, detail: picture.detail, cloth: picture.cloth, loose: true }
  const items: DrawingItem[] = loose.flatMap((way, index) =>
    drawLineThread(splineThrough(way.map((at) => ({ ...place(at), z: 0 }))), { ...style, seed: 5 + index }),
  )
  if (needle) items.push(...drawNeedle(needle, place, width))
  if (turns)
    for (let turn = 0; turn < turns.count; turn += 1) {
      const middle = { x: turns.first.x + turns.step.x * turn, y: turns.first.y + turns.step.y * turn }
      const reach = look.lineWidthMm * 1.05
      const end = (by: number): Point => place({ x: middle.x + turns.across.x * reach * by, y: middle.y + turns.across.y * reach * by })
      items.push(...drawLineThread([end(-1), end(1)], { ...style, seed: 40 + turn }))
    }
  if (thumb) items.push(...drawFinger(place(thumb.at), thumb.from, Math.max(1.6, width * 2.4)))
  if (pull) items.push(...drawArrow(place(pull[0]), place(pull[1]), Math.max(0.3, width * 0.22)))
  return items
}

/** So wide is the needle for its thread: it opens the cloth for it. */
const NEEDLE_WIDTHS = 0.8

function drawNeedle({ eye, tip, under, hidden, blunt }: Needle, place: (at: Point) => Point, threadMm: number): DrawingItem[] {
  const [from, to] = [place(eye), place(tip)]
  const long = Math.hypot(to.x - from.x, to.y - from.y)
  if (long < 1e-6) return []
  const half = Math.max(0.3, (NEEDLE_WIDTHS * threadMm) / 2)
  const along = { x: (to.x - from.x) / long, y: (to.y - from.y) / long }
  const side = { x: -along.y, y: along.x }
  const outline = (start: number, end: number): Point[] => {
    const shares = [...new Set([start, 0.02, 0.06, 0.18, 0.7, 0.9, 0.97, end])].filter((one) => one >= start && one <= end).sort((a, b) => a - b)
    const edge = (share: number, by: 1 | -1): Point => {
      const wide = half * widthAt(share, blunt) * by
      return { x: from.x + along.x * long * share + side.x * wide, y: from.y + along.y * long * share + side.y * wide }
    }
    return [...shares.map((share) => edge(share, 1)), ...[...shares].reverse().map((share) => edge(share, -1))]
  }
  const items: DrawingItem[] = []
  if (under) {
    const points = outline(under[0], under[1])
    items.push({ kind: 'fill', points, colour: STEEL, opacity: 0.16 })
    items.push({ kind: 'stroke', paths: [points], closed: true, widthMm: 0.16, colour: STEEL, opacity: 0.75, dashMm: [0.7, 0.5] })
    for (const share of under) {
      if (share <= 0 || share >= 1) continue
      items.push({ kind: 'disc', at: at(share), radiusMm: half * 1.05, fill: HOLE })
    }
  }
  for (const [start, end] of visible(under, hidden)) {
    items.push({ kind: 'fill', points: outline(start, end), colour: STEEL })
    const [a, b] = [Math.max(start, 0.2), Math.min(end, 0.86)]
    if (b > a) items.push({ kind: 'stroke', paths: [[at(a), at(b)]], widthMm: half * 0.55, colour: STEEL_LIGHT, cap: 'round' })
    if (start < 0.05) items.push({ kind: 'stroke', paths: [[at(0.045), at(0.13)]], widthMm: half * 0.7, colour: '#F4EFE4', cap: 'round' })
  }
  return items

  function at(share: number): Point {
    return { x: from.x + along.x * long * share, y: from.y + along.y * long * share }
  }
}

/** Rounded at the eye, even along the shaft, to a point or to a blunt tip. */
function widthAt(share: number, blunt: boolean): number {
  if (share < 0.02) return 0.35
  if (share < 0.06) return 0.8
  if (share < 0.18) return 1.15
  if (share <= 0.7) return 1
  if (blunt) return share > 0.985 ? 0.3 : 1 - ((share - 0.7) / 0.3) * 0.35
  return Math.max(0, (1 - share) / 0.3)
}

function visible(under: Needle['under'], hidden: Needle['hidden']): readonly (readonly [number, number])[] {
  const gaps = [...(under ? [under] : []), ...hidden].sort(([a], [b]) => a - b)
  const parts: (readonly [number, number])[] = []
  let from = 0
  for (const [start, end] of gaps) {
    if (start > from) parts.push([from, start])
    from = Math.max(from, end)
  }
  if (from < 1) parts.push([from, 1])
  return parts
}

/** The end of a finger or thumb, its nail toward the thread. */
function drawFinger(at: Point, from: Point, widthMm: number): DrawingItem[] {
  const half = widthMm / 2
  const side = { x: -from.y, y: from.x }
  const put = (along: number, across: number): Point => ({ x: at.x + from.x * along + side.x * across, y: at.y + from.y * along + side.y * across })
  const round = Array.from({ length: 9 }, (_, index): Point => {
    const angle = (Math.PI * index) / 8
    return put(-half * 0.5 - half * 0.55 * Math.sin(angle) + half * 0.55, half * Math.cos(angle))
  })
  const points = [put(widthMm * 2.2, half * 1.1), ...round, put(widthMm * 2.2, -half * 1.1)]
  return [
    { kind: 'fill', points, colour: SKIN, opacity: 0.86 },
    { kind: 'stroke', paths: [points], widthMm: 0.18, colour: SKIN_EDGE, opacity: 0.9, cap: 'round' },
    { kind: 'disc', at: put(half * 0.55, 0), radiusMm: half * 0.5, fill: mix(SKIN, '#FFFFFF', 0.45), stroke: { colour: SKIN_EDGE, widthMm: 0.1 } },
  ]
}

function drawArrow(from: Point, to: Point, widthMm: number): DrawingItem[] {
  const long = Math.hypot(to.x - from.x, to.y - from.y)
  if (long < 1) return []
  const along = { x: (to.x - from.x) / long, y: (to.y - from.y) / long }
  const head = Math.min(long * 0.4, widthMm * 5)
  const neck = { x: to.x - along.x * head, y: to.y - along.y * head }
  return [
    { kind: 'stroke', paths: [[from, neck]], widthMm, colour: PULL, cap: 'round' },
    {
      kind: 'fill',
      colour: PULL,
      points: [
        to,
        { x: neck.x - along.y * head * 0.42, y: neck.y + along.x * head * 0.42 },
        { x: neck.x + along.y * head * 0.42, y: neck.y - along.x * head * 0.42 },
      ],
    },
  ]
}
