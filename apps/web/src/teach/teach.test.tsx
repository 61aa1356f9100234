// @vitest-environment jsdom
/** Teaching by keys alone: every step and leaf of a lesson, back again, into the next; what is asked and voted is kept with it. */
import { bandSampler } from '@lemmata/contract/testing'
import { newClass } from '@lemmata/core/classes'
import { workSampler } from '@lemmata/core/exercise'
import { taughtLessons } from '@lemmata/core/plan'
import { act, fireEvent, screen, within } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { classOpened } from '../store/class.ts'
import { store } from '../store/index.ts'
import { exerciseSelected } from '../store/sampler.ts'
import { closePage, openPage } from '../testing/page.tsx'
import { leavesOf, placeOf } from './leaves.ts'
import { TeachPage } from './TeachPage.tsx'

const demo = bandSampler('2026-12-03')
const lessons = taughtLessons(demo, workSampler(demo).done)
const open = () => openPage(demo, <TeachPage />, 'teach/:lesson?/:leaf?')
const teaching = (): HTMLElement => screen.getByRole('dialog', { name: /^Teach/ })
const press = (key: string, times = 1): void => {
  for (let index = 0; index < times; index += 1) fireEvent.keyDown(teaching(), { key })
}
const place = (): string => teaching().querySelector('.teach-bar .teach-place')?.textContent ?? ''
afterEach(closePage)

describe('the leaves of a lesson', () => {
  it('are what it begins with, each exercise worked and looked at, and what comes after', () => {
    const [first] = lessons
    if (!first) throw new Error('no lesson')
    expect(leavesOf(first).map((one) => one.kind)).toEqual(['begin', ...first.exercises.flatMap(() => ['show', 'look']), 'end'])
  })

  it('begin where one comes from: an exercise at its hand, what no lesson has at the first', () => {
    const [, second] = lessons
    const of = second?.exercises[1]?.exercise.id ?? second?.exercises[0]?.exercise.id ?? ''
    expect(placeOf(lessons, of)).toEqual({ lesson: second?.lesson.id, leaf: second?.exercises[1] ? 3 : 1 })
    expect(placeOf(lessons, 'none')).toEqual({ lesson: lessons[0]?.lesson.id, leaf: 0 })
    expect(placeOf([], 'none')).toBeNull()
  })
})

describe('teaching', () => {
  it('goes by a presenter\u2019s keys through every step and leaf, and back', () => {
    open()
    act(() => void store.dispatch(exerciseSelected(null)))
    expect(place()).toMatch(/^Lesson 1, 1 of/)
    press('PageDown')
    expect(screen.getByTestId('teach-sentence').textContent).toMatch(/^a /)
    press('PageDown', 2)
    expect(screen.getByTestId('teach-sentence').textContent).toMatch(/^c /)
    press('PageUp')
    expect(screen.getByTestId('teach-sentence').textContent).toMatch(/^b /)
    // Past its last step comes what to look at, and after all of them what comes next.
    const seen = new Set<string>()
    for (let turns = 0; turns < 200 && !place().startsWith('Until next time'); turns += 1) {
      seen.add(place())
      press('PageDown')
    }
    expect([...seen].some((one) => one.includes(', looked at'))).toBe(true)
    expect(screen.getByText(/^Next:/)).toBeTruthy()
    press('PageDown')
    expect(place()).toMatch(/^Lesson 2, 1 of/)
    press('PageUp')
    expect(place()).toMatch(/^Until next time/)
  })

  it('shows strands, needle and colour at one key, dims at another, and changes hand and side', () => {
    open()
    press('s')
    expect(within(screen.getByLabelText('In the needle')).getAllByText(/strand|pearl/i).length).toBeGreaterThan(0)
    press('s')
    expect(screen.queryByLabelText('In the needle')).toBeNull()
    press('b')
    expect(screen.getByText(/^Eyes here/)).toBeTruthy()
    press('Escape')
    expect(screen.queryByText(/^Eyes here/)).toBeNull()
    expect(screen.getAllByRole('img').length).toBe(2)
    press('f')
    expect(screen.getAllByRole('img').length).toBe(1)
    const right = screen.getByTestId('teach-sentence').textContent
    press('PageDown')
    const before = screen.getByTestId('teach-sentence').textContent
    press('h')
    expect(screen.getByTestId('teach-sentence').textContent).not.toBe(right)
    expect([before, screen.getByTestId('teach-sentence').textContent].join(' ')).toMatch(/left/)
  })

  it('keeps a question and a vote with the lesson, and says them at its end', async () => {
    open()
    const document = { ...newClass('Thursdays', store.getState().sampler.open?.id) }
    act(() => void store.dispatch(classOpened({ answer: { id: 'g', revision: 1, document }, pending: [] })))
    press('v')
    const vote = screen.getByRole('dialog', { name: /^A vote in/ })
    const said = (way: number): string => screen.queryByTestId(`way-${way}-sentence`)?.textContent ?? ''
    // As it is in the lesson beside another way, which is still being worked here.
    expect([said(1).startsWith('a '), within(screen.getByLabelText('Way 2', { selector: 'section' })).queryByText('Working the stitches …') !== null]).toEqual([
      true,
      true,
    ])
    fireEvent.keyDown(vote, { key: 'PageDown' })
    const inRight = said(1)
    fireEvent.keyDown(vote, { key: 'h' })
    expect([inRight.startsWith('b '), said(1) === inRight, said(1).startsWith('b ')]).toEqual([true, false, true])
    fireEvent.change(screen.getByLabelText('What is voted on'), { target: { value: 'Which slant?' } })
    for (const shiftKey of [false, false, true, false]) fireEvent.keyDown(vote, { key: '2', code: 'Digit2', shiftKey })
    fireEvent.click(screen.getByText('Keep it with the lesson'))
    await screen.findByText(/./, { selector: '.teach-bar .teach-place' })
    await act(() => Promise.resolve())
    const notes = Object.values(store.getState().class.open?.document.notes ?? {})
    expect(notes).toMatchObject([{ kind: 'vote', lesson: lessons[0]?.lesson.id, about: 'Which slant?', ways: [{ votes: 0 }, { votes: 2 }] }])
    for (let turns = 0; turns < 200 && !place().startsWith('Until next time'); turns += 1) press('n')
    expect(screen.getByText('Which slant?')).toBeTruthy()
  })

  it('without a lesson says where lessons are made', () => {
    openPage({ ...demo, lessons: [] }, <TeachPage />, 'teach/:lesson?/:leaf?')
    expect(screen.getByText(/put some into lessons under Order/)).toBeTruthy()
  })
})
