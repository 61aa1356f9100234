/** A drawing onto a canvas: the screen's writer. The context is already scaled so that one unit is one millimetre. */
import type { DrawingItem, Ring } from '@lemmata/core/drawing'
import type { Point } from '@lemmata/core/geometry'
import { canvasFont } from '../look/canvas-font.ts'

export type Context = CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D

export function paintItems(context: Context, items: readonly DrawingItem[], from = 0, to = items.length): void {
  context.lineJoin = 'round'
  for (let index = from; index < Math.min(to, items.length); index += 1) paintItem(context, items[index] as DrawingItem)
  context.globalAlpha = 1
  context.setLineDash([])
}

function paintItem(context: Context, item: DrawingItem): void {
  context.globalAlpha = 'opacity' in item && item.opacity !== undefined ? item.opacity : 1
  switch (item.kind) {
    case 'stroke':
      context.strokeStyle = item.colour
      context.lineWidth = item.widthMm
      context.lineCap = item.cap ?? 'butt'
      context.setLineDash(item.dashMm ? [...item.dashMm] : [])
      context.beginPath()
      for (const path of item.paths) trace(context, path, item.closed ?? false)
      context.stroke()
      break
    case 'fill':
      context.fillStyle = item.colour
      context.beginPath()
      trace(context, item.points, true)
      for (const outline of item.also ?? []) trace(context, outline, true)
      context.fill()
      break
    case 'disc':
      context.setLineDash([])
      context.beginPath()
      context.arc(item.at.x, item.at.y, item.radiusMm, 0, 2 * Math.PI)
      if (item.fill) {
        context.fillStyle = item.fill
        context.fill()
      }
      if (item.stroke) {
        context.strokeStyle = item.stroke.colour
        context.lineWidth = item.stroke.widthMm
        context.stroke()
      }
      break
    case 'ring':
      context.setLineDash([])
      context.beginPath()
      context.arc(item.at.x, item.at.y, item.radiusMm, 0, 2 * Math.PI)
      context.strokeStyle = gradientOf(context, item)
      context.lineWidth = item.widthMm
      context.stroke()
      break
    case 'clipped':
      context.save()
      context.beginPath()
      context.rect(item.left, item.top, item.widthMm, item.heightMm)
      context.clip()
      for (const one of item.items) paintItem(context, one)
      context.restore()
      break
    case 'tagged':
      for (const one of item.items) paintItem(context, one)
      break
    case 'words': {
      // Type is set ten times larger and scaled down: browsers do not set type of three pixels.
      context.save()
      context.translate(item.at.x, item.at.y)
      context.scale(0.1, 0.1)
      context.font = canvasFont(item.face, item.sizeMm * 10)
      context.fillStyle = item.colour
      context.textAlign = item.align === 'middle' ? 'center' : item.align === 'right' ? 'right' : 'left'
      context.fillText(item.text, 0, 0)
      context.restore()
      break
    }
  }
}

function gradientOf(context: Context, { at, along, radiusMm, widthMm, stops }: Ring): CanvasGradient {
  const reach = radiusMm + widthMm / 2
  const gradient = context.createLinearGradient(at.x - along.x * reach, at.y - along.y * reach, at.x + along.x * reach, at.y + along.y * reach)
  for (const { offset, colour, opacity } of stops) {
    const alpha = Math.round(255 * opacity)
    gradient.addColorStop(offset, `${colour}${alpha.toString(16).padStart(2, '0')}`)
  }
  return gradient
}

function trace(context: Context, points: readonly Point[], closed: boolean): void {
  const first = points[0]
  if (!first) return
  context.moveTo(first.x, first.y)
  for (let index = 1; index < points.length; index += 1) context.lineTo((points[index] as Point).x, (points[index] as Point).y)
  if (closed) context.closePath()
}

/** The canvas sized to its box and the screen's pixels, cleared, and scaled to CSS pixels. */
export function prepareCanvas(canvas: HTMLCanvasElement, widthPx: number, heightPx: number): CanvasRenderingContext2D | null {
  const ratio = window.devicePixelRatio || 1
  const [width, height] = [Math.max(1, Math.round(widthPx * ratio)), Math.max(1, Math.round(heightPx * ratio))]
  if (canvas.width !== width || canvas.height !== height) {
    canvas.width = width
    canvas.height = height
  }
  const context = canvas.getContext('2d')
  if (!context) return null
  context.setTransform(ratio, 0, 0, ratio, 0, 0)
  context.clearRect(0, 0, widthPx, heightPx)
  return context
}
