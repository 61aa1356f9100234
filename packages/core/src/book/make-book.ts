/**
 * The learner's book: laid out whole, so that every page has its number and the course its pages; each page drawn when it is wanted.
 * In the order in which a learner needs it: take care, how to begin, how to read, what is in the bag, then lesson by lesson, and the
 * pattern at the end, which is never bound.
 */
import { type Drawing, moveItems, type DrawingItem } from '../drawing/index.ts'
import { taughtLessons } from '../plan/index.ts'
import { cutTo, letterOf, makePattern, PAGE_SIZES, WALNUT, words } from '../sheets/index.ts'
import { teachingOrder } from '../sampler/index.ts'
import { type Block, type BookForm, type BookPage, heightOf, inBlack, line, noteLines, Pager, rule, typeFor, withoutColour } from '../pages/index.ts'
import { beforeYouBegin } from './before.ts'
import { BOOK_WORDS } from './book-words-of.ts'
import { cover } from './cover.ts'
import { exercisePage } from './exercise-pages.ts'
import { finishing, stitchIndex } from './finishing.ts'
import { howToReadTheKey } from './key-page.ts'
import { inYourKit, theLessons } from './kit-page.ts'
import { opener } from './opener.ts'
import type { BookOrder, Making } from './types.ts'
import { dayInWords } from './words-of.ts'

/** A book of more pages is set compactly by itself. */
export const MOST_PAGES = 40

export interface Book {
  readonly form: BookForm
  /** It was to be roomy, and would have been too many pages. */
  readonly isCompacted: boolean
  /** Of the book, then of the pattern. */
  readonly pages: number
  readonly patternPages: number
  /** What it says at its head where it is one page of the web. */
  readonly onTheWeb: string
  /** From 0; the pattern's after the book's. */
  readonly drawPage: (index: number) => Drawing
  /** Where parts and lessons begin, pages from 1. */
  readonly outline: readonly { readonly title: string; readonly page: number; readonly level: 1 | 2 }[]
  /** Pages from 1, by exercise. */
  readonly pageOf: ReadonlyMap<string, number>
}

export function makeBook(order: BookOrder): Book {
  const steps = bookInSteps(order)
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}

/** The same exercise by exercise, for whoever has something else to do meanwhile: yields how much of it is laid out, 0 to 1. */
export function* bookInSteps(order: BookOrder): Generator<number, Book> {
  const wanted = order.form ?? 'roomy'
  const first = yield* layOut(order, wanted)
  const isCompacted = order.form === undefined && first.pages.length > MOST_PAGES
  const laid = isCompacted ? yield* layOut(order, 'compact') : first
  const pattern = makePattern({ ...order, exercises: order.done, title: order.sampler.name })
  const { widthMm, heightMm } = PAGE_SIZES[order.page]
  return {
    form: laid.making.form,
    isCompacted,
    pages: laid.pages.length,
    patternPages: pattern.length,
    onTheWeb: laid.making.said.onTheWeb,
    outline: laid.outline,
    pageOf: laid.pageOf,
    drawPage: (index) => {
      const page = laid.pages[index]
      if (!page) return pattern[index - laid.pages.length] as Drawing
      const drawn = page.blocks.flatMap(({ x, y, block }) => moveItems(block.draw(), { x, y }))
      const body = laid.making.ink === 'colour' ? drawn : inBlack(drawn)
      return {
        ...{ left: 0, top: 0, widthMm, heightMm },
        layers: [
          { name: 'book', items: body },
          { name: 'foot', items: footOf(laid.making, page, laid.pages.length) },
        ],
      }
    },
  }
}

interface LaidOut {
  readonly making: Making
  readonly pages: readonly BookPage[]
  readonly outline: Book['outline']
  readonly pageOf: ReadonlyMap<string, number>
}

/** Twice: first to learn on which pages the lessons begin, then with those written into the table of the course. */
function* layOut(order: BookOrder, form: BookForm): Generator<number, LaidOut> {
  const making = makingOf(order, form)
  const before = yield* layOnce(making, new Map())
  return yield* layOnce(making, new Map(before.outline.flatMap(({ lesson, page }) => (lesson === null ? [] : [[lesson, page] as const]))))
}

function makingOf(order: BookOrder, form: BookForm): Making {
  const ink = order.ink ?? 'colour'
  const done = ink === 'colour' ? order.done : order.done.map(withoutColour)
  const lessons = taughtLessons(order.sampler, done)
  const letters = new Map(teachingOrder(order.sampler).map((exercise, index) => [exercise.id as string, letterOf(index)]))
  return { ...order, done, form, ink, said: BOOK_WORDS[order.sampler.brief.language ?? 'en'], set: { type: typeFor(form), measure: order.measure }, lessons, letters }
}

type Outline = readonly (Book['outline'][number] & { readonly lesson: string | null })[]

function* layOnce(making: Making, lessonPages: ReadonlyMap<string, number>): Generator<number, Omit<LaidOut, 'outline'> & { readonly outline: Outline }> {
  const { said, set, lessons, form } = making
  const pager = new Pager(making.page)
  const outline: Outline[number][] = []
  const pageOf = new Map<string, number>()
  // What is left of a page is for her to write on, where there is room to spare.
  const notes = (): void => {
    if (form === 'roomy') pager.put(noteLines(set, said.exercise.notes, width, pager.roomMm - 6))
  }
  const part = (title: string, blocks: readonly Block[], on: 'next' | 'left' | 'here' = 'next'): void => {
    // What is left of a page is used where all of it has room there; a book that is set compactly does so always.
    const follows = (form === 'compact' || on === 'here') && outline.length > 0 && heightOf(blocks) + 6 <= pager.roomMm
    if (follows) pager.put([rule(width)])
    else if (outline.length > 0) notes()
    outline.push({ title, page: follows ? pager.page.number : pager.begin(title, on === 'left' ? 'left' : 'next'), level: 1, lesson: null })
    pager.put(blocks)
  }
  let laid = 0
  const width = pager.widthMm
  pager.begin('')
  pager.put(cover(making, width, pager.roomMm))
  part(said.before.title, beforeYouBegin(making, width), 'left')
  part(said.key.title, howToReadTheKey(making, width))
  const course = theLessons(making, width, (lesson) => lessonPages.get(lesson) ?? null)
  if (form === 'compact') part(said.kit.dates(lessons.length), course)
  part(said.kit.title, inYourKit(making, width))
  if (form !== 'compact') part(said.kit.dates(lessons.length), course, 'here')
  for (const lesson of lessons) {
    notes()
    const title = said.exercise.lesson(lesson.number, lesson.lesson.title)
    outline.push({ title, page: pager.begin(title, form === 'roomy' ? 'left' : 'next'), level: 1, lesson: lesson.lesson.id })
    pager.put(opener(making, lesson, width))
    const shown = new Map<string, { letter: string; page: number }>()
    for (const done of lesson.exercises) {
      const stitch = `${done.assigned.document.id} ${done.assigned.variant ?? ''}`
      const before = shown.get(stitch) ?? null
      const blocks = exercisePage(making, done, width, pager.page.area.heightMm, before)
      const whole = heightOf(blocks)
      const letter = making.letters.get(done.exercise.id) ?? ''
      // One that needs a page to itself begins one; one that only says what is otherwise follows on.
      const fits = whole <= pager.roomMm && (before !== null || form !== 'roomy' || lesson.exercises.indexOf(done) > 0)
      if (!fits) {
        notes()
        pager.begin(`${said.lesson(lesson.number)} \u00b7 ${letter} ${done.exercise.name}`)
      }
      if (!before) shown.set(stitch, { letter, page: pager.page.number })
      pageOf.set(done.exercise.id, pager.page.number)
      outline.push({ title: `${letter} ${done.exercise.name}`, page: pager.page.number, level: 2, lesson: null })
      pager.put(blocks)
      laid += 1
      yield laid / Math.max(1, making.done.length)
    }
  }
  part(said.finishing.title, finishing(making, width))
  pager.put(stitchIndex(making, width, (exercise) => pageOf.get(exercise) ?? null))
  return { making, pages: pager.pages, outline, pageOf }
}

function footOf({ said, set, hand, version, printed, lessons }: Making, { area, number, part }: BookPage, pages: number): readonly DrawingItem[] {
  if (lessons.length === 0) return []
  const { sizeMm } = set.type.foot
  const { left, widthMm, footMm } = area
  const right = left + widthMm
  const isRecto = number % 2 === 1
  const middle = `${said.foot.hand[hand]} \u00b7 ${said.foot.printed(version, dayInWords(printed, said))}`
  const named = cutTo(number === 1 ? said.foot.book(pages) : part, widthMm / 2 - set.measure(middle, sizeMm, 'text') / 2 - 6, (text) =>
    set.measure(text, sizeMm, 'text'),
  )
  const at = (side: 'left' | 'right'): { x: number; y: number } => ({ x: side === 'left' ? left : right, y: footMm })
  return [
    line(left, right, footMm - 4.5, 0.25),
    ...(number === 1 ? [] : [words(String(number), at(isRecto ? 'right' : 'left'), sizeMm * 1.15, 'text-bold', '#1F2A37', isRecto ? 'right' : 'left')]),
    words(middle, { x: (left + right) / 2, y: footMm }, sizeMm, hand === 'left' ? 'text-bold' : 'text', WALNUT, 'middle'),
    words(named, at(isRecto ? 'left' : 'right'), sizeMm, 'text', WALNUT, isRecto ? 'left' : 'right'),
  ]
}
