/**
 * A printer that prints the bar of 50 mm as 49.3 prints everything so: drawn larger by as much, about the middle of the page, it comes out
 * true. Only what must be true is drawn so: the pattern, with the bar that proves it.
 */
import { type Drawing, moveItems, scaleItems } from '../drawing/index.ts'
import { CHECK_BAR_MM } from './furniture.ts'

/** What a bar of 50 mm may have measured, mm: with more the printer has been told to fit the page, and something would run off it. */
export const BAR_RANGE: readonly [number, number] = [46, 54]

/** Null, or what the bar measures where it is right: as it is. */
export function correctedFor(page: Drawing, barMm: number | null): Drawing {
  if (barMm === null || barMm === CHECK_BAR_MM) return page
  const by = CHECK_BAR_MM / barMm
  const { widthMm, heightMm } = page
  const to = { x: (widthMm / 2) * (1 - by), y: (heightMm / 2) * (1 - by) }
  return {
    ...page,
    layers: page.layers.map((layer) => {
      const items = moveItems(scaleItems(layer.items, by), to)
      const { clip } = layer
      if (!clip) return { ...layer, items }
      const at = ({ x, y }: { readonly x: number; readonly y: number }) => ({ x: x * by + to.x, y: y * by + to.y })
      const [from, till] = [at({ x: clip.left, y: clip.top }), at({ x: clip.right, y: clip.bottom })]
      return { ...layer, items, clip: { left: from.x, top: from.y, right: till.x, bottom: till.y } }
    }),
  }
}
