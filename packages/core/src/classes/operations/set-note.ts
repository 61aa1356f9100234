import { entriesBefore, success, withEntries } from '../../base/index.ts'
import type { LessonNote } from '../types.ts'
import type { ClassTools } from './tools.ts'

/** A question or a vote of a lesson, new or changed; null takes it out. */
export interface SetNote {
  readonly kind: 'set-note'
  readonly id: string
  readonly note: LessonNote | null
}

export const setNote: ClassTools<SetNote> = {
  apply: (one, { id, note }) => {
    const { notes: before, ...rest } = one
    const notes = withEntries(before, note === null ? {} : { [id]: note }, note === null ? [id] : [])
    return success(notes && Object.keys(notes).length > 0 ? { ...rest, notes } : rest)
  },
  invert: (before, { id }) => ({ kind: 'set-note', id, note: entriesBefore(before.notes, [id]).set[id] ?? null }),
}
