import { type Result, success } from '../base/index.ts'
import { type WorkedStitch, workStitch } from '../work/index.ts'
import type { Mark } from './mark.ts'
import { drawMarks } from './marks.ts'
import type { WorkedExercise } from './work-exercise.ts'

/** The same design worked by the left hand, piece by piece: same guide, same places, from the other end. */
export function workLeftHand(done: Pick<WorkedExercise, 'pieces'>): Result<readonly WorkedStitch[]> {
  const pieces: WorkedStitch[] = []
  for (const { work } of done.pieces) {
    const worked = workStitch({ ...work, leftHand: true })
    if (!worked.ok) return worked
    pieces.push(worked.value)
  }
  return success(pieces)
}

/** What is drawn on the cloth for this hand, piece by piece: the lines stay, starts and holes follow the hand. */
export function marksForHand(done: WorkedExercise, hand: 'right' | 'left'): readonly (readonly Mark[])[] {
  const right = done.pieces.map((piece) => piece.marks)
  if (hand === 'right') return right
  const left = workLeftHand(done)
  // A stitch that only the right hand can work keeps its marks.
  if (!left.ok) return right
  return done.pieces.map(({ guide, assigned, markStyle, nth }, index) =>
    drawMarks(guide, left.value[index] as WorkedStitch, { style: markStyle, nth, besideMm: assigned.materials.e, hand }),
  )
}
