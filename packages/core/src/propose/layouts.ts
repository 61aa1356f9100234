/**
 * Arrangements that the core proposes: bands of equal height, cells, the sectors of a dial. Every exercise is moved whole, never
 * scaled, in the order of the lessons, so that the cloth is read as the course is taught. mm
 */
import type { GuideId } from '../base/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { boxOfExercise } from '../extent/index.ts'
import { onDial } from '../draw/index.ts'
import { type Box, boxAround, type Matrix, type Point } from '../geometry/index.ts'
import type { Guide } from '../guide/index.ts'
import { clearHalves, HOOP_MARGIN_MM, rectangleInside } from '../materials/index.ts'
import { lessonOf, type Operation, type Sampler, teachingOrder } from '../sampler/index.ts'
import { middleOf, withMotifs } from '../layout/index.ts'

export const LAYOUTS = ['bands', 'cells', 'dial'] as const
export type LayoutWay = (typeof LAYOUTS)[number]

/** What is moved as one: an exercise, or several that share guides or belong to one motif. */
export interface Unit {
  readonly exercises: readonly string[]
  readonly guides: readonly GuideId[]
  /** Its lesson's place in the course; behind them all what no lesson teaches. */
  readonly lesson: number
  /** All it covers, half a line's width beyond its stitches. */
  readonly box: Box
  /** Cloth under thread, mm²: how heavy it looks. */
  readonly weight: number
}

export interface PlacedUnit {
  readonly unit: Unit
  readonly middle: Point
  /** How far it is too large for its place, mm; 0 where it fits. */
  readonly overMm: number
  /** The factor at which it would just fit; 1 where it does. */
  readonly factor: number
}

export interface Proposal {
  readonly way: LayoutWay
  readonly units: readonly PlacedUnit[]
  /** Its bands, cells or sectors, to be drawn as sketches. */
  readonly lines: readonly Guide[]
  /** Of all pairs of boxes, mm². */
  readonly overlapMm2: number
  /** From the middle of all weight to the middle of the hoop, mm. */
  readonly offMiddleMm: number
}

/** Free on each side of what lies in a place. */
const MARGIN_MM = 3
/** Inside the clear area, for the hand that draws it. */
const HAND_MM = 2
/** Without a hoop so much of the cloth stays free at its edges. */
const BORDER_MM = 25
/** What is so many times as large as the others is the hub of a dial. */
const HUB_TIMES = 1.5

export function unitsOf(sampler: Sampler, done: readonly WorkedExercise[]): readonly Unit[] {
  const units: { exercises: string[]; guides: Set<GuideId>; lesson: number; box: Box; weight: number }[] = []
  for (const { id } of teachingOrder(sampler)) {
    const worked = done.find((one) => one.exercise.id === id)
    const own = worked && boxOfExercise(worked)
    if (!worked || !own) continue
    const half = worked.widthMm / 2
    const box = { left: own.left - half, right: own.right + half, top: own.top - half, bottom: own.bottom + half }
    const guides = withMotifs(
      sampler.drawing,
      worked.exercise.on.map((on) => on.guide),
    )
    const lesson = lessonOf(sampler, id)
    const at = lesson ? sampler.lessons.indexOf(lesson) : sampler.lessons.length
    const weight = worked.coverage * (box.right - box.left) * (box.bottom - box.top)
    const met = units.filter((unit) => guides.some((guide) => unit.guides.has(guide)))
    const [first] = met
    if (!first) {
      units.push({ exercises: [id], guides: new Set(guides), lesson: at, box, weight })
      continue
    }
    // All that shares a guide with it becomes one, where the first of them is taught.
    for (const other of met.slice(1)) units.splice(units.indexOf(other), 1)
    for (const other of [...met.slice(1), { exercises: [id], guides: new Set(guides), box, weight }]) {
      first.exercises.push(...other.exercises)
      for (const guide of other.guides) first.guides.add(guide)
      first.box = boxAround([first.box, other.box]) ?? first.box
      first.weight += other.weight
    }
  }
  return units.map((unit) => ({ ...unit, guides: [...unit.guides] }))
}

/** Best first: least too large, least overlap, evenest weight. None for fewer than two units. */
export function proposeLayouts(sampler: Sampler, done: readonly WorkedExercise[]): readonly Proposal[] {
  const units = unitsOf(sampler, done)
  if (units.length < 2) return []
  const ground = groundOf(sampler)
  const over = ({ units: placed }: Proposal): number => placed.reduce((sum, { overMm }) => sum + overMm, 0)
  const key = (one: Proposal): readonly number[] => [Math.round(over(one)), Math.round(one.overlapMm2 / 10), one.offMiddleMm]
  return [bands(units, ground), cells(units, ground), dial(units, ground)].sort((a, b) => {
    const [one, other] = [key(a), key(b)]
    const first = one.findIndex((value, index) => value !== other[index])
    return first < 0 ? 0 : (one[first] as number) - (other[first] as number)
  })
}

export interface Taking {
  /** What is too large for its place is made smaller, its stitches as long as they were. */
  readonly shrink?: boolean
  /** Ids for its lines, which then become sketches. */
  readonly newId?: () => GuideId
}

/** Smaller than half nothing is recognised. */
const LEAST_FACTOR = 0.5

/** What becomes of a unit that is too large: made smaller, unless its size is one of counted cells, or it would shrink to nothing. */
export function shrinksTo({ unit, factor }: PlacedUnit, { drawing }: Pick<Sampler, 'drawing'>): number {
  const isCounted = drawing.guides.some((one) => unit.guides.includes(one.id) && (one.guide.kind === 'grid' || one.guide.kind === 'square'))
  return factor >= 1 || isCounted || factor < LEAST_FACTOR ? 1 : Math.floor(factor * 1000) / 1000
}

/** The edit that lays all as proposed. Null where nothing moves. */
export function takeProposal({ units, lines }: Proposal, sampler: Sampler, { shrink = false, newId }: Taking = {}): Operation | null {
  const moves = units.flatMap((placed): Operation[] => {
    const { unit, middle } = placed
    const from = middleOfBox(unit.box)
    const factor = shrink ? shrinksTo(placed, sampler) : 1
    if (factor === 1 && Math.hypot(middle.x - from.x, middle.y - from.y) < 0.01) return []
    // About its own middle, which then lies where it should.
    const matrix: Matrix = [factor, 0, 0, factor, middle.x - factor * from.x, middle.y - factor * from.y]
    return [{ kind: 'transform-guides', ids: unit.guides, matrix }]
  })
  const drawn = newId
    ? lines.map((guide, index): Operation => ({ kind: 'add-guide', guide: { id: newId(), draft: true, guide }, at: sampler.drawing.guides.length + index }))
    : []
  return moves.length + drawn.length === 0 ? null : { kind: 'batch', operations: [...moves, ...drawn] }
}

/** How it lies now, judged alike. */
export function asItLies(sampler: Sampler, done: readonly WorkedExercise[]): Pick<Proposal, 'overlapMm2' | 'offMiddleMm'> {
  const placed = unitsOf(sampler, done).map((unit): PlacedUnit => ({ unit, middle: middleOfBox(unit.box), overMm: 0, factor: 1 }))
  return judged('cells', placed, [], groundOf(sampler))
}

interface Ground {
  readonly middle: Point
  /** The widest upright rectangle of these proportions that lies wholly inside. */
  readonly rectangle: (widthOverHeight: number) => { readonly widthMm: number; readonly heightMm: number }
  readonly radiusMm: number
}

function groundOf(sampler: Sampler): Ground {
  const { cloth, workingHoop } = sampler
  const [across, down] = [cloth.widthMm - 2 * BORDER_MM, cloth.heightMm - 2 * BORDER_MM]
  const radiusMm = workingHoop ? Math.min(...clearHalves(workingHoop)) - HAND_MM : Math.min(across, down) / 2
  return {
    middle: middleOf(sampler),
    radiusMm,
    rectangle: (ratio) => {
      if (workingHoop) return rectangleInside(workingHoop, ratio, HOOP_MARGIN_MM + HAND_MM)
      const heightMm = Math.min(down, across / ratio)
      return { widthMm: heightMm * ratio, heightMm }
    },
  }
}

/** One band a lesson where each lesson fits in its own; else as text is set, line by line. */
function bands(units: readonly Unit[], ground: Ground): Proposal {
  const tallest = Math.max(...units.map(({ box }) => box.bottom - box.top)) + 2 * MARGIN_MM
  const tried = [0.7, 0.85, 1, 1.2, 1.5, 1.9, 2.4].map((ratio) => {
    const { widthMm, heightMm } = ground.rectangle(ratio)
    const rows = rowsOf(units, widthMm - 2 * MARGIN_MM)
    const bandMm = heightMm / rows.length
    const placed = rows.flatMap((row, index): readonly PlacedUnit[] => {
      const y = ground.middle.y - heightMm / 2 + (index + 0.5) * bandMm
      const wide = row.reduce((sum, { box }) => sum + box.right - box.left, 0)
      const gap = (widthMm - wide) / (row.length + 1)
      let x = ground.middle.x - widthMm / 2 + gap
      return row.map((unit) => {
        const size = unit.box.right - unit.box.left
        const middle = { x: x + size / 2, y }
        x += size + gap
        const free = { width: widthMm - 2 * MARGIN_MM, height: bandMm - 2 * MARGIN_MM }
        const high = unit.box.bottom - unit.box.top
        return { unit, middle, overMm: Math.max(0, high - free.height, size - free.width), factor: Math.min(1, free.height / high, free.width / size) }
      })
    })
    const [left, top] = [ground.middle.x - widthMm / 2, ground.middle.y - heightMm / 2]
    const lines = [shape(left, top, widthMm, heightMm), ...rows.slice(1).map((_, index) => level(left, left + widthMm, top + (index + 1) * bandMm))]
    return { proposal: judged('bands', placed, lines, ground), bandMm }
  })
  const worst = (one: (typeof tried)[number]): number => one.proposal.units.reduce((sum, { overMm }) => sum + overMm, 0)
  const best = tried.reduce((a, b) =>
    worst(b) < worst(a) - 0.5 || (worst(b) < worst(a) + 0.5 && Math.abs(b.bandMm - tallest) < Math.abs(a.bandMm - tallest)) ? b : a,
  )
  return best.proposal
}

function rowsOf(units: readonly Unit[], widthMm: number): readonly (readonly Unit[])[] {
  const lessons = [...new Set(units.map(({ lesson }) => lesson))].map((lesson) => units.filter((unit) => unit.lesson === lesson))
  const lengthOf = (row: readonly Unit[]): number => row.reduce((sum, { box }) => sum + box.right - box.left, 0) + 2 * MARGIN_MM * (row.length - 1)
  if (lessons.length > 1 && lessons.every((row) => lengthOf(row) <= widthMm)) return lessons
  const rows: Unit[][] = []
  for (const unit of units) {
    const last = rows.at(-1)
    if (last && lengthOf([...last, unit]) <= widthMm) last.push(unit)
    else rows.push([unit])
  }
  return rows
}

/** Square cells, as large as they can be, read line by line; a last line that is not full stands in the middle. */
function cells(units: readonly Unit[], ground: Ground): Proposal {
  const sideOf = (columns: number): number => ground.rectangle(columns / Math.ceil(units.length / columns)).widthMm / columns
  const columns = units.map((_, index) => index + 1).reduce((best, one) => (sideOf(one) > sideOf(best) + 0.01 ? one : best))
  const [side, rows] = [sideOf(columns), Math.ceil(units.length / columns)]
  const [left, top] = [ground.middle.x - (columns * side) / 2, ground.middle.y - (rows * side) / 2]
  const placed = units.map((unit, index): PlacedUnit => {
    const row = Math.floor(index / columns)
    const inRow = Math.min(columns, units.length - row * columns)
    const x = ground.middle.x + ((index % columns) - (inRow - 1) / 2) * side
    const free = side - 2 * MARGIN_MM
    return { unit, middle: { x, y: top + (row + 0.5) * side }, overMm: Math.max(0, largest(unit) - free), factor: Math.min(1, free / largest(unit)) }
  })
  const round = (value: number): number => Math.round(value * 100) / 100
  return judged('cells', placed, [{ kind: 'grid', at: [round(left), round(top)], columns, rows, cellMm: round(side) }], ground)
}

/** Clockwise from the top, each in a sector; what is much larger than all others is the hub. */
function dial(units: readonly Unit[], ground: Ground): Proposal {
  const sizes = units.map(halfDiagonal).sort((a, b) => a - b)
  const usual = sizes[Math.floor(sizes.length / 2)] as number
  const widest = units.reduce((a, b) => (halfDiagonal(b) > halfDiagonal(a) ? b : a))
  const hub = units.length > 4 && halfDiagonal(widest) > HUB_TIMES * usual ? widest : null
  const round = units.filter((unit) => unit !== hub)
  const turn = 360 / round.length
  const placed = round.map((unit, index): PlacedUnit => {
    const half = halfDiagonal(unit)
    const radius = Math.max(ground.radiusMm / 2, ground.radiusMm - half - MARGIN_MM)
    // Between two neighbours' sectors, or where there are only two on its own half.
    const between = round.length < 3 ? radius : radius * Math.sin(Math.PI / round.length)
    const room = Math.min(between - MARGIN_MM, ground.radiusMm - radius, hub ? radius - MARGIN_MM - halfDiagonal(hub) : Number.POSITIVE_INFINITY)
    return {
      unit,
      middle: onDial(ground.middle, radius, (index + 0.5) * turn),
      overMm: Math.max(0, 2 * (half - room)),
      factor: Math.min(1, Math.max(0, room) / half),
    }
  })
  const inner = hub ? halfDiagonal(hub) + MARGIN_MM : 0
  const lines = round.map((_, index): Guide => {
    const [from, to] = [onDial(ground.middle, inner, index * turn), onDial(ground.middle, ground.radiusMm, index * turn)]
    return { kind: 'line', path: `M ${said(from)} L ${said(to)}` }
  })
  return judged('dial', hub ? [...placed, { unit: hub, middle: ground.middle, overMm: 0, factor: 1 }] : placed, lines, ground)
}

function judged(way: LayoutWay, units: readonly PlacedUnit[], lines: readonly Guide[], ground: Ground): Proposal {
  const boxes = units.map(({ unit, middle }) => boxAt(unit, middle))
  const overlapMm2 = boxes.reduce((sum, box, index) => sum + boxes.slice(index + 1).reduce((more, other) => more + shared(box, other), 0), 0)
  const weight = units.reduce((sum, { unit }) => sum + unit.weight, 0) || 1
  const heart = units.reduce((sum, { unit, middle }) => ({ x: sum.x + (unit.weight * middle.x) / weight, y: sum.y + (unit.weight * middle.y) / weight }), {
    x: 0,
    y: 0,
  })
  return { way, units, lines, overlapMm2, offMiddleMm: Math.hypot(heart.x - ground.middle.x, heart.y - ground.middle.y) }
}

const middleOfBox = (box: Box): Point => ({ x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 })
const largest = ({ box }: Unit): number => Math.max(box.right - box.left, box.bottom - box.top)
const halfDiagonal = ({ box }: Unit): number => Math.hypot(box.right - box.left, box.bottom - box.top) / 2
const said = ({ x, y }: Point): string => `${Math.round(x * 100) / 100} ${Math.round(y * 100) / 100}`
const level = (left: number, right: number, y: number): Guide => ({ kind: 'line', path: `M ${said({ x: left, y })} L ${said({ x: right, y })}` })

/** A frame as a line: it is worked round, not filled. */
function shape(left: number, top: number, widthMm: number, heightMm: number): Guide {
  const corners = [
    { x: left, y: top },
    { x: left + widthMm, y: top },
    { x: left + widthMm, y: top + heightMm },
    { x: left, y: top + heightMm },
  ]
  return { kind: 'line', path: `M ${corners.map(said).join(' L ')} Z` }
}

function boxAt({ box }: Unit, middle: Point): Box {
  const from = middleOfBox(box)
  const [x, y] = [middle.x - from.x, middle.y - from.y]
  return { left: box.left + x, right: box.right + x, top: box.top + y, bottom: box.bottom + y }
}

function shared(a: Box, b: Box): number {
  return Math.max(0, Math.min(a.right, b.right) - Math.max(a.left, b.left)) * Math.max(0, Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top))
}
