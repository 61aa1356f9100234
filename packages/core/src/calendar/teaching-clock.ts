/** The clock of a lesson as it is taught: how much of it is left, and when hands and eyes rest. Minutes. */
import { BREAK, BREAK_EACH } from './lesson-minutes.ts'

export interface TeachingClock {
  /** Of the lesson; 0 where it is over. */
  readonly left: number
  /** Beyond its end. */
  readonly over: number
  /** Until the next break; null where none comes any more. */
  readonly breakIn: number | null
  /** Of the break that is now; null where there is none. */
  readonly resting: number | null
}

/** A break that would end with the lesson, or after it, is none. */
export function teachingClock(passed: number, room: number): TeachingClock {
  const turn = BREAK_EACH + BREAK
  const at = passed % turn
  const isBreak = (begins: number): boolean => begins + BREAK < room
  const begins = Math.floor(passed / turn) * turn + BREAK_EACH
  const resting = at >= BREAK_EACH && isBreak(begins) ? turn - at : null
  const next = at < BREAK_EACH ? begins : begins + turn
  return {
    left: Math.max(0, room - passed),
    over: Math.max(0, passed - room),
    breakIn: resting === null && isBreak(next) ? next - passed : null,
    resting,
  }
}
