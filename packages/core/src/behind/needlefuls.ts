/** Where one needleful ends and the next begins: between pieces where one can, at a corner where there is one near, else where the thread ends. */
import type { Point } from '../geometry/index.ts'

export type NeedlefulEnd = 'between' | 'corner' | 'within'

export interface NeedlefulStop {
  /** Index of the piece after which, or within which, the needleful ends. */
  readonly piece: number
  readonly why: NeedlefulEnd
  readonly at: Point
}

/** What a piece takes, bit by bit along its way. */
export interface Spent {
  /** Thread used up to there, mm; rising. */
  readonly usedMm: number
  readonly at: Point
  readonly isCorner: boolean
}

/** A corner is worth this share of a needleful left unused. */
const FOR_A_CORNER = 0.25

/**
 * `pieces`: each with what it takes along its way, the last entry at its end. `hops`: what goes before each piece, mm: thread
 * carried, or the tails of finishing off and beginning anew.
 */
export function needlefulStops(pieces: readonly (readonly Spent[])[], hops: readonly number[], usableMm: number): readonly NeedlefulStop[] {
  const stops: NeedlefulStop[] = []
  let left = usableMm
  pieces.forEach((spent, index) => {
    const whole = spent.at(-1)?.usedMm ?? 0
    const hop = hops[index] ?? 0
    const previous = pieces[index - 1]?.at(-1)
    // What would not be finished is not begun, where a whole needleful does it; and nothing is begun with less than a tail.
    if (previous && ((hop + whole > left && whole <= usableMm) || hop >= left)) {
      stops.push({ piece: index - 1, why: 'between', at: previous.at })
      left = usableMm
    } else left -= hop
    let done = 0
    while (whole - done > left + 1e-9) {
      const most = done + Math.max(left, 1)
      const within = spent.filter((one) => one.usedMm > done && one.usedMm <= most)
      const corner = within.filter((one) => one.isCorner && one.usedMm >= most - FOR_A_CORNER * usableMm).at(-1)
      const stop = corner ?? within.at(-1)
      // One bit takes more than a needleful: it ends in it.
      if (!stop) {
        const next = spent.find((one) => one.usedMm > done)
        if (!next) return
        stops.push({ piece: index, why: 'within', at: next.at })
        done = next.usedMm
      } else {
        stops.push({ piece: index, why: corner ? 'corner' : 'within', at: stop.at })
        done = stop.usedMm
      }
      left = usableMm
    }
    left -= whole - done
  })
  return stops
}
