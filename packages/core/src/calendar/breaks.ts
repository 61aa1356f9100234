/**
 * When a class stands up and opens its hands: after each 45 minutes of the lesson, whatever is done in them (ergonomics: 2 to 5 minutes
 * each half hour or so). The course's minutes, the running order on paper and the clock in the room count by this alone. Minutes.
 */
export interface Break {
  /** From the beginning of the lesson. */
  readonly at: number
  readonly minutes: number
}

const EACH = 45
const LONGEST = 5
const SHORTEST = 2
/** Of the lesson, that is to follow it: a break just before the end is none. */
const AFTER = 10

/** `taught`: minutes of showing and working, which a break never takes from. None where there is no room for it. */
export function breaksOf(taught: number, room: number): readonly Break[] {
  const breaks: Break[] = []
  let left = room - taught
  for (let at = EACH; ; ) {
    const minutes = Math.min(LONGEST, Math.floor(left))
    if (minutes < SHORTEST || at + minutes + AFTER > room) return breaks
    breaks.push({ at, minutes })
    left -= minutes
    at += minutes + EACH
  }
}
