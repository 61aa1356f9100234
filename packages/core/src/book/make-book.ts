/**
 * The learner's book: laid out whole, so that every page has its number and the course its pages; each page drawn when it is wanted.
 * In the order in which a learner needs it: take care, how to begin, how to read, what is in the bag, then lesson by lesson, and the
 * pattern at the end, which is never bound.
 */
import { atOnce } from '../base/index.ts'
import type { Drawing, DrawingItem } from '../drawing/index.ts'
import { taughtLessons } from '../plan/index.ts'
import { lettersOf, makePattern } from '../sheets/index.ts'
import { type Block, type BookForm, type BookPage, heightOf, noteLines, Pager, rule, typeFor, withoutColour } from '../pages/index.ts'
import { bind, type Book, drawBound, drawFoot } from './bind.ts'
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

export const makeBook = (order: BookOrder): Book => atOnce(bookInSteps(order))

/** How far it is: 0 to 1, and the cover, which is there first; how many pages follow it does not know yet. */
export interface LayingOut {
  readonly share: number
  readonly cover: () => Drawing
}

/** The same exercise by exercise, for whoever has something else to do meanwhile. */
export function* bookInSteps(order: BookOrder): Generator<LayingOut, Book> {
  const wanted = order.form ?? 'roomy'
  const first = yield* layOut(order, wanted)
  const isCompacted = order.form === undefined && first.pages.length > MOST_PAGES
  const laid = isCompacted ? yield* layOut(order, 'compact') : first
  const pattern = makePattern({ ...order, exercises: order.done, title: order.sampler.name })
  const { making, pages, outline, pageOf } = laid
  return bind({ making, pages, outline, pageOf, isCompacted, pattern, onTheWeb: making.said.onTheWeb, foot: (page) => footOf(making, page, pages.length) })
}

interface LaidOut {
  readonly making: Making
  readonly pages: readonly BookPage[]
  readonly outline: Book['outline']
  readonly pageOf: ReadonlyMap<string, number>
}

/** Twice: first to learn on which pages the lessons begin, then with those written into the table of the course. */
function* layOut(order: BookOrder, form: BookForm): Generator<LayingOut, LaidOut> {
  const making = makingOf(order, form)
  const before = yield* layOnce(making, new Map())
  return yield* layOnce(making, new Map(before.outline.flatMap(({ lesson, page }) => (lesson === null ? [] : [[lesson, page] as const]))))
}

export function makingOf(order: BookOrder, form: BookForm): Making {
  const ink = order.ink ?? 'colour'
  const done = ink === 'colour' ? order.done : order.done.map(withoutColour)
  const lessons = taughtLessons(order.sampler, done)
  const letters = lettersOf(order.sampler)
  return {
    ...order,
    done,
    form,
    ink,
    said: BOOK_WORDS[order.sampler.brief.language ?? 'en'],
    set: { type: typeFor(form), measure: order.measure },
    lessons,
    letters,
  }
}

type Outline = readonly (Book['outline'][number] & { readonly lesson: string | null })[]

function* layOnce(making: Making, lessonPages: ReadonlyMap<string, number>): Generator<LayingOut, Omit<LaidOut, 'outline'> & { readonly outline: Outline }> {
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
    if (follows) {
      pager.put([rule(width)])
      // The pages after this one are of this part.
      pager.name(title)
    } else if (outline.length > 0) notes()
    outline.push({ title, page: follows ? pager.page.number : pager.begin(title, on === 'left' ? 'left' : 'next'), level: 1, lesson: null })
    pager.put(blocks)
  }
  let laid = 0
  const width = pager.widthMm
  pager.begin('')
  pager.put(cover(making, width, pager.roomMm))
  const first = pager.page
  const drawCover = (): Drawing => drawBound(making, first, [])
  yield { share: 0, cover: drawCover }
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
      yield { share: laid / Math.max(1, making.done.length), cover: drawCover }
    }
  }
  part(said.finishing.title, finishing(making, width))
  const index = stitchIndex(making, width, (exercise) => pageOf.get(exercise) ?? null)
  pager.put(index, index[1])
  return { making, pages: pager.pages, outline, pageOf }
}

function footOf(making: Making, page: BookPage, pages: number): readonly DrawingItem[] {
  const { said, hand, version, printed, lessons } = making
  if (lessons.length === 0) return []
  return drawFoot(making.set, page, {
    number: page.number === 1 ? '' : String(page.number),
    middle: `${said.foot.hand[hand]} \u00b7 ${said.foot.printed(version, dayInWords(printed, said))}`,
    isBold: hand === 'left',
    part: page.number === 1 ? said.foot.book(pages) : page.part,
  })
}
