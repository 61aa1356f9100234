/** A worked exercise shown on a piece of its cloth, at a stated scale. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import { boxOfExercise } from '@lemmata/core/extent'
import { useEffect, useRef } from 'react'
import { paintThread } from './paint-thread.ts'
import { prepareCanvas } from './paint.ts'
import { useSize } from './use-size.ts'

interface Props {
  readonly done: WorkedExercise
  readonly heightPx: number
  readonly label: string
  /** CSS pixels per millimetre. */
  readonly pxPerMm: number
  /** Smaller where its height has no room; at its sides it may go on beyond the picture. */
  readonly whole?: boolean
  readonly side?: 'front' | 'back'
  readonly marks?: boolean
  readonly clothHex: string
}

export function ThreadCanvas({ done, heightPx, label, pxPerMm, whole = false, side = 'front', marks = false, clothHex }: Props) {
  const ref = useRef<HTMLCanvasElement>(null)
  const { width } = useSize(ref)
  useEffect(() => {
    const canvas = ref.current
    if (!canvas || width === 0 || !boxOfExercise(done)) return
    const context = prepareCanvas(canvas, width, heightPx)
    if (context) paintThread(context, done, { widthPx: width, heightPx, pxPerMm, whole, side, marks, clothHex, ratio: window.devicePixelRatio || 1 })
  }, [done, width, heightPx, pxPerMm, whole, side, marks, clothHex])
  return <canvas ref={ref} role="img" aria-label={label} style={{ height: heightPx, width: '100%' }} />
}
