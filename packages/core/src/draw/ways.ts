/** Ways over the cloth as path data, in the words of stitching. mm; what is said of angles is in degrees, clockwise from the right. */
import fitCurve from 'fit-curve'
import { hundredths } from '../guide/index.ts'
import type { Point } from '../geometry/index.ts'
import { smoothAnchor, writeAnchors } from '../geometry/index.ts'

const pair = ({ x, y }: Point): string => `${hundredths(x)} ${hundredths(y)}`

/** Straight from place to place, with a corner at each; back to the first where it is closed. Null for fewer than two places. */
export function cornered(places: readonly Point[], closed = false): string | null {
  if (places.length < (closed ? 3 : 2)) return null
  return `${places.map((at, index) => `${index === 0 ? 'M' : 'L'} ${pair(at)}`).join(' ')}${closed ? ' Z' : ''}`
}

/** Smoothly through all places. */
export function smoothThrough(places: readonly Point[], closed = false): string | null {
  if (places.length < (closed ? 3 : 2)) return null
  const sharp = { anchors: places.map((at) => ({ at, before: null, after: null })), closed }
  // Each from the sharp one: what is made smooth already must not pull at its neighbours.
  const anchors = places.map((_, index) => smoothAnchor(sharp, index).anchors[index] as (typeof sharp.anchors)[number])
  return writeAnchors({ anchors, closed })
}

/** What a hand drew, smoothed: curves that lie no further than `offMm` from it (P. Schneider, Graphics Gems, 1990). */
export function freehand(places: readonly Point[], offMm: number, closed = false): string | null {
  const apart = places.filter((at, index) => index === 0 || Math.hypot(at.x - (places[index - 1] as Point).x, at.y - (places[index - 1] as Point).y) > 0.05)
  const [first] = apart
  if (!first || apart.length < 2) return null
  const wanted = closed ? [...apart, first] : apart
  const curves = fitCurve(
    wanted.map(({ x, y }) => [x, y]),
    Math.max(0.05, offMm) ** 2,
  )
  if (curves.length === 0) return null
  const said = curves.map(([, one, two, to]) => `C ${[one, two, to].map((at) => pair({ x: at[0], y: at[1] })).join(' ')}`)
  return `M ${pair(first)} ${said.join(' ')}${closed ? ' Z' : ''}`
}

/** Part of a circle from one place to another that rises so far to the left of the way between them; to the right where it is negative. */
export function arc(from: Point, to: Point, riseMm: number): string | null {
  const chord = Math.hypot(to.x - from.x, to.y - from.y)
  if (chord < 0.1) return null
  if (Math.abs(riseMm) < 0.01) return cornered([from, to])
  const radius = (chord * chord) / (8 * Math.abs(riseMm)) + Math.abs(riseMm) / 2
  return `M ${pair(from)} A ${radius.toFixed(4)} ${radius.toFixed(4)} 0 ${Math.abs(riseMm) > chord / 2 ? 1 : 0} ${riseMm > 0 ? 1 : 0} ${pair(to)}`
}

/** The rise of the arc from one place to another through a third; positive to the left of the way (up, for a way to the right). */
export function riseThrough(from: Point, to: Point, through: Point): number {
  const chord = Math.hypot(to.x - from.x, to.y - from.y)
  const [ux, uy] = [(to.x - from.x) / chord, (to.y - from.y) / chord]
  const along = (through.x - from.x) * ux + (through.y - from.y) * uy
  const up = (through.x - from.x) * uy - (through.y - from.y) * ux
  if (Math.abs(up) < 1e-6) return 0
  // Of the circle through three places: its middle lies on the chord's bisector, so far below the chord.
  const below = (along * (chord - along) - up * up) / (2 * up)
  return Math.sign(up) * Math.hypot(chord / 2, below) - below
}

/**
 * Arcs one after another: from the first place through the second to the third, and so on; a last place without an end of its own
 * is gone to straight, and so is the first where it closes.
 */
export function arcsThrough(places: readonly Point[], closed = false): string | null {
  const [first] = places
  if (!first || places.length < (closed ? 3 : 2)) return null
  const parts = [`M ${pair(first)}`]
  let from = first
  for (let index = 1; index < places.length; index += 2) {
    const through = places[index] as Point
    const to = places[index + 1]
    const apart = to ? Math.hypot(to.x - from.x, to.y - from.y) : 0
    const way = to && apart >= 0.1 ? arc(from, to, riseThrough(from, to, through)) : cornered([from, through])
    if (way === null) return null
    parts.push(way.slice(way.search(/[AL]/)))
    from = to ?? through
  }
  return `${parts.join(' ')}${closed ? ' Z' : ''}`
}

/** So many crests, so high, from one place to another; it begins and ends on the way between them. */
export function wave(from: Point, to: Point, crests: number, heightMm: number): string | null {
  const size = Math.hypot(to.x - from.x, to.y - from.y)
  if (size < 0.1 || !(crests >= 0.5)) return null
  const [ux, uy] = [(to.x - from.x) / size, (to.y - from.y) / size]
  const put = (along: number, up: number): Point => ({ x: from.x + ux * along + uy * up, y: from.y + uy * along - ux * up })
  const halves = Math.round(crests * 2)
  const half = size / halves
  const parts = [`M ${pair(from)}`]
  for (let index = 0; index < halves; index += 1) {
    const [begin, high] = [index * half, (index % 2 === 0 ? 1 : -1) * heightMm]
    // Half a sine in one cubic: through its crest, and in at the slope of the sine.
    const reach = (4 * high) / 3
    const lean = Math.min(half * 0.3642, half / 2)
    parts.push(`C ${pair(put(begin + lean, reach))} ${pair(put(begin + half - lean, reach))} ${pair(put(begin + half, 0))}`)
  }
  return parts.join(' ')
}

/**
 * A wave about a middle: part of a circle that rises and falls by so much, clockwise from one angle of its dial to another; the
 * first crest lies outward. Closed where it goes all round. Null where it would pass the middle.
 */
export function waveAbout(middle: Point, radiusMm: number, fromDegrees: number, toDegrees: number, crests: number, heightMm: number): string | null {
  if (!(radiusMm - Math.abs(heightMm) >= 0.2 && crests >= 0.25)) return null
  const turn = (((toDegrees - fromDegrees) % 360) + 360) % 360
  const closed = turn < 0.01
  const sweep = closed ? 360 : turn
  const steps = Math.min(2000, Math.max(8, Math.ceil(crests * 8), Math.ceil(sweep / 20)))
  const places = Array.from({ length: closed ? steps : steps + 1 }, (_, index): Point => {
    const share = index / steps
    return onDial(middle, radiusMm + heightMm * Math.sin(2 * Math.PI * crests * share), fromDegrees + sweep * share)
  })
  return smoothThrough(places, closed)
}

/** From a middle outwards, so many turns, so far from turn to turn; clockwise. */
export function spiral(middle: Point, turns: number, apartMm: number, startMm = apartMm / 2): string | null {
  if (!(turns > 0 && turns <= 60 && apartMm > 0)) return null
  const steps = Math.max(8, Math.round(turns * 16))
  const places = Array.from({ length: steps + 1 }, (_, index): Point => {
    const turn = (turns * index) / steps
    const radius = startMm + apartMm * turn
    return { x: middle.x + radius * Math.cos(2 * Math.PI * turn), y: middle.y + radius * Math.sin(2 * Math.PI * turn) }
  })
  return smoothThrough(places)
}

/** An upright oval inside a box, from its top, clockwise. */
export function oval(from: Point, to: Point): string | null {
  const [rx, ry] = [hundredths(Math.abs(to.x - from.x) / 2), hundredths(Math.abs(to.y - from.y) / 2)]
  if (!(rx >= 0.25 && ry >= 0.25)) return null
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 }
  const half = (y: number): string => `A ${rx} ${ry} 0 0 1 ${pair({ x: middle.x, y })}`
  return `M ${pair({ x: middle.x, y: middle.y - ry })} ${half(middle.y + ry)} ${half(middle.y - ry)} Z`
}

/** A circle, clockwise from its top. */
export function circle(middle: Point, radiusMm: number): string | null {
  if (!(radiusMm > 0)) return null
  const r = hundredths(radiusMm)
  const half = (y: number): string => `A ${r} ${r} 0 0 1 ${pair({ x: middle.x, y })}`
  return `M ${pair({ x: middle.x, y: middle.y - radiusMm })} ${half(middle.y + radiusMm)} ${half(middle.y - radiusMm)} Z`
}

/** Degrees clockwise from twelve o'clock, as one reads them off a dial. */
export function onDial(middle: Point, radiusMm: number, degrees: number): Point {
  const turn = (degrees * Math.PI) / 180
  return { x: middle.x + radiusMm * Math.sin(turn), y: middle.y - radiusMm * Math.cos(turn) }
}

/** Where a place lies on the dial about a middle, degrees from 0 to 360. */
export function dialOf(middle: Point, at: Point): number {
  return ((Math.atan2(at.x - middle.x, middle.y - at.y) * 180) / Math.PI + 360) % 360
}

/** Part of a circle about a middle, clockwise from one angle of its dial to another. */
export function arcAbout(middle: Point, radiusMm: number, fromDegrees: number, toDegrees: number): string | null {
  const sweep = (((toDegrees - fromDegrees) % 360) + 360) % 360
  if (!(radiusMm >= 0.05)) return null
  if (sweep < 0.01) return circle(middle, radiusMm)
  const [from, to] = [onDial(middle, radiusMm, fromDegrees), onDial(middle, radiusMm, toDegrees)]
  return `M ${pair(from)} A ${hundredths(radiusMm)} ${hundredths(radiusMm)} 0 ${sweep > 180 ? 1 : 0} 1 ${pair(to)}`
}

/** Zigzag between two heights, so many legs. */
export function zigzag(from: Point, to: Point, legs: number, heightMm: number): string | null {
  const size = Math.hypot(to.x - from.x, to.y - from.y)
  const count = Math.round(legs)
  if (size < 0.1 || count < 1) return null
  const [ux, uy] = [(to.x - from.x) / size, (to.y - from.y) / size]
  return cornered(
    Array.from({ length: count + 1 }, (_, index): Point => {
      const [along, up] = [(size * index) / count, index % 2 === 0 ? 0 : heightMm]
      return { x: from.x + ux * along + uy * up, y: from.y + uy * along - ux * up }
    }),
  )
}
