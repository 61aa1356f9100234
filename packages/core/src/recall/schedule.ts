/**
 * When a motion is asked again: after a right answer later each time, after a wrong one the next day. Boxes with growing intervals
 * (Leitner 1972) rather than a fitted curve of forgetting: a handful of answers a motion is too little to fit one to.
 */
import type { ExerciseId, LearnerId } from '../base/index.ts'
import { inOrder, type PracticeEvent } from '../practice/index.ts'

/** Days until it is asked again, by box; a motion stays in the last. */
export const INTERVAL_DAYS: readonly number[] = [1, 2, 4, 7, 14, 28]

export interface Remembered {
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
    const before = found.get(event.motion)
    found.set(event.motion, event.right ? remembered(before, day, addDays) : { box: 0, due: addDays(day, INTERVAL_DAYS[0] as number) })
  }
  return found
}

/** Asked before it was due it proves nothing new, and is asked when it was. */
function remembered(before: Remembered | undefined, day: string, addDays: AddDays): Remembered {
  if (before && day < before.due) return before
  const box = before ? Math.min(before.box + 1, INTERVAL_DAYS.length - 1) : 0
  return { box, due: addDays(day, INTERVAL_DAYS[box] as number) }
}

export interface Asked {
  readonly exercise: ExerciseId
  readonly motion: string
}

/** At one sitting, about two minutes; of these at most so many that were never asked. */
export const MOST_ASKED = 8
export const MOST_NEW = 4

/** What is asked today: what is about to be forgotten first, the longest due before the others; then what is new, as it is taught. */
export function askedToday(all: readonly Asked[], known: ReadonlyMap<string, Remembered>, today: string): readonly Asked[] {
  const due = all.filter(({ motion }) => (known.get(motion)?.due ?? '9') <= today)
  const fresh = all.filter(({ motion }) => !known.has(motion))
  const longest = [...due].sort((a, b) => ((known.get(a.motion)?.due ?? '') < (known.get(b.motion)?.due ?? '') ? -1 : 1))
  const asked = longest.slice(0, MOST_ASKED)
  return [...asked, ...fresh.slice(0, Math.min(MOST_NEW, MOST_ASKED - asked.length))]
}

/** The next day on which one of them comes back; null where none was asked yet. */
export function nextAsked(all: readonly Asked[], known: ReadonlyMap<string, Remembered>): string | null {
  const days = all.flatMap(({ motion }) => known.get(motion)?.due ?? []).sort()
  return days[0] ?? null
}
