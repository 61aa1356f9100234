/**
 * One repeat of a stitch along a line. There are thousands of them, so they share what is the same for all, and measure how
 * wide the guide is only where it is asked. mm.
 */
import {
  chordsOfRegion,
  dot,
  isInRegion,
  leftOf,
  lerp,
  type MeasuredPath,
  type Place as PathPlace,
  placeAt,
  type Point,
  step,
  subtract,
} from '../geometry/index.ts'
import { type GuideWidth, readRuler, type Ruler, widthsAt } from '../guide/index.ts'
import { topOfSpoke } from './fan-corners.ts'
import type { Frame, Reach } from './frames.ts'

/** What the repeats along one line have in common. */
export interface AlongLine {
  readonly path: MeasuredPath
  readonly ruler: Ruler
  readonly advance: number
  /** The nominal end of the ruler. */
  readonly end: number
  /** From the nominal way of this hand to the ruler's. */
  readonly alongOf: (u: number) => number
  readonly mirror: boolean
  readonly fan?: boolean | undefined
  readonly width?: GuideWidth | undefined
  readonly centre?: Point | undefined
}

export class AlongFrame implements Frame {
  readonly mirror: 1 | -1
  readonly outlined: boolean
  private known: Readonly<Record<string, number>> | null = null

  /** `origin`: nominal, from the beginning of this hand's way. */
  constructor(
    protected readonly line: AlongLine,
    private readonly origin: number,
  ) {
    this.mirror = line.mirror ? -1 : 1
    this.outlined = line.width?.kind === 'outline'
  }

  get values(): Readonly<Record<string, number>> {
    this.known ??= this.measure()
    return this.known
  }

  at(s: number, t: number): PathPlace {
    const { path, mirror, fan } = this.line
    const along = this.along(s)
    const place = onPath(path, along, t, mirror)
    const top = fan ? topOfSpoke(path, along, t) : null
    return top ? { ...place, at: top } : place
  }

  named(name: string): Point | null {
    return name === 'centre' ? (this.line.centre ?? null) : null
  }

  toEdge(side: 'left' | 'right', leanRad: number): Point | null {
    return edgeFrom(this.line, this.along(0), side, leanRad)
  }

  protected along(s: number): number {
    return readRuler(this.line.ruler, this.line.alongOf(this.origin + s))
  }

  private measure(): Readonly<Record<string, number>> {
    const { path, centre, end } = this.line
    const middle = placeAt(path, this.along(0))
    const { wl, wr, w } = reachOf(this.line, middle)
    return { wl, wr, w, rest: end - this.origin, radius: centre ? Math.hypot(middle.at.x - centre.x, middle.at.y - centre.y) : 0 }
  }
}

/** Between rails or within an outline: how far it reaches is another from place to place. */
export class VaryingFrame extends AlongFrame {
  reachAt(s: number): Reach {
    return reachOf(this.line, placeAt(this.line.path, withinRails(this.line, this.along(s))))
  }
}

function reachOf({ width, mirror }: AlongLine, place: PathPlace): Reach {
  const { left, right } = widthsAt(width, place)
  return mirror ? { wl: right, wr: left, w: (left + right) / 2 } : { wl: left, wr: right, w: (left + right) / 2 }
}

/** The same frame with its places elsewhere. */
export function withPlaces(frame: Frame, at: Frame['at']): Frame {
  const { mirror, values, outlined = false } = frame
  return { mirror, values, outlined, at, named: (name) => frame.named(name), toEdge: (side, leanRad) => frame.toEdge?.(side, leanRad) ?? null }
}

export function onPath(path: MeasuredPath, along: number, t: number, mirror: boolean): PathPlace {
  const place = placeAt(path, along)
  const direction = mirror ? { x: -place.direction.x, y: -place.direction.y } : place.direction
  if (t === 0) return { at: place.at, direction }
  // The reflected left of the reversed direction is the left of the direction itself.
  return { at: step(place.at, leftOf(place.direction), t), direction }
}

/** Past the ends of its rails a band goes on as wide as there; an outline has no width beyond its tips but what it has. */
function withinRails({ width, path }: AlongLine, along: number): number {
  return width?.kind === 'rails' && !path.closed ? Math.min(path.length, Math.max(0, along)) : along
}

/** A line that leans back from the way of working, followed to a rail or to where it leaves an outline. */
function edgeFrom({ width, path, mirror }: AlongLine, along: number, side: 'left' | 'right', leanRad: number): Point | null {
  if (!width || !(leanRad > 0.05 && leanRad <= Math.PI / 2 + 1e-9)) return null
  const origin = onPath(path, along, 0, mirror)
  const out = leftOf(origin.direction)
  const sign = (side === 'left' ? 1 : -1) * (mirror ? -1 : 1)
  const ray = step({ x: -origin.direction.x * Math.cos(leanRad), y: -origin.direction.y * Math.cos(leanRad) }, out, sign * Math.sin(leanRad))
  if (width.kind === 'even') return step(origin.at, ray, width.halfMm / Math.sin(leanRad))
  const region = width.kind === 'outline' ? width.region : [width.points]
  // The chord along the ray that reaches out from the origin, or, from beyond the tip, the one it runs into.
  const across = leftOf(ray)
  const reaches = chordsOfRegion(region, across, dot(origin.at, across)).map(
    ({ a, b }) => [dot(subtract(a, origin.at), ray), dot(subtract(b, origin.at), ray)] as const,
  )
  const ahead = reaches
    .map(([a, b]) => [Math.min(a, b), Math.max(a, b)] as const)
    .filter(([, to]) => to > 0.02)
    .sort((one, other) => one[0] - other[0])
  const chord = ahead[0]
  if (!chord) return null
  const edge = step(origin.at, ray, chord[1])
  if (chord[0] <= 0 && !isBeyond(along, path)) return edge
  // From beyond an end the thread runs to that end; a vein drawn outside its shape still has an edge. What is only reached across a hole, or
  // from beyond across open cloth as another horn of a crescent, is not its edge.
  const from = isBeyond(along, path) ? placeAt(path, along < 0 ? 0 : path.length, true).at : origin.at
  const isFree = (at: Point): boolean => (isBeyond(along, path) ? isInRegion(region, at) : !region.slice(1).some((hole) => isInRegion([hole], at)))
  return WAY_SHARES.every((share) => isFree(lerp(from, edge, share))) ? edge : null
}

/** Places on the way to an edge at which it must be free. */
const WAY_SHARES = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9]

function isBeyond(along: number, path: MeasuredPath): boolean {
  return along < 0 || along > path.length
}
