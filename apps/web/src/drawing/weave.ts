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
  readonly image: OffscreenCanvas | ImageBitmap
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
  const tile = tileFor(hex, pitchMm * pixelsPerMm)
  if (!tile) return
  const pattern = context.createPattern(tile.image, 'repeat')
  if (!pattern) return
  const scale = (tile.threads * pitchMm) / tile.image.width
  pattern.setTransform(new DOMMatrix([scale, 0, 0, scale, 0, 0]))
  context.imageSmoothingEnabled = true
  context.imageSmoothingQuality = 'high'
  context.fillStyle = pattern
  context.fillRect(area.left, area.top, area.right - area.left, area.bottom - area.top)
}

/**
 * Makes what `paintWeave` will need, in a worker: what is drawn onto a canvas for the first time there waits until the page has a moment for
 * it, once a canvas, and a page that is being loaded has none. A picture that is no canvas waits for nobody.
 */
export async function readyWeave(hex: string, pitchMm: number, pixelsPerMm: number): Promise<void> {
  if (pitchMm <= 0) return
  const { key, at } = scaleOf(hex, pitchMm * pixelsPerMm)
  if (tiles.has(key)) return
  const made = weaveTile(hex, at)
  keep(key, made && { image: await createImageBitmap(imageOf(made)), threads: made.threads })
}

function tileFor(hex: string, q: number): Kept | null {
  const { key, at } = scaleOf(hex, q)
  const known = tiles.get(key)
  if (known !== undefined) return known
  const made = weaveTile(hex, at)
  return keep(key, made && { image: canvasOf(imageOf(made)), threads: made.threads })
}

function scaleOf(hex: string, q: number): { readonly key: string; readonly at: number } {
  // Fine weaves are drawn at their exact scale: stretched, they would shimmer.
  const at = q < 7 ? q : LADDER ** Math.round(Math.log(q) / Math.log(LADDER))
  return { key: `${hex} ${at.toFixed(2)}`, at }
}

function keep(key: string, kept: Kept | null): Kept | null {
  if (tiles.size >= MOST_TILES) tiles.delete(tiles.keys().next().value as string)
  tiles.set(key, kept)
  return kept
}

const imageOf = ({ pixels, size }: NonNullable<ReturnType<typeof weaveTile>>): ImageData => new ImageData(new Uint8ClampedArray(pixels), size, size)

function canvasOf(image: ImageData): OffscreenCanvas {
  const canvas = new OffscreenCanvas(image.width, image.height)
  canvas.getContext('2d', { willReadFrequently: true })?.putImageData(image, 0, 0)
  return canvas
}
