import { type Result, success } from '../base/index.ts'
import { type WorkedStitch, workStitch } from '../work/index.ts'
import type { WorkedExercise } from './work-exercise.ts'

/** The same design worked by the left hand, piece by piece: same guide, same marks, from the other end. */
export function workLeftHand(done: WorkedExercise): Result<readonly WorkedStitch[]> {
  const pieces: WorkedStitch[] = []
  for (const { work } of done.pieces) {
    const worked = workStitch({ ...work, leftHand: true })
    if (!worked.ok) return worked
    pieces.push(worked.value)
  }
  return success(pieces)
}
