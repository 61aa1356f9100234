/**
 * A design taken to another hoop or card: its places and outlines are made larger or smaller, its stitches are not. A line
 * has fewer stitches of the same length, a grid fewer cells of the same size. mm.
 */
import { error, failure, type GuideId, mm, type Result, success } from '../base/index.ts'
import { type Box, carryPoint, inTurn, type Matrix, moveBy, type Point, scaleAbout, scaleOf } from '../geometry/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { refitGuide } from '../guide/index.ts'
import { boxOfHeld } from '../layout/index.ts'
import { BEYOND_HOOP_MM, clearRadius, hoopOf, outerOf } from '../materials/index.ts'
import { boxOfGuides, type Copies, type DisplayHoop, type DrawnGuide, type Hoop, type Operation, type Sampler, transformCopies } from '../sampler/index.ts'
import { ownFactor } from './own-factor.ts'

/** A round hoop by its nominal size, or the area of a card in which the whole design lies. */
export type AnotherSize = { readonly kind: 'hoop'; readonly nominalMm: number } | { readonly kind: 'card'; readonly widthMm: number; readonly heightMm: number }

export interface Refitted {
  /** Of every length of the drawing; 1 leaves it as it is. */
  readonly factor: number
  /** Hoop, cloth and every guide, taken back by one undo. */
  readonly operation: Operation
}

/** Smaller or larger than this no design is still itself. */
const LEAST_FACTOR = 0.1
const MOST_FACTOR = 10
/** Between a card's edge and the design, on each side. */
const CARD_MARGIN_MM = 10
const MOST_CLOTH_MM = 2000

/** `done`: what is worked already; lines with corners are fitted by their stitches where it is known. */
export function takeTo(sampler: Sampler, size: AnotherSize, done: readonly WorkedExercise[]): Result<Refitted> {
  const drawn = boxOfHeld(
    sampler.drawing,
    sampler.drawing.guides.map((one) => one.id),
  )
  if (!drawn) return failure(error('refit.nothing-drawn', []))
  const { cloth, workingHoop } = sampler
  const middle: Point = workingHoop ? { x: workingHoop.at[0], y: workingHoop.at[1] } : { x: (drawn.left + drawn.right) / 2, y: (drawn.top + drawn.bottom) / 2 }
  const hoop = size.kind === 'hoop' ? hoopOf(size.nominalMm) : null
  const factor =
    size.kind === 'hoop'
      ? clearRadius(hoopOf(size.nominalMm)) / (workingHoop?.shape === 'round' ? clearRadius(workingHoop) : farthest(drawn, middle))
      : Math.min((size.widthMm - 2 * CARD_MARGIN_MM) / (drawn.right - drawn.left), (size.heightMm - 2 * CARD_MARGIN_MM) / (drawn.bottom - drawn.top))
  if (!(factor >= LEAST_FACTOR && factor <= MOST_FACTOR)) return failure(error('refit.too-far', [], { least: LEAST_FACTOR, most: MOST_FACTOR }))
  // What lies round the hoop, or round the design, stays as wide as it was.
  const outer = workingHoop && outerOf(workingHoop)
  const beyond = (of: number, extent: number, hooped: number | undefined): number =>
    hooped !== undefined ? Math.max(20, (of - hooped) / 2) : Math.max(20, Math.min(BEYOND_HOOP_MM, (of - extent) / 2))
  const [across, down] = hoop ? [hoop.nominalMm, hoop.nominalMm] : size.kind === 'card' ? [size.widthMm, size.heightMm] : [0, 0]
  const widthMm = whole(across + 2 * beyond(cloth.widthMm, drawn.right - drawn.left, outer?.[0]))
  const heightMm = whole(down + 2 * beyond(cloth.heightMm, drawn.bottom - drawn.top, outer?.[1]))
  if (widthMm > MOST_CLOTH_MM || heightMm > MOST_CLOTH_MM)
    return failure(error('refit.no-cloth', [], { mm: mm(Math.max(widthMm, heightMm)), most: mm(MOST_CLOTH_MM) }))
  const to: Point = { x: widthMm / 2, y: heightMm / 2 }
  const from = size.kind === 'card' ? { x: (drawn.left + drawn.right) / 2, y: (drawn.top + drawn.bottom) / 2 } : middle
  const matrix = inTurn(scaleAbout(from, factor), moveBy({ x: to.x - from.x, y: to.y - from.y }))
  const own = ownMatrices(sampler, done, matrix)
  const working: Hoop | null = hoop ? { shape: 'round', ...hoop, at: [to.x, to.y] } : null
  return success({
    factor,
    operation: {
      kind: 'batch',
      operations: [
        { kind: 'change-cloth', set: { widthMm, heightMm } },
        { kind: 'set-hoop', hoop: working },
        ...(sampler.displayHoop ? [{ kind: 'set-display-hoop' as const, hoop: displayAfter(sampler.displayHoop, matrix) }] : []),
        ...sampler.drawing.guides.map((one): Operation => changeOf(one, own.get(one.id) ?? matrix)),
        ...sampler.drawing.groups.flatMap((one): Operation[] =>
          one.copies ? [{ kind: 'change-group', id: one.id, set: { copies: copiesAfter(one.copies, matrix) } }] : [],
        ),
      ],
    },
  })
}

/** Guides of exercises that take a size of their own, all guides of one exercise about one middle. What another shares keeps to the rest. */
function ownMatrices(sampler: Sampler, done: readonly WorkedExercise[], matrix: Matrix): ReadonlyMap<GuideId, Matrix> {
  const users = new Map<GuideId, number>()
  for (const { on } of sampler.exercises) for (const { guide } of on) users.set(guide, (users.get(guide) ?? 0) + 1)
  const own = new Map<GuideId, Matrix>()
  for (const one of done) {
    const guides = one.exercise.on.map((on) => on.guide)
    const box = guides.some((id) => users.get(id) !== 1) ? null : boxOfHeld(sampler.drawing, guides)
    if (!box) continue
    const scale = scaleOf(matrix)
    const factor = ownFactor(one, scale, (Math.hypot(box.right - box.left, box.bottom - box.top) * scale) / 2)
    if (factor === 1) continue
    const middle = carryPoint(matrix, { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 })
    for (const id of guides) own.set(id, inTurn(matrix, scaleAbout(middle, factor)))
  }
  return own
}

function farthest(box: Box, { x, y }: Point): number {
  return Math.hypot(Math.max(x - box.left, box.right - x), Math.max(y - box.top, box.bottom - y))
}

const whole = (mm: number): number => Math.round(mm)

function displayAfter(hoop: DisplayHoop, matrix: Matrix): DisplayHoop {
  const scale = scaleOf(matrix)
  const { x, y } = carryPoint(matrix, { x: hoop.at[0], y: hoop.at[1] })
  if (hoop.shape !== 'round') return { ...hoop, insideMm: [hoop.insideMm[0] * scale, hoop.insideMm[1] * scale], at: [x, y] }
  const { nominalMm: _before, ...rest } = hoop
  return { ...rest, insideMm: hoop.insideMm * scale, at: [x, y] }
}

function changeOf(drawn: DrawnGuide, matrix: Matrix): Operation {
  const guide = refitGuide(drawn.guide, matrix)
  const copies = drawn.copies && clearOfEachOther(drawn, { ...drawn, guide, copies: copiesAfter(drawn.copies, matrix) })
  return { kind: 'change-guide', id: drawn.id, set: copies ? { guide, copies } : { guide } }
}

/** Carried, and the steps of rows with them. */
function copiesAfter(copies: Copies, matrix: Matrix): Copies {
  const carried = transformCopies(copies, matrix)
  if (carried.kind !== 'rows') return carried
  const scale = scaleOf(matrix)
  return { ...carried, stepMm: [thousandth(carried.stepMm[0] * scale), thousandth(carried.stepMm[1] * scale)] }
}

/**
 * Rows of what kept its size would now lie on one another where they did not before: they keep their step, and there are
 * fewer of them.
 */
function clearOfEachOther(before: DrawnGuide, after: DrawnGuide): Copies | undefined {
  if (before.copies?.kind !== 'rows' || after.copies?.kind !== 'rows') return after.copies
  const [was, is] = [boxOfGuides([before.guide]), boxOfGuides([after.guide])]
  if (!was || !is) return after.copies
  const { copies } = after
  const fit = (step: number, now: number, sizeBefore: number, sizeNow: number, count: number): { step: number; count: number } =>
    Math.abs(step) >= sizeBefore - 1e-6 && Math.abs(now) < sizeNow - 1e-6
      ? { step, count: Math.max(1, Math.round((count * Math.abs(now)) / Math.abs(step))) }
      : { step: now, count }
  const across = fit(before.copies.stepMm[0], copies.stepMm[0], was.right - was.left, is.right - is.left, copies.columns)
  const down = fit(before.copies.stepMm[1], copies.stepMm[1], was.bottom - was.top, is.bottom - is.top, copies.rows)
  return { ...copies, columns: across.count, rows: down.count, stepMm: [across.step, down.step] }
}

/** Finer than any step is meant. */
const thousandth = (mm: number): number => Math.round(mm * 1000) / 1000
