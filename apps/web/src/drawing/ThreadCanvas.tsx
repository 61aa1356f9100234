/** A worked exercise shown on a piece of its cloth, at a stated scale or fitted to the box. */
import { clothPitch } from '@lemmata/core/materials'
import { detailFor, drawExerciseThread, drawMarkItems, DRAWN_MARKS } from '@lemmata/core/drawing'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { boxOfExercise } from '@lemmata/core/extent'
import { useEffect, useRef } from 'react'
import { paintItems, paintWeave, prepareCanvas } from './paint.ts'
import { useSize } from './use-size.ts'

interface Props {
  readonly done: WorkedExercise
  readonly heightPx: number
  readonly label: string
  /** CSS pixels per millimetre. */
  readonly pxPerMm: number
  readonly side?: 'front' | 'back'
  readonly marks?: boolean
  readonly clothHex: string
}

export function ThreadCanvas({ done, heightPx, label, pxPerMm, side = 'front', marks = false, clothHex }: Props) {
  const ref = useRef<HTMLCanvasElement>(null)
  const { width } = useSize(ref)
  useEffect(() => {
    const canvas = ref.current
    const box = boxOfExercise(done)
    if (!canvas || width === 0 || !box) return
    const context = prepareCanvas(canvas, width, heightPx)
    if (!context) return
    const middle = { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 }
    context.translate(width / 2, heightPx / 2)
    context.scale(pxPerMm, pxPerMm)
    context.translate(-middle.x, -middle.y)
    const half = { x: width / pxPerMm / 2, y: heightPx / pxPerMm / 2 }
    paintWeave(
      context,
      { left: middle.x - half.x, right: middle.x + half.x, top: middle.y - half.y, bottom: middle.y + half.y },
      clothHex,
      clothPitch(done.assigned.cloth),
      pxPerMm,
    )
    if (marks) for (const piece of done.pieces) paintItems(context, drawMarkItems(piece.marks, DRAWN_MARKS))
    paintItems(
      context,
      drawExerciseThread(done, { side, detail: detailFor(done.assigned.main.bundle.lineWidthMm, pxPerMm * (window.devicePixelRatio || 1)) }, middle.x),
    )
  }, [done, width, heightPx, pxPerMm, side, marks, clothHex])
  return <canvas ref={ref} role="img" aria-label={label} style={{ height: heightPx, width: '100%' }} />
}
