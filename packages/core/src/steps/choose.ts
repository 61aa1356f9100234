/**
 * Which moments are shown: the start; each thing that is done, the first time whole and the second time as the needle lies; what
 * repeats from then on as one picture; a new row; the end. No picture is without something new, and none is left out by count.
 */
import type { Gesture, GestureKind } from './gestures.ts'

/**
 * `in`: the needle in its place, before it is drawn through. `drawn`: after. `turn`, `turns`: the first turn on the needle, all of
 * them. `group`: what so many more of the same make.
 */
export type Moment = 'in' | 'drawn' | 'turn' | 'turns' | 'group'

export interface Shown {
  readonly moment: Moment
  /** The one, or all of a group. */
  readonly gestures: readonly [Gesture, ...Gesture[]]
  /** What led to it and was shown before: said with it. */
  readonly after: readonly Gesture[]
  /** How often it was shown before. */
  readonly time: number
  /** Of a group: how often the same is done. */
  readonly times: number
  /** With it the pass is worked to its end. */
  readonly ends: boolean
}

/** From this row on all is as in the row before. */
const LAST_NEW_ROW = 2
/** A cycle of more gestures than these is not shown twice. */
const LONG_CYCLE = 5

const MOMENTS: { readonly [Kind in GestureKind]: (gesture: Gesture, time: number, afterHalf: boolean) => readonly Moment[] } = {
  up: () => ['drawn'],
  down: () => ['in'],
  straight: () => ['in'],
  sew: (_, time) => (time === 0 ? ['in', 'drawn'] : ['in']),
  half: () => ['in'],
  // Wound on a needle that stands in the cloth already, it is drawn out of its turns before it goes down again.
  wind: (_, __, afterHalf) => (afterHalf ? ['turn', 'turns', 'drawn'] : ['turn', 'turns', 'in', 'drawn']),
  pass: (_, time) => (time === 0 ? ['in', 'drawn'] : ['in']),
  weave: () => ['drawn'],
  lay: () => ['drawn'],
  lead: () => ['drawn'],
  round: () => ['drawn'],
  pin: () => ['drawn'],
  bead: () => ['drawn'],
  pad: () => ['drawn'],
  cut: () => ['drawn'],
  withdraw: () => ['drawn'],
}

export function chosenOf(gestures: readonly Gesture[]): readonly Shown[] {
  const passes = [...new Set(gestures.map((one) => one.pass))]
  return passes.flatMap((pass) => chosenOfPass(gestures.filter((one) => one.pass === pass)))
}

function chosenOfPass(gestures: readonly Gesture[]): readonly Shown[] {
  const met = new Map<string, number>()
  const shown: Shown[] = []
  let waiting: Gesture[] = []
  const cycle = new Set(gestures.map((one) => one.key)).size
  const flush = (ends: boolean): void => {
    const [first, ...rest] = waiting
    if (first) shown.push({ moment: 'group', gestures: [first, ...rest], after: [], time: 0, times: timesIn(waiting), ends })
    waiting = []
  }
  let row: number | null = null
  for (const [index, gesture] of gestures.entries()) {
    const ends = index === gestures.length - 1
    const key = `${gesture.key} ${Math.min(gesture.row ?? 0, LAST_NEW_ROW)}`
    const time = met.get(key) ?? 0
    met.set(key, time + 1)
    if (gesture.row !== row && (gesture.row ?? 0) <= LAST_NEW_ROW + 1) flush(false)
    row = gesture.row
    if (time === 0 ? isNew(gesture) : time === 1 && waiting.every(isOnTheWay) && isShownAgain(gesture, cycle, shown)) {
      const after = time === 1 ? waiting : []
      if (time === 1) waiting = []
      flush(false)
      const moments = MOMENTS[gesture.kind](gesture, Math.max(time, passedAlike(gesture, shown)), gestures[index - 1]?.kind === 'half')
      for (const [place, moment] of moments.entries())
        shown.push({ moment, gestures: [gesture], after: place === 0 ? after : [], time, times: 1, ends: ends && place === moments.length - 1 })
    } else waiting.push(gesture)
  }
  flush(true)
  return shown
}

/** A second piece, and a third row, are worked as the one before. */
const isNew = ({ piece, row }: Gesture): boolean => piece === 0 && (row ?? 0) < LAST_NEW_ROW

/** Down to hold the last loop, and up for the next. */
const isOnTheWay = ({ kind, piece }: Gesture): boolean => piece === 0 && (kind === 'up' || kind === 'down')

function isShownAgain(gesture: Gesture, cycle: number, shown: readonly Shown[]): boolean {
  if (gesture.piece > 0 || (gesture.row ?? 0) > 0 || cycle > LONG_CYCLE) return false
  if (gesture.kind !== 'sew' && gesture.kind !== 'straight') return false
  // Where the start made the same gesture already, it has been seen twice.
  return !shown.some(({ gestures: [one] }) => one.kind === gesture.kind && one.key !== gesture.key && one.happenings[0].made.block !== 'repeat')
}

/** 1 where the needle was led past thread in the same way before, by other moves. */
function passedAlike({ kind, happenings: [{ surface }] }: Gesture, shown: readonly Shown[]): 0 | 1 {
  if (kind !== 'pass' || !surface) return 0
  const alike = shown.some(({ gestures: [{ kind: before, happenings }] }) => {
    const other = happenings[0].surface
    return before === 'pass' && other?.from === surface.from && other.hitch === surface.hitch && other.kind === surface.kind
  })
  return alike ? 1 : 0
}

/** As often as the gesture that comes most often. */
function timesIn(gestures: readonly Gesture[]): number {
  const counts = new Map<string, number>()
  for (const { key } of gestures) counts.set(key, (counts.get(key) ?? 0) + 1)
  return Math.max(...counts.values())
}
