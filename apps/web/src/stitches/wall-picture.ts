/** What the wall shows of a stitch: worked and painted by a worker, so that the page has only to show it. */
import type { Surroundings } from '@lemmata/core/assign'
import { type Result, success } from '@lemmata/core/base'
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { StitchDocument } from '@lemmata/core/notation'
import { motionsOf } from '@lemmata/core/order'
import type { Motion } from '@lemmata/core/work'
import { bitmapOf } from '../drawing/bitmap.ts'
import { paintThread } from '../drawing/paint-thread.ts'
import { workForWall } from './swatch.ts'

/** What the wall can be searched for. */
export interface WallFacts {
  /** Difficulty of the stitch itself, 0 to 100. */
  readonly score: number
  readonly motions: readonly Motion[]
}

export interface WallPicture {
  readonly facts: Result<WallFacts>
  /** Painted, a file; null where it cannot be worked. */
  readonly picture: Blob | null
}

/** Of the file that a picture is. */
export const PICTURE_TYPE = 'image/bmp'

export interface WallLook {
  readonly side: 'front' | 'back'
  readonly clothHex: string
  readonly ratio: number
}

/** A tile's picture, CSS pixels: as wide as the widest tile. A narrower one shows its middle. */
export const TILE = { widthPx: 352, heightPx: 62 } as const
/** Twice true size, so that widths can be compared; what has no room is drawn smaller. */
const PX_PER_MM = 7.6

export const wallFacts = (done: WorkedExercise): WallFacts => ({ score: done.stitchDifficulty.score, motions: motionsOf(done) })

/** In a worker. */
export function paintForWall(document: StitchDocument, around: Surroundings, look: WallLook): WallPicture {
  const worked = workForWall(document, around)
  return { facts: worked.ok ? success(wallFacts(worked.value)) : worked, picture: worked.ok ? paint(worked.value, look) : null }
}

/** One for all tiles, and never set anew: what a canvas paints into is made with its first stroke, and that takes longer than a tile. */
let canvas: OffscreenCanvas | null = null

function paint(done: WorkedExercise, look: WallLook): Blob | null {
  const [width, height] = [Math.round(TILE.widthPx * look.ratio), Math.round(TILE.heightPx * look.ratio)]
  if (canvas?.width !== width || canvas.height !== height) canvas = new OffscreenCanvas(width, height)
  const context = canvas.getContext('2d', { willReadFrequently: true })
  if (!context) return null
  // The cloth covers the last tile; how it was painted is forgotten.
  context.save()
  context.scale(look.ratio, look.ratio)
  paintThread(context, done, { ...TILE, ...look, pxPerMm: PX_PER_MM, whole: true, marks: false })
  context.restore()
  return new Blob([bitmapOf(context.getImageData(0, 0, width, height))], { type: PICTURE_TYPE })
}
