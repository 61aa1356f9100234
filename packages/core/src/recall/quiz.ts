/**
 * Where does the needle go next? The motions of a stitch, each asked on the cloth as it is just before it. Right and wrong places, and what
 * would come of each, all follow from working the moves.
 */
import { type Result, success } from '../base/index.ts'
import type { Point } from '../geometry/index.ts'
import { besideThread, keptOtherwise, type Move, uncaught } from '../notation/index.ts'
import { demonstrate, type Demonstration, type DemonstrationRequest, type MadeHole, moveOf, type Step } from '../steps/index.ts'
import { type MoveRef, type StitchWork, type WorkedStitch, workStitch } from '../work/index.ts'

/** A stitch to be asked about, in one hand. */
export interface Quiz {
  readonly demonstration: Demonstration
  readonly work: StitchWork
  readonly worked: WorkedStitch
  /** Each once, in the order in which they are met. */
  readonly motions: readonly Motion[]
}

/** How the thread lies to the needle: caught by its point, kept to a side, pierced, or passed under. */
export type ThreadMatter = 'loop' | 'kept' | 'split' | 'pass'

export interface Motion {
  /** The same for this motion of this stitch whenever it is asked, in either hand. */
  readonly key: string
  /** The step by which it is shown, and which of its holes it makes; null where it is done on the surface. */
  readonly step: Step
  readonly hole: MadeHole | null
  readonly move: Move
  readonly made: MoveRef
  readonly thread: ThreadMatter | null
}

export function quizOf(request: DemonstrationRequest): Result<Quiz> {
  const shown = demonstrate(request)
  if (!shown.ok) return shown
  const { document, parameters, materials, threads } = request
  const { guide } = shown.value
  const work: StitchWork = { document, guide, parameters, materials, ...(threads ? { threads } : {}), leftHand: false }
  const worked = workStitch(work)
  if (!worked.ok) return worked
  return success({ demonstration: shown.value, work, worked: worked.value, motions: motionsOf(shown.value, work) })
}

function motionsOf({ steps }: Demonstration, { document }: StitchWork): readonly Motion[] {
  const found = new Map<string, Motion>()
  const add = (step: Step, hole: MadeHole | null, made: MoveRef, isPass: boolean): void => {
    const move = moveOf(document, made)
    // What is done round a corner is no motion of its own.
    if (!move || made.block === 'afterCorner') return
    const key = `${document.id} ${made.pass}.${made.block}.${made.list}.${made.move}${made.inner === null ? '' : `.${made.inner}`}`
    // Met again it has a stitch beside it: asked there, the eye has something to go by.
    found.set(key, { ...{ key, step, hole, move, made }, thread: isPass ? 'pass' : matterOf(move) })
  }
  for (const step of steps) {
    if (step.moment === 'group' || (step.gesture === 'sew' && step.moment === 'drawn')) continue
    for (const hole of step.makes) add(step, hole, hole.made, false)
    if (step.surface && step.gesture === 'pass' && step.moment === 'in') add(step, null, step.surface, true)
  }
  // Small stitches on the way past several threads only where there is nothing else.
  const every = [...found.values()]
  const own = every.filter(({ made }) => made.inner === null)
  const all = own.length > 0 ? own : every
  // Before anything lies on the cloth there is nothing to go by, unless there is nothing else.
  const later = all.filter(({ hole, step }) => hole === null || step.before.holesMade > 0 || hole.hole > 0)
  return later.length > 0 ? later : all
}

function matterOf(move: Move): ThreadMatter | null {
  if (uncaught(move)) return 'loop'
  if (keptOtherwise(move)) return 'kept'
  return besideThread(move) ? 'split' : null
}

/** Turned and mirrored as the demonstration is. */
export const seenAt = ({ demonstration }: Pick<Quiz, 'demonstration'>, { x, y }: Point): Point => demonstration.seen({ x, y })
