/** A photograph opened and measured off the page's thread. It never leaves the device. */
import { flattened, measureOpened, type OpenedPicture, openPicture, type Picture, type RowPlan, type SaidOfPicture, type Verdict } from '@lemmata/core/photo'
import { EVEN_HANDWORK, paintScene, PLAIN_SHOT, shoot, sewRow } from '@lemmata/core/stand-in-camera'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { expose, transfer } from 'comlink'

/** Longer sides are made smaller: no more is seen in them. */
const LONGEST_PX = 4032
/** Of the window, as it is shown. */
const SHOWN_PER_MM = 14

export interface Looked {
  readonly verdict: Verdict
  /** The window laid flat; null where no card was found. */
  readonly window: ImageBitmap | null
}

let opened: OpenedPicture | null = null
/** What it may be instead. */
let others: readonly RowPlan[] = []

async function decoded(file: Blob): Promise<Picture> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' })
  const scale = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height))
  const [widthPx, heightPx] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)]
  const context = new OffscreenCanvas(widthPx, heightPx).getContext('2d', { willReadFrequently: true })
  if (!context) throw new Error('no canvas')
  context.drawImage(bitmap, 0, 0, widthPx, heightPx)
  bitmap.close()
  return { widthPx, heightPx, rgba: context.getImageData(0, 0, widthPx, heightPx).data }
}

async function look(picture: Picture, plan: RowPlan, alike: readonly RowPlan[]): Promise<Looked> {
  others = alike
  const found = openPicture(picture)
  opened = found.ok ? found.value : null
  if (!found.ok) return { verdict: found.verdict, window: null }
  const { rgba, widthPx, heightPx } = flattened(picture, found.value.fit, SHOWN_PER_MM)
  const window = await createImageBitmap(new ImageData(new Uint8ClampedArray(rgba), widthPx, heightPx))
  return transfer({ verdict: measureOpened(found.value, plan, undefined, others), window }, [window])
}

const service = {
  /** Null where it is no picture that this browser can read. */
  look: async (file: Blob, plan: RowPlan, alike: readonly RowPlan[]): Promise<Looked | null> => {
    const picture = await decoded(file).catch(() => null)
    return picture && look(picture, plan, alike)
  },
  /** The picture looked at last, once more: she has touched the thread or counted. */
  again: (plan: RowPlan, said: SaidOfPicture): Verdict | null => opened && measureOpened(opened, plan, said, others),
  /** As a hand might have worked it, and a phone photographed it: to see how it goes without card and cloth. */
  example: async (done: WorkedExercise, plan: RowPlan, seed: number): Promise<Looked> => {
    const hand = { ...EVEN_HANDWORK, seed, scatterMm: plan.acrossMm > 0 ? 0.09 : 0.12 + 0.1 * (seed % 3), trend: seed % 2 === 0 ? 0.3 : 0 }
    const scene = paintScene(
      sewRow(done, plan, hand),
      { ...{ clothHex: plan.clothHex, weaveMm: 0.42, threadHex: plan.threadHex, lineHex: null, fuzzMm: 0.02 }, seed },
      20,
    )
    const shot = { ...PLAIN_SHOT, ...{ pixelsPerMm: 13, tiltDeg: 9, tiltTowardsDeg: 40 * seed, rollDeg: 4, gradient: 0.15, noise: 0.006, seed } }
    return look(shoot(scene, shot), plan, [])
  },
}

export type PhotoService = typeof service
expose(service)
