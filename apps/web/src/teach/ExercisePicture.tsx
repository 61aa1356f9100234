/** The whole of an exercise, as large as its place allows. Decoration: its name stands beside it. */
import { drawExerciseThread } from '@lemmata/core/drawing'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { boxOfExercise, boxOfPiece } from '@lemmata/core/extent'
import { useEffect, useRef } from 'react'
import { paintItems, prepareCanvas } from '../drawing/paint.ts'

interface Props {
  readonly done: WorkedExercise
  readonly clothHex: string
  readonly widthPx: number
  readonly heightPx: number
}

const MARGIN_PX = 14
/** Pieces that lie all over the cloth would each be too small: then the first of them. px a mm */
const LEAST_SCALE = 2.2

export function ExercisePicture({ done, clothHex, widthPx, heightPx }: Props) {
  const ref = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    const context = ref.current && prepareCanvas(ref.current, widthPx, heightPx)
    const whole = boxOfExercise(done)
    if (!context || !whole) return
    const scaleOf = (box: typeof whole): number =>
      Math.min((widthPx - 2 * MARGIN_PX) / Math.max(1, box.right - box.left), (heightPx - 2 * MARGIN_PX) / Math.max(1, box.bottom - box.top), 12)
    const [first] = done.pieces
    const isSpread = scaleOf(whole) < LEAST_SCALE
    const box = (isSpread ? boxOfPiece(first) : null) ?? whole
    const scale = scaleOf(box)
    context.fillStyle = clothHex
    context.fillRect(0, 0, widthPx, heightPx)
    context.translate(widthPx / 2, heightPx / 2)
    context.scale(scale, scale)
    context.translate(-(box.left + box.right) / 2, -(box.top + box.bottom) / 2)
    const shown = isSpread ? { ...done, pieces: [first] as const } : done
    paintItems(context, drawExerciseThread(shown, { side: 'front', pixelsPerMm: scale * (window.devicePixelRatio || 1), cloth: clothHex }, 0))
  }, [done, clothHex, widthPx, heightPx])
  return <canvas ref={ref} aria-hidden="true" style={{ width: widthPx, height: heightPx }} />
}
