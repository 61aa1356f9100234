/** A sampler document to a PDF of its sheets: worked, laid out, written. */
import { error, failure, type Problem, type Result, success } from '@lemmata/core/base'
import { forLearner, type WorkedExercise, workSampler } from '@lemmata/core/exercise'
import type { Sampler } from '@lemmata/core/sampler'
import { makeSheets, type PageSize, sheetTitle } from '@lemmata/core/sheets'
import { makeMeasure, writePdf } from './write-pdf.ts'

export interface PrintOrder {
  readonly sampler: Sampler
  readonly page: PageSize
  /** Left out: the learner's own, else the right. */
  readonly hand?: 'right' | 'left' | undefined
  /** One lesson only. */
  readonly lesson?: string | undefined
  /** A learner's version; without it the class's. */
  readonly version?: string | undefined
  readonly made: Date
}

export async function printSampler(order: PrintOrder): Promise<Result<Uint8Array>> {
  const version = order.version === undefined ? null : (order.sampler.learnerVersions?.find((one) => one.id === order.version) ?? null)
  if (order.version !== undefined && !version)
    return failure(
      error(
        'print.no-version',
        ['learnerVersions'],
        `There is no learner's version "${order.version}" in this sampler. It has ${(order.sampler.learnerVersions ?? []).map((one) => one.id).join(', ') || 'none'}.`,
      ),
    )
  const { sampler, problems: passedOver } = version ? forLearner(order.sampler, version) : { sampler: order.sampler, problems: [] }
  const lesson = order.lesson === undefined ? null : (sampler.lessons.find((one) => one.id === order.lesson) ?? null)
  if (order.lesson !== undefined && !lesson)
    return failure(
      error(
        'print.no-lesson',
        ['lessons'],
        `There is no lesson "${order.lesson}" in this sampler. It has ${sampler.lessons.map((one) => one.id).join(', ') || 'none'}.`,
      ),
    )
  const wanted = sampler.exercises.filter((exercise) => !lesson || lesson.exercises.includes(exercise.id))
  const results = workSampler({ ...sampler, exercises: wanted })
  const exercises: WorkedExercise[] = []
  const problems: Problem[] = [...passedOver]
  for (const exercise of wanted) {
    const result = results.get(exercise.id)
    if (!result) continue
    if (result.ok) exercises.push(result.value)
    problems.push(
      ...result.problems.map((problem) => ({
        ...problem,
        path: ['exercises', sampler.exercises.indexOf(exercise), ...problem.path],
        message: `${exercise.name}: ${problem.message}`,
      })),
    )
  }
  if (exercises.length === 0) {
    const first = problems.find((problem) => problem.severity === 'error')
    return failure(
      first ?? error('print.nothing', ['exercises'], 'There is no exercise to print yet. Choose a stitch first.'),
      ...problems.filter((problem) => problem !== first),
    )
  }
  const title = sheetTitle(lesson, version)
  const hand = order.hand ?? version?.hand ?? 'right'
  const pages = makeSheets({ sampler, exercises, title, page: order.page, hand, measure: makeMeasure() })
  const pdf = await writePdf(pages, { title: lesson || version ? `${sampler.name}: ${title}` : sampler.name, made: order.made })
  return success(pdf, problems)
}
