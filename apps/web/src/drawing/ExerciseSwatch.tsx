/** A small piece of a worked exercise: the middle of it, as large as shows what it is. Decoration; its name stands beside it. */
import { drawExerciseThread } from '@lemmata/core/drawing'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { boxOfExercise } from '@lemmata/core/extent'
import type { Point } from '@lemmata/core/geometry'
import { useEffect, useRef } from 'react'
import { paintItems, prepareCanvas } from './paint.ts'
import { whenFree } from './when-free.ts'

interface Props {
  readonly done: WorkedExercise
  readonly clothHex: string
  readonly widthPx: number
  readonly heightPx: number
}

/** A line is shown closer than a shape; neither so close that it is no longer known. */
const CLOSEST = 6
const FURTHEST = 1.6

export function ExerciseSwatch({ done, clothHex, widthPx, heightPx }: Props) {
  const ref = useRef<HTMLCanvasElement>(null)
  useEffect(() => whenFree(() => paintMiddle(ref.current, done, clothHex, widthPx, heightPx)), [done, clothHex, widthPx, heightPx])
  return <canvas ref={ref} aria-hidden="true" style={{ width: widthPx, height: heightPx }} />
}

function paintMiddle(canvas: HTMLCanvasElement | null, done: WorkedExercise, clothHex: string, widthPx: number, heightPx: number): void {
  const box = boxOfExercise(done)
  const context = canvas && prepareCanvas(canvas, widthPx, heightPx)
  if (!context || !box) return
  context.fillStyle = clothHex
  context.fillRect(0, 0, widthPx, heightPx)
  const narrow = Math.max(1, Math.min(box.right - box.left, box.bottom - box.top))
  const scale = Math.min(CLOSEST, Math.max(FURTHEST, (heightPx - 4) / narrow))
  const at = middleOf(done, { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 })
  const half = { x: widthPx / 2 / scale, y: heightPx / 2 / scale }
  context.translate(widthPx / 2, heightPx / 2)
  context.scale(scale, scale)
  context.translate(-at.x, -at.y)
  const within = { left: at.x - half.x, top: at.y - half.y, right: at.x + half.x, bottom: at.y + half.y }
  paintItems(context, drawExerciseThread(done, { side: 'front', pixelsPerMm: scale * (window.devicePixelRatio || 1), within, cloth: clothHex }, 0))
}

/** Where thread lies, nearest to the middle of all: a ring has none in its middle. */
function middleOf({ pieces }: WorkedExercise, middle: Point): Point {
  let best = Number.POSITIVE_INFINITY
  let found = middle
  for (const segment of pieces[0].worked.segments) {
    if (segment.side !== 'front') continue
    const at = segment.points[segment.points.length >> 1] as Point
    const away = Math.hypot(at.x - middle.x, at.y - middle.y)
    if (away < best) {
      best = away
      found = at
    }
  }
  return found
}
