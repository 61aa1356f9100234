/** A worked exercise on a piece of its cloth, at a stated scale: onto a page's canvas or a worker's. */
import { backOf, detailFor, drawExerciseThread, drawMarkItems, marksOn } from '@lemmata/core/drawing'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { boxOfExercise } from '@lemmata/core/extent'
import { clothPitch } from '@lemmata/core/materials'
import { type Context, paintItems } from './paint.ts'
import { paintWeave, readyWeave } from './weave.ts'

export interface ThreadView {
  readonly widthPx: number
  readonly heightPx: number
  /** CSS pixels per millimetre. */
  readonly pxPerMm: number
  /** Smaller where its height has no room; at its sides it may go on beyond the picture. */
  readonly whole: boolean
  readonly side: 'front' | 'back'
  readonly marks: boolean
  readonly clothHex: string
  /** The screen's pixels in a CSS pixel. */
  readonly ratio: number
}

/** Each smaller scale is so much smaller. */
const STEP = 1.25

/** The context is cleared, and scaled to CSS pixels. */
export function paintThread(context: Context, done: WorkedExercise, view: ThreadView): void {
  const { widthPx, heightPx, side, clothHex, ratio } = view
  const { scale, x, y } = swatchView(done, widthPx, heightPx, view.pxPerMm, view.whole)
  const middle = { x: (widthPx / 2 - x) / scale, y: (heightPx / 2 - y) / scale }
  context.translate(x, y)
  context.scale(scale, scale)
  const half = { x: widthPx / scale / 2, y: heightPx / scale / 2 }
  const within = { left: middle.x - half.x, right: middle.x + half.x, top: middle.y - half.y, bottom: middle.y + half.y }
  const pixels = scale * ratio
  paintWeave(context, within, shownCloth(view), clothPitch(done.assigned.cloth), pixels)
  if (view.marks) for (const piece of done.pieces) paintItems(context, drawMarkItems(piece.marks, marksOn(clothHex)))
  const detail = detailFor(done.assigned.main.bundle.lineWidthMm, pixels)
  paintItems(context, drawExerciseThread(done, { side, detail, pixelsPerMm: pixels, within, cloth: clothHex }, middle.x))
}

/** Before a worker paints it: makes what it would wait for. */
export async function readyToPaint(done: WorkedExercise, view: ThreadView): Promise<void> {
  const { scale } = swatchView(done, view.widthPx, view.heightPx, view.pxPerMm, view.whole)
  await readyWeave(shownCloth(view), clothPitch(done.assigned.cloth), scale * view.ratio)
}

const shownCloth = ({ side, clothHex }: ThreadView): string => (side === 'front' ? clothHex : backOf(clothHex))

/** Where such a picture has the cloth's millimetres: x pixels = x + scale * x mm. Its middle is the exercise's. */
export function swatchView(
  done: WorkedExercise,
  width: number,
  heightPx: number,
  pxPerMm: number,
  whole: boolean,
): { readonly scale: number; readonly x: number; readonly y: number } {
  const box = boxOfExercise(done) ?? { left: 0, right: 0, top: 0, bottom: 0 }
  const room = (heightPx - 8) / Math.max(0.1, box.bottom - box.top)
  // In steps, so that a wall of many needs few weaves.
  const steps = whole ? Math.max(0, Math.ceil(Math.log(pxPerMm / room) / Math.log(STEP))) : 0
  const scale = pxPerMm / STEP ** steps
  return { scale, x: width / 2 - (scale * (box.left + box.right)) / 2, y: heightPx / 2 - (scale * (box.top + box.bottom)) / 2 }
}
