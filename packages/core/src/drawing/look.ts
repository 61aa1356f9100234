/** How a thread looks, and how much of it is drawn. */
import type { ThreadRole } from '../notation/index.ts'
import type { Segment } from '../work/index.ts'
import type { Sheen } from './tone.ts'

/** How much is drawn, by how large a thread appears: one stroke, a lit stroke, shadow and taper, its twist. */
export type Detail = 'chords' | 'body' | 'edged' | 'full'

export interface OneLook {
  readonly colour: string
  /** By row of an interlocking fill; the last serves all later rows. */
  readonly shades?: readonly string[]
  readonly diameterMm: number
  readonly lineWidthMm: number
  readonly flatWidthMm: number
  readonly sheen?: Sheen
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

/** Pixels that one thread width covers decide how much of it can be seen. */
export function detailFor(widthMm: number, pixelsPerMm: number): Detail {
  const pixels = widthMm * pixelsPerMm
  return pixels < 1.4 ? 'chords' : pixels < 2.6 ? 'body' : pixels < 8 ? 'edged' : 'full'
}
