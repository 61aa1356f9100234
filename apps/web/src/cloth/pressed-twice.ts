/** Two presses on one thing within this time, with no drag between them, are a double press, ms. */
const TWICE_MS = 400

interface Place {
  readonly clientX: number
  readonly clientY: number
  readonly timeStamp: number
}

export interface PressedTwice {
  /** True when it is the second press on that thing; a third begins anew. */
  readonly press: (id: string, at: Place) => boolean
  /** What was dragged and is taken again at once is no double press. */
  readonly move: (at: Place) => void
}

/** `stillPx`: a pointer that goes no further has not been dragged. */
export function pressedTwice(stillPx: number): PressedTwice {
  let last: { readonly id: string; readonly at: Place } | null = null
  return {
    press: (id, at) => {
      const twice = last?.id === id && at.timeStamp - last.at.timeStamp < TWICE_MS
      last = twice ? null : { id, at }
      return twice
    },
    move: (at) => {
      if (last && Math.hypot(at.clientX - last.at.clientX, at.clientY - last.at.clientY) > stillPx) last = null
    },
  }
}
