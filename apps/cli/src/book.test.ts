/** The learner's book of both demos: nothing torn, nothing over something else, all of it there, and enough to follow by itself. */
import { weatherDiary } from '@lemmata/contract/demo'
import { type Book, MOST_PAGES } from '@lemmata/core/book'
import type { DrawingItem, Words } from '@lemmata/core/drawing'
import type { Sampler } from '@lemmata/core/sampler'
import type { BookPrint } from '@lemmata/print'
import { describe, expect, it } from 'vitest'
import { bookOf, pagesOf, thursdays, withLongNames } from './testing/books.ts'
import { faultsOf, itemsOn, told } from './testing/on-pages.ts'

const diary = weatherDiary()

describe('a book', () => {
  it.each<[string, Sampler, Partial<BookPrint>]>([
    ['of six lessons', thursdays, {}],
    ['of ten lessons', diary, {}],
    ['in large print', thursdays, { form: 'large' }],
    ['on letter paper for the left hand', thursdays, { page: 'letter', hand: 'left' }],
    ['in inches', { ...thursdays, units: 'in' }, {}],
    ['in German', { ...thursdays, brief: { ...thursdays.brief, language: 'de' } }, {}],
    ['with names of a hundred letters', withLongNames, {}],
  ])('%s has nothing over something else, and nothing beyond its margins', (_name, sampler, more) => {
    expect(faultsOf(bookOf(sampler, more))).toEqual([])
  })

  it('has at most forty pages by itself, set compactly above that, and not where it was said otherwise', () => {
    const six = bookOf(thursdays)
    expect([six.form, six.isCompacted]).toEqual(['roomy', false])
    expect(six.pages).toBeLessThanOrEqual(MOST_PAGES)
    const ten = bookOf(diary)
    expect([ten.form, ten.isCompacted]).toEqual(['compact', true])
    expect(ten.pages).toBeLessThanOrEqual(MOST_PAGES)
    const roomy = bookOf(diary, { form: 'roomy' })
    expect([roomy.form, roomy.isCompacted]).toEqual(['roomy', false])
    expect(roomy.pages).toBeGreaterThan(MOST_PAGES)
  })

  it('begins with what one must take care of, and each lesson, roomily set, on a left page', () => {
    const book = bookOf(thursdays)
    expect(told(book.drawPage(1))).toContain('Count your needles out')
    const lessons = book.outline.filter((one) => /^Lesson \d/.test(one.title))
    expect(lessons.map((one) => one.title)).toEqual(thursdays.lessons.map((one, index) => `Lesson ${index + 1}: ${one.title}`))
    expect(lessons.every((one) => one.page % 2 === 0)).toBe(true)
    // The table of the lessons has their pages.
    const table = pagesOf(book).slice(0, lessons[0]?.page).map(told).join(' ')
    for (const one of lessons) expect(table).toContain(` ${one.page}`)
  })

  it('says dates, what is known, what is new, what to bring and what comes next', () => {
    const book = bookOf(thursdays)
    const [, second] = book.outline.filter((one) => /^Lesson \d/.test(one.title))
    const page = told(book.drawPage((second?.page ?? 0) - 1))
    expect(page).toMatch(/Thursday \d+ \w+ 18:30 to 20:00/)
    for (const one of ['You know this already', 'New today', 'Where it lies', 'Tick each piece', 'Next: Thursday']) expect(page).toContain(one)
  })

  it('is for the hand it is for, and for whom it is', () => {
    const left = bookOf(thursdays, { learner: { id: 'l', name: 'Sunniva', hand: 'left', choices: {} } })
    expect(told(left.drawPage(0))).toContain('Sunniva')
    for (const page of pagesOf(left).slice(1)) expect(told(page)).toContain('for the LEFT hand')
    const [lineOfLeft, lineOfRight] = [left, bookOf(thursdays)].map((book) => stepsOn(book, 0)[1]?.sentence)
    expect(lineOfLeft).toContain('points right')
    expect(lineOfRight).toContain('points left')
  })
})

interface StepOnPaper {
  readonly letter: string
  readonly sentence: string
  /** Figures that stand in its picture, and the dots of the holes that they stand by. */
  readonly figures: readonly number[]
  readonly dots: number
}

const inside = (items: readonly DrawingItem[]): readonly DrawingItem[] => items.flatMap((one) => (one.kind === 'clipped' ? inside(one.items) : [one]))

/** The steps of an exercise, read off its pages alone: pictures are frames with figures in them, sentences stand under them. */
function stepsOn(book: Book, exercise: number): readonly StepOnPaper[] {
  const pages = book.outline.filter((one) => one.level === 2)
  const from = pages[exercise]?.page ?? 0
  const next = book.outline.find((one, index) => one.page > from && index > book.outline.indexOf(pages[exercise] as (typeof pages)[number]))?.page ?? from + 1
  return Array.from({ length: Math.max(1, next - from) }, (_, index) => book.drawPage(from - 1 + index)).flatMap((page) => {
    const items = itemsOn(page)
    const words = items.filter((one): one is Words => one.kind === 'words')
    return items.flatMap((one): readonly StepOnPaper[] => {
      if (one.kind !== 'clipped') return []
      const under = words.filter(
        (word) =>
          word.at.y > one.top + one.heightMm && word.at.y < one.top + one.heightMm + 28 && word.at.x >= one.left - 0.1 && word.at.x < one.left + one.widthMm,
      )
      const letter = under.find((word) => word.face === 'heading' && /^[a-z]{1,2}$/.test(word.text))
      if (!letter) return []
      const lines = under.filter((word) => word.face !== 'heading' && word.at.x > letter.at.x + 1).sort((a, b) => a.at.y - b.at.y || a.at.x - b.at.x)
      // Lines follow one another closely: the next picture's letter is far below.
      const sentence = lines.filter((word, at) => at === 0 || word.at.y - (lines[at - 1]?.at.y ?? 0) < 6).map((word) => word.text)
      const drawn = inside(one.items)
      return [
        {
          ...{ letter: letter.text, sentence: sentence.join(' ') },
          figures: drawn.flatMap((item) => (item.kind === 'words' && /^\d+$/.test(item.text) ? [Number(item.text)] : [])),
          dots: drawn.filter((item) => item.kind === 'disc').length,
        },
      ]
    })
  })
}

describe('from the page alone', () => {
  const book = bookOf(thursdays)
  // Running, whipped running, back, stem and detached chain: by their places in the book.
  it.each([0, 1, 2, 4, 7])('exercise %i is followed from its first hole to its last', (exercise) => {
    const steps = stepsOn(book, exercise)
    expect(steps.length).toBeGreaterThanOrEqual(4)
    expect(steps.map((one) => one.letter).join('')).toBe('abcdefghijklmnopqrstuvwxyz'.slice(0, steps.length))
    expect(steps[0]?.sentence).toMatch(/[Cc]ome up at 1\b/)
    let last = 0
    for (const { sentence, figures, dots } of steps) {
      const named = [...sentence.matchAll(/\b(?:at|In at|out at|again at) (\d+)\b/g)].map(([, hole]) => Number(hole))
      for (const hole of named) {
        // A hole that is named is shown; a new one is the next.
        expect(figures, sentence).toContain(hole)
        expect(hole, sentence).toBeLessThanOrEqual(last + 1)
        last = Math.max(last, hole)
      }
      expect(dots).toBeGreaterThanOrEqual(new Set(named).size)
    }
    expect(last).toBeGreaterThanOrEqual(3)
    expect(steps.at(-1)?.sentence).toMatch(/^To end|fasten it off|to the back/)
  })
})
