/**
 * A path as the places it goes through, each with where its curve is drawn to on either side: what one takes hold of. Arcs
 * and quadratic curves become cubic ones; of several subpaths the first.
 */
import svgpath from 'svgpath'
import { distance, lerp, type Point, subtract, unit } from './point.ts'

export interface Anchor {
  readonly at: Point
  /** Where the curve that comes in is drawn from; null where it comes straight. */
  readonly before: Point | null
  /** Where the curve that goes on is drawn to; null where it goes straight. */
  readonly after: Point | null
}

export interface AnchoredPath {
  readonly anchors: readonly Anchor[]
  readonly closed: boolean
}

/** Null for what cannot be read, or goes through fewer than two places. */
export function readAnchors(data: string): AnchoredPath | null {
  const parsed = svgpath(data)
  if ((parsed as unknown as { err?: string }).err) return null
  const anchors: Anchor[] = []
  let closed = false
  let ended = false
  const put = (at: Point, before: Point | null): void => void anchors.push({ at, before, after: null })
  const leave = (after: Point | null): void => {
    const last = anchors.at(-1)
    if (last) anchors[anchors.length - 1] = { ...last, after }
  }
  parsed
    .abs()
    .unarc()
    .unshort()
    .iterate((segment) => {
      const [kind, ...n] = segment as unknown as [string, ...number[]]
      if (ended) return
      const last = anchors.at(-1)?.at ?? { x: 0, y: 0 }
      const number = (index: number): number => n[index] as number
      if (kind === 'M') {
        if (anchors.length > 0) ended = true
        else put({ x: number(0), y: number(1) }, null)
      } else if (kind === 'L') put({ x: number(0), y: number(1) }, null)
      else if (kind === 'H') put({ x: number(0), y: last.y }, null)
      else if (kind === 'V') put({ x: last.x, y: number(0) }, null)
      else if (kind === 'C') {
        leave({ x: number(0), y: number(1) })
        put({ x: number(4), y: number(5) }, { x: number(2), y: number(3) })
      } else if (kind === 'Q') {
        const [middle, end] = [
          { x: number(0), y: number(1) },
          { x: number(2), y: number(3) },
        ]
        leave(lerp(last, middle, 2 / 3))
        put(end, lerp(end, middle, 2 / 3))
      } else if (kind === 'Z' || kind === 'z') {
        closed = true
        ended = true
      }
    })
  const [first] = anchors
  const last = anchors.at(-1)
  // A path that was closed where it began has that place once.
  if (closed && first && last && anchors.length > 2 && distance(first.at, last.at) < 1e-6) {
    anchors.pop()
    anchors[0] = { ...first, before: last.before }
  }
  return anchors.length < 2 ? null : { anchors: anchors.map(withoutIdle), closed }
}

/** A curve that is drawn to the place itself is drawn to nothing. */
function withoutIdle({ at, before, after }: Anchor): Anchor {
  const kept = (to: Point | null): Point | null => (to && distance(to, at) > 1e-6 ? to : null)
  return { at, before: kept(before), after: kept(after) }
}

/** A thousandth of a millimetre. */
const said = (value: number): string => String(Math.round(value * 1000) / 1000 + 0)
const pair = ({ x, y }: Point): string => `${said(x)} ${said(y)}`

export function writeAnchors({ anchors, closed }: AnchoredPath): string {
  const [first, ...rest] = anchors as readonly [Anchor, ...Anchor[]]
  const parts = [`M ${pair(first.at)}`]
  const go = (from: Anchor, to: Anchor): void => {
    if (from.after || to.before) parts.push(`C ${pair(from.after ?? from.at)} ${pair(to.before ?? to.at)} ${pair(to.at)}`)
    else parts.push(`L ${pair(to.at)}`)
  }
  rest.forEach((to, index) => go(anchors[index] as Anchor, to))
  const last = anchors.at(-1) as Anchor
  if (closed && (last.after || first.before)) go(last, first)
  return `${parts.join(' ')}${closed ? ' Z' : ''}`
}

/** One place taken elsewhere, its curves with it. */
export function moveAnchor(path: AnchoredPath, index: number, to: Point): AnchoredPath {
  return changed(path, index, (anchor) => {
    const by = subtract(to, anchor.at)
    const carried = (point: Point | null): Point | null => point && { x: point.x + by.x, y: point.y + by.y }
    return { at: to, before: carried(anchor.before), after: carried(anchor.after) }
  })
}

/** One end of a curve taken elsewhere; where the path was smooth it stays so. */
export function moveCurve(path: AnchoredPath, index: number, side: 'before' | 'after', to: Point): AnchoredPath {
  const other = side === 'before' ? 'after' : 'before'
  return changed(path, index, (anchor) => {
    const opposite = anchor[other]
    const way = unit(subtract(anchor.at, to))
    if (!opposite || !way || !isSmooth(anchor)) return { ...anchor, [side]: to }
    const reach = distance(anchor.at, opposite)
    return { ...anchor, [side]: to, [other]: { x: anchor.at.x + way.x * reach, y: anchor.at.y + way.y * reach } }
  })
}

/** Where a curve comes in and goes on in one direction. */
export function isSmooth({ at, before, after }: Anchor): boolean {
  if (!before || !after) return false
  const [into, out] = [unit(subtract(at, before)), unit(subtract(after, at))]
  return into !== null && out !== null && into.x * out.x + into.y * out.y > 0.999
}

/** As the chord of its neighbours runs; an end as the way to its neighbour does. */
export function smoothAnchor(path: AnchoredPath, index: number): AnchoredPath {
  const { before: previous, after: next } = neighbours(path, index)
  return changed(path, index, (anchor) => {
    const way = unit(subtract((next ?? anchor).at, (previous ?? anchor).at))
    if (!way) return anchor
    const reach = (to: Anchor | null, sign: number): Point | null => {
      if (!to) return null
      const by = (sign * distance(anchor.at, to.at)) / 3
      return { x: anchor.at.x + way.x * by, y: anchor.at.y + way.y * by }
    }
    return { at: anchor.at, before: reach(previous, -1), after: reach(next, 1) }
  })
}

/** A corner: straight in and straight out. */
export function sharpAnchor(path: AnchoredPath, index: number): AnchoredPath {
  return changed(path, index, ({ at }) => ({ at, before: null, after: null }))
}

/** Fewer than two places are no path, and fewer than three no closed one: then it is as it was. */
export function removeAnchor(path: AnchoredPath, index: number): AnchoredPath {
  if (path.anchors.length <= (path.closed ? 3 : 2)) return path
  return { ...path, anchors: path.anchors.filter((_, at) => at !== index) }
}

/** A place more, on the path, where it comes nearest; its form stays what it was. */
export function addAnchor(path: AnchoredPath, near: Point): { readonly path: AnchoredPath; readonly index: number } {
  const legs = path.closed ? path.anchors.length : path.anchors.length - 1
  let best = { leg: 0, share: 0.5, off: Infinity }
  for (let leg = 0; leg < legs; leg += 1)
    for (let step = 1; step < STEPS; step += 1) {
      const share = step / STEPS
      const off = distance(near, cutLeg(path, leg, share).middle.at)
      if (off < best.off) best = { leg, share, off }
    }
  // Between the steps the way is nearly straight: halving finds the nearest place on it.
  for (let reach = 1 / STEPS; reach > 1e-7; reach /= 2)
    for (const share of [best.share - reach / 2, best.share + reach / 2]) {
      const off = share > 0 && share < 1 ? distance(near, cutLeg(path, best.leg, share).middle.at) : Infinity
      if (off < best.off) best = { leg: best.leg, share, off }
    }
  const { from, middle, to } = cutLeg(path, best.leg, best.share)
  const next = (best.leg + 1) % path.anchors.length
  const anchors = path.anchors.map((one, index) => (index === best.leg ? from : index === next ? to : one))
  anchors.splice(best.leg + 1, 0, middle)
  return { path: { ...path, anchors }, index: best.leg + 1 }
}

const STEPS = 64

/** The other way round. */
export function turnedAnchors({ anchors, closed }: AnchoredPath): AnchoredPath {
  const turned = [...anchors].reverse().map(({ at, before, after }) => ({ at, before: after, after: before }))
  // A closed path begins where it began.
  return { anchors: closed ? [...turned.slice(-1), ...turned.slice(0, -1)] : turned, closed }
}

/** From one anchor to another, open; of a closed path onward, past its start where the second comes before the first. */
export function partOfAnchors({ anchors, closed }: AnchoredPath, from: number, to: number): AnchoredPath {
  const many = anchors.length
  const count = closed ? (((to - from) % many) + many) % many || many : to - from
  const part = Array.from({ length: Math.max(0, count) + 1 }, (_, index) => anchors[(from + index) % many] as Anchor)
  return {
    anchors: part.map((one, index) => ({ at: one.at, before: index === 0 ? null : one.before, after: index === part.length - 1 ? null : one.after })),
    closed: false,
  }
}

/** Two open paths, the second from where the first ends back to where it begins, as one closed one. */
export function closedOf(there: AnchoredPath, back: AnchoredPath): AnchoredPath {
  const [first, last] = [there.anchors[0] as Anchor, there.anchors.at(-1) as Anchor]
  const [begin, end] = [back.anchors[0] as Anchor, back.anchors.at(-1) as Anchor]
  return {
    anchors: [
      { at: first.at, before: end.before, after: first.after },
      ...there.anchors.slice(1, -1),
      { at: last.at, before: last.before, after: begin.after },
      ...back.anchors.slice(1, -1),
    ],
    closed: true,
  }
}

/** The ends of a leg and a place between them, with the curves that draw the same way (de Casteljau). */
function cutLeg({ anchors }: AnchoredPath, leg: number, share: number): { readonly from: Anchor; readonly middle: Anchor; readonly to: Anchor } {
  const from = anchors[leg] as Anchor
  const to = anchors[(leg + 1) % anchors.length] as Anchor
  if (!from.after && !to.before) return { from, middle: { at: lerp(from.at, to.at, share), before: null, after: null }, to }
  const [a, b, c, d] = [from.at, from.after ?? from.at, to.before ?? to.at, to.at]
  const [ab, bc, cd] = [lerp(a, b, share), lerp(b, c, share), lerp(c, d, share)]
  const [abc, bcd] = [lerp(ab, bc, share), lerp(bc, cd, share)]
  return { from: { ...from, after: ab }, middle: { at: lerp(abc, bcd, share), before: abc, after: bcd }, to: { ...to, before: cd } }
}

function neighbours({ anchors, closed }: AnchoredPath, index: number): { readonly before: Anchor | null; readonly after: Anchor | null } {
  const at = (place: number): Anchor | null => anchors[closed ? (place + anchors.length) % anchors.length : place] ?? null
  return { before: at(index - 1), after: at(index + 1) }
}

function changed(path: AnchoredPath, index: number, change: (anchor: Anchor) => Anchor): AnchoredPath {
  return { ...path, anchors: path.anchors.map((one, at) => (at === index ? change(one) : one)) }
}
