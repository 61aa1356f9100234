/** A sampler document to a PDF of its sheets: worked, laid out, written. */
import { error, failure, type Problem, type Result, success } from '@lemmata/core/base'
import type { Learner } from '@lemmata/core/classes'
import { forLearner, workInSteps } from '@lemmata/core/exercise'
import type { Sampler } from '@lemmata/core/sampler'
import { makeSheets, type PageSize, type PatternSize, sheetTitle } from '@lemmata/core/sheets'
import { inPart, LAYING, type Watch, watched, within, WORKING } from './watch.ts'
import { makeMeasure, writePdf } from './write-pdf.ts'

export interface PrintOrder {
  readonly sampler: Sampler
  readonly page: PageSize
  /** Paper of the pattern, if it is to be larger. */
  readonly patternPage?: PatternSize | undefined
  /** Left out: the learner's own, else the right. */
  readonly hand?: 'right' | 'left' | undefined
  /** One lesson only. */
  readonly lesson?: string | undefined
  /** The sheet as one learner works it; without her, the class's. */
  readonly learner?: Learner | undefined
  /** What the check bar measured on the printer, mm: the pattern is corrected by it. */
  readonly barMm?: number | undefined
  readonly made: Date
}

export async function printSampler(order: PrintOrder, watch?: Watch): Promise<Result<Uint8Array>> {
  const { learner } = order
  const { sampler, problems: passedOver } = learner ? forLearner(order.sampler, learner) : { sampler: order.sampler, problems: [] }
  const lesson = order.lesson === undefined ? null : (sampler.lessons.find((one) => one.id === order.lesson) ?? null)
  if (order.lesson !== undefined && !lesson)
    return failure(error('print.no-lesson', ['lessons'], { lesson: order.lesson, has: sampler.lessons.map((one) => one.id) }))
  const worked = await watched(inPart(WORKING, workInSteps(sampler, lesson ? new Set(lesson.exercises) : undefined)), watch)
  const exercises = worked.done
  const problems: Problem[] = [...passedOver, ...worked.problems]
  if (exercises.length === 0) {
    const first = problems.find((problem) => problem.severity === 'error')
    return failure(first ?? error('print.nothing', ['exercises']), ...problems.filter((problem) => problem !== first))
  }
  const title = sheetTitle(lesson, learner, sampler.brief.language)
  const hand = order.hand ?? learner?.hand ?? 'right'
  const pages = makeSheets({ sampler, exercises, title, page: order.page, patternPage: order.patternPage, hand, measure: makeMeasure(), barMm: order.barMm })
  const info = { title: lesson || learner ? `${sampler.name}: ${title}` : sampler.name, made: order.made, language: sampler.brief.language }
  const pdf = await writePdf(pages, info, (page) => watch?.(within([LAYING[0], 1], page / pages.length)) ?? Promise.resolve())
  return success(pdf, problems)
}
