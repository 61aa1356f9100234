/** The layers of a piece lifted apart and seen aslant, the cloth lowest. */
import { detailFor, drawExerciseThread } from '@lemmata/core/drawing'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { boxOfExercise } from '@lemmata/core/extent'
import { useEffect, useMemo, useRef } from 'react'
import { paintItems, prepareCanvas } from '../drawing/paint.ts'
import { useSize } from '../drawing/use-size.ts'
import { canvasFont } from '../look/canvas-font.ts'

interface Props {
  readonly layers: readonly (readonly WorkedExercise[])[]
  readonly letters: readonly string[]
  readonly clothHex: string
  readonly label: string
}

const PAD_MM = 4
/** The plates lean back: depth is drawn so much shorter, and drifts aside by this share of it. */
const SQUASH = 0.52
const DRIFT = 0.42
/** Free between a plate and the next, CSS pixels. */
const GAP_PX = 16
const MARGIN_PX = 12
const LETTERS_PX = 44

export function LayersPicture({ layers, letters, clothHex, label }: Props) {
  const ref = useRef<HTMLCanvasElement>(null)
  const { width } = useSize(ref)
  const box = useMemo(() => boxOfAll(layers.flat()), [layers])
  const [wide, deep] = box ? [box.right - box.left, box.bottom - box.top] : [1, 1]
  const scale = Math.max(0.1, (width - LETTERS_PX - 2 * MARGIN_PX) / (wide + DRIFT * deep))
  const lift = deep * scale * SQUASH * 0.55 + GAP_PX
  const height = deep * scale * SQUASH + lift * (layers.length - 1) + 2 * MARGIN_PX
  useEffect(() => {
    if (!ref.current || width === 0 || !box) return
    const context = prepareCanvas(ref.current, width, height)
    if (!context) return
    for (const [level, exercises] of layers.entries()) {
      const bottom = height - MARGIN_PX - level * lift
      context.save()
      // Down the cloth is down the picture and to the left.
      context.transform(scale, 0, -DRIFT * scale, SQUASH * scale, MARGIN_PX + DRIFT * deep * scale, bottom - deep * scale * SQUASH)
      plate(context, wide, deep, level === 0 ? clothHex : null, scale)
      context.translate(-box.left, -box.top)
      for (const one of exercises) {
        const detail = detailFor(one.assigned.main.bundle.lineWidthMm, scale * (window.devicePixelRatio || 1))
        paintItems(context, drawExerciseThread(one, { side: 'front', detail }, 0))
      }
      context.restore()
      context.fillStyle = '#1F2A37'
      context.font = canvasFont('text-bold', 15)
      context.textBaseline = 'middle'
      context.fillText(letters[level] ?? '', width - LETTERS_PX, bottom - deep * scale * SQUASH * 0.5)
    }
  }, [layers, letters, width, height, box, clothHex, scale, lift, wide, deep])
  return <canvas ref={ref} role="img" aria-label={label} style={{ width: '100%', height }} />
}

/** The cloth itself, or the air above it. */
function plate(context: CanvasRenderingContext2D, wide: number, deep: number, clothHex: string | null, scale: number): void {
  context.globalAlpha = clothHex ? 1 : 0.45
  context.fillStyle = clothHex ?? '#FFFDF6'
  context.fillRect(0, 0, wide, deep)
  context.globalAlpha = 1
  context.lineWidth = 1 / scale
  context.strokeStyle = '#8A7A66'
  context.setLineDash(clothHex ? [] : [4 / scale, 3 / scale])
  context.strokeRect(0, 0, wide, deep)
  context.setLineDash([])
}

function boxOfAll(done: readonly WorkedExercise[]) {
  const boxes = done.flatMap((one) => boxOfExercise(one) ?? [])
  if (boxes.length === 0) return null
  return {
    left: Math.min(...boxes.map((box) => box.left)) - PAD_MM,
    right: Math.max(...boxes.map((box) => box.right)) + PAD_MM,
    top: Math.min(...boxes.map((box) => box.top)) - PAD_MM,
    bottom: Math.max(...boxes.map((box) => box.bottom)) + PAD_MM,
  }
}
