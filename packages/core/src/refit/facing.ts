/** Lines that face one another: as many stitches on each; rows in brick, each second one half a stitch on. mm */
import type { WorkedExercise } from '../exercise/index.ts'
import { nearestCount } from '../base/index.ts'
import { hundredths, readGuide } from '../guide/index.ts'
import type { GuideDrawing, Operation } from '../sampler/index.ts'
import type { HeldRow } from './rows-held.ts'

export interface Facing {
  readonly count: number
  /** One for each exercise: what it has now, and how long its stitches become, mm. */
  readonly lines: readonly { readonly id: string; readonly name: string; readonly before: number; readonly pitchMm: number }[]
  readonly operation: Operation
}

/** Longer or shorter by more than this and a stitch is another stitch. */
const MOST_STRETCH = 0.25

/**
 * Exercises of one line each, given as many stitches: the whole number that changes the longest and the shortest least (the
 * geometric mean of what they have). Null for fewer than two, where they have as many already, and where a stitch would change by
 * more than a quarter.
 */
export function facingCounts(done: readonly WorkedExercise[], held: readonly string[]): Facing | null {
  const lines = done.flatMap((one) => {
    const [piece, ...more] = one.pieces
    const { legs, askedMm } = piece.worked.fitted
    if (!held.includes(one.exercise.id) || more.length > 0 || piece.guide.kind !== 'line' || !one.assigned.parameters.has('L')) return []
    const whole = legs.reduce((sum, leg) => sum + Math.floor(leg.count + 1e-6), 0)
    return [{ one, lengthMm: legs.reduce((sum, leg) => sum + leg.lengthMm, 0), legs: legs.length, before: whole, askedMm }]
  })
  if (lines.length < 2 || lines.some(({ legs }) => legs > 1)) return null
  const wanted = lines.map(({ before }) => before)
  const count = Math.max(1, nearestCount(Math.exp(wanted.reduce((sum, one) => sum + Math.log(Math.max(1, one)), 0) / wanted.length)))
  if (wanted.every((one) => one === count)) return null
  const change = lines.map(({ one, lengthMm, before, askedMm }) => {
    // What goes beyond whole advances, a chain's tie, stays as it is.
    const { value } = one.assigned.parameters.get('L') as { readonly value: number }
    const advance = lengthMm / count
    return { id: one.exercise.id, name: one.exercise.name, before, pitchMm: advance, wanted: (value * advance) / askedMm, stretch: advance / askedMm }
  })
  if (change.some(({ stretch }) => Math.abs(Math.log(stretch)) > Math.log(1 + MOST_STRETCH))) return null
  return {
    count,
    lines: change.map(({ id, name, before, pitchMm }) => ({ id, name, before, pitchMm })),
    operation: {
      kind: 'batch',
      operations: change.map(({ id, wanted: value }): Operation => ({ kind: 'set-parameters', id, set: { L: Math.round(value * 1000) / 1000 } })),
    },
  }
}

/**
 * Straight rows in brick: from the second row on every second one begins and ends half a stitch inside the first, so that its
 * stitches meet the middles of its neighbours' and both ends stay symmetric. Null for fewer than two rows, and where the rows
 * are not equally long and equally fine.
 */
export function inBrick(drawing: GuideDrawing, rows: readonly HeldRow[]): Operation | null {
  const [first] = rows
  if (!first || rows.length < 2) return null
  const count = nearestCount((first.lengthMm - first.tailMm) / first.advanceMm)
  const pitchMm = (first.lengthMm - first.tailMm) / Math.max(1, count)
  const alike = rows.every((row) => Math.abs(row.lengthMm - first.lengthMm) < 0.05 && Math.abs(row.advanceMm - first.advanceMm) < 0.01)
  if (!alike || count < 3) return null
  const operations = drawing.guides.flatMap(({ id, guide }): Operation[] => {
    const place = rows.findIndex((row) => row.guide === id)
    if (place % 2 !== 1) return []
    const read = readGuide(guide)
    const [from, to] = read.ok && read.value.kind === 'line' ? [read.value.path.points[0], read.value.path.points.at(-1)] : []
    if (!from || !to || !('path' in guide)) return []
    const [ux, uy] = [(to.x - from.x) / first.lengthMm, (to.y - from.y) / first.lengthMm]
    const half = pitchMm / 2
    const said = (x: number, y: number): string => `${hundredths(x)} ${hundredths(y)}`
    const path = `M ${said(from.x + ux * half, from.y + uy * half)} L ${said(to.x - ux * half, to.y - uy * half)}`
    return [{ kind: 'change-guide', id, set: { guide: { ...guide, path } } }]
  })
  return operations.length === 0 ? null : { kind: 'batch', operations }
}
