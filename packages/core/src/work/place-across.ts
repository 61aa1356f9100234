/**
 * Chords across a shape, side by side, along a direction or a field of directions; cut into interlocking rows
 * where the stitch asks for it. A shape that forks or has a hole is worked section by section. mm.
 */
import { mm } from '../base/index.ts'
import {
  type Chord,
  chordsOfRegion,
  dot,
  extentAlong,
  fromAngle,
  insetRegion,
  leftOf,
  placeAt,
  type Point,
  type Region,
  step,
  subtract,
  unit,
} from '../geometry/index.ts'
import type { ReadGuide } from '../guide/index.ts'
import { fieldLines } from './direction-field.ts'
import { failed, type Frame, MOST_FRAMES, oneRun, type Placed } from './frames.ts'

export type ShapeGuide = Extract<ReadGuide, { kind: 'shape' }>

export interface CutLengths {
  readonly first: readonly number[]
  readonly step: number
  readonly bite: number
  readonly min: number
  readonly by: 'row' | 'column'
}

export interface AcrossRequest {
  readonly pitchMm: number
  readonly mirror: boolean
  /** Turned from the shape's own direction, radians to the left. */
  readonly turnRad: number
  readonly insetMm: number
  readonly cuts: CutLengths | null
}

export function placeAcross(guide: ShapeGuide, request: AcrossRequest): Placed {
  const { pitchMm } = request
  if (!(pitchMm > 0)) return failed(['pitch'], 'place.no-spacing')
  if (guide.areaMm2 / (pitchMm * pitchMm) > MOST_FRAMES * 10) return failed(['pitch'], 'place.many-across', { apart: mm(pitchMm), most: MOST_FRAMES })
  const region = request.insetMm === 0 ? guide.region : insetRegion(guide.region, request.insetMm)
  const { sections: all, reach, gap } = sectionsAcross(guide, region, pitchMm, request.turnRad)
  const sections = all.map((section) => section.filter(isSewn)).filter((section) => section.length > 0)
  const chords = sections.flat()
  if (chords.length === 0) return failed(['pitch'], request.insetMm > 0 ? 'place.nothing-inside' : 'place.no-stitch')
  const frames = request.cuts ? rowFrames(sections, request.cuts, request.mirror) : chordFrames(sections, request.mirror)
  if (frames === null || frames.length > MOST_FRAMES) return failed(['cuts'], 'place.short-rows')
  if (frames.length === 0) return failed(['pitch'], 'place.no-stitch')
  if (request.mirror && !request.cuts) frames.reverse()
  return oneRun(frames, reach, request.cuts ? reach / Math.max(1, chords.length) : gap)
}

/** In a sharp cusp chords come to nothing: what is shorter than a needle's hole is passed over. mm */
const SHORTEST_CHORD_MM = 0.2

function isSewn({ a, b }: Chord): boolean {
  return Math.hypot(a.x - b.x, a.y - b.y) >= SHORTEST_CHORD_MM
}

/** The chords of a region in sections that are worked one after the other. */
function sectionsAcross(guide: ShapeGuide, region: Region, pitchMm: number, turnRad: number): { sections: Chord[][]; reach: number; gap: number } {
  if (guide.directions.length > 1 && turnRad === 0) {
    const { lines, reach } = fieldLines(region, guide.directions, pitchMm)
    return { sections: linkSections(lines), reach, gap: reach / Math.max(1, lines.length) }
  }
  const lie = turned(stitchDirection(guide), turnRad)
  const progress = leftOf(lie)
  const extent = extentAlong(region.flat(), progress)
  const reach = extent.to - extent.from
  if (!Number.isFinite(reach)) return { sections: [], reach: 0, gap: pitchMm }
  const count = Math.max(1, Math.round(reach / pitchMm))
  const lines = Array.from({ length: count }, (_, index) => chordsOfRegion(region, progress, extent.from + ((index + 0.5) / count) * reach))
  return { sections: linkSections(lines), reach, gap: reach / count }
}

/** A chord goes on from the one beside it where the two face each other and neither faces another. */
function linkSections(lines: readonly (readonly Chord[])[]): Chord[][] {
  const sections: Chord[][] = []
  let open: { chord: Chord; section: Chord[] }[] = []
  for (const line of lines) {
    const next: typeof open = []
    for (const chord of line) {
      const facing = open.filter((one) => overlap(one.chord, chord))
      const alone = facing.length === 1 && line.filter((other) => overlap((facing[0] as { chord: Chord }).chord, other)).length === 1
      const section = alone ? (facing[0] as { section: Chord[] }).section : []
      if (!alone) sections.push(section)
      section.push(chord)
      next.push({ chord, section })
    }
    open = next
  }
  return sections
}

function overlap(one: Chord, other: Chord): boolean {
  const along = unit(subtract(one.b, one.a))
  if (!along) return false
  const [from, to] = [dot(one.a, along), dot(one.b, along)]
  const [low, high] = [dot(other.a, along), dot(other.b, along)].sort((a, b) => a - b) as [number, number]
  return Math.min(to, high) - Math.max(from, low) > 0
}

function chordFrames(sections: readonly (readonly Chord[])[], mirror: boolean): Frame[] {
  return sections.flat().map((chord, col) => chordFrame(chord, mirror, { col, row: 0 }))
}

function chordFrame({ a, b }: Chord, mirror: boolean, values: Readonly<Record<string, number>>): Frame {
  const direction = unit(subtract(b, a)) ?? { x: 1, y: 0 }
  return {
    mirror: mirror ? -1 : 1,
    named: (name) => (name === 'a' ? a : name === 'b' ? b : null),
    values: { ...values, span: Math.hypot(a.x - b.x, a.y - b.y) },
    at: (s, t) => ({ at: step(step(a, direction, s), leftOf(direction), t), direction }),
  }
}

/**
 * The interlock rule: a chord measured from `a` is cut at first[col mod m] + r step; stitch r reaches from the
 * cut before it, less the bite, to its own; the last is stretched to `b` when less than `min` would be left.
 * Rows are worked to and fro, or column by column. Null when the rows do not advance.
 */
function rowFrames(sections: readonly (readonly Chord[])[], cuts: CutLengths, mirror: boolean): Frame[] | null {
  if (!(cuts.step > 0) || cuts.first.length === 0 || cuts.first.some((one) => !(one > cuts.bite))) return null
  const frames: Frame[] = []
  for (const section of sections) {
    const rows: Frame[][] = []
    const columns: Frame[][] = []
    for (const [col, chord] of section.entries()) {
      const span = Math.hypot(chord.a.x - chord.b.x, chord.a.y - chord.b.y)
      const direction = unit(subtract(chord.b, chord.a))
      if (!direction) continue
      let from = 0
      for (let row = 0; from < span - 1e-9; row += 1) {
        if (row > 5000) return null
        const cut = (cuts.first[col % cuts.first.length] as number) + row * cuts.step
        const to = span - cut < cuts.min ? span : cut
        const piece = { a: step(chord.a, direction, row === 0 ? 0 : from - cuts.bite), b: step(chord.a, direction, to) }
        const frame = chordFrame(piece, mirror, { row, col })
        ;(rows[row] ??= []).push(frame)
        ;(columns[col] ??= []).push(frame)
        from = to
      }
    }
    if (cuts.by === 'column') {
      frames.push(...(mirror ? columns.reverse() : columns).flat())
      continue
    }
    // Row by row for either hand; the left one begins each from the other side.
    for (const [row, list] of rows.entries()) frames.push(...((row % 2 === 0) !== mirror ? list : list.reverse()))
  }
  return frames
}

/** Rows of a line stitch: straight, along the direction in which the shape is filled. */
export function rowChords(guide: ShapeGuide, spacingMm: number): Chord[] {
  return sectionsAcross(guide, guide.region, spacingMm, 0).sections.flat()
}

function turned(direction: Point, byRad: number): Point {
  if (byRad === 0) return direction
  const angle = Math.atan2(direction.y, direction.x) - byRad
  return fromAngle(angle)
}

/** Along the given direction line, else across the narrowest width: shorter stitches lie better. */
export function stitchDirection(guide: ShapeGuide): Point {
  const given = guide.directions[0]
  const drawn = given ? unit(subtract(placeAt(given, given.length, true).at, placeAt(given, 0).at)) : null
  if (drawn) return drawn
  let narrowest = Number.POSITIVE_INFINITY
  let best: Point = { x: 0, y: 1 }
  // The narrowest width of an outline is square to one of the edges of its hull; trying all edges finds it.
  const points = guide.outline.points
  for (let index = 0; index + 1 < points.length; index += 1) {
    const edge = unit(subtract(points[index + 1] as Point, points[index] as Point))
    if (!edge) continue
    const square = leftOf(edge)
    const { from, to } = extentAlong(points, square)
    if (to - from < narrowest - 1e-6) {
      narrowest = to - from
      best = square
    }
  }
  // Downwards or to the right, so that a shape drawn either way round is filled the same way.
  return best.y < -1e-9 || (Math.abs(best.y) < 1e-9 && best.x < 0) ? { x: -best.x, y: -best.y } : best
}
