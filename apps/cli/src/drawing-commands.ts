/** The commands that draw, lay out, and look behind. */
import { error, failure, hasErrors, type Problem, type Result, success } from '@lemmata/core/base'
import { planBehind, totalsBehind } from '@lemmata/core/behind'
import { readSvg } from '@lemmata/core/bring-in'
import { underExercise, type WorkedSampler, workSampler } from '@lemmata/core/exercise'
import { bringIn } from '@lemmata/core/layout'
import { type AnotherSize, takeTo, whatChanges } from '@lemmata/core/refit'
import { applyOperation, newSampler, type Sampler } from '@lemmata/core/sampler'
import { parseLength } from '@lemmata/core/units'
import { readSampler } from '@lemmata/contract'
import type { Answer } from './command.ts'

/** A sampler whose drawing is the outlines of an SVG file. */
export function importSvg(given: unknown): Result<Answer> {
  const read = readSvg(String(given))
  if (!read.ok) return read
  let next = 0
  const sampler = newSampler('Brought in')
  const operation = bringIn(read.value.guides, sampler, () => {
    next += 1
    return { guide: `g${next}`, exercise: `e${next}` }
  })
  const made = operation ? applyOperation(sampler, operation) : success(sampler)
  return made.ok ? success({ output: made.value, wrong: false }, read.problems) : made
}

/** What goes on behind: the working order of pieces, what is carried and begun anew, where needlefuls end. */
export function carries(given: unknown): Result<Answer> {
  const sampler = readSampler(given)
  if (!sampler.ok) return sampler
  const { done, problems } = workSampler(sampler.value)
  const lessons = planBehind(sampler.value, done).map(({ lesson, threads }) => ({
    lesson,
    ...totalsBehind(threads),
    threads: threads.map(({ thread, ...one }) => ({ thread: thread.id, ...one })),
  }))
  return success({ output: { lessons }, wrong: hasErrors(problems) }, problems)
}

/** The sampler taken to another hoop or card; what can no longer be worked is said beside it. */
export function layout(given: unknown, { into }: Readonly<Record<string, string>>): Result<Answer> {
  const sampler = readSampler(given)
  if (!sampler.ok) return sampler
  const size = into === undefined ? null : sizeOf(into)
  if (!size) return failure(error('cli.no-size', []))
  const before = workSampler(sampler.value)
  const taken = takeTo(sampler.value, size, before.done)
  const made = taken.ok ? applyOperation(sampler.value, taken.value.operation) : taken
  if (!made.ok) return made
  const problems = newProblems(sampler.value, before, made.value)
  return success({ output: made.value, wrong: hasErrors(problems) }, problems)
}

function newProblems(sampler: Sampler, before: WorkedSampler, after: Sampler): readonly Problem[] {
  return whatChanges(sampler, before.results, workSampler(after).results).flatMap((change, index) => underExercise(index, change, change.problems))
}

/** "152", "6 in": a round hoop. "200x150": a card. Null for anything else. */
function sizeOf(text: string): AnotherSize | null {
  const [first, second, ...more] = text.split(/[x×]/).map((part) => parseLength(part.trim(), 'mm'))
  if (more.length > 0 || first === undefined || first === null || !(first > 0)) return null
  if (second === undefined) return { kind: 'hoop', nominalMm: first }
  return second !== null && second > 0 ? { kind: 'card', widthMm: first, heightMm: second } : null
}
