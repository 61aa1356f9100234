/** Where the cloth is on the screen: a scale and an offset, and the ways between pixels and millimetres. */
import type { Point } from '@lemmata/core/geometry'

export interface View {
  /** CSS pixels per millimetre. */
  readonly scale: number
  /** Where the cloth's corner lies, CSS pixels. */
  readonly x: number
  readonly y: number
}

export const RULER_PX = 24
/** Of the table, left free round what is fitted. */
const AROUND_PX = 8
const LEAST = 0.4
const MOST = 60

export function fitView(
  widthPx: number,
  heightPx: number,
  box: { readonly left: number; readonly top: number; readonly right: number; readonly bottom: number },
): View {
  const room = { width: Math.max(50, widthPx - RULER_PX - 2 * AROUND_PX), height: Math.max(50, heightPx - RULER_PX - 2 * AROUND_PX) }
  const scale = Math.min(room.width / (box.right - box.left), room.height / (box.bottom - box.top))
  return centred(scale, widthPx, heightPx, { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 })
}

export function centred(scale: number, widthPx: number, heightPx: number, middle: Point): View {
  return { scale, x: RULER_PX + (widthPx - RULER_PX) / 2 - middle.x * scale, y: RULER_PX + (heightPx - RULER_PX) / 2 - middle.y * scale }
}

/** Closer or further about a place of the screen, which stays where it is. */
export function zoomAt(view: View, by: number, at: Point): View {
  const scale = Math.min(MOST, Math.max(LEAST, view.scale * by))
  const change = scale / view.scale
  return { scale, x: at.x - (at.x - view.x) * change, y: at.y - (at.y - view.y) * change }
}

export const toScreen = (view: View, at: Point): Point => ({ x: view.x + at.x * view.scale, y: view.y + at.y * view.scale })
export const toCloth = (view: View, at: Point): Point => ({ x: (at.x - view.x) / view.scale, y: (at.y - view.y) / view.scale })
