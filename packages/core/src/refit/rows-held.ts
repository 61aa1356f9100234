/** Straight rows among what is held, as they are fitted, and the edit that gives all of them one length. */
import type { GuideId } from '../base/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { scaleAbout } from '../geometry/index.ts'
import { readGuide, transformGuide } from '../guide/index.ts'
import { HOOP_SIZES, type HoopSize, clearRadius } from '../materials/index.ts'
import type { DrawnGuide, GuideDrawing, Operation } from '../sampler/index.ts'
import type { Row } from './one-length.ts'

/** What goes beyond whole advances is the last stitch's reach: the tie of a chain, mm. */
export function tailOf(count: number, askedMm: number): number {
  return Math.max(0, count - Math.floor(count + 1e-6)) * askedMm
}

export interface HeldRow extends Row {
  readonly guide: GuideId
  readonly name: string
  readonly lengthMm: number
}

/** One for each guide that is one straight line; what is bent, closed or cornered has its own length. */
export function rowsHeld(drawing: GuideDrawing, ids: readonly GuideId[], done: readonly WorkedExercise[]): readonly HeldRow[] {
  return ids.flatMap((id) => {
    const drawn = drawing.guides.find((one) => one.id === id)
    const worked = done.find((one) => one.exercise.on[0]?.guide === id && one.exercise.on[0].part === undefined)
    const [leg, ...more] = worked?.pieces[0].worked.fitted.legs ?? []
    if (!drawn || !worked || !leg || more.length > 0 || !isStraight(drawn)) return []
    const { askedMm } = worked.pieces[0].worked.fitted
    return [{ guide: id, name: worked.exercise.name, lengthMm: leg.lengthMm, advanceMm: askedMm, tailMm: tailOf(leg.count, askedMm) }]
  })
}

function isStraight({ guide }: DrawnGuide): boolean {
  if ((guide.kind !== 'line' && guide.kind !== 'band') || guide.path === undefined) return false
  const read = readGuide(guide)
  if (!read.ok || read.value.kind !== 'line' || read.value.path.closed) return false
  const { points, length } = read.value.path
  const [first, last] = [points[0], points.at(-1)]
  return first !== undefined && last !== undefined && Math.abs(Math.hypot(last.x - first.x, last.y - first.y) - length) < 1e-6
}

/** Rows that begin at one edge keep it, others keep their middles; bands keep their width. */
export function giveLength(drawing: GuideDrawing, rows: readonly HeldRow[], lengthMm: number): Operation {
  const drawn = rows.flatMap((row) => drawing.guides.filter((one) => one.id === row.guide))
  const starts = drawn.map(({ guide }) => startOf(guide))
  const sameEdge = starts.every((at) => Math.abs((at?.x ?? 0) - (starts[0]?.x ?? 0)) < 0.1)
  return {
    kind: 'batch',
    operations: drawn.flatMap(({ id, guide }, index): Operation[] => {
      const start = starts[index]
      const row = rows.find((one) => one.guide === id)
      const read = readGuide(guide)
      if (!start || !row || !read.ok || read.value.kind !== 'line' || !('path' in guide)) return []
      const end = read.value.path.points.at(-1) ?? start
      const about = sameEdge ? start : { x: (start.x + end.x) / 2, y: (start.y + end.y) / 2 }
      const longer = transformGuide({ kind: 'line', path: guide.path as string }, scaleAbout(about, lengthMm / row.lengthMm))
      return longer.kind === 'line' ? [{ kind: 'change-guide', id, set: { guide: { ...guide, path: longer.path } } }] : []
    }),
  }
}

function startOf(guide: DrawnGuide['guide']): { readonly x: number; readonly y: number } | undefined {
  const read = readGuide(guide)
  return read.ok && read.value.kind === 'line' ? read.value.path.points[0] : undefined
}

/** The smallest hoop whose clear circle holds a block so wide and so high, its middle in the hoop's; null where none does. */
export function hoopAround(widthMm: number, heightMm: number): HoopSize | null {
  return HOOP_SIZES.find((hoop) => 2 * clearRadius(hoop) >= Math.hypot(widthMm, heightMm)) ?? null
}
