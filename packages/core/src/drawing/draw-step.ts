/** One step of a demonstration as a small picture: thread so far, behind and in front, numbered holes, the needle. */
import { type Box, boxOf, type Point } from '../geometry/index.ts'
import { type Demonstration, lyingAt, type Needle, type Step } from '../steps/index.ts'
import { drawDrawn } from './draw-drawn.ts'
import { drawThread } from './draw-thread.ts'
import { drawPose } from './draw-needle.ts'
import { type Detail, lookFor, type ThreadLook } from './look.ts'
import { inkOn } from './ink.ts'
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
  /** This place in the middle, drawn so many times its true size, instead of all of it as near as it fits. */
  readonly near?: { readonly at: Point; readonly scale: number }
}

export interface DrawnStep {
  readonly items: readonly DrawingItem[]
  /** Drawn so many times its true size. */
  readonly scale: number
}

export function drawStep(picture: StepPicture): DrawnStep {
  const { widthMm, heightMm } = picture
  const { ground, hand, numbers, scale } = partsOf(picture)
  return { items: [{ kind: 'clipped', left: 0, top: 0, widthMm, heightMm, items: [...ground(), ...hand, ...numbers()] }], scale }
}

/** The same in two parts: what lies on the cloth with its numbers, and the needle and thread in the hand. */
export function drawStepParts(picture: StepPicture): { readonly ground: () => readonly DrawingItem[]; readonly hand: readonly DrawingItem[] } {
  const { widthMm, heightMm } = picture
  const { ground, hand, numbers } = partsOf(picture)
  const clipped = (items: readonly DrawingItem[]): DrawingItem => ({ kind: 'clipped', left: 0, top: 0, widthMm, heightMm, items })
  return { ground: () => [clipped([...ground(), ...numbers()])], hand: [clipped(hand)] }
}

function frameOf({ demonstration, step, widthMm, heightMm, numberMm, near }: StepPicture) {
  const place = (middle: Point, scale: number) => (at: Point) => ({ x: (at.x - middle.x) * scale + widthMm / 2, y: (at.y - middle.y) * scale + heightMm / 2 })
  if (near) return { scale: near.scale, middle: near.at, place: place(near.at, near.scale) }
  const box = viewBox(demonstration, step.view)
  // Room for a number outside the holes at the edge.
  const room = 0.9 * numberMm
  const scale = Math.min((widthMm - room) / (box.right - box.left), (heightMm - room) / (box.bottom - box.top), 11)
  const middle = { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 }
  return { scale, middle, place: place(middle, scale) }
}

function partsOf(picture: StepPicture) {
  const { demonstration, step, look, widthMm, heightMm } = picture
  const { scale, middle, place } = frameOf(picture)
  // Where it is known already it need not be drawn again.
  const ground = (): DrawingItem[] => {
    const made = lyingAt(demonstration.segments, step)
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
        patches: demonstration.patches.slice(0, step.patches),
      }),
    )
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
    const drawn = drawDrawn(demonstration.guide, (at) => place(demonstration.seen({ x: at.x, y: at.y })), isPinned(picture), inkOn(picture.cloth).marks)
    return [cloth, ...drawn, ...scaled]
  }
  return {
    ground,
    hand: drawPose(step.pose, { look: lookFor(look, step), detail: picture.detail, cloth: picture.cloth, place, scale }),
    numbers: () => numbers(picture, place),
    scale,
  }
}

/** Until it is said that the pin is drawn out. */
function isPinned({ demonstration, step }: StepPicture): boolean {
  return !demonstration.steps.slice(0, step.number - 1).some(({ said }) => said.some((phrase) => phrase.key === 'pin-out'))
}

/** From a third of its length to its point; of one that leads away, its eye. */
function shownOf({ eye, tip, under, blunt }: Needle): readonly Point[] {
  const third = { x: eye.x + (tip.x - eye.x) * 0.35, y: eye.y + (tip.y - eye.y) * 0.35 }
  return under || blunt ? [third, tip] : [eye, third]
}

const boxes = new WeakMap<Demonstration, Map<number, Box>>()

/** Steps of one view share a frame: near enough to see each stitch, and whole where it goes on as before. */
function viewBox(demonstration: Demonstration, view: number): Box {
  const known = boxes.get(demonstration) ?? new Map<number, Box>()
  boxes.set(demonstration, known)
  const box = known.get(view) ?? boxOfView(demonstration, view)
  known.set(view, box)
  return box
}

function boxOfView(demonstration: Demonstration, view: number): Box {
  const steps = demonstration.steps.filter((step) => step.view === view)
  const [first, last] = [Math.min(...steps.map((step) => step.from)), Math.max(...steps.map((step) => step.sequence))]
  const points: Point[] = demonstration.segments.filter(({ sequence }) => sequence > first && sequence <= last).flatMap((segment) => segment.points)
  for (const { pose, inHand, at } of steps) {
    points.push(at, ...inHand.flatMap((segment) => segment.points.slice(-40)))
    // The eye's end of needle and thread may leave the frame: what they do is at the other.
    points.push(...pose.loose.flatMap((way) => way.slice(0, -2)))
    if (pose.needle) points.push(...shownOf(pose.needle))
    if (pose.thumb) points.push(pose.thumb.at)
    if (pose.pull) points.push(...pose.pull)
  }
  const { guide, seen } = demonstration
  // The pin is set before there is thread.
  if (guide.kind === 'pins' && view === 0)
    for (const pin of guide.pins)
      points.push(
        seen({ x: pin.x + (pin.x - guide.base.x) * 0.3, y: pin.y + (pin.y - guide.base.y) * 0.3 }),
        seen({ x: guide.base.x - (pin.x - guide.base.x) * 0.2, y: guide.base.y - (pin.y - guide.base.y) * 0.2 }),
      )
  const reach = Math.max(...demonstration.segments.map((segment) => segment.sizeMm / 2), 0.4)
  const pad = Math.max(0.7, reach + 0.2)
  const { left, right, top, bottom } = boxOf(points) ?? { left: 0, right: 0, top: 0, bottom: 0 }
  return { left: left - pad, right: right + pad, top: top - pad, bottom: bottom + pad }
}

/** Numbers of the holes that are made now, and smaller of those that the sentence or the last one names. */
function numbers({ demonstration, step, numberMm, widthMm, heightMm, cloth }: StepPicture, place: (at: Point) => Point): DrawingItem[] {
  const items: DrawingItem[] = []
  const ink = inkOn(cloth)
  // On dark cloth a dark hole is not seen.
  const spot = ink.isDark ? ink.words : '#3a2d1e'
  if (step.holes.length + step.known.length === 0) return items
  const places = numbersOf(demonstration, { view: step.view, widthMm, heightMm, numberMm, place })
  for (const hole of demonstration.holes) {
    const current = step.holes.includes(hole.number)
    if (!current && !step.known.includes(hole.number)) continue
    const at = place(hole)
    const stands = places.get(hole.number)
    // It lies outside what is seen here.
    if (!stands) continue
    items.push({ kind: 'disc', at, radiusMm: numberMm * (current ? 0.2 : 0.13), fill: spot })
    if (stands.leader) {
      const to = { x: stands.at.x, y: stands.at.y - numberMm * 0.35 }
      const gap = Math.hypot(to.x - at.x, to.y - at.y)
      const end = { x: to.x + ((at.x - to.x) * 0.6 * numberMm) / gap, y: to.y + ((at.y - to.y) * 0.6 * numberMm) / gap }
      items.push({ kind: 'stroke', paths: [[at, end]], widthMm: numberMm * 0.04, colour: spot, opacity: 0.7 })
    }
    items.push({
      kind: 'words',
      at: stands.at,
      text: String(hole.number),
      sizeMm: current ? numberMm * 1.15 : numberMm,
      face: current ? 'text-bold' : 'text',
      colour: ink.words,
      align: 'middle',
    })
  }
  return items
}

const placedNumbers = new WeakMap<Demonstration, { readonly key: string; readonly places: ReadonlyMap<number, NumberPlace> }>()

/** Found once for a demonstration and a size of picture: stepping through it draws the same numbers again. */
function numbersOf(demonstration: Demonstration, frame: NumberFrame): ReadonlyMap<number, NumberPlace> {
  const key = `${frame.view} ${frame.widthMm} ${frame.heightMm} ${frame.numberMm}`
  const known = placedNumbers.get(demonstration)
  if (known?.key === key) return known.places
  const places = placeNumbers(demonstration, frame)
  placedNumbers.set(demonstration, { key, places })
  return places
}
