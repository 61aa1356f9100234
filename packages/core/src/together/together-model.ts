/**
 * One option for every row, of as few threads and needles as that takes: each option has a thread and a needle, costs what it is
 * not the best, every thread and needle that is used costs once, and between rows that follow one another a needle put down for
 * another costs too. Options of a row under one thread are bounded by that thread together (and so under one needle), which makes
 * the bound so tight that little is left to search.
 */
import { inLines } from './lp.ts'

export interface TogetherOption {
  /** Places in the lists of what each thread and each needle costs. */
  readonly thread: number
  readonly needle: number
  readonly cost: number
}

export interface TogetherModel {
  readonly rows: readonly (readonly TogetherOption[])[]
  readonly threads: readonly number[]
  readonly needles: readonly number[]
  /** Places of rows worked one after the other: each row follows at most one, and is followed by at most one. */
  readonly following: readonly (readonly [number, number])[]
}

/** A needle put down and another taken up within a lesson: seven of them weigh as much as a needle more in every kit. Judgement. */
export const EACH_CHANGE = 0.15

/**
 * In CPLEX LP format: t0, n0 ... are used, x3_1 that the fourth row has its second option, c5_2 that after the sixth row needle 2 is
 * put down. What can be in no best answer is left out.
 */
export function writeTogether({ rows, threads, needles, following }: TogetherModel): string {
  const objective: string[] = []
  const lines: string[] = []
  const used = { t: new Set<number>(), n: new Set<number>() }
  const under: Map<string, string[]>[] = []
  for (const [row, options] of rows.entries()) {
    const kept = worthwhile(options, threads, needles)
    const mine = new Map<string, string[]>()
    for (const [at, { thread, needle, cost }] of kept) {
      const name = `x${row}_${at}`
      used.t.add(thread)
      used.n.add(needle)
      if (cost > 0) objective.push(`${cost.toFixed(6)} ${name}`)
      for (const one of [`t${thread}`, `n${needle}`]) mine.set(one, [...(mine.get(one) ?? []), name])
    }
    lines.push(` one${row}: ${inLines(kept.map(([at]) => `x${row}_${at}`))} = 1`)
    for (const [one, names] of mine) lines.push(` r${row}${one}: ${inLines(names)} - ${one} <= 0`)
    under.push(mine)
  }
  for (const [row, next] of following)
    for (const [needle, names] of under[row] ?? []) {
      if (!needle.startsWith('n')) continue
      const change = `c${row}_${needle.slice(1)}`
      const kept = (under[next]?.get(needle) ?? []).map((one) => `\n - ${one}`).join('')
      lines.push(` d${row}${needle}: ${inLines(names)}${kept} - ${change} <= 0`)
      objective.push(`${EACH_CHANGE.toFixed(6)} ${change}`)
    }
  const binaries = [...[...used.t].map((one) => `t${one}`), ...[...used.n].map((one) => `n${one}`)]
  for (const one of used.t) objective.unshift(`${(threads[one] as number).toFixed(6)} t${one}`)
  for (const one of used.n) objective.unshift(`${(needles[one] as number).toFixed(6)} n${one}`)
  return ['Minimize', ` cost: ${inLines(objective)}`, 'Subject To', ...lines, 'Binary', ...binaries.map((one) => ` ${one}`), 'End', ''].join('\n')
}

/** An option that costs more than the row's cheapest, a new thread and needle for it and a change before and after is in no best answer. */
function worthwhile(
  options: readonly TogetherOption[],
  threads: readonly number[],
  needles: readonly number[],
): readonly (readonly [number, TogetherOption])[] {
  const withNew = (one: TogetherOption): number => one.cost + (threads[one.thread] as number) + (needles[one.needle] as number)
  const most = Math.min(...options.map(withNew)) + 2 * EACH_CHANGE
  return [...options.entries()].filter(([, one]) => one.cost <= most + 1e-9)
}

/**
 * The option of each row, by what the solved model uses: of these threads and needles, the cheapest way along each run of rows with
 * its changes. -1 where none of a row's options is of them.
 */
export function solutionOf({ rows, following }: TogetherModel, values: ReadonlyMap<string, number>): readonly number[] {
  const isUsed = (name: string): boolean => (values.get(name) ?? 0) > 0.5
  const open = rows.map((options) => [...options.keys()].filter((at) => isUsed(`t${options[at]?.thread}`) && isUsed(`n${options[at]?.needle}`)))
  const chosen = rows.map(() => -1)
  for (const run of runsOf(rows.length, following)) {
    let best = new Map<number, Way>([[-1, { cost: 0, way: [] }]])
    for (const [place, row] of run.entries()) {
      const before = run[place - 1]
      const here = new Map<number, Way>()
      for (const at of open[row] as readonly number[]) {
        const option = rows[row]?.[at] as TogetherOption
        for (const [last, { cost, way }] of best) {
          const changes = before !== undefined && rows[before]?.[last]?.needle !== option.needle ? EACH_CHANGE : 0
          const total = cost + option.cost + changes
          if (total < (here.get(at)?.cost ?? Number.POSITIVE_INFINITY) - 1e-12) here.set(at, { cost: total, way: [...way, at] })
        }
      }
      best = here
    }
    const [cheapest] = [...best.values()].sort((a, b) => a.cost - b.cost)
    for (const [place, row] of run.entries()) chosen[row] = cheapest?.way[place] ?? -1
  }
  return chosen
}

interface Way {
  readonly cost: number
  readonly way: readonly number[]
}

/** Rows in the order in which they follow one another; one by itself where it follows none. */
function runsOf(count: number, following: TogetherModel['following']): readonly (readonly number[])[] {
  const next = new Map(following)
  const isNext = new Set(next.values())
  return Array.from({ length: count }, (_, row) => row)
    .filter((row) => !isNext.has(row))
    .map((first) => {
      const run = [first]
      for (let row = next.get(first); row !== undefined; row = next.get(row)) run.push(row)
      return run
    })
}

/** What a choice costs altogether. */
export function costOfAll({ rows, threads, needles, following }: TogetherModel, chosen: readonly number[]): number {
  const options = chosen.map((at, row) => rows[row]?.[at])
  const sum = (list: Iterable<number>): number => [...list].reduce((total, one) => total + one, 0)
  return (
    sum(options.map((one) => one?.cost ?? Number.POSITIVE_INFINITY)) +
    sum([...new Set(options.map((one) => one?.thread ?? 0))].map((one) => threads[one] ?? 0)) +
    sum([...new Set(options.map((one) => one?.needle ?? 0))].map((one) => needles[one] ?? 0)) +
    EACH_CHANGE * following.filter(([row, then]) => options[row]?.needle !== options[then]?.needle).length
  )
}
