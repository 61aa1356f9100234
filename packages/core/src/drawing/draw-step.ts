/** One step of a demonstration as a small picture: thread so far, behind and in front, numbered holes, the needle. */
import type { Point } from '../geometry/index.ts'
import type { Demonstration, Step } from '../steps/index.ts'
import { drawThread, type Detail, type ThreadLook } from './draw-thread.ts'
import { moveItems, scaleItems, type DrawingItem } from './drawing.ts'
import { mix } from './colour.ts'

export interface StepPicture {
  readonly demonstration: Demonstration
  readonly step: Step
  readonly look: ThreadLook
  readonly widthMm: number
  readonly heightMm: number
  readonly detail: Detail
  readonly cloth: string
  /** Height of the hole numbers. */
  readonly numberMm: number
}

export interface DrawnStep {
  readonly items: readonly DrawingItem[]
  /** Drawn so many times its true size. */
  readonly scale: number
}

export function drawStep(picture: StepPicture): DrawnStep {
  const { demonstration, step, look, widthMm, heightMm } = picture
  const box = viewBox(demonstration)
  const scale = Math.min(widthMm / (box.right - box.left), heightMm / (box.bottom - box.top), 8)
  const made = demonstration.segments.filter((segment) => segment.order <= step.order)
  const behind = made.filter((segment) => segment.side === 'back')
  const items: DrawingItem[] = []
  for (const [index, segment] of behind.entries()) {
    const latest = index === behind.length - 1
    items.push({ kind: 'stroke', paths: [segment.points], widthMm: look.lineWidthMm * 0.5, colour: mix(look.colour, '#8A7A66', 0.4), opacity: latest ? 0.9 : 0.35, dashMm: [look.lineWidthMm * 1.4, look.lineWidthMm], cap: 'butt' })
  }
  items.push(...drawThread(made, 'front', look, picture.detail))
  if (step.loose) {
    items.push({ kind: 'stroke', paths: [step.loose], widthMm: look.lineWidthMm, colour: mix(look.colour, '#1a1420', 0.42), cap: 'round' })
    items.push({ kind: 'stroke', paths: [step.loose], widthMm: look.lineWidthMm * 0.8, colour: look.colour, cap: 'round' })
  }
  const middle = { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 }
  const place = (at: Point): Point => ({ x: (at.x - middle.x) * scale + widthMm / 2, y: (at.y - middle.y) * scale + heightMm / 2 })
  const scaled = moveItems(scaleItems(moveItems(items, { x: -middle.x, y: -middle.y }), scale), { x: widthMm / 2, y: heightMm / 2 })
  const cloth: DrawingItem = {
    kind: 'fill',
    colour: picture.cloth,
    points: [
      { x: 0, y: 0 },
      { x: widthMm, y: 0 },
      { x: widthMm, y: heightMm },
      { x: 0, y: heightMm },
    ],
  }
  return { items: [cloth, ...scaled, ...numbers(picture, place), ...needle(step, place)], scale }
}

function viewBox(demonstration: Demonstration): { left: number; right: number; top: number; bottom: number } {
  const points: Point[] = demonstration.segments.flatMap((segment) => segment.points)
  for (const step of demonstration.steps) if (step.loose) points.push(...step.loose)
  const reach = Math.max(...demonstration.segments.map((segment) => segment.sizeMm / 2), 0.4)
  const xs = points.map((at) => at.x)
  const ys = points.map((at) => at.y)
  const pad = Math.max(0.9, reach + 0.3)
  const [left, right] = [Math.min(...xs) - pad, Math.max(...xs) + pad]
  const [top, bottom] = [Math.min(...ys) - pad - 0.6, Math.max(...ys) + pad + 0.6]
  return { left, right, top, bottom }
}

/** Numbers beside the holes met so far, above and below in turn so that neighbours do not touch. */
function numbers({ demonstration, step, numberMm }: StepPicture, place: (at: Point) => Point): DrawingItem[] {
  const items: DrawingItem[] = []
  const seen = new Set<number>()
  for (const hole of demonstration.holes.slice(0, step.number)) {
    if (seen.has(hole.number)) continue
    seen.add(hole.number)
    const at = place(hole)
    const up = hole.number % 2 === 1
    const current = hole.number === step.hole
    items.push({ kind: 'disc', at, radiusMm: current ? 0.55 : 0.35, fill: '#3a2d1e' })
    items.push({ kind: 'words', at: { x: at.x, y: at.y + (up ? -numberMm * 0.75 : numberMm * 1.35) }, text: String(hole.number), sizeMm: current ? numberMm * 1.2 : numberMm, face: current ? 'text-bold' : 'text', colour: '#1F2A37', align: 'middle' })
  }
  return items
}

/** The needle slants through its hole: point up when it comes up, point down when it goes down. */
function needle(step: Step, place: (at: Point) => Point): DrawingItem[] {
  const at = place(step.at)
  const up = step.move === 'up'
  const tip = up ? { x: at.x + 2.6, y: at.y - 5.2 } : at
  const tail = up ? at : { x: at.x + 3.4, y: at.y - 6.6 }
  const along = { x: (tip.x - tail.x) / 7, y: (tip.y - tail.y) / 7 }
  const side = { x: along.y * 0.35, y: -along.x * 0.35 }
  return [
    { kind: 'fill', colour: '#6E7681', points: [{ x: tail.x + side.x, y: tail.y + side.y }, { x: tip.x - along.x, y: tip.y - along.y }, tip, { x: tail.x - side.x, y: tail.y - side.y }] },
    { kind: 'stroke', paths: [[tail, tip]], widthMm: 0.2, colour: '#D9DDE2', cap: 'round' },
  ]
}
