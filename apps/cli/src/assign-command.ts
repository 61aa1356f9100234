/** Needles of the whole course together: as few as serve, and what changes by it. */
import { hasErrors, type Result, success } from '@lemmata/core/base'
import { workSampler } from '@lemmata/core/exercise'
import { nameNeedle } from '@lemmata/core/materials'
import { fewerNeedles, needleCourse, type NeedleRow, provenValues, type Solver } from '@lemmata/core/together'
import { readSampler } from '@lemmata/contract'
import loadHighs from 'highs'
import type { Answer } from './command.ts'

const solve: Solver = async (lp) => provenValues((await loadHighs()).solve(lp))

export async function assign(given: unknown): Promise<Result<Answer>> {
  const sampler = readSampler(given)
  if (!sampler.ok) return sampler
  const { done, problems } = workSampler(sampler.value)
  const course = needleCourse(done)
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
  }
  return success({ output, wrong: hasErrors(problems) }, problems)
}
