/** Where the pointer is taken to lie: on a place of another guide, or in a neat direction from the last place. */
import type { Point } from '@lemmata/core/geometry'
import { handlesOf } from '@lemmata/core/guide'
import type { DrawnGuide } from '@lemmata/core/sampler'

export interface Snapped {
  readonly at: Point
  /** "on the end of Isobar"; null where it is nowhere in particular. */
  readonly words: string | null
}

const TURN = Math.PI / 12

/** `withinMm`: how near is near; `straight`: only in steps of 15 degrees from the last place. */
export function snap(
  at: Point,
  guides: readonly DrawnGuide[],
  nameOf: (guide: DrawnGuide) => string,
  withinMm: number,
  last: Point | null,
  straight: boolean,
): Snapped {
  let best: (Snapped & { readonly off: number }) | null = null
  for (const drawn of guides)
    for (const handle of handlesOf(drawn.guide)) {
      if (handle.of !== undefined) continue
      const off = Math.hypot(handle.at.x - at.x, handle.at.y - at.y)
      if (off < withinMm && (!best || off < best.off)) best = { at: handle.at, off, words: `on ${handle.name.replace(/^its /, 'the ')} of ${nameOf(drawn)}` }
    }
  if (best) return { at: best.at, words: best.words }
  if (!straight || !last) return { at, words: null }
  const [dx, dy] = [at.x - last.x, at.y - last.y]
  const turn = Math.round(Math.atan2(dy, dx) / TURN) * TURN
  const reach = dx * Math.cos(turn) + dy * Math.sin(turn)
  return { at: { x: last.x + reach * Math.cos(turn), y: last.y + reach * Math.sin(turn) }, words: null }
}
