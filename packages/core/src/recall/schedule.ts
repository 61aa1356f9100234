/**
 * When a motion is asked again: after a right answer later each time, after a wrong one the next day. Boxes with growing intervals
 * (Leitner 1972) rather than a fitted curve of forgetting: a handful of answers a motion is too little to fit one to.
 */
import type { ExerciseId, LearnerId } from '../base/index.ts'
import { inOrder, type PracticeEvent } from '../practice/index.ts'

/** Days until it is asked again, by box; a motion stays in the last. */
export const INTERVAL_DAYS: readonly number[] = [1, 2, 4, 7, 14, 28]

export interface Remembered {
  /** Of which it was asked last. */
  readonly exercise: ExerciseId
  /** Into `INTERVAL_DAYS`. */
  readonly box: number
  /** A day as 2027-01-14, from which on it is asked. */
  readonly due: string
}

/** A day so many after one, both as 2027-01-14: days are counted by whoever has a calendar at hand. */
export type AddDays = (day: string, days: number) => string

/** By motion. Of the same answers the same, whatever order they arrived in. */
export function rememberedOf(events: readonly PracticeEvent[], learner: LearnerId, addDays: AddDays): ReadonlyMap<string, Remembered> {
  const found = new Map<string, Remembered>()
  for (const event of inOrder(events)) {
    if (event.kind !== 'recall' || event.learner !== learner) continue
    const day = event.at.slice(0, 10)
    const { exercise, motion, right } = event
    const before = found.get(motion)
    const box = right ? boxAfter(before, day) : 0
    // Asked before it was due it proves nothing new, and is asked when it was.
    if (box === null) continue
    found.set(motion, { exercise, box, due: addDays(day, INTERVAL_DAYS[box] as number) })
  }
  return found
}

function boxAfter(before: Remembered | undefined, day: string): number | null {
  if (!before) return 0
  return day < before.due ? null : Math.min(before.box + 1, INTERVAL_DAYS.length - 1)
}

export interface Asked {
  readonly exercise: ExerciseId
  readonly motion: string
}

/** At one sitting, about two minutes; of these at most so many that were never asked. */
export const MOST_ASKED = 8
export const MOST_NEW = 4

/**
 * What is asked today: what is about to be forgotten first, the longest due before the others; then what is new, as it is taught.
 * `fresh`: what can be asked, in the order of teaching; no more of it is looked at than is needed.
 */
export function askedToday(known: ReadonlyMap<string, Remembered>, fresh: Iterable<Asked>, today: string): readonly Asked[] {
  const due = [...known].filter(([, one]) => one.due <= today).sort(([, a], [, b]) => (a.due < b.due ? -1 : a.due > b.due ? 1 : 0))
  const asked: Asked[] = due.slice(0, MOST_ASKED).map(([motion, { exercise }]) => ({ exercise, motion }))
  const room = Math.min(MOST_ASKED, asked.length + MOST_NEW)
  if (asked.length >= room) return asked
  const met = new Set(known.keys())
  for (const one of fresh) {
    if (met.has(one.motion)) continue
    met.add(one.motion)
    asked.push(one)
    if (asked.length >= room) break
  }
  return asked
}

/** The next day on which one comes back; null where none was asked yet. */
export function nextAsked(known: ReadonlyMap<string, Remembered>): string | null {
  return [...known.values()].map((one) => one.due).sort()[0] ?? null
}
