/** What was wound on the needle, as a piece of thread: drawn through at the next hole, or drawn up to a knot where it came out. */
import type { Point3 } from '../geometry/index.ts'
import type { MoveContext, ThreadSettings } from './thread-settings.ts'
import type { ThreadLog } from './thread-log.ts'
import type { Wound } from './types.ts'
import { windUp } from './wrap-rule.ts'

/** The thread wound round the needle, to be drawn through. */
export interface Winding {
  readonly turns: number
  readonly wound: Wound
  /** The coil stands free of the cloth, so many mm tall. */
  readonly freeMm: number | null
}

export function addWound(
  log: ThreadLog,
  winding: Winding,
  { from, to }: { readonly from: number; readonly to: number },
  settings: ThreadSettings,
  context: MoveContext,
): void {
  const { diameterMm, lineWidthMm, shaftMm } = settings
  const { turns, wound } = winding
  const made = windUp({ ...winding, diameterMm, lineWidthMm, shaftMm }, log.at3(from), log.at3(to), context.direction, context.mirror)
  const { kind, way, sizeMm, wrapMm } = made
  const segment = log.add({ side: 'front', kind, from, to, way, context, label: context.label, turns, wound, sizeMm, wrapMm }, settings)
  segment.lengthMm = made.coreMm
}

/** Turns round the needle's tip, drawn up to a knot at the hole it came out of. */
export function addKnotAt(log: ThreadLog, given: number, hole: number, settings: ThreadSettings, context: MoveContext): void {
  const { diameterMm, lineWidthMm, shaftMm } = settings
  const { direction, mirror } = context
  const turns = Math.max(1, Math.round(given))
  const at = log.at3(hole)
  const { sizeMm, wrapMm } = windUp({ turns, wound: 'wrap', freeMm: null, diameterMm, lineWidthMm, shaftMm }, at, at, direction, mirror)
  log.note('wind')
  log.note('wrap', turns)
  const way = [at, { x: at.x + direction.x * 0.02, y: at.y + direction.y * 0.02, z: 0 }]
  log.add({ side: 'front', kind: 'knot', from: hole, to: hole, way, context, label: null, turns, sizeMm, wrapMm }, settings)
}

/** Turned round the needle before it goes in, the thread lies to the hole as a small link that its own loop holds. */
export function addLink(
  log: ThreadLog,
  given: number,
  { from, to, way }: { readonly from: number; readonly to: number; readonly way: readonly Point3[] },
  settings: ThreadSettings,
  context: MoveContext,
): void {
  const turns = Math.max(1, Math.round(given))
  log.note('wind')
  log.note('wrap', turns)
  log.add({ side: 'front', kind: 'straight', from, to, way, context, label: null, wrapMm: turns * Math.PI * 2 * settings.diameterMm }, settings)
}
