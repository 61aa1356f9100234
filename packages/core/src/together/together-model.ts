/**
 * One option for every row, of as few threads and needles as that takes: each option has a thread and a needle, costs what it is
 * not the best, and every thread and needle that is used costs once. Options of a row under one thread are bounded by that thread
 * together (and so under one needle), which makes the bound so tight that little is left to search.
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
}

/** In CPLEX LP format: t0, n0 ... are used, x3_1 that the fourth row has its second option. What can be in no best answer is left out. */
export function writeTogether({ rows, threads, needles }: TogetherModel): string {
  const objective: string[] = []
  const lines: string[] = []
  const used = { t: new Set<number>(), n: new Set<number>() }
  for (const [row, options] of rows.entries()) {
    const kept = worthwhile(options, threads, needles)
    const under = new Map<string, string[]>()
    for (const [at, { thread, needle, cost }] of kept) {
      const name = `x${row}_${at}`
      used.t.add(thread)
      used.n.add(needle)
      if (cost > 0) objective.push(`${cost.toFixed(6)} ${name}`)
      for (const one of [`t${thread}`, `n${needle}`]) under.set(one, [...(under.get(one) ?? []), name])
    }
    lines.push(` one${row}: ${inLines(kept.map(([at]) => `x${row}_${at}`))} = 1`)
    for (const [one, names] of under) lines.push(` r${row}${one}: ${inLines(names)} - ${one} <= 0`)
  }
  const binaries = [...[...used.t].map((one) => `t${one}`), ...[...used.n].map((one) => `n${one}`)]
  for (const one of used.t) objective.unshift(`${(threads[one] as number).toFixed(6)} t${one}`)
  for (const one of used.n) objective.unshift(`${(needles[one] as number).toFixed(6)} n${one}`)
  return ['Minimize', ` cost: ${inLines(objective)}`, 'Subject To', ...lines, 'Binary', ...binaries.map((one) => ` ${one}`), 'End', ''].join('\n')
}

/** An option that costs more than the row's cheapest and a new thread and needle for it is in no best answer. */
function worthwhile(
  options: readonly TogetherOption[],
  threads: readonly number[],
  needles: readonly number[],
): readonly (readonly [number, TogetherOption])[] {
  const withNew = (one: TogetherOption): number => one.cost + (threads[one.thread] as number) + (needles[one.needle] as number)
  const most = Math.min(...options.map(withNew))
  return [...options.entries()].filter(([, one]) => one.cost <= most + 1e-9)
}

/** The option of each row, by the values of the solved model: the cheapest whose thread and needle are both used. */
export function solutionOf({ rows }: TogetherModel, values: ReadonlyMap<string, number>): readonly number[] {
  const isUsed = (name: string): boolean => (values.get(name) ?? 0) > 0.5
  return rows.map((options) => {
    let best = -1
    for (const [at, one] of options.entries())
      if (isUsed(`t${one.thread}`) && isUsed(`n${one.needle}`) && (best < 0 || one.cost < (options[best] as TogetherOption).cost)) best = at
    return best
  })
}

/** What a choice costs altogether. */
export function costOfAll({ rows, threads, needles }: TogetherModel, chosen: readonly number[]): number {
  const options = chosen.map((at, row) => rows[row]?.[at])
  const sum = (list: Iterable<number>): number => [...list].reduce((total, one) => total + one, 0)
  return (
    sum(options.map((one) => one?.cost ?? Number.POSITIVE_INFINITY)) +
    sum([...new Set(options.map((one) => one?.thread ?? 0))].map((one) => threads[one] ?? 0)) +
    sum([...new Set(options.map((one) => one?.needle ?? 0))].map((one) => needles[one] ?? 0))
  )
}
