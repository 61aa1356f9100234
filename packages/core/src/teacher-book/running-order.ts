/**
 * A lesson minute by minute. What is shown and worked takes what the course says; a break comes where hands and eyes need it; what is
 * left of the lesson goes to closing it, arriving, looking back and looking at one another's work, in this order. Minutes.
 */
import { BREAK, BREAK_EACH } from '../calendar/index.ts'
import type { CourseItem } from '../order/index.ts'

export type TurnKind = 'arrive' | 'recap' | 'show' | 'work' | 'break' | 'look' | 'close' | 'spare'

export interface Turn {
  readonly kind: TurnKind
  /** From the beginning of the lesson. */
  readonly at: number
  readonly minutes: number
  /** What is shown or worked. */
  readonly exercise: string | null
  /** More of what a break cut in two. */
  readonly goesOn: boolean
}

export interface RunningOrder {
  readonly turns: readonly Turn[]
  /** More than the lesson has: so much is left for home or for another date. */
  readonly over: number
}

/** Each of the turns round the work takes so long, where there is room. */
const ROUND = 5
const ROUNDS = ['close', 'arrive', 'recap', 'look'] as const

type Part = Omit<Turn, 'at'>

/** `hasRecap`: something comes back in it. `items`: its exercises in order. */
export function runningOrder(items: readonly CourseItem[], room: number, hasRecap: boolean): RunningOrder {
  const taught = items.flatMap((one): Part[] => {
    const [show, work] = [Math.round(one.showMinutes), Math.round(one.minutes - one.showMinutes)]
    return [...(show > 0 ? [part('show', show, one.id)] : []), ...(work > 0 ? [part('work', work, one.id)] : [])]
  })
  const rested = withBreaks(taught, room)
  const needed = rested.reduce((sum, one) => sum + one.minutes, 0)
  let left = Math.max(0, room - needed)
  const round = new Map<TurnKind, number>()
  for (const kind of ROUNDS) {
    if (kind === 'recap' && !hasRecap) continue
    const minutes = Math.min(ROUND, left)
    if (minutes > 0) round.set(kind, minutes)
    left -= minutes
  }
  const of = (kind: TurnKind): readonly Part[] => (round.has(kind) ? [part(kind, round.get(kind) ?? 0, null)] : [])
  const parts = [...of('arrive'), ...of('recap'), ...rested, ...of('look'), ...(left > 0 ? [part('spare', left, null)] : []), ...of('close')]
  let at = 0
  const turns = parts.map((one): Turn => {
    const turn = { ...one, at }
    at += one.minutes
    return turn
  })
  return { turns, over: Math.max(0, needed - room) }
}

const part = (kind: TurnKind, minutes: number, exercise: string | null, goesOn = false): Part => ({ kind, minutes, exercise, goesOn })

/** A break within a long piece of work cuts it in two; none is laid where it would end with what is taught. */
function withBreaks(parts: readonly Part[], room: number): readonly Part[] {
  const whole = parts.reduce((sum, one) => sum + one.minutes, 0)
  let breaks = Math.min(Math.floor(whole / BREAK_EACH), Math.max(0, Math.floor((room - whole) / BREAK)))
  const made: Part[] = []
  let since = 0
  for (const one of parts) {
    let rest = one.minutes
    while (breaks > 0 && since + rest > BREAK_EACH) {
      const before = BREAK_EACH - since
      // Nothing is begun for a minute or two before a break.
      if (before >= ROUND) {
        made.push({ ...one, minutes: before, goesOn: one.goesOn || rest < one.minutes })
        rest -= before
      }
      made.push(part('break', BREAK, null))
      breaks -= 1
      since = 0
    }
    if (rest > 0) made.push({ ...one, minutes: rest, goesOn: rest < one.minutes })
    since += rest
  }
  return made
}
