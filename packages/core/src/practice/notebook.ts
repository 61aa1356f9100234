/** A stitch notebook: each photographed row with what it was of, and what was said of it. */
import type { ExerciseId, LearnerId } from '../base/index.ts'
import { type Advice, advise, type RowSummary } from '../photo/index.ts'
import { inOrder } from './practice-of.ts'
import type { PracticeEvent } from './types.ts'

export interface NotebookRow {
  /** As 2027-01-14. */
  readonly on: string
  readonly exercise: ExerciseId
  /** Of this exercise, from 1. */
  readonly number: number
  readonly row: RowSummary
  /** Said with her own rows before it. */
  readonly advice: Advice
}

/** In the order in which they were photographed. */
export function notebookOf(events: readonly PracticeEvent[], learner: LearnerId): readonly NotebookRow[] {
  const before = new Map<ExerciseId, RowSummary[]>()
  return inOrder(events).flatMap((event): readonly NotebookRow[] => {
    if (event.kind !== 'row' || event.learner !== learner) return []
    const earlier = before.get(event.exercise) ?? []
    before.set(event.exercise, [...earlier, event.row])
    return [{ on: event.at.slice(0, 10), exercise: event.exercise, number: earlier.length + 1, row: event.row, advice: advise(event.row, earlier) }]
  })
}
