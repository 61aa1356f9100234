/** Threads and needles of the course chosen together by whichever solver is at hand, and what changes by it. */
import type { RankedChoice } from '../assign/index.ts'
import { kindKey, nameNeedle, nameThread, needleKey } from '../materials/index.ts'
import type { Solver } from './fewer-needles.ts'
import { threadKey, type ThreadCourse, type ThreadRow } from './thread-course.ts'
import { costOfAll, solutionOf, writeTogether } from './together-model.ts'

export interface ThreadChange {
  readonly row: ThreadRow
  readonly to: RankedChoice
}

export interface FewerThreads {
  /** By name, threads with their colours. */
  readonly before: { readonly threads: readonly string[]; readonly needles: readonly string[] }
  readonly after: { readonly threads: readonly string[]; readonly needles: readonly string[] }
  readonly changes: readonly ThreadChange[]
  readonly cost: number
  /** Of what is worked now; null where something of it does not serve. */
  readonly costBefore: number | null
}

/** Null where nothing was answered. What is no better than what is stays as it is. */
export async function fewerThreads({ rows, model }: ThreadCourse, solve: Solver): Promise<FewerThreads | null> {
  const nowAt = rows.map(({ now, choices }) =>
    choices.findIndex((one) => kindKey(one.from) === kindKey(now.from) && one.strands === now.strands && needleKey(one.needle) === needleKey(now.needle)),
  )
  const costBefore = nowAt.some((at) => at < 0) ? null : costOfAll(model, nowAt)
  const before = named(rows.map((row) => ({ row, ...row.now })))
  if (rows.length === 0) return { before, after: before, changes: [], cost: 0, costBefore: 0 }
  const values = await solve(writeTogether(model))
  if (!values) return null
  const solved = solutionOf(model, values)
  if (solved.some((at) => at < 0)) return null
  const solvedCost = costOfAll(model, solved)
  const isBetter = costBefore === null || solvedCost < costBefore - 1e-9
  const chosen = isBetter ? solved : nowAt
  const to = chosen.map((at, index) => rows[index]?.choices[at] as RankedChoice)
  return {
    before,
    after: named(rows.map((row, index) => ({ row, ...(to[index] as RankedChoice) }))),
    changes: rows.flatMap((row, index) => (chosen[index] === nowAt[index] ? [] : [{ row, to: to[index] as RankedChoice }])),
    cost: isBetter ? solvedCost : costBefore,
    costBefore,
  }
}

type Named = Pick<ThreadRow['now'], 'from' | 'kind' | 'needle'> & { readonly row: ThreadRow }

function named(all: readonly Named[]): FewerThreads['before'] {
  const threads = new Map(all.map(({ row, from, kind }) => [threadKey(from, row.colour), `${row.colour.name}, ${nameThread(kind).toLowerCase()}`]))
  const needles = new Map(all.map(({ needle }) => [needleKey(needle), nameNeedle(needle)]))
  return { threads: [...threads.values()].sort((a, b) => a.localeCompare(b)), needles: [...needles.values()].sort((a, b) => a.localeCompare(b)) }
}
