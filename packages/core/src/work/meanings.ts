/** What a document's words mean where they stand: when a move is made, what a name is worth, where the cloth is cut. */
import { leftOf, type Point, step } from '../geometry/index.ts'
import type { ReadGuide } from '../guide/index.ts'
import type { CompiledMove, CompiledPass } from './compiled.ts'
import type { Frame } from './frames.ts'
import { acrossVein } from './place-pass.ts'
import { MoveError } from './thread-settings.ts'

/** A later pass begins by padding or cutting: this one prepares for it. */
export function preparesFor(passes: readonly CompiledPass[], index: number): boolean {
  return passes.slice(index + 1).some((pass) => pass.start.some((move) => move.kind === 'pad' || move.kind === 'cut'))
}

/** A square gap in a cell, a round one elsewhere. */
export function gapAround(at: Point, sizeMm: number, frame: Frame): Point[] {
  if (!(sizeMm > 0)) throw new MoveError(`a gap of ${Number(sizeMm.toFixed(2))} mm cannot be cut; give it a size above 0.`)
  const half = sizeMm / 2
  if (frame.values['columns'] !== undefined) {
    const { direction } = frame.at(0, 0)
    const corner = (along: number, aside: number): Point => step(step(at, direction, along), leftOf(direction), aside)
    return [corner(-half, half), corner(half, half), corner(half, -half), corner(-half, -half)]
  }
  return Array.from({ length: 48 }, (_, index) => {
    const angle = (2 * Math.PI * index) / 48
    return { x: at.x + half * Math.cos(angle), y: at.y + half * Math.sin(angle) }
  })
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
