/** What a placement asks of the hands, beside the moves themselves. */
import { dot, type Point } from '../geometry/index.ts'
import type { ReadGuide } from '../guide/index.ts'
import type { CompiledPass } from './compiled.ts'
import type { Placed } from './frames.ts'
import type { ThreadState } from './thread-state.ts'

/** A fill's stitches turn when their directions differ by this, radians: two degrees. */
const TURN_RAD = 0.035

/** What the placement itself asks of the hands: an angle that changes, rows that interlock, threads that are counted. */
export function notePlacement(
  pass: CompiledPass,
  placed: Placed,
  { guide, thread }: { readonly guide: ReadGuide; readonly thread: Pick<ThreadState, 'note'> },
): void {
  const { place } = pass
  const frames = place.kind === 'across' || place.kind === 'scatter' ? placed.runs.flatMap((run) => run.frames) : []
  const count = placed.runs.reduce((total, run) => total + run.frames.length, 0)
  const past = new Set(pass.cycle.flat().flatMap((move) => (move.kind === 'under' || move.kind === 'over' ? [move.kind] : [])))
  // Spokes lie fast in the cloth at both ends; round a pin they give way to the needle.
  if (past.size === 2 && place.kind === 'weave') thread.note('weave', count)
  if (place.kind === 'crossings') {
    thread.note('lay')
    thread.note('tie', count)
  }
  if (place.kind === 'cells') thread.note('count', count)
  if (place.kind === 'across' && place.cuts?.bite) thread.note('interlock', frames.filter((frame) => (frame.values['row'] ?? 0) > 0).length)
  // Round a centre every stitch points another way.
  if (place.kind === 'along' && guide.kind === 'line' && guide.centre) thread.note('angle', count)
  let last: Point | null = null
  let turns = 0
  for (const frame of frames) {
    const { direction } = frame.at(0, 0)
    if (last && Math.abs(Math.atan2(last.x * direction.y - last.y * direction.x, dot(last, direction))) > TURN_RAD) turns += 1
    last = direction
  }
  if (turns > 0) thread.note('angle', turns)
}
