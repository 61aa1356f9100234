/** The cloth on its table, painted a little at a time: what is seen of it, in the order in which it lies. */
import {
  backOf,
  drawCloth,
  drawExerciseThread,
  drawHoop,
  drawHoopBelow,
  drawMarkItems,
  drawSelvedges,
  type DrawingItem,
  hoopView,
  marksOn,
} from '@lemmata/core/drawing'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { outsideProblem } from '@lemmata/core/mend'
import { clothPitch, HOOP_MARGIN_MM, hoopOutline, luminance } from '@lemmata/core/materials'
import type { Sampler } from '@lemmata/core/sampler'
import { paintItems } from '../drawing/paint.ts'
import { paintWeave } from '../drawing/weave.ts'
import { DYES } from '../look/theme.ts'
import type { Point } from '@lemmata/core/geometry'
import { type LaidPicture, USUAL_OPACITY_PERCENT } from './use-underlay.ts'
import type { View } from './view.ts'

export interface Scene {
  readonly sampler: Pick<Sampler, 'cloth' | 'workingHoop'>
  readonly done: readonly WorkedExercise[]
  readonly side: 'front' | 'back'
  readonly worked: boolean
  readonly marks: boolean
  /** What one draws over, where it is shown. */
  readonly picture?: LaidPicture | null
}

/** So many items at a time: about a millisecond's work. */
const ITEMS = 160

/** Paints what lies within `widthPx` by `heightPx`; yields now and then, so that whoever asked can rest between. */
export function* paintScene(context: CanvasRenderingContext2D, scene: Scene, view: View, widthPx: number, heightPx: number): Generator<void> {
  const { sampler, done, side } = scene
  const { cloth } = sampler
  const hex = side === 'front' ? cloth.colour.hex : backOf(cloth.colour.hex)
  paintTable(context, widthPx, heightPx, luminance(hex) < 0.18)
  yield
  context.save()
  context.translate(view.x, view.y)
  context.scale(view.scale, view.scale)
  paintShadow(context, cloth)
  const seen = {
    left: -view.x / view.scale,
    top: -view.y / view.scale,
    right: (widthPx - view.x) / view.scale,
    bottom: (heightPx - view.y) / view.scale,
  }
  const onCloth = {
    left: Math.max(0, seen.left),
    top: Math.max(0, seen.top),
    right: Math.min(cloth.widthMm, seen.right),
    bottom: Math.min(cloth.heightMm, seen.bottom),
  }
  if (onCloth.right > onCloth.left && onCloth.bottom > onCloth.top) {
    paintItems(context, drawCloth({ cloth }, side))
    yield
    const pitch = clothPitch({ name: '', threadsPerCm: cloth.threadsPerCm ?? 20, thicknessMm: 0.3 })
    paintWeave(context, onCloth, hex, pitch, view.scale * (window.devicePixelRatio || 1))
    paintItems(context, drawSelvedges(cloth.widthMm, cloth.heightMm, hex))
  }
  if (scene.picture && side === 'front') paintPicture(context, scene.picture, cloth)
  yield
  const hoop = hoopView(sampler, side)
  if (hoop) {
    context.save()
    context.beginPath()
    context.rect(0, 0, cloth.widthMm, cloth.heightMm)
    context.clip()
    paintItems(context, drawHoopBelow(hoop))
    context.restore()
  }
  yield
  if (scene.marks && side === 'front') {
    const look = marksOn(cloth.colour.hex)
    for (const one of done) {
      for (const piece of one.pieces) paintItems(context, drawMarkItems(piece.marks, look))
      yield
    }
  }
  if (scene.worked) {
    const pixelsPerMm = view.scale * (window.devicePixelRatio || 1)
    for (const one of done) {
      const items = drawExerciseThread(one, { side, pixelsPerMm, within: seen, cloth: cloth.colour.hex }, cloth.widthMm / 2)
      yield
      yield* inParts(context, items)
    }
  }
  if (side === 'front') paintOutside(context, scene)
  yield
  if (hoop) paintItems(context, drawHoop(hoop))
  context.restore()
}

/** On the cloth and no further, about its own middle. */
function paintPicture(context: CanvasRenderingContext2D, { image, underlay }: LaidPicture, cloth: Sampler['cloth']): void {
  const { at, widthMm, heightShare, turnRad = 0, opacityPercent = USUAL_OPACITY_PERCENT } = underlay
  context.save()
  context.beginPath()
  context.rect(0, 0, cloth.widthMm, cloth.heightMm)
  context.clip()
  context.translate(at[0], at[1])
  context.rotate(turnRad)
  context.globalAlpha = opacityPercent / 100
  context.drawImage(image, -widthMm / 2, (-widthMm * heightShare) / 2, widthMm, widthMm * heightShare)
  context.restore()
}

function* inParts(context: CanvasRenderingContext2D, items: readonly DrawingItem[]): Generator<void> {
  for (let from = 0; from < items.length; from += ITEMS) {
    paintItems(context, items, from, from + ITEMS)
    yield
  }
}

/** A darker table, with a faint grain; lighter under dark cloth, so that its edge is seen. */
function paintTable(context: CanvasRenderingContext2D, widthPx: number, heightPx: number, underDark: boolean): void {
  context.fillStyle = underDark ? DYES.tableLight : DYES.table
  context.fillRect(0, 0, widthPx, heightPx)
  for (const [step, wide, colour] of [
    [37, 9, 'rgba(0, 0, 0, 0.035)'],
    [61, 3, 'rgba(255, 240, 220, 0.03)'],
    [113, 22, 'rgba(0, 0, 0, 0.03)'],
  ] as const) {
    context.fillStyle = colour
    for (let y = step / 2; y < heightPx; y += step) context.fillRect(0, y, widthPx, wide)
  }
}

/** The cloth throws a fine shadow towards the lower right. */
function paintShadow(context: CanvasRenderingContext2D, { widthMm, heightMm }: Sampler['cloth']): void {
  context.fillStyle = '#120b05'
  for (const [by, opacity] of [
    [1.2, 0.14],
    [2.4, 0.12],
    [4, 0.09],
    [6, 0.06],
  ] as const) {
    context.globalAlpha = opacity
    context.fillRect(0.45 * by, 0.8 * by, widthMm, heightMm)
  }
  context.globalAlpha = 1
}

/** Where thread lies outside the clear area it is tinted, so that one sees which and where. */
function paintOutside(context: CanvasRenderingContext2D, { sampler, done }: Scene): void {
  const hoop = sampler.workingHoop
  if (!hoop) return
  const outside = done.filter((one) => outsideProblem(one, sampler) !== null)
  if (outside.length === 0) return
  const clear = hoopOutline(hoop, HOOP_MARGIN_MM)
  const along = (points: readonly Point[]): void => points.forEach((at, index) => (index === 0 ? context.moveTo(at.x, at.y) : context.lineTo(at.x, at.y)))
  context.save()
  context.beginPath()
  context.rect(-10_000, -10_000, 20_000, 20_000)
  along([...clear].reverse())
  context.closePath()
  context.clip()
  context.strokeStyle = DYES.madder
  context.globalAlpha = 0.35
  context.lineCap = 'round'
  for (const one of outside) {
    context.lineWidth = 1.2 + one.widthMm
    context.beginPath()
    for (const piece of one.pieces)
      for (const { side, points } of piece.worked.segments) {
        if (side !== 'front') continue
        points.forEach((at, index) => (index === 0 ? context.moveTo(at.x, at.y) : context.lineTo(at.x, at.y)))
      }
    context.stroke()
  }
  context.restore()
  context.save()
  context.globalAlpha = 0.9
  context.strokeStyle = DYES.madder
  context.lineWidth = 0.35
  context.setLineDash([2.4, 1.6])
  context.beginPath()
  along(clear)
  context.stroke()
  context.restore()
}
