/** A sampler, with its class's dates, to the PDF of a learner's book. */
import { error, failure, type Problem, type Result, success } from '@lemmata/core/base'
import { type Book, type BookForm, type BookInk, makeBook } from '@lemmata/core/book'
import { courseOnDates } from '@lemmata/core/calendar'
import type { ClassCalendar, Learner } from '@lemmata/core/classes'
import { type Drawing, writeWebPage } from '@lemmata/core/drawing'
import { forLearner, workSampler } from '@lemmata/core/exercise'
import { planKit } from '@lemmata/core/kit'
import { courseOf } from '@lemmata/core/order'
import type { Sampler } from '@lemmata/core/sampler'
import { bookletSides, drawBookletSide, PAPERS, type PageSize, type PatternSize } from '@lemmata/core/sheets'
import { makeMeasure, writePdf } from './write-pdf.ts'

export interface BookPrint {
  readonly sampler: Sampler
  /** The class's; none where it has no dates. */
  readonly calendar?: ClassCalendar | undefined
  /** Whose book it is; the class's without. */
  readonly learner?: Learner | undefined
  readonly page: PageSize
  /** Left out: the learner's own, else the right. */
  readonly hand?: 'right' | 'left' | undefined
  readonly patternPage?: PatternSize | undefined
  readonly form?: BookForm | undefined
  readonly ink?: BookInk | undefined
  /** Two pages on a sheet, to be folded. */
  readonly booklet?: boolean | undefined
  readonly version?: string | undefined
  /** What the check bar measured on the printer, mm: the pattern is corrected by it. */
  readonly barMm?: number | undefined
  readonly made: Date
}

export async function printBook(order: BookPrint): Promise<Result<Uint8Array>> {
  const laid = layBook(order)
  if (!laid.ok) return laid
  const { value: book } = laid
  const info = { title: order.sampler.name, made: order.made, language: order.sampler.brief.language }
  // Two on a sheet the pages do not stand in their order: an outline would lead astray.
  if (order.booklet) return success(await writePdf(foldedPages(book, order.page), info), laid.problems)
  return success(await writePdf(pagesOf(book, book.pages + book.patternPages), { ...info, outline: book.outline }), laid.problems)
}

/** The book without its pattern as one page of the web. */
export function bookAsWebPage(order: BookPrint): Result<string> {
  const laid = layBook(order)
  if (!laid.ok) return laid
  const { value: book } = laid
  const { name, brief } = order.sampler
  return success(writeWebPage(pagesOf(book, book.pages), { title: name, language: brief.language ?? 'en', note: book.onTheWeb, measure: makeMeasure() }), laid.problems)
}

function* pagesOf(book: Book, count: number): Generator<Drawing> {
  for (let index = 0; index < count; index += 1) yield book.drawPage(index)
}

function* foldedPages(book: Book, page: PageSize): Generator<Drawing> {
  for (const side of bookletSides(book.pages)) yield drawBookletSide(side, PAPERS[page], (number) => book.drawPage(number - 1))
  for (let index = 0; index < book.patternPages; index += 1) yield book.drawPage(book.pages + index)
}

export function layBook(order: BookPrint): Result<Book> {
  const { learner } = order
  const { sampler, problems: passedOver } = learner ? forLearner(order.sampler, learner) : { sampler: order.sampler, problems: [] }
  const { done, problems } = workSampler(sampler)
  const all: readonly Problem[] = [...passedOver, ...problems]
  const taught = new Set(sampler.lessons.flatMap((one) => one.exercises))
  if (!done.some((one) => taught.has(one.exercise.id))) return failure(error('print.no-lessons', ['lessons']), ...all)
  const course = courseOf(done)
  const book = makeBook({
    ...{ sampler, done, course, kit: planKit(sampler, done) },
    dates: order.calendar ? courseOnDates(sampler, order.calendar, course) : null,
    owner: learner?.name ?? null,
    hand: order.hand ?? learner?.hand ?? 'right',
    ...{ page: order.page, patternPage: order.patternPage, form: order.form, ink: order.ink, version: order.version ?? null },
    printed: order.made.toISOString().slice(0, 10),
    measure: makeMeasure(),
    barMm: order.barMm,
  })
  return success(book, all)
}
