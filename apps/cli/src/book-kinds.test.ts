/** The teacher's book, the cards, and the learner's book in other inks and as a page of the web: of both demos, and hard ones. */
import { weatherDiary } from '@lemmata/contract/demo'
import type { ClassDocument, LessonNote } from '@lemmata/core/classes'
import type { DrawingItem } from '@lemmata/core/drawing'
import type { Sampler } from '@lemmata/core/sampler'
import { bookAsWebPage, type BookPrint } from '@lemmata/print'
import { describe, expect, it } from 'vitest'
import { bookOf, long, orderOf, pagesOf, thursdays, withLongNames } from './testing/books.ts'
import { faultsOf, itemsOn, told } from './testing/on-pages.ts'

const [first, second] = thursdays.lessons.map((one) => one.id)
const asked = (lesson: string, question: string, answer: string): LessonNote => ({ kind: 'question', lesson, on: '2026-11-05', asked: question, answer })
const group: ClassDocument = {
  ...{ format: 'lemmata-class', version: 1, name: 'Thursday evenings' },
  learners: ['Ines', 'Tomas', 'Berit', 'Wanda', 'Kofi', 'Lio', 'Maren', 'Petra', 'Sunniva', 'Yusuf'].map((name, index) => ({
    ...{ id: `p${index}`, name, choices: {} },
    ...(index === 2 ? { hand: 'left' as const } : {}),
  })),
  notes: {
    n1: asked(first ?? '', 'Can it be washed in between?', ''),
    n2: asked(second ?? '', 'May the corner stitch be shorter?', 'Yes: the hole must lie on the corner.'),
    n4: { kind: 'record', lesson: second ?? '', on: '2026-11-12', done: 'Corners took long.', change: 'Show the corner before the line.' },
    n3: {
      kind: 'vote',
      lesson: second ?? '',
      on: '2026-11-12',
      about: 'Which way to hold it?',
      ways: [
        { name: 'two hands', votes: 7 },
        { name: 'one', votes: 3 },
      ],
    },
  },
}

describe('the teacher\u2019s book', () => {
  it.each<[string, Sampler, Partial<BookPrint>]>([
    ['of six lessons and ten learners', thursdays, { group }],
    ['of ten lessons without a class', weatherDiary(), {}],
    ['on letter paper, in inches', { ...thursdays, units: 'in' }, { group, page: 'letter' }],
    ['in German', { ...thursdays, brief: { ...thursdays.brief, language: 'de' } }, { group }],
    ['with names of a hundred letters', withLongNames, { group: { ...group, learners: group.learners.map((one) => ({ ...one, name: long })) } }],
  ])('%s has nothing over something else, and nothing beyond its margins', (_name, sampler, more) => {
    expect(faultsOf(bookOf(sampler, { kind: 'teacher', ...more }))).toEqual([])
  })

  it('has a spread for each lesson: the plan on a left page, what goes wrong and who has gone on the right one', () => {
    const book = bookOf(thursdays, { kind: 'teacher', group })
    const lessons = book.outline.filter((one) => /^Lesson \d/.test(one.title))
    expect(lessons).toHaveLength(thursdays.lessons.length)
    for (const { page } of lessons) {
      expect(page % 2).toBe(0)
      expect(told(book.drawPage(page - 1))).toMatch(/Running order.*Prepare.*Say this/)
      const right = told(book.drawPage(page))
      expect(right).toMatch(/What goes wrong.*Check out/)
      for (const { name } of group.learners) expect(right).toContain(name)
    }
    for (const page of pagesOf(book)) expect(told(page)).toContain('private')
  })

  it('keeps what was asked: answers with their lesson, and what was left without one for the next', () => {
    const book = bookOf(thursdays, { kind: 'teacher', group })
    const [, two] = book.outline.filter((one) => /^Lesson \d/.test(one.title))
    const [left, right] = [told(book.drawPage((two?.page ?? 0) - 1)), told(book.drawPage(two?.page ?? 0))]
    expect(left).toContain('Can it be washed in between?')
    expect(left).toContain('two hands 7, one 3')
    expect(left).toContain('You meant to change: Show the corner before the line.')
    expect(right).toContain('Yes: the hole must lie on the corner.')
    expect(right).not.toContain('Can it be washed')
    // The left-handed are known by name, and have boards to look at.
    expect(left).toContain('Left-handed books: Berit')
    expect(left).toMatch(/Board drawing, page T\d+/)
  })

  it('has minutes that follow one another from the class\u2019s beginning to its end', () => {
    const book = bookOf(thursdays, { kind: 'teacher', group })
    const [one] = book.outline.filter((each) => /^Lesson \d/.test(each.title))
    const times = [...told(book.drawPage((one?.page ?? 0) - 1)).matchAll(/(\d\d):(\d\d) (\d+) /g)].map(([, h, m, long_]) => [
      60 * Number(h) + Number(m),
      Number(long_),
    ])
    expect(times.length).toBeGreaterThanOrEqual(5)
    for (const [index, [at, minutes]] of times.entries()) {
      const next = times[index + 1]
      if (next) expect(next[0]).toBe((at ?? 0) + (minutes ?? 0))
      else expect((at ?? 0) + (minutes ?? 0)).toBe(20 * 60)
    }
  })
})

describe('cards', () => {
  it.each<[string, Sampler, Partial<BookPrint>]>([
    ['of six lessons', thursdays, {}],
    ['of ten lessons, left hand', weatherDiary(), { hand: 'left' }],
    ['with names of a hundred letters', withLongNames, { page: 'letter' }],
  ])('%s: one for each exercise that is taught, nothing over something else', (_name, sampler, more) => {
    const book = bookOf(sampler, { kind: 'cards', ...more })
    expect(faultsOf(book)).toEqual([])
    const taught = sampler.lessons.flatMap((one) => one.exercises)
    const all = pagesOf(book).map(told).join(' ')
    for (const one of sampler.exercises.filter(({ id }) => taught.includes(id))) expect(all).toContain(one.name.slice(0, 20))
  })
})

const coloursOf = (items: readonly DrawingItem[]): readonly string[] =>
  items.flatMap((one): readonly string[] => {
    if (one.kind === 'clipped' || one.kind === 'tagged') return coloursOf(one.items)
    if (one.kind === 'ring') return one.stops.map((stop) => stop.colour)
    if (one.kind === 'disc') return [one.fill ?? '#000000', one.stroke?.colour ?? '#000000']
    return [one.colour]
  })
const isGrey = (hex: string): boolean =>
  hex.slice(1, 3).toLowerCase() === hex.slice(3, 5).toLowerCase() && hex.slice(3, 5).toLowerCase() === hex.slice(5, 7).toLowerCase()

describe('without colour', () => {
  it('there is none on any page, and each thread is still named', () => {
    const book = bookOf(thursdays, { ink: 'black' })
    const pages = pagesOf(book)
    for (const page of pages) expect(coloursOf(page.layers.find((layer) => layer.name === 'book')?.items ?? []).filter((hex) => !isGrey(hex))).toEqual([])
    const all = pages.map(told).join(' ')
    for (const one of thursdays.threads) expect(all).toContain(one.colour.name)
    // In colour there is some.
    expect(coloursOf(itemsOn(bookOf(thursdays).drawPage(0))).some((hex) => !isGrey(hex))).toBe(true)
  })
})

describe('as a page of the web', () => {
  it('has the same words and pictures in one column, boxes to tick, and nothing that a name could do', () => {
    const hostile: Sampler = {
      ...thursdays,
      exercises: thursdays.exercises.map((one, index) => (index === 0 ? { ...one, name: '<script>alert(1)</script>' } : one)),
    }
    const made = bookAsWebPage(orderOf(hostile))
    if (!made.ok) throw new Error('not made')
    const html = made.value
    expect(html).toContain('&#60;script&#62;alert(1)')
    expect(html.match(/<script>/g)).toHaveLength(1)
    expect(html.match(/<h1>/g)?.length).toBe(1 + 4 + thursdays.lessons.length)
    expect(html).toMatch(/<svg role="img" aria-label="The thread as it lies now, with holes? 1/)
    expect(html).toMatch(/<li><b class="letter">a<\/b><div><svg/)
    expect(html).toContain('<input type="checkbox">')
    expect(html).toContain('<th scope="col">')
    // Words of a line that was broken on paper stand apart.
    expect(html).toContain('Keep them in a needle case, never in a sleeve, a chair or the mouth.')
  })
})
