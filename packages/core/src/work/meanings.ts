/** What a document's words mean where they stand: when a move is made, what a name is worth. */
import type { Point } from '../geometry/index.ts'
import type { ReadGuide } from '../guide/index.ts'
import { acrossVein } from './along-vein.ts'
import type { CompiledMove, CompiledPass } from './compiled.ts'

/** A later pass begins by padding or cutting: this one prepares for it. */
export function preparesFor(passes: readonly CompiledPass[], index: number): boolean {
  return passes.slice(index + 1).some((pass) => pass.start.some((move) => move.kind === 'pad' || move.kind === 'cut'))
}

/** The label of the stitches that a pass is counted by: of the first that goes down. */
export function labelCounted({ cycle }: CompiledPass): string | null {
  return cycle[0]?.find((move) => move.kind === 'down')?.as ?? null
}

/** How many stitches of that label one repeat makes: both slants of a leaf, both arms of a crossing; at least one. */
export function stitchesInRepeat(pass: CompiledPass): number {
  const label = labelCounted(pass)
  const made = pass.cycle.map((list) => list.filter((move) => move.kind === 'down' && label !== null && move.as === label && move.when === null).length)
  return Math.max(1, made.reduce((total, one) => total + one, 0) / made.length)
}

/** What the guide itself gives, before any frame is placed on it. */
export function guideValues(guide: ReadGuide): Readonly<Record<string, number>> {
  if (guide.kind === 'line') {
    const radius = guide.centre ? Math.hypot((guide.path.points[0] as Point).x - guide.centre.x, (guide.path.points[0] as Point).y - guide.centre.y) : 0
    const w = guide.width?.kind === 'even' ? guide.width.halfMm : 0
    return { U: guide.path.length, radius, ...(w > 0 ? { w, wl: w, wr: w } : {}) }
  }
  if (guide.kind === 'grid') return { size: guide.cellMm, columns: guide.columns, rows: guide.rows }
  if (guide.kind === 'pins') {
    const pin = guide.pins[0] as Point
    return { height: Math.hypot(pin.x - guide.base.x, pin.y - guide.base.y), pins: guide.pins.length }
  }
  if (guide.kind === 'shape') return { size: acrossVein(guide) }
  if (guide.kind === 'spots' && guide.sideMm !== undefined) return { size: guide.sideMm }
  return {}
}

export function isNow(when: NonNullable<CompiledMove['when']>, k: number, isLast: boolean, row: number): boolean {
  switch (when) {
    case 'first':
      return k === 0
    case 'last':
      return isLast
    case 'not-first':
      return k > 0
    case 'not-last':
      return !isLast
    case 'even':
      return k % 2 === 0
    case 'odd':
      return k % 2 === 1
    case 'first-row':
      return row === 0
    case 'later-row':
      return row > 0
  }
}
