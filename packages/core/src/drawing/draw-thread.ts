/**
 * One side of a worked exercise as thread, piece by piece in the order in which they lie. What the pieces look like is the
 * business of the modules beside this one; here is which of them are seen, where, and what lies under what.
 */
import type { Point } from '../geometry/index.ts'
import type { Patch, Segment, Side } from '../work/index.ts'
import type { DrawingItem, Stroke } from './drawing.ts'
import { drawFlat, drawInterlocking, flatShadow } from './flat-thread.ts'
import { feltPatch, openGround } from './ground.ts'
import { drawLineThread } from './line-thread.ts'
import { type Detail, lookFor, type ThreadLook } from './look.ts'
import { type Strip, stripsOf } from './strips.ts'
import { shadowOn } from './tone.ts'
import { bead, coil, knot } from './wound.ts'

export interface ThreadView {
  readonly side: Side
  readonly look: ThreadLook
  readonly detail: Detail
  /** The back comes mirrored about this, as one sees it turning the cloth over. mm. */
  readonly mirrorX?: number
  readonly patches?: readonly Patch[]
  /** Of the exercise, so that two are not uneven in the same places. */
  readonly seed?: number
  readonly pixelsPerMm?: number | undefined
  readonly cloth?: string | undefined
  /** Only what lies in it is drawn. */
  readonly within?: Box | undefined
}

export interface Box {
  readonly left: number
  readonly top: number
  readonly right: number
  readonly bottom: number
}

/** Where nothing is said of the cloth, it is bleached linen. */
const USUAL_CLOTH = '#F1EADB'

export function drawThread(segments: readonly Segment[], view: ThreadView): DrawingItem[] {
  const { look, detail, patches = [], seed = 0, pixelsPerMm, cloth = USUAL_CLOTH, within } = view
  const { shown, seen } = laidOut(segments, view)
  const items: DrawingItem[] = []
  const waiting = patches.map((patch) => ({ ...patch, outline: patch.outline.map(seen) }))
  const bundles = waiting.filter((patch) => patch.kind === 'bundle')
  for (const patch of waiting) if (patch.kind !== 'felt') items.push(...openGround(patch, bundles))
  const near = within ? shown.filter((one) => meets(one.box, within, one.wide)) : shown
  if (detail === 'full') items.push(...holes(near, look, cloth))
  const felt = waiting.filter((patch) => patch.kind === 'felt' && view.side === 'front')
  let shadowed = 0
  for (const [index, one] of near.entries()) {
    const { segment, path, strip } = one
    while (felt[0] && felt[0].sequence < segment.sequence) items.push(...feltPatch(felt.shift() as Patch))
    const own = lookFor(look, segment)
    const style = {
      look: own,
      detail,
      seed: seed + 7919 * segment.sequence,
      cloth,
      pixelsPerMm,
      pierces: segment.pierces,
      parted: segment.lie === 'flat' ? [] : segment.parted.map(seen),
    }
    if (segment.kind === 'bead') items.push(...bead(segment, path, cloth))
    else if (segment.kind === 'knot') items.push(...knot(segment, path, style))
    else if (segment.kind === 'coil') items.push(...coil(segment, path, style))
    // Straight stitches that lie flat; a loop that does is drawn as the line it is.
    else if (strip) {
      if (index >= shadowed && (detail === 'edged' || detail === 'full')) {
        const run = runOfStrips(near, index)
        shadowed = index + run.length
        items.push(...flatShadow(run, own.flatWidthMm, cloth))
      }
      items.push(...drawFlat(strip, { ...style, seed, sequence: segment.sequence }))
    } else if (segment.lie === 'flat' && segment.row !== null) items.push(...drawInterlocking(path, { ...style, seed, sequence: segment.sequence }))
    else items.push(...drawLineThread(path, segment.lie === 'flat' ? { ...style, look: { ...own, lineWidthMm: own.flatWidthMm } } : style))
  }
  for (const patch of felt) items.push(...feltPatch(patch))
  return joined(items)
}

interface Shown {
  readonly segment: Segment
  readonly path: readonly Point[]
  readonly box: Box
  /** Half its width, and its shadow, mm. */
  readonly wide: number
  readonly strip: Strip | undefined
}

interface LaidOut {
  readonly shown: readonly Shown[]
  readonly seen: (at: Point) => Point
}

/** Places of an exercise do not change while it is looked at from nearer or further. */
const known = new WeakMap<readonly Segment[], Map<string, LaidOut>>()

function laidOut(segments: readonly Segment[], { side, look, mirrorX = 0 }: ThreadView): LaidOut {
  const bySide = known.get(segments) ?? new Map<string, LaidOut>()
  known.set(segments, bySide)
  const key = `${side} ${side === 'back' ? mirrorX : 0} ${look.flatWidthMm}`
  const before = bySide.get(key)
  if (before) return before
  const seen = side === 'front' ? (at: Point): Point => at : (at: Point): Point => ({ x: 2 * mirrorX - at.x, y: at.y })
  const sorted = segments.filter((segment) => segment.side === side).sort((a, b) => a.order - b.order)
  const paths = new Map(sorted.map((segment) => [segment, side === 'front' ? segment.points : segment.points.map(seen)] as const))
  const pathOf = (segment: Segment): readonly Point[] => paths.get(segment) ?? segment.points
  const strips = stripsOf(
    sorted.filter((segment) => segment.kind === 'straight'),
    pathOf,
    (segment) => lookFor(look, segment).flatWidthMm,
  )
  const shown = sorted.map((segment): Shown => {
    const path = pathOf(segment)
    const own = lookFor(look, segment)
    return { segment, path, box: boxOf(path), wide: Math.max(own.flatWidthMm, 1.5 * own.lineWidthMm, segment.sizeMm), strip: strips.get(segment) }
  })
  const result = { shown, seen }
  bySide.set(key, result)
  return result
}

function boxOf(path: readonly Point[]): Box {
  let [left, top, right, bottom] = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY, Number.NEGATIVE_INFINITY]
  for (const at of path) {
    if (at.x < left) left = at.x
    if (at.x > right) right = at.x
    if (at.y < top) top = at.y
    if (at.y > bottom) bottom = at.y
  }
  return { left, top, right, bottom }
}

function meets(one: Box, other: Box, by: number): boolean {
  return one.left - by <= other.right && one.right + by >= other.left && one.top - by <= other.bottom && one.bottom + by >= other.top
}

/** Strips that follow one another: their shadow lies under all of them. */
function runOfStrips(shown: readonly Shown[], from: number): readonly Strip[] {
  const run: Strip[] = []
  for (let index = from; index < shown.length; index += 1) {
    const { strip, segment } = shown[index] as Shown
    if (!strip || segment.thread !== shown[from]?.segment.thread) break
    run.push(strip)
  }
  return run
}

function holes(shown: readonly Shown[], look: ThreadLook, cloth: string): DrawingItem[] {
  const { colour } = shadowOn(cloth)
  const items: DrawingItem[] = []
  for (const { segment, path } of shown) {
    if (segment.lie === 'flat' || path.length < 2) continue
    const width = lookFor(look, segment).lineWidthMm
    for (const [end, next] of [
      [path[0] as Point, path[1] as Point],
      [path[path.length - 1] as Point, path[path.length - 2] as Point],
    ] as const) {
      const size = Math.hypot(end.x - next.x, end.y - next.y) || 1
      const at = { x: end.x + ((end.x - next.x) / size) * 0.06 * width, y: end.y + ((end.y - next.y) / size) * 0.06 * width }
      items.push({ kind: 'disc', at, radiusMm: 0.26 * width, fill: colour, opacity: 0.5 })
    }
  }
  return items
}

/** Strokes that follow one another in one style are one item: a tenth of the work for whoever paints them. */
function joined(items: readonly DrawingItem[]): DrawingItem[] {
  const result: DrawingItem[] = []
  let paths: (readonly Point[])[] | null = null
  let last: Stroke | null = null
  for (const item of items) {
    if (item.kind === 'stroke' && last && paths && isLike(item, last)) {
      paths.push(...item.paths)
      continue
    }
    if (item.kind === 'stroke' && item.opacity === undefined && !item.closed && !item.dashMm) {
      paths = [...item.paths]
      last = { ...item, paths }
      result.push(last)
    } else {
      last = null
      result.push(item)
    }
  }
  return result
}

function isLike(one: Stroke, other: Stroke): boolean {
  return one.opacity === undefined && one.colour === other.colour && one.widthMm === other.widthMm && one.cap === other.cap && !one.closed && !one.dashMm
}
