/** A sampler, with its class's dates, to the PDF of its books, cards and slips, or to a page of the web. */
import { atOnce, error, failure, type Problem, type Result, success } from '@lemmata/core/base'
import { type Book, type BookForm, type BookInk, bookInSteps, type BookOrder } from '@lemmata/core/book'
import { courseOnDates } from '@lemmata/core/calendar'
import { makeCards } from '@lemmata/core/cards'
import type { ClassCalendar, ClassDocument, Learner } from '@lemmata/core/classes'
import { type Drawing, writeWebPage } from '@lemmata/core/drawing'
import { forLearner, workInSteps, workSampler } from '@lemmata/core/exercise'
import { planKit } from '@lemmata/core/kit'
import { makeNextRows } from '@lemmata/core/next-rows'
import { courseOf } from '@lemmata/core/order'
import type { PracticeEvent } from '@lemmata/core/practice'
import type { Sampler } from '@lemmata/core/sampler'
import { makeSlip } from '@lemmata/core/slip'
import { makeTeacherBook } from '@lemmata/core/teacher-book'
import { bookletSides, drawBookletSide, PAPERS, type PageSize, type PatternSize } from '@lemmata/core/sheets'
import { inPart, LAYING, type Watch, watched, within, WORKING, WRITING } from './watch.ts'
import { makeMeasure, writePdf } from './write-pdf.ts'

/** The learner's book, the teacher's, cards to cut out, what changed since an earlier print, or each learner's next practice row. */
export type BookKind = 'learner' | 'teacher' | 'cards' | 'slip' | 'rows'

export interface BookPrint {
  readonly kind?: BookKind | undefined
  readonly sampler: Sampler
  /** The class with its names and notes, for its teacher alone. */
  readonly group?: ClassDocument | undefined
  /** What is told of its learners' work. */
  readonly events?: readonly PracticeEvent[] | undefined
  /** What learners have in hand, and what that print was called. */
  readonly since?: { readonly sampler: Sampler; readonly version: string } | undefined
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

export async function printBook(order: BookPrint, watch?: Watch): Promise<Result<Uint8Array>> {
  const laid = await watched(bookSteps(order), watch)
  if (!laid.ok) return laid
  const { value: book } = laid
  const info = { title: order.sampler.name, made: order.made, language: order.sampler.brief.language }
  const count = book.pages + book.patternPages
  const onPage = (page: number): Promise<void> => watch?.(within(WRITING, Math.min(1, page / count))) ?? Promise.resolve()
  // Two on a sheet the pages do not stand in their order: an outline would lead astray.
  if (order.booklet) return success(await writePdf(foldedPages(book, order.page), info, onPage), laid.problems)
  return success(await writePdf(pagesOf(book, count), { ...info, outline: book.outline }, onPage), laid.problems)
}

/** The learner's book without its pattern as one page of the web; the others are for paper. */
export function bookAsWebPage(order: BookPrint): Result<string> {
  const laid = layBook({ ...order, kind: 'learner' })
  if (!laid.ok) return laid
  const { value: book } = laid
  const { name, brief } = order.sampler
  return success(
    writeWebPage(pagesOf(book, book.pages), { title: name, language: brief.language ?? 'en', note: book.onTheWeb, measure: makeMeasure() }),
    laid.problems,
  )
}

function* pagesOf(book: Book, count: number): Generator<Drawing> {
  for (let index = 0; index < count; index += 1) yield book.drawPage(index)
}

function* foldedPages(book: Book, page: PageSize): Generator<Drawing> {
  for (const side of bookletSides(book.pages)) yield drawBookletSide(side, PAPERS[page], (number) => book.drawPage(number - 1))
  for (let index = 0; index < book.patternPages; index += 1) yield book.drawPage(book.pages + index)
}

/** Whatever of it is wanted, laid out. */
export const layBook = (order: BookPrint): Result<Book> => atOnce(bookSteps(order))

function* bookSteps(order: BookPrint): Generator<number, Result<Book>> {
  const found = yield* courseFor(order)
  if (!found.ok) return found
  const { value: course, problems } = found
  const of = { ...course, owner: order.learner?.name ?? null, ...{ patternPage: order.patternPage, form: order.form, barMm: order.barMm } }
  switch (order.kind ?? 'learner') {
    case 'learner':
      return success(yield* learnersBook(of), problems)
    case 'teacher':
      return success(makeTeacherBook({ ...course, group: order.group ?? null, pageOf: (yield* learnersBook(of)).pageOf }), problems)
    case 'cards':
      return success(makeCards({ ...course, owner: null }), problems)
    case 'rows':
      return order.group && order.group.learners.length > 0
        ? success(makeNextRows({ ...course, ...{ sampler: order.sampler, group: order.group, events: order.events ?? [], learner: order.learner } }), problems)
        : failure(error('print.no-learners', []))
    case 'slip':
      return order.since ? slipFor(order, order.since, course, yield* learnersBook(of), problems) : failure(error('print.no-since', []))
  }
}

function* learnersBook(order: BookOrder): Generator<number, Book> {
  const steps = bookInSteps(order)
  // It is set more than once, until its pages are known: what is told of it does not go back.
  let most = 0
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
    most = Math.max(most, step.value.share)
    yield within(LAYING, most)
  }
}

function slipFor(order: BookPrint, since: NonNullable<BookPrint['since']>, course: Course, learners: Book, problems: readonly Problem[]): Result<Book> {
  const before = layBook({ ...order, ...{ kind: 'learner', since: undefined, sampler: since.sampler } })
  const { sampler } = order.learner ? forLearner(since.sampler, order.learner) : since
  const slip = makeSlip({
    ...{ ...course, owner: null, before: { sampler, done: workSampler(sampler).done }, versionBefore: since.version },
    // The earlier one may have had no lessons yet: then it has no pages.
    ...{ pagesBefore: before.ok ? before.value.pageOf : new Map(), pagesNow: learners.pageOf },
  })
  return success(slip, problems)
}

type Course = Omit<BookOrder, 'owner' | 'form' | 'patternPage' | 'barMm'>

function* courseFor(order: BookPrint): Generator<number, Result<Course>> {
  const { learner } = order
  const { sampler, problems: passedOver } = learner ? forLearner(order.sampler, learner) : { sampler: order.sampler, problems: [] }
  const { done, problems } = yield* inPart(WORKING, workInSteps(sampler))
  const all: readonly Problem[] = [...passedOver, ...problems]
  const taught = new Set(sampler.lessons.flatMap((one) => one.exercises))
  if (!done.some((one) => taught.has(one.exercise.id))) return failure(error('print.no-lessons', ['lessons']), ...all)
  const course = courseOf(done)
  const calendar = order.calendar ?? order.group?.calendar
  const made = {
    ...{ sampler, done, course, kit: planKit(sampler, done) },
    dates: calendar ? courseOnDates(sampler, calendar, course) : null,
    hand: order.hand ?? learner?.hand ?? 'right',
    ...{ page: order.page, ink: order.ink, version: order.version ?? null },
    printed: order.made.toISOString().slice(0, 10),
    measure: makeMeasure(),
  } as const
  return success(made, all)
}
