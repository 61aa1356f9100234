/**
 * The pieces of an exercise: every guide that it is worked on, and every copy of it, each with its own geometry.
 * Marks, holes, thread and minutes count them all.
 */
import { error, failure, type PieceId, type Problem, type Result, success } from '../base/index.ts'
import { lineOfLength } from '../draw/index.ts'
import { type Box, boxOf, fromAngle, inTurn, type Matrix, parsePath, type Point, step, UNMOVED } from '../geometry/index.ts'
import { gridPoint, type Guide, partOfGuide, readGuide, type ReadGuide, transformGuide } from '../guide/index.ts'
import { matricesOf } from './copies.ts'
import type { DrawnGuide, Exercise, GuideDrawing, GuideGroup, PieceChange, Sampler, WorkedOn } from './types.ts'

export interface Piece {
  readonly id: PieceId
  /** The geometry to work: the guide or its part, where this copy lies. */
  readonly guide: Guide
  readonly layer: NonNullable<DrawnGuide['layer']>
  readonly change: PieceChange
}

/** An exercise with everything that it is worked on. */
export interface LaidExercise {
  readonly exercise: Exercise
  readonly pieces: readonly [Piece, ...Piece[]]
}

/** More pieces than a hand finishes in a course. */
export const MOST_PIECES = 600

export function pieceId(guide: string, copy: number): PieceId {
  return `${guide}/${copy}`
}

/** One exercise on a guide that is drawn nowhere else: a swatch, a try-out, a practice row. */
export function layAlone(exercise: Omit<Exercise, 'on'>, guide: Guide): LaidExercise {
  const whole: Exercise = { ...exercise, on: [{ guide: 'g' }] }
  return { exercise: whole, pieces: [{ id: pieceId('g', 0), guide, layer: 'trace', change: {} }] }
}

/** Problems have paths from the exercise. */
export function layExercise(exercise: Exercise, drawing: GuideDrawing): Result<LaidExercise> {
  const problems: Problem[] = []
  const pieces: Piece[] = []
  for (const [index, on] of exercise.on.entries()) {
    const drawn = drawing.guides.find((one) => one.id === on.guide)
    if (!drawn) {
      problems.push(error('exercise.guide-gone', ['on', index], { exercise: exercise.name }))
      continue
    }
    if (drawn.draft) {
      problems.push(error('exercise.draft', ['on', index], { exercise: exercise.name, guide: nameOf(drawn) }))
      continue
    }
    const laid = piecesOn(on, drawn, drawing, exercise)
    if (laid.ok) pieces.push(...laid.value)
    else problems.push(...laid.problems.map((problem) => ({ ...problem, path: ['on', index, ...problem.path] })))
  }
  if (problems.length === 0 && pieces.length > MOST_PIECES)
    problems.push(error('exercise.pieces', ['on'], { exercise: exercise.name, pieces: pieces.length, most: MOST_PIECES }))
  const [first, ...rest] = pieces
  if (problems.length > 0) return failure(...problems)
  if (!first) return failure(error('exercise.no-guide', ['on'], { exercise: exercise.name }))
  return success({ exercise, pieces: [first, ...rest] })
}

function nameOf(drawn: DrawnGuide): string {
  return drawn.name ? `"${drawn.name}"` : 'a guide'
}

function piecesOn(on: WorkedOn, drawn: DrawnGuide, drawing: GuideDrawing, exercise: Exercise): Result<readonly Piece[]> {
  const part = on.part === undefined ? success(drawn.guide) : partOfGuide(drawn.guide, on.part)
  if (!part.ok) return part
  return success(
    matricesFor(drawn, drawing).map((matrix, copy): Piece => {
      const id = pieceId(drawn.id, copy)
      const change = exercise.pieces?.[id] ?? {}
      return { id, guide: transformGuide(lengthened(part.value, change.lengthShare), matrix), layer: drawn.layer ?? 'trace', change }
    }),
  )
}

/** Cut off at its end, or drawn on from there; what stands on pins is so much higher. Other guides have no length of their own. */
function lengthened(guide: Guide, share: number | undefined): Guide {
  if (share === undefined || share === 1) return guide
  if (guide.kind === 'pins') {
    const [x, y] = guide.base
    return { ...guide, pins: guide.pins.map(([px, py]) => [x + (px - x) * share, y + (py - y) * share] as const) }
  }
  if ((guide.kind !== 'line' && guide.kind !== 'band') || guide.path === undefined) return guide
  const read = parsePath(guide.path)
  const path = read.ok ? lineOfLength(guide.path, read.value.length * share) : null
  return path === null ? guide : { ...guide, path }
}

/** Every copy of a guide: its own, within every copy of its group. */
export function matricesFor(drawn: DrawnGuide, drawing: GuideDrawing): readonly Matrix[] {
  const group = drawing.groups.find((one) => one.members.includes(drawn.id))
  if (!drawn.copies && !group?.copies) return [UNMOVED]
  const own = matricesOf(drawn.copies, drawn.copies ? middleOf([drawn]) : { x: 0, y: 0 })
  if (!group?.copies) return own
  const members = drawing.guides.filter((one) => group.members.includes(one.id))
  return matricesOf(group.copies, middleOf(members)).flatMap((outer) => own.map((inner) => inTurn(inner, outer)))
}

/** The middle of the box round some guides, as first drawn. */
function middleOf(guides: readonly DrawnGuide[]): Point {
  const box = boxOfGuides(guides.map((one) => one.guide))
  return box ? { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 } : { x: 0, y: 0 }
}

export function boxOfGuides(guides: readonly Guide[]): Box | null {
  return boxOf(
    guides.flatMap((guide) => {
      const read = readGuide(guide)
      return read.ok ? placesOf(read.value) : []
    }),
  )
}

function placesOf(guide: ReadGuide): readonly Point[] {
  switch (guide.kind) {
    case 'line':
      return guide.path.points
    case 'shape':
      return guide.outline.points
    case 'spots':
      return guide.sideMm === undefined ? guide.at : guide.at.flatMap((at, index) => squareAbout(at, guide.sideMm ?? 0, guide.turns[index] ?? 0))
    case 'grid':
      return [0, guide.columns].flatMap((column) => [0, guide.rows].map((row) => gridPoint(guide, column, row)))
    case 'pins':
      return [guide.base, ...guide.pins]
  }
}

function squareAbout(middle: Point, sideMm: number, turnRad: number): readonly Point[] {
  return [1, 3, 5, 7].map((eighth) => step(middle, fromAngle(turnRad + (eighth * Math.PI) / 4), sideMm * Math.SQRT1_2))
}

interface Remembered {
  /** While the whole drawing is the same object, nothing of it need be looked up. */
  readonly drawing: GuideDrawing
  readonly guides: readonly (DrawnGuide | undefined)[]
  readonly groups: readonly (GuideGroup | undefined)[]
  readonly result: Result<LaidExercise>
}

/** An exercise whose guides are the same objects is the same laid exercise again, so that it is not worked anew. */
const laid = new WeakMap<Exercise, Remembered>()

export function layExercises(sampler: Pick<Sampler, 'exercises' | 'drawing'>): readonly Result<LaidExercise>[] {
  const { drawing } = sampler
  let index: DrawingIndex | undefined
  return sampler.exercises.map((exercise) => {
    const known = laid.get(exercise)
    if (known?.drawing === drawing) return known.result
    index ??= indexOf(drawing)
    const { byId, groupOf } = index
    const groups = exercise.on.map((on) => groupOf.get(on.guide))
    // An upright copy of a group turns about the middle of all its members.
    const named = [...exercise.on.map((on) => on.guide), ...groups.flatMap((group) => group?.members ?? [])]
    const guides = named.map((id) => byId.get(id))
    const same = known && isSame(known.guides, guides) && isSame(known.groups, groups)
    const result = same ? known.result : layExercise(exercise, drawing)
    laid.set(exercise, { drawing, guides, groups, result })
    return result
  })
}

interface DrawingIndex {
  readonly byId: ReadonlyMap<string, DrawnGuide>
  readonly groupOf: ReadonlyMap<string, GuideGroup>
}

function indexOf({ guides, groups }: GuideDrawing): DrawingIndex {
  return {
    byId: new Map(guides.map((one) => [one.id, one])),
    groupOf: new Map(groups.flatMap((group) => group.members.map((member) => [member, group] as const))),
  }
}

function isSame<T>(one: readonly T[], other: readonly T[]): boolean {
  return one.length === other.length && one.every((value, index) => value === other[index])
}
