/** The hand that holds the needle, and how a picture lies for it. */
import type { Point } from '../geometry/index.ts'

export type Hand = 'right' | 'left'

export const otherHand = (hand: Hand): Hand => (hand === 'right' ? 'left' : 'right')

/** Quarter turns, clockwise as seen: 1 turns what ran to the right toward the learner. */
export type Turn = 0 | 1 | 2 | 3

/** Worked places as they are seen: turned, and for the left hand mirrored. Light and twist are not. */
export function seenBy(hand: Hand, turn: Turn): <P extends Point>(at: P) => P {
  const flip = hand === 'left' ? -1 : 1
  return (at) => {
    const [x, y] = turned(at, turn)
    return { ...at, x: x * flip, y }
  }
}

function turned({ x, y }: Point, turn: Turn): readonly [number, number] {
  switch (turn) {
    case 0:
      return [x, y]
    case 1:
      return [-y, x]
    case 2:
      return [-x, -y]
    case 3:
      return [y, -x]
  }
}
