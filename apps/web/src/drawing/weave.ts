/** The weave under everything: the cloth's tile at the screen's scale, kept while it is used. */
import { weaveTile } from '@lemmata/core/drawing'
import type { Context } from './paint.ts'

interface Area {
  readonly left: number
  readonly top: number
  readonly right: number
  readonly bottom: number
}

interface Kept {
  readonly canvas: OffscreenCanvas
  readonly threads: number
}

const tiles = new Map<string, Kept | null>()
const MOST_TILES = 16
/** While one zooms, a tile for nearly this scale serves. */
const LADDER = 1.12

/** `pixelsPerMm`: the screen's pixels, as the context is scaled now. */
export function paintWeave(context: Context, area: Area, hex: string, pitchMm: number, pixelsPerMm: number): void {
  context.fillStyle = hex
  context.fillRect(area.left, area.top, area.right - area.left, area.bottom - area.top)
  if (pitchMm <= 0) return
  const q = pitchMm * pixelsPerMm
  const tile = tileFor(hex, q)
  if (!tile) return
  const pattern = context.createPattern(tile.canvas, 'repeat')
  if (!pattern) return
  const scale = (tile.threads * pitchMm) / tile.canvas.width
  pattern.setTransform(new DOMMatrix([scale, 0, 0, scale, 0, 0]))
  context.imageSmoothingEnabled = true
  context.imageSmoothingQuality = 'high'
  context.fillStyle = pattern
  context.fillRect(area.left, area.top, area.right - area.left, area.bottom - area.top)
}

function tileFor(hex: string, q: number): Kept | null {
  const step = Math.round(Math.log(q) / Math.log(LADDER))
  // Fine weaves are drawn at their exact scale: stretched, they would shimmer.
  const at = q < 7 ? q : LADDER ** step
  const key = `${hex} ${at.toFixed(2)}`
  const known = tiles.get(key)
  if (known !== undefined) return known
  const made = weaveTile(hex, at)
  const kept = made && { canvas: canvasOf(made.pixels, made.size), threads: made.threads }
  if (tiles.size >= MOST_TILES) tiles.delete(tiles.keys().next().value as string)
  tiles.set(key, kept)
  return kept
}

function canvasOf(pixels: Uint8ClampedArray, size: number): OffscreenCanvas {
  const canvas = new OffscreenCanvas(size, size)
  canvas.getContext('2d', { willReadFrequently: true })?.putImageData(new ImageData(new Uint8ClampedArray(pixels), size, size), 0, 0)
  return canvas
}
