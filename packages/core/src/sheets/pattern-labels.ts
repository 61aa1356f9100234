/**
 * Where the letters of exercises and the numbers of their pieces stand on the pattern: near what they name, none on another,
 * and as far as there is room on no mark, for what is traced must not be hidden.
 */
import type { Mark } from '../exercise/index.ts'
import type { DrawingItem } from '../drawing/index.ts'
import { type Box, distance, type Point } from '../geometry/index.ts'
import { type MeasureText, WALNUT, words } from './flow.ts'

export interface PatternLabel {
  readonly text: string
  readonly sizeMm: number
  readonly face: 'text' | 'text-bold'
  readonly colour: string
  /** What it names. */
  readonly of: Point
  /** The middle of where it stands if nothing is in the way. */
  readonly rather: Point
}

interface Placed {
  readonly label: PatternLabel
  readonly wideMm: number
  readonly at: Point
}

/** Each against standing one height of the label farther off. */
const ON_LABEL = 300
const OUTSIDE = 300
const ON_INK = 9
const ROUND = 16
/** How far the middle stands from what it names, in heights of the label. */
const RINGS = [0.8, 1.1, 1.5, 2, 2.6, 3.3, 4.2, 5.4]
const CELL_MM = 0.5
/** Capitals and figures, of the height of the type. */
const TALL = 0.68
const APART_MM = 0.35
/** Those placed first could not know of those that came after. */
const ROUNDS = 3

/** `marks` of everything on the pattern; `whole`: what the paper shows of it. Letters before numbers, for they are placed in this order. */
export function placeLabels(labels: readonly PatternLabel[], marks: readonly Mark[], whole: Box, measure: MeasureText): readonly DrawingItem[] {
  const ink = inkCells(marks)
  let placed: readonly Placed[] = labels.map((label) => ({ label, wideMm: measure(label.text, label.sizeMm, label.face), at: label.rather }))
  for (let round = 0; round < ROUNDS; round += 1) {
    const next: Placed[] = []
    for (const [index, one] of placed.entries()) {
      const others = round === 0 ? next : [...next, ...placed.slice(index + 1)]
      next.push({ ...one, at: bestPlace(one, others, ink, whole) })
    }
    placed = next
  }
  return placed.flatMap((one) => drawn(one, placed))
}

function bestPlace(one: Placed, others: readonly Placed[], ink: ReadonlySet<string>, whole: Box): Point {
  let best = one.label.rather
  let least = Number.POSITIVE_INFINITY
  for (const at of candidates(one.label)) {
    const box = boxAt(one, at)
    let cost = distance(at, one.label.rather) / one.label.sizeMm + outside(box, whole) * OUTSIDE
    if (cost >= least) continue
    for (const other of others) if (meet(box, boxAt(other, other.at))) cost += ON_LABEL
    if (cost >= least) continue
    cost += inkUnder(box, ink) * ON_INK
    if (cost < least - 1e-9) [best, least] = [at, cost]
  }
  return best
}

function* candidates({ of, rather, sizeMm }: PatternLabel): Generator<Point> {
  yield rather
  for (const ring of RINGS) {
    for (let turn = 0; turn < ROUND; turn += 1) {
      const angle = (2 * Math.PI * turn) / ROUND
      yield { x: of.x + ring * sizeMm * Math.cos(angle), y: of.y + ring * sizeMm * Math.sin(angle) }
    }
  }
}

/** A thin line to what it names, where it stands far off or nearer to what another names. */
function drawn({ label, wideMm, at }: Placed, all: readonly Placed[]): DrawingItem[] {
  const { text, sizeMm, face, colour, of } = label
  const said = words(text, { x: at.x, y: at.y + (TALL * sizeMm) / 2 }, sizeMm, face, colour, 'middle')
  const away = distance(at, of)
  const isDoubtful = away > 1.9 * sizeMm || all.some((other) => other.label !== label && distance(at, other.label.of) < 0.9 * away)
  if (!isDoubtful) return [said]
  // From the edge of the label, not through it.
  const towards = { x: (of.x - at.x) / away, y: (of.y - at.y) / away }
  const out = Math.min(away, Math.min(wideMm / 2 / Math.max(1e-6, Math.abs(towards.x)), (TALL * sizeMm) / 2 / Math.max(1e-6, Math.abs(towards.y))) + 0.3)
  if (away - out < 0.8) return [said]
  const from = { x: at.x + towards.x * out, y: at.y + towards.y * out }
  return [said, { kind: 'stroke', paths: [[from, of]], widthMm: 0.12, colour: WALNUT }]
}

function boxAt({ label, wideMm }: Placed, { x, y }: Point): Box {
  const tall = TALL * label.sizeMm
  return { left: x - wideMm / 2, right: x + wideMm / 2, top: y - tall / 2, bottom: y + tall / 2 }
}

const meet = (a: Box, b: Box): boolean =>
  a.left < b.right + APART_MM && b.left < a.right + APART_MM && a.top < b.bottom + APART_MM && b.top < a.bottom + APART_MM

const outside = ({ left, right, top, bottom }: Box, whole: Box): number =>
  Math.max(0, whole.left - left) + Math.max(0, right - whole.right) + Math.max(0, whole.top - top) + Math.max(0, bottom - whole.bottom)

/** What part of a box has something to trace in it, 0 to 1. */
function inkUnder({ left, right, top, bottom }: Box, ink: ReadonlySet<string>): number {
  let met = 0
  let all = 0
  for (let x = cell(left); x <= cell(right); x += 1) {
    for (let y = cell(top); y <= cell(bottom); y += 1) {
      all += 1
      if (ink.has(`${x},${y}`)) met += 1
    }
  }
  return met / all
}

const cell = (mm: number): number => Math.floor(mm / CELL_MM)

function inkCells(marks: readonly Mark[]): ReadonlySet<string> {
  const cells = new Set<string>()
  const add = ({ x, y }: Point): void => void cells.add(`${cell(x)},${cell(y)}`)
  const line = (points: readonly Point[]): void => {
    for (const [index, to] of points.entries()) {
      const from = points[Math.max(0, index - 1)] ?? to
      const steps = Math.max(1, Math.ceil(distance(from, to) / (0.8 * CELL_MM)))
      for (let step = 0; step <= steps; step += 1) add({ x: from.x + ((to.x - from.x) * step) / steps, y: from.y + ((to.y - from.y) * step) / steps })
    }
  }
  for (const mark of marks) {
    if (mark.kind === 'line') line(mark.closed && mark.points[0] ? [...mark.points, mark.points[0]] : mark.points)
    else if (mark.kind === 'start') line([1.6, 4.2].map((by) => ({ x: mark.at.x - mark.towards.x * by, y: mark.at.y - mark.towards.y * by })))
    else for (const dx of [-0.5, 0, 0.5]) for (const dy of [-0.5, 0, 0.5]) add({ x: mark.at.x + dx, y: mark.at.y + dy })
  }
  return cells
}
