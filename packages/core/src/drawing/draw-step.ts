/** One step of a demonstration as a small picture: thread so far, behind and in front, numbered holes, the needle. */
import type { Point } from '../geometry/index.ts'
import type { Demonstration, Step } from '../steps/index.ts'
import { drawThread } from './draw-thread.ts'
import { drawLineThread } from './line-thread.ts'
import { type Detail, lookFor, type ThreadLook } from './look.ts'
import { moveItems, scaleItems, type DrawingItem } from './drawing.ts'
import { mix } from '../materials/index.ts'
import { type NumberFrame, type NumberPlace, placeNumbers } from './number-places.ts'

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
  // Room for a number outside the holes at the edge.
  const room = 0.9 * picture.numberMm
  const scale = Math.min((widthMm - room) / (box.right - box.left), (heightMm - room) / (box.bottom - box.top), 8)
  const made = demonstration.segments.filter((segment) => segment.sequence <= step.sequence)
  const behind = made.filter((segment) => segment.side === 'back')
  const items: DrawingItem[] = []
  for (const [index, segment] of behind.entries()) {
    const latest = index === behind.length - 1
    items.push({
      kind: 'stroke',
      paths: [segment.points],
      widthMm: look.lineWidthMm * 0.5,
      colour: mix(look.colour, '#8A7A66', 0.4),
      opacity: latest ? 0.9 : 0.35,
      dashMm: [look.lineWidthMm * 1.4, look.lineWidthMm],
      cap: 'butt',
    })
  }
  items.push(
    ...drawThread([...made, ...step.inHand], {
      side: 'front',
      look,
      detail: picture.detail,
      cloth: picture.cloth,
      pixelsPerMm: scale * 8,
      patches: demonstration.patches.filter((patch) => patch.sequence <= step.sequence),
    }),
  )
  if (step.loose) {
    items.push(...drawLineThread(step.loose, { look: lookFor(look, step), detail: picture.detail, seed: 5, cloth: picture.cloth, loose: true }))
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
  return { items: [cloth, ...guideItems(picture, place), ...scaled, ...numbers(picture, place), ...needle(step, place, picture, scale)], scale }
}

function viewBox(demonstration: Demonstration): { left: number; right: number; top: number; bottom: number } {
  // Where only the first stitches are stepped through, they fill the picture.
  const last = demonstration.steps.at(-1)?.sequence ?? Number.POSITIVE_INFINITY
  const points: Point[] = demonstration.segments.filter((segment) => segment.sequence <= last).flatMap((segment) => segment.points)
  for (const step of demonstration.steps) {
    if (step.loose) points.push(...step.loose)
    for (const segment of step.inHand) points.push(...segment.points)
  }
  for (const patch of demonstration.patches) points.push(...patch.outline)
  const reach = Math.max(...demonstration.segments.map((segment) => segment.sizeMm / 2), 0.4)
  const xs = points.map((at) => at.x)
  const ys = points.map((at) => at.y)
  const pad = Math.max(1.1, reach + 0.3)
  const [left, right] = [Math.min(...xs) - pad, Math.max(...xs) + pad]
  const [top, bottom] = [Math.min(...ys) - pad - 0.6, Math.max(...ys) + pad + 0.6]
  return { left, right, top, bottom }
}

/** The drawn line or outline that the stitch follows, as much of it as the frame holds. */
function guideItems({ demonstration: { guide, hand }, widthMm, heightMm }: StepPicture, place: (at: Point) => Point): DrawingItem[] {
  if (guide.kind !== 'line' && guide.kind !== 'shape') return []
  const path = guide.kind === 'line' ? guide.path : guide.outline
  const flip = hand === 'left' ? -1 : 1
  const paths = partsInside(
    path.points.map((at) => place({ x: at.x * flip, y: at.y })),
    (at) => isInside(at, widthMm, heightMm),
  )
  return paths.length === 0 ? [] : [{ kind: 'stroke', paths, widthMm: 0.22, colour: '#2E5E9E', opacity: 0.45 }]
}

function isInside(at: Point, widthMm: number, heightMm: number): boolean {
  return at.x >= 0 && at.y >= 0 && at.x <= widthMm && at.y <= heightMm
}

/** A path cut where it leaves the frame, to half a millimetre of paper. */
function partsInside(points: readonly Point[], inside: (at: Point) => boolean): Point[][] {
  const parts: Point[][] = []
  let part: Point[] = []
  const end = (): void => {
    if (part.length > 1) parts.push(part)
    part = []
  }
  for (const [index, to] of points.entries()) {
    const from = points[index - 1] ?? to
    const steps = Math.max(1, Math.ceil(Math.hypot(to.x - from.x, to.y - from.y) / 0.5))
    for (let step = index === 0 ? steps : 1; step <= steps; step += 1) {
      const at = { x: from.x + ((to.x - from.x) * step) / steps, y: from.y + ((to.y - from.y) * step) / steps }
      if (inside(at)) part.push(at)
      else end()
    }
  }
  end()
  return parts
}

/** Numbers beside the holes met so far; holes to come are faint. */
function numbers({ demonstration, step, numberMm, widthMm, heightMm }: StepPicture, place: (at: Point) => Point): DrawingItem[] {
  const items: DrawingItem[] = []
  const seen = new Set<number>()
  const places = numbersOf(demonstration, { widthMm, heightMm, numberMm, place })
  for (const [index, hole] of demonstration.holes.entries()) {
    if (seen.has(hole.number)) continue
    seen.add(hole.number)
    const at = place(hole)
    if (index >= step.shownHoles) {
      if (isInside(at, widthMm, heightMm)) items.push({ kind: 'disc', at, radiusMm: numberMm * 0.1, fill: '#8A7A66', opacity: 0.6 })
      continue
    }
    const current = hole.number === step.hole
    items.push({ kind: 'disc', at, radiusMm: current ? numberMm * 0.2 : numberMm * 0.13, fill: '#3a2d1e' })
    const stands = places.get(hole.number)
    if (!stands) continue
    if (stands.leader) {
      const to = { x: stands.at.x, y: stands.at.y - numberMm * 0.35 }
      const gap = Math.hypot(to.x - at.x, to.y - at.y)
      const end = { x: to.x + ((at.x - to.x) * 0.6 * numberMm) / gap, y: to.y + ((at.y - to.y) * 0.6 * numberMm) / gap }
      items.push({ kind: 'stroke', paths: [[at, end]], widthMm: numberMm * 0.04, colour: '#3a2d1e', opacity: 0.7 })
    }
    items.push({
      kind: 'words',
      at: stands.at,
      text: String(hole.number),
      sizeMm: current ? numberMm * 1.15 : numberMm,
      face: current ? 'text-bold' : 'text',
      colour: '#1F2A37',
      align: 'middle',
    })
  }
  return items
}

const placedNumbers = new WeakMap<Demonstration, { readonly key: string; readonly places: ReadonlyMap<number, NumberPlace> }>()

/** Found once for a demonstration and a size of picture: stepping through it draws the same numbers again. */
function numbersOf(demonstration: Demonstration, frame: NumberFrame): ReadonlyMap<number, NumberPlace> {
  const key = `${frame.widthMm} ${frame.heightMm} ${frame.numberMm}`
  const known = placedNumbers.get(demonstration)
  if (known?.key === key) return known.places
  const places = placeNumbers(demonstration, frame)
  placedNumbers.set(demonstration, { key, places })
  return places
}

/**
 * The needle slants through its hole: point up and away when it comes up, drawing the thread after it; point
 * in the hole when it goes down.
 */
function needle(step: Step, place: (at: Point) => Point, { look, numberMm }: StepPicture, scale: number): DrawingItem[] {
  const at = place(step.at)
  const up = step.move !== 'down'
  const long = numberMm * 3
  const lean = { x: 0.52, y: -0.854 }
  const out = (from: Point, by: number): Point => ({ x: from.x + lean.x * by, y: from.y + lean.y * by })
  const own = lookFor(look, step)
  const width = Math.max(0.25, own.lineWidthMm * scale * 0.8)
  const items: DrawingItem[] = []
  const eye = up ? out(at, numberMm * 0.9) : out(at, long)
  const tip = up ? out(at, numberMm * 0.9 + long) : at
  if (up) items.push({ kind: 'stroke', paths: [[at, eye]], widthMm: width, colour: mix(own.colour, '#1a1420', 0.25), cap: 'round' })
  const towards = { x: (tip.x - eye.x) / long, y: (tip.y - eye.y) / long }
  const half = numberMm * 0.115
  const side = { x: towards.y * half, y: -towards.x * half }
  const neck = { x: tip.x - towards.x * long * 0.3, y: tip.y - towards.y * long * 0.3 }
  items.push({
    kind: 'fill',
    colour: '#6E7681',
    points: [
      { x: eye.x + side.x, y: eye.y + side.y },
      { x: neck.x + side.x, y: neck.y + side.y },
      tip,
      { x: neck.x - side.x, y: neck.y - side.y },
      { x: eye.x - side.x, y: eye.y - side.y },
    ],
  })
  items.push({
    kind: 'stroke',
    paths: [[eye, { x: eye.x + towards.x * long * 0.16, y: eye.y + towards.y * long * 0.16 }]],
    widthMm: half * 0.9,
    colour: '#F4EFE4',
    cap: 'round',
  })
  items.push({
    kind: 'stroke',
    paths: [[{ x: eye.x + towards.x * long * 0.24, y: eye.y + towards.y * long * 0.24 }, neck]],
    widthMm: half * 0.5,
    colour: '#C9CED4',
    cap: 'round',
  })
  return items
}
