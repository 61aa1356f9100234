/** A drawing onto a canvas: the screen's writer. The context is already scaled so that one unit is one millimetre. */
import type { DrawingItem } from '@lemmata/core/drawing'
import type { Point } from '@lemmata/core/geometry'
import { canvasFont } from '../look/fonts.ts'

export function paintItems(context: CanvasRenderingContext2D, items: readonly DrawingItem[]): void {
  context.lineJoin = 'round'
  for (const item of items) {
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
  context.globalAlpha = 1
  context.setLineDash([])
}

function trace(context: CanvasRenderingContext2D, points: readonly Point[], closed: boolean): void {
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

/** The weave of the cloth under everything, where its threads are wide enough to be seen. */
export function paintWeave(
  context: CanvasRenderingContext2D,
  box: { left: number; top: number; right: number; bottom: number },
  hex: string,
  pitchMm: number,
  pixelsPerMm: number,
): void {
  context.fillStyle = hex
  context.fillRect(box.left, box.top, box.right - box.left, box.bottom - box.top)
  if (pitchMm <= 0 || pitchMm * pixelsPerMm < 3) return
  const tile = document.createElement('canvas')
  const size = Math.max(4, Math.round(pitchMm * pixelsPerMm * 2 * (window.devicePixelRatio || 1)))
  tile.width = size
  tile.height = size
  const brush = tile.getContext('2d')
  if (!brush) return
  const cell = size / 2
  brush.fillStyle = 'rgba(110, 86, 52, 0.16)'
  brush.fillRect(0, 0, size, size)
  const float = (x: number, y: number, across: boolean): void => {
    const [w, h] = across ? [0.94, 0.76] : [0.76, 0.94]
    brush.fillStyle = hex
    brush.beginPath()
    brush.roundRect(x + (cell * (1 - w)) / 2, y + (cell * (1 - h)) / 2, cell * w, cell * h, cell * 0.3)
    brush.fill()
    brush.fillStyle = 'rgba(255, 255, 255, 0.22)'
    brush.beginPath()
    brush.roundRect(x + cell * 0.28, y + cell * 0.26, cell * 0.44, cell * 0.34, cell * 0.16)
    brush.fill()
  }
  float(0, 0, true)
  float(cell, cell, true)
  float(cell, 0, false)
  float(0, cell, false)
  const pattern = context.createPattern(tile, 'repeat')
  if (!pattern) return
  pattern.setTransform(new DOMMatrix([(2 * pitchMm) / size, 0, 0, (2 * pitchMm) / size, 0, 0]))
  context.globalAlpha = 0.75
  context.fillStyle = pattern
  context.fillRect(box.left, box.top, box.right - box.left, box.bottom - box.top)
  context.globalAlpha = 1
}
