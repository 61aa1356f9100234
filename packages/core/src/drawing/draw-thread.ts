/**
 * Thread drawn as thread: shadow, edge, body, the twist of its strands and the light on them, piece by piece
 * in the order in which they lie. Light comes from the upper left. Widths follow the computed bundle.
 */
import type { Point } from '../geometry/index.ts'
import { mix } from '../materials/index.ts'
import type { Patch, Segment, Side } from '../work/index.ts'
import type { DrawingItem } from './drawing.ts'
import { feltPatch, openGround } from './ground.ts'
import { type Detail, lookFor, type ThreadLook } from './look.ts'
import { lenses, stretch } from './stretch.ts'
import { bead, coil, knot } from './wound.ts'

const HOLE = '#3a2d1e'

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
