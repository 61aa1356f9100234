/**
 * Where the numbers of holes stand in a picture: beside their hole, clear of one another, of other holes and, as
 * far as there is room, of thread. The same for every step of a demonstration, so that no number jumps.
 */
import type { Point } from '../geometry/index.ts'
import type { Demonstration } from '../steps/index.ts'

export interface NumberFrame {
  /** The steps that share this frame. */
  readonly view: number
  /** The picture, mm of paper. */
  readonly widthMm: number
  readonly heightMm: number
  /** Height of the numbers, mm of paper. */
  readonly numberMm: number
  /** From the cloth to the paper. */
  readonly place: (at: Point) => Point
}

export interface NumberPlace {
  /** Middle of its baseline. */
  readonly at: Point
  /** A thin line leads to its hole. */
  readonly leader: boolean
}

interface Box {
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}

/** What stands in the way weighs more than standing farther off, each against a step of one number's height. */
const OUTSIDE = 400
const ON_NUMBER = 200
const ON_HOLE = 12
const ON_THREAD = 5
const ROUND = 12
const RINGS = [0, 0.8, 1.7, 2.8]
/** Thread is looked up in cells of a quarter of a number's height. */
const CELLS = 4

/** By the number of the hole; only for holes that some step of the view shows. */
export function placeNumbers(demonstration: Demonstration, frame: NumberFrame): ReadonlyMap<number, NumberPlace> {
  const { place, numberMm } = frame
  const shown = new Set(demonstration.steps.flatMap((step) => (step.view === frame.view ? [...step.holes, ...step.known] : [])))
  const isInside = ({ x, y }: Point): boolean => x >= 0 && y >= 0 && x <= frame.widthMm && y <= frame.heightMm
  const holes = new Map(
    demonstration.holes.flatMap((hole) => {
      const at = place(hole)
      return shown.has(hole.number) && isInside(at) ? [[hole.number, at] as const] : []
    }),
  )
  const thread = threadCells(demonstration, frame)
  const preferred = preferredPlaces(demonstration, frame, [...holes.values()])
  const taken: Box[] = []
  const placed = new Map<number, NumberPlace>()
  for (const [number, hole] of holes) {
    const first = preferred(hole, number)
    let best = { at: first, cost: Number.POSITIVE_INFINITY }
    for (const at of around(hole, first, numberMm)) {
      const box = boxAt(at, number, numberMm)
      let cost = Math.hypot(at.x - first.x, at.y - first.y) / numberMm + outside(box, frame) * OUTSIDE
      for (const other of taken) cost += shareOf(box, other) * ON_NUMBER
      for (const other of holes.values()) if (holds(box, other)) cost += ON_HOLE
      cost += shareOnThread(box, thread, numberMm) * ON_THREAD
      if (cost < best.cost - 1e-9) best = { at, cost }
    }
    taken.push(boxAt(best.at, number, numberMm))
    const away = (from: Point): number => Math.hypot(best.at.x - from.x, best.at.y - numberMm * 0.35 - from.y)
    const own = away(hole)
    // A line where it stands far off, or nearer to another hole than to its own.
    placed.set(number, { at: best.at, leader: own > 2.2 * numberMm || [...holes.values()].some((other) => away(other) < 0.85 * own) })
  }
  return placed
}

/** On a line in rows above and below it, odd above; elsewhere outwards, a little to the left, away from the needle. */
function preferredPlaces({ guide, segments }: Demonstration, { numberMm, place }: NumberFrame, placed: readonly Point[]) {
  const [high, low] = [Math.min(...placed.map((at) => at.y)), Math.max(...placed.map((at) => at.y))]
  if (guide.kind === 'line' && low - high < numberMm * 0.4) {
    const ys = segments.filter((segment) => segment.side === 'front').flatMap((segment) => segment.points.map((at) => place(at).y))
    const [top, bottom] = [Math.min(high, ...ys) - numberMm * 0.55, Math.max(low, ...ys) + numberMm * 1.2]
    return (at: Point, number: number): Point => ({ x: at.x - numberMm * 0.25, y: number % 2 === 1 ? top : bottom })
  }
  const size = Math.max(0, ...segments.map((segment) => segment.sizeMm / 2))
  const out = Math.abs(place({ x: 0, y: size }).y - place({ x: 0, y: 0 }).y) + numberMm * 0.85
  // Away from the pins, which hold the thread up; elsewhere from the middle of the picture.
  const pin = guide.kind === 'pins' ? guide.pins[0] : undefined
  const middle = pin ? place(pin).y : (high + low) / 2
  return (at: Point): Point => ({ x: at.x - numberMm * 0.4, y: at.y + (at.y <= middle ? -1 : 1) * out + numberMm * 0.35 })
}

function* around(hole: Point, first: Point, numberMm: number): Generator<Point> {
  yield first
  const near = Math.max(0.85 * numberMm, Math.min(1.6 * numberMm, Math.hypot(first.x - hole.x, first.y - numberMm * 0.35 - hole.y)))
  for (const ring of RINGS) {
    for (let turn = 0; turn < ROUND; turn += 1) {
      const angle = (2 * Math.PI * turn) / ROUND
      const away = near + ring * numberMm
      yield { x: hole.x + away * Math.cos(angle), y: hole.y + away * Math.sin(angle) + numberMm * 0.35 }
    }
  }
}

/** A digit is about 0.52 of its height wide, and 0.72 of the size tall. */
function boxAt(at: Point, number: number, numberMm: number): Box {
  const half = (String(number).length * 0.52 * numberMm) / 2 + 0.06 * numberMm
  return { left: at.x - half, right: at.x + half, top: at.y - 0.76 * numberMm, bottom: at.y + 0.06 * numberMm }
}

function outside({ left, right, top, bottom }: Box, { widthMm, heightMm }: NumberFrame): number {
  return Math.max(0, -left) + Math.max(0, right - widthMm) + Math.max(0, -top) + Math.max(0, bottom - heightMm)
}

function shareOf(a: Box, b: Box): number {
  const wide = Math.min(a.right, b.right) - Math.max(a.left, b.left)
  const tall = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top)
  return wide <= 0 || tall <= 0 ? 0 : (wide * tall) / ((a.right - a.left) * (a.bottom - a.top))
}

function holds({ left, right, top, bottom }: Box, at: Point): boolean {
  return at.x > left && at.x < right && at.y > top && at.y < bottom
}

function threadCells({ segments, steps }: Demonstration, { place, numberMm, view }: NumberFrame): ReadonlySet<string> {
  const last = Math.max(0, ...steps.filter((step) => step.view === view).map((step) => step.sequence))
  const cells = new Set<string>()
  for (const segment of segments) {
    if (segment.side !== 'front' || segment.sequence > last) continue
    for (const point of segment.points) {
      const { x, y } = place(point)
      cells.add(`${Math.floor((x * CELLS) / numberMm)},${Math.floor((y * CELLS) / numberMm)}`)
    }
  }
  return cells
}

function shareOnThread({ left, right, top, bottom }: Box, cells: ReadonlySet<string>, numberMm: number): number {
  const cell = (value: number): number => Math.floor((value * CELLS) / numberMm)
  let met = 0
  let all = 0
  for (let x = cell(left); x <= cell(right); x += 1) {
    for (let y = cell(top); y <= cell(bottom); y += 1) {
      all += 1
      if (cells.has(`${x},${y}`)) met += 1
    }
  }
  return met / all
}
