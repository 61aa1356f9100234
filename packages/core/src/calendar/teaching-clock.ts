/** The clock of a lesson as it is taught: what is on now, how much of it is left, and when hands and eyes rest. Minutes. */
import type { Turn } from './running-order.ts'

export interface TeachingClock {
  /** Of the lesson; 0 where it is over. */
  readonly left: number
  /** Beyond its end. */
  readonly over: number
  /** By the running order; null where it is over. */
  readonly now: Turn | null
  /** Until the next break; null where none comes any more. */
  readonly breakIn: number | null
  /** Of the break that is now; null where there is none. */
  readonly resting: number | null
}

/** `turns`: of the lesson's running order, so that the clock rests when the page says so. */
export function teachingClock(passed: number, turns: readonly Turn[]): TeachingClock {
  const last = turns.at(-1)
  const ends = last ? last.at + last.minutes : 0
  const now = turns.find((one) => passed >= one.at && passed < one.at + one.minutes) ?? null
  const next = turns.find((one) => one.kind === 'break' && one.at > passed)
  return {
    left: Math.max(0, ends - passed),
    over: Math.max(0, passed - ends),
    now,
    breakIn: now?.kind !== 'break' && next ? next.at - passed : null,
    resting: now?.kind === 'break' ? now.at + now.minutes - passed : null,
  }
}
