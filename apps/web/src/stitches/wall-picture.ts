/** What the wall shows of a stitch: worked and painted by a worker, so that the page has only to show it. */
import type { Surroundings } from '@lemmata/core/assign'
import { type Result, success } from '@lemmata/core/base'
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { StitchDocument } from '@lemmata/core/notation'
import { motionsOf } from '@lemmata/core/order'
import type { Motion } from '@lemmata/core/work'
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
  /** Painted; null where it cannot be worked. */
  readonly jpeg: ArrayBuffer | null
}

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
export async function paintForWall(document: StitchDocument, around: Surroundings, look: WallLook): Promise<WallPicture> {
  const worked = workForWall(document, around)
  return { facts: worked.ok ? success(wallFacts(worked.value)) : worked, jpeg: worked.ok ? await paint(worked.value, look) : null }
}

/** At the best quality a JPEG has, where every pixel keeps its own colour: coded four times as fast as a PNG. */
async function paint(done: WorkedExercise, look: WallLook): Promise<ArrayBuffer | null> {
  const [width, height] = [Math.round(TILE.widthPx * look.ratio), Math.round(TILE.heightPx * look.ratio)]
  const canvas = new OffscreenCanvas(width, height)
  const context = canvas.getContext('2d', { willReadFrequently: true })
  if (!context) return null
  context.scale(look.ratio, look.ratio)
  paintThread(context, done, { ...TILE, ...look, pxPerMm: PX_PER_MM, whole: true, marks: false })
  return (await canvas.convertToBlob({ type: 'image/jpeg', quality: 1 })).arrayBuffer()
}
