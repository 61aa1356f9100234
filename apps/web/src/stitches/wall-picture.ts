/** What the wall shows of a stitch: worked and painted by a worker, so that the page has only to show it. */
import type { Surroundings } from '@lemmata/core/assign'
import { type Result, success } from '@lemmata/core/base'
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { StitchDocument } from '@lemmata/core/notation'
import { motionsOf } from '@lemmata/core/order'
import type { Motion } from '@lemmata/core/work'
import { bitmapOf } from '../drawing/bitmap.ts'
import { paintThread, readyToPaint, type ThreadView } from '../drawing/paint-thread.ts'
import { isPieceOfMore, workForWall } from './swatch.ts'

/** What the wall can be searched for. */
export interface WallFacts {
  /** Difficulty of the stitch itself, 0 to 100. */
  readonly score: number
  readonly motions: readonly Motion[]
}

export interface WallPicture {
  readonly facts: Result<WallFacts>
  /** Painted; null where it cannot be worked. */
  readonly picture: TilePicture | null
}

/** Several tiles are one file, one below another: a browser fetches, reads and keeps each file by itself, and a hundred of them take it a tenth of the wall's time. */
export interface TilePicture {
  readonly file: Blob
  /** From the top of the file, CSS pixels. */
  readonly top: number
  /** Pixels of the file a CSS pixel. */
  readonly ratio: number
}

/** As it is painted: red, green, blue and opacity of each pixel, row by row; null where it cannot be worked. */
export interface PaintedTile {
  readonly facts: Result<WallFacts>
  readonly pixels: Uint8ClampedArray | null
}

/** Of the file that pictures are in. */
export const PICTURE_TYPE = 'image/bmp'

export interface WallLook {
  readonly side: 'front' | 'back'
  readonly clothHex: string
  readonly ratio: number
}

/** A tile's picture, CSS pixels: as wide as the widest tile. A narrower one shows its middle. */
export const TILE = { widthPx: 352, heightPx: 62 } as const
/** Twice true size, so that widths can be compared. */
export const WALL_PX_PER_MM = 7.6

export const wallFacts = (done: WorkedExercise): WallFacts => ({ score: done.stitchDifficulty.score, motions: motionsOf(done) })

const sizeOf = (ratio: number): { readonly width: number; readonly height: number } => ({
  width: Math.round(TILE.widthPx * ratio),
  height: Math.round(TILE.heightPx * ratio),
})

/** In a worker. */
export async function paintForWall(document: StitchDocument, around: Surroundings, look: WallLook): Promise<PaintedTile> {
  const worked = workForWall(document, around)
  if (!worked.ok) return { facts: worked, pixels: null }
  const view: ThreadView = { ...TILE, ...look, pxPerMm: WALL_PX_PER_MM, whole: !isPieceOfMore(document), marks: false }
  await readyToPaint(worked.value, view)
  return { facts: success(wallFacts(worked.value)), pixels: paint(worked.value, view) }
}

/** Tiles of one look. */
export function inOneFile(tiles: readonly PaintedTile[], look: WallLook): readonly WallPicture[] {
  const { width, height } = sizeOf(look.ratio)
  const painted = tiles.flatMap(({ pixels }) => pixels ?? [])
  const file = new Blob([bitmapOf({ width, height }, painted)], { type: PICTURE_TYPE })
  return tiles.map(({ facts, pixels }) => {
    const picture = pixels && { file, top: (painted.indexOf(pixels) * height) / look.ratio, ratio: look.ratio }
    return { facts, picture }
  })
}

/** One for all tiles, and never set anew: what a canvas paints into is made with its first stroke, and that takes longer than a tile. */
let canvas: OffscreenCanvas | null = null

function contextFor({ ratio }: { readonly ratio: number }): OffscreenCanvasRenderingContext2D | null {
  const { width, height } = sizeOf(ratio)
  if (canvas?.width !== width || canvas.height !== height) canvas = new OffscreenCanvas(width, height)
  return canvas.getContext('2d', { willReadFrequently: true })
}

/**
 * The first stroke of a worker's canvas waits until its page has a moment for it, which a page that is being loaded does not have: made
 * while the worker has nothing else to do, it is waited for by nobody. `ratio`: as the wall will be asked for.
 */
export function makeFirstStroke(ratio: number): void {
  if (typeof OffscreenCanvas !== 'undefined') contextFor({ ratio })?.fillRect(0, 0, 1, 1)
}

function paint(done: WorkedExercise, view: ThreadView): Uint8ClampedArray | null {
  const context = contextFor(view)
  if (!context) return null
  const { width, height } = sizeOf(view.ratio)
  // The cloth covers the last tile; how it was painted is forgotten.
  context.save()
  context.scale(view.ratio, view.ratio)
  paintThread(context, done, view)
  context.restore()
  return context.getImageData(0, 0, width, height).data
}
