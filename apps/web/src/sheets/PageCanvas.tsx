/** A page as it prints; drawn when it is first seen, for a book has many. */
import type { Drawing } from '@lemmata/core/drawing'
import { useEffect, useRef, useState } from 'react'
import { paintItems, prepareCanvas } from '../drawing/paint.ts'

interface Props {
  readonly widthMm: number
  readonly heightMm: number
  readonly draw: () => Drawing
  readonly label: string
  readonly pxPerMm: number
}

/** Drawn a little before it is scrolled to. */
const AHEAD = '400px'

export function PageCanvas({ widthMm, heightMm, draw, label, pxPerMm }: Props) {
  const ref = useRef<HTMLCanvasElement>(null)
  const [isSeen, setSeen] = useState(typeof IntersectionObserver === 'undefined')
  const [width, height] = [widthMm * pxPerMm, heightMm * pxPerMm]
  useEffect(() => {
    const canvas = ref.current
    if (!canvas || isSeen) return
    const observer = new IntersectionObserver((entries) => entries.some((one) => one.isIntersecting) && setSeen(true), { rootMargin: AHEAD })
    observer.observe(canvas)
    return () => observer.disconnect()
  }, [isSeen])
  useEffect(() => {
    if (!isSeen) return
    const context = ref.current && prepareCanvas(ref.current, width, height)
    if (!context) return
    context.scale(pxPerMm, pxPerMm)
    for (const layer of draw().layers) {
      context.save()
      const { clip } = layer
      if (clip) {
        context.beginPath()
        context.rect(clip.left, clip.top, clip.right - clip.left, clip.bottom - clip.top)
        context.clip()
      }
      paintItems(context, layer.items)
      context.restore()
    }
  }, [isSeen, draw, width, height, pxPerMm])
  return <canvas ref={ref} role="img" aria-label={label} style={{ width, height }} />
}
