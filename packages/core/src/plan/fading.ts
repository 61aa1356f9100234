/**
 * Marks that fade along the course: the first exercise of a motion has a mark for every hole, a later one for every
 * third, then the line alone, then none. A teacher sets where it begins and ends; the steps between follow.
 */
import type { WorkedExercise } from '../exercise/index.ts'
import type { MarkStyle } from '../sampler/index.ts'
import type { Motion } from '../work/index.ts'
import { motionsOf, taughtMotions } from '../order/index.ts'

export const FADING: readonly MarkStyle[] = ['every-hole', 'every-nth', 'guide-only', 'none']

export interface FadedMarks {
  readonly id: string
  readonly from: MarkStyle
  readonly to: MarkStyle
  /** How often its least practised motion was worked before. */
  readonly before: number
}

/** The marks that would change, in the order of teaching. Fills and spots have marks of their own, which stay. */
export function fadeMarks(order: readonly WorkedExercise[], first: MarkStyle, last: MarkStyle): readonly FadedMarks[] {
  const [begin, end] = [FADING.indexOf(first), FADING.indexOf(last)]
  if (begin < 0 || end < begin) return []
  const worked = new Map<Motion | 'line', number>()
  return order.flatMap((done) => {
    const motions: readonly (Motion | 'line')[] = ['line', ...taughtMotions(motionsOf(done))]
    const before = Math.min(...motions.map((motion) => worked.get(motion) ?? 0))
    for (const motion of motions) worked.set(motion, (worked.get(motion) ?? 0) + 1)
    const from = done.exercise.marks ?? done.assigned.document.marks ?? 'guide-only'
    const to = FADING[Math.min(end, begin + before)] as MarkStyle
    const isLine = done.pieces.every(({ guide }) => guide.kind === 'line' && !guide.centre)
    return isLine && to !== from ? [{ id: done.exercise.id, from, to, before }] : []
  })
}
