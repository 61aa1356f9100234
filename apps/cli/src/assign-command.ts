/** Needles of the whole course together, and its threads with them: as few as serve, and what changes by it. */
import { hasErrors, type Result, success } from '@lemmata/core/base'
import { type WorkedExercise, workSampler } from '@lemmata/core/exercise'
import { nameNeedle, nameThread } from '@lemmata/core/materials'
import type { Sampler } from '@lemmata/core/sampler'
import type { Stores } from '@lemmata/core/stores'
import { fewerNeedles, fewerThreads, needleCourse, type NeedleRow, provenValues, type Solver, type ThreadChange, threadCourse } from '@lemmata/core/together'
import { readSampler } from '@lemmata/contract'
import loadHighs from 'highs'
import type { Answer } from './command.ts'
import { storesOf } from './stores-file.ts'

const solve: Solver = async (lp) => provenValues((await loadHighs()).solve(lp))

export async function assign(given: unknown, { storesText }: Readonly<Record<string, string>> = {}): Promise<Result<Answer>> {
  const sampler = readSampler(given)
  if (!sampler.ok) return sampler
  const house = storesText === undefined ? null : storesOf(storesText)
  if (house && !house.ok) return house
  const { done, problems } = workSampler(sampler.value)
  const course = needleCourse(sampler.value, done)
  const answer = await fewerNeedles(course, solve)
  const of = ({ exercise, role }: NeedleRow) => ({ exercise, role })
  const output = {
    before: answer?.before.map(nameNeedle) ?? [],
    after: answer?.after.map(nameNeedle) ?? [],
    cost: answer?.cost ?? null,
    costBefore: answer?.costBefore ?? null,
    proven: answer !== null,
    changes: answer?.changes.map(({ row, to, verdict }) => ({ ...of(row), from: nameNeedle(row.now), to: nameNeedle(to), verdict })) ?? [],
    pinned: course.rows.filter((row) => row.isPinned).map((row) => ({ ...of(row), needle: nameNeedle(row.now) })),
    unserved: course.left.map(of),
    withThreads: await withThreads(sampler.value, done, house?.value),
  }
  return success({ output, wrong: hasErrors(problems) }, [...(house?.problems ?? []), ...problems])
}

/** Among the kinds of the sampler and of the stores, in the colours it has. */
async function withThreads(sampler: Sampler, done: readonly WorkedExercise[], stores: Stores | undefined): Promise<object> {
  const threads = [...sampler.threads, ...(stores?.threads.filter((one) => one.left > 0) ?? [])]
  const course = threadCourse({ sampler, done, threads, stores })
  const answer = await fewerThreads(course, solve)
  const setting = ({ kind, strands, needle }: Pick<ThreadChange['to'], 'kind' | 'strands' | 'needle'>) => ({
    ...{ thread: nameThread(kind), strands, needle: nameNeedle(needle) },
  })
  return {
    before: answer?.before ?? null,
    after: answer?.after ?? null,
    cost: answer?.cost ?? null,
    costBefore: answer?.costBefore ?? null,
    proven: answer !== null,
    changes:
      answer?.changes.map(({ row, to }) => ({ exercise: row.exercise, role: row.role, from: setting(row.now), to: { ...setting(to), costs: to.costs } })) ?? [],
    unserved: course.left,
  }
}
