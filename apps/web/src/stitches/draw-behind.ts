/** The back of a demonstration so far, turned over. */
import { backOf, drawThread, moveItems, scaleItems, type DrawingItem, type StepPicture } from '@lemmata/core/drawing'
import { lyingAt } from '@lemmata/core/steps'

export function drawBehind({ demonstration, step, look, widthMm, heightMm, detail, cloth }: StepPicture): readonly DrawingItem[] {
  const made = lyingAt(demonstration.segments, step)
  const all = demonstration.segments.flatMap((segment) => segment.points)
  const xs = all.map((at) => at.x)
  const ys = all.map((at) => at.y)
  const middle = { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 }
  const scale = Math.min(widthMm / (Math.max(...xs) - Math.min(...xs) + 2), heightMm / (Math.max(...ys) - Math.min(...ys) + 1.6), 8)
  const ground: DrawingItem = {
    kind: 'fill',
    colour: cloth,
    points: [
      { x: 0, y: 0 },
      { x: widthMm, y: 0 },
      { x: widthMm, y: heightMm },
      { x: 0, y: heightMm },
    ],
  }
  const thread = drawThread(made, { side: 'back', look, detail, mirrorX: middle.x, cloth, pixelsPerMm: 8 * scale })
  return [
    { ...ground, colour: backOf(cloth) },
    ...moveItems(scaleItems(moveItems(thread, { x: -middle.x, y: -middle.y }), scale), { x: widthMm / 2, y: heightMm / 2 }),
  ]
}
