/** Where the pointer is taken to lie: on a place of another guide, in the middle of the hoop, on a neat measure or a thread of the cloth. */
import type { Point } from '@lemmata/core/geometry'
import { handlesOf } from '@lemmata/core/guide'
import { isCounted } from '@lemmata/core/materials'
import type { DrawnGuide, Sampler } from '@lemmata/core/sampler'
import { MM_PER_INCH } from '@lemmata/core/units'

export interface Snapped {
  readonly at: Point
  /** "on the end of Isobar"; null where it is nowhere in particular. */
  readonly words: string | null
}

/** What the hand is helped by besides guides. */
export interface NeatGround {
  /** Of the hoop; null without one. */
  readonly middle: Point | null
  /** Places are multiples of it from the cloth's corner, mm; 0: as they come. */
  readonly stepMm: number
}

const TURN = Math.PI / 12
const STEPS_MM = [0.1, 0.2, 0.5, 1, 2, 5]
const STEPS_IN = [1 / 64, 1 / 32, 1 / 16, 1 / 8, 1 / 4].map((inch) => inch * MM_PER_INCH)
/** Threads nearer than this on the screen cannot be told apart. */
const THREAD_PX = 3

/** The finest measure that a pixel can mean; on cloth whose threads are counted, its threads. `scale`: pixels a mm. */
export function neatGround({ cloth, workingHoop, units }: Pick<Sampler, 'cloth' | 'workingHoop' | 'units'>, scale: number): NeatGround {
  const middle = workingHoop ? { x: workingHoop.at[0], y: workingHoop.at[1] } : null
  const pitch = isCounted(cloth.kind) && cloth.threadsPerCm ? 10 / cloth.threadsPerCm : 0
  if (pitch * scale >= THREAD_PX) return { middle, stepMm: pitch }
  return { middle, stepMm: (units === 'mm' ? STEPS_MM : STEPS_IN).find((step) => step * scale >= 0.9) ?? 0 }
}

/** `withinMm`: how near is near; `straight`: only in steps of 15 degrees from the last place. */
export function snap(
  at: Point,
  guides: readonly DrawnGuide[],
  nameOf: (guide: DrawnGuide) => string,
  withinMm: number,
  last: Point | null,
  straight: boolean,
  { middle, stepMm }: NeatGround,
): Snapped {
  let best: (Snapped & { readonly off: number }) | null = null
  const near = (place: Point, words: string): void => {
    const off = Math.hypot(place.x - at.x, place.y - at.y)
    if (off < withinMm && (!best || off < best.off)) best = { at: place, off, words }
  }
  for (const drawn of guides)
    for (const handle of handlesOf(drawn.guide)) if (handle.of === undefined) near(handle.at, `on ${handle.name.replace(/^its /, 'the ')} of ${nameOf(drawn)}`)
  if (middle) near(middle, 'in the middle of the hoop')
  const found = best as Snapped | null
  if (found) return { at: found.at, words: found.words }
  const neat = (mm: number): number => (stepMm > 0 ? Math.round(mm / stepMm) * stepMm : mm)
  if (!straight || !last) return { at: { x: neat(at.x), y: neat(at.y) }, words: null }
  const [dx, dy] = [at.x - last.x, at.y - last.y]
  const turn = Math.round(Math.atan2(dy, dx) / TURN) * TURN
  const reach = neat(dx * Math.cos(turn) + dy * Math.sin(turn))
  return { at: { x: last.x + reach * Math.cos(turn), y: last.y + reach * Math.sin(turn) }, words: null }
}
