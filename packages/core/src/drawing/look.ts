/** How a thread looks, and how much of it is drawn. */
import type { Point } from '../geometry/index.ts'
import type { ThreadRole } from '../notation/index.ts'
import type { Segment } from '../work/index.ts'

/** How much is drawn, by how large a thread appears. */
export type Detail = 'chords' | 'body' | 'edged' | 'full'

export interface OneLook {
  readonly colour: string
  /** By row of an interlocking fill; the last serves all later rows. */
  readonly shades?: readonly string[]
  readonly diameterMm: number
  readonly lineWidthMm: number
  readonly flatWidthMm: number
}

/** The main thread's look, and that of every thread by its role. */
export interface ThreadLook extends OneLook {
  readonly roles?: Readonly<Partial<Record<ThreadRole, OneLook>>>
}

export function lookFor(look: ThreadLook, { thread, row }: Pick<Segment, 'thread'> & { readonly row?: number | null }): OneLook {
  const own = look.roles?.[thread] ?? look
  const shade = own.shades?.[Math.min(row ?? 0, own.shades.length - 1)]
  return shade === undefined ? own : { ...own, colour: shade }
}

/** Shadow and depth of any thread. */
export const DARK = '#1a1420'
/** How far the light moves a highlight, in thread widths, towards the upper left. */
export const LIGHT: Point = { x: -0.5, y: -0.86 }

/** Pixels that one thread width covers decide how much of it can be seen. */
export function detailFor(widthMm: number, pixelsPerMm: number): Detail {
  const pixels = widthMm * pixelsPerMm
  return pixels < 1.3 ? 'chords' : pixels < 3 ? 'body' : pixels < 7 ? 'edged' : 'full'
}
