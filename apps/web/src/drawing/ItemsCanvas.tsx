/** Any drawing in millimetres on a piece of cloth, at a stated scale: as much of it as the box shows. */
import type { DrawingItem } from '@lemmata/core/drawing'
import { useEffect, useRef } from 'react'
import { paintItems, prepareCanvas } from './paint.ts'

interface Props {
  readonly items: readonly DrawingItem[]
  readonly box: { readonly left: number; readonly top: number; readonly right: number; readonly bottom: number }
  readonly pxPerMm: number
  readonly clothHex: string
  readonly label: string
}

export function ItemsCanvas({ items, box, pxPerMm, clothHex, label }: Props) {
  const ref = useRef<HTMLCanvasElement>(null)
  const [width, height] = [(box.right - box.left) * pxPerMm, (box.bottom - box.top) * pxPerMm]
  useEffect(() => {
    const context = ref.current && prepareCanvas(ref.current, width, height)
    if (!context) return
    context.fillStyle = clothHex
    context.fillRect(0, 0, width, height)
    context.scale(pxPerMm, pxPerMm)
    context.translate(-box.left, -box.top)
    paintItems(context, items)
  }, [items, box, pxPerMm, clothHex, width, height])
  return <canvas ref={ref} role="img" aria-label={label} style={{ width, height, maxWidth: '100%' }} />
}
