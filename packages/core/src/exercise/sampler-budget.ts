import { error, failure, type Result, sum } from '../base/index.ts'
import { MOST_SEGMENTS } from './budget.ts'
import type { WorkedExercise } from './work-exercise.ts'

/** What the exercises of one sampler come to together: more of it than is held is told, and not kept. */
export interface SamplerBudget {
  /** Nothing more fits, so that nothing more need be worked. */
  readonly isSpent: () => boolean
  /** What was worked, or that it no longer fits. */
  readonly take: (result: Result<WorkedExercise>) => Result<WorkedExercise>
}

export function samplerBudget(): SamplerBudget {
  let segments = 0
  const isSpent = (): boolean => segments > MOST_SEGMENTS.sampler
  return {
    isSpent,
    take: (result) => {
      if (result.ok) segments += sum(result.value.pieces.map((piece) => piece.worked.segments.length))
      return isSpent() ? tooMuchInAll() : result
    },
  }
}

export const tooMuchInAll = (): Result<never> => failure(error('exercise.too-much-in-all', [], { most: MOST_SEGMENTS.sampler }))
