/**
 * A lesson minute by minute. What is shown and worked takes what the course says; a break comes where hands and eyes need it; what is
 * left of the lesson goes to closing it, arriving, looking back and looking at one another's work, in this order. Minutes.
 */
import type { CourseItem } from '../order/index.ts'
import { type Break, breaksOf } from './breaks.ts'

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

/** Each of the dates that a lesson is held on, most often one. `hasRecap`: something comes back in it. `items`: its exercises in order. */
export function runningOrders(items: readonly CourseItem[], room: number, hasRecap: boolean, dates: number): readonly RunningOrder[] {
  return divided(taughtIn(items), room, dates).map((taught, index) => orderOf(taught, room, hasRecap || index > 0))
}

const taughtIn = (items: readonly CourseItem[]): readonly Part[] =>
  items.flatMap((one): Part[] => [
    part('show', Math.round(one.showMinutes), one.id),
    part('work', Math.round(one.minutes) - Math.round(one.showMinutes), one.id),
  ])

const part = (kind: TurnKind, minutes: number, exercise: string | null): Part => ({ kind, minutes, exercise, goesOn: false })
const minutesOf = (parts: readonly { readonly minutes: number }[]): number => parts.reduce((sum, one) => sum + one.minutes, 0)

/** What does not fit with arriving, a break and closing goes on the next time; the last date takes the rest. A demonstration is never cut, nor begun without time to try. */
function divided(taught: readonly Part[], room: number, dates: number): readonly (readonly Part[])[] {
  const all: Part[][] = [[]]
  let left = room - 3 * ROUND
  for (const one of taught) {
    let rest = one
    while (all.length < dates && rest.minutes + (one.kind === 'show' ? 2 * ROUND : 0) > left) {
      if (one.kind === 'show' && all.at(-1)?.length === 0) break
      if (one.kind === 'work' && left >= ROUND) {
        all.at(-1)?.push({ ...rest, minutes: left })
        rest = { ...rest, minutes: rest.minutes - left, goesOn: true }
      }
      all.push([])
      left = room - 3 * ROUND
    }
    all.at(-1)?.push(rest)
    left -= rest.minutes
  }
  return all
}

function orderOf(taught: readonly Part[], room: number, hasRecap: boolean): RunningOrder {
  const needed = minutesOf(taught)
  const breaks = breaksOf(needed, room)
  let left = Math.max(0, room - needed - minutesOf(breaks))
  const round = new Map<TurnKind, number>()
  for (const kind of ROUNDS) {
    if (kind === 'recap' && !hasRecap) continue
    const minutes = Math.min(ROUND, left)
    round.set(kind, minutes)
    left -= minutes
  }
  const of = (kind: TurnKind): Part => part(kind, round.get(kind) ?? 0, null)
  const parts = [of('arrive'), of('recap'), ...taught, of('look'), part('spare', left, null), of('close')]
  return { turns: inTurn(parts, breaks), over: Math.max(0, needed - room) }
}

/** What is worked when a break comes goes on after it; a demonstration that is nearly over is brought to its end first. */
function inTurn(parts: readonly Part[], breaks: readonly Break[]): readonly Turn[] {
  const turns: Turn[] = []
  const coming = [...breaks]
  let at = 0
  const take = (one: Part): void => {
    if (one.minutes > 0) turns.push({ ...one, at })
    at += one.minutes
  }
  for (const one of parts) {
    let { minutes: left, goesOn } = one
    for (let [next] = coming; next && at + left > next.at; [next] = coming) {
      const before = Math.max(0, next.at - at)
      if (one.kind === 'show' && left - before <= ROUND) break
      take({ ...one, minutes: before, goesOn })
      take(part('break', next.minutes, null))
      left -= before
      goesOn ||= before > 0
      coming.shift()
    }
    take({ ...one, minutes: left, goesOn })
  }
  return turns
}
