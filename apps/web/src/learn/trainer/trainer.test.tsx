// @vitest-environment jsdom
/** The trainer without a browser: what is asked, answered right and wrong, told once each, asked again, and over. */
import { UNRULED } from '@lemmata/core/photo'
import '../../testing/furnish.ts'
import type { WeekAnswer } from '@lemmata/contract'
import { bandSampler } from '@lemmata/contract/testing'
import { cleanup, fireEvent, render, screen } from '@testing-library/react'
import { useState } from 'react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { type Kept, NOTHING } from '../kept.ts'
import type { KeptInPage, Told } from '../use-kept.ts'
import { TrainerPage } from './TrainerPage.tsx'

const sampler = bandSampler('2026-11-23')
const week: WeekAnswer = {
  ...{
    learner: { id: 'p1', name: 'Gaia', hand: 'left', choices: {} },
    className: 'Thursdays',
    today: '2026-12-01',
    sampler,
    events: [],
    said: [],
    pictures: [],
    sendsPictures: true,
    measuring: UNRULED,
    version: 'v1',
  },
  lessons: sampler.lessons.map(({ id, title }, index) => ({ id, title, number: index + 1, on: [index < 3 ? '2026-11-26' : '2026-12-10'], seenFrom: null })),
}
const told: Extract<Told, { kind: 'recall' }>[] = []
const back = vi.fn()

/** The device, as far as the trainer needs it. */
function Device({ of }: { readonly of: WeekAnswer }) {
  const [kept, setKept] = useState<Kept>({ ...NOTHING, week: of })
  const tell = (one: Told): void => {
    if (one.kind !== 'recall') throw new Error(one.kind)
    told.push(one)
    setKept((before) => ({ ...before, unsent: [...before.unsent, { ...one, id: `e${told.length}`, at: '2026-12-01T18:00:00.000Z' }] }))
  }
  return <TrainerPage page={{ kept, tell } as unknown as KeptInPage} week={of} onBack={back} />
}
const open = (of: WeekAnswer = week) => {
  told.splice(0)
  back.mockReset()
  render(<Device of={of} />)
}
afterEach(cleanup)

const places = (): HTMLElement[] => screen.queryAllByRole('button', { name: /^Place [A-D]$/ })
const verdict = (): string | null => screen.queryByTestId('asked-verdict')?.textContent ?? null
const on = (): void => void fireEvent.click(screen.getByText('On'))
/** Answered by the first place or way that stands there; whether it was right. */
const answer = (): boolean => {
  const [place] = places()
  if (place) fireEvent.click(place)
  for (const way of screen.queryAllByRole('button', { name: /needle|it$|side|left|right|you$/ }).slice(0, 1)) if (verdict() === null) fireEvent.click(way)
  return verdict()?.startsWith('Yes') === true
}

describe('the trainer', () => {
  it('asks a few new motions of what was taught, tells each answer once, and asks again at the end what was missed', () => {
    open()
    expect(screen.getByText('1 of 4')).toBeTruthy()
    const answers: boolean[] = []
    for (let turns = 0; turns < 4; turns += 1) {
      answers.push(answer())
      expect(told).toHaveLength(turns + 1)
      on()
    }
    expect(told.map((one) => one.right)).toEqual(answers)
    expect(new Set(told.map((one) => one.motion)).size).toBe(4)
    const taught = sampler.lessons.slice(0, 3).flatMap((one) => one.exercises)
    expect(told.every((one) => taught.includes(one.exercise))).toBe(true)
    const missed = answers.filter((one) => !one).length
    for (let turns = 0; turns < missed; turns += 1) {
      expect(screen.getByText(/, once more$/)).toBeTruthy()
      answer()
      on()
    }
    expect(told).toHaveLength(4)
    expect(screen.getByText('That is all for now.')).toBeTruthy()
    expect(screen.getByText('The next come back on Wednesday 2 December.')).toBeTruthy()
    fireEvent.click(screen.getByText('A few more'))
    expect(screen.getByText(/^1 of [1-4]$/)).toBeTruthy()
    fireEvent.click(screen.getByLabelText('Back to this week'))
    expect(back).toHaveBeenCalledTimes(1)
  })

  it('a wrong place says what would come of it and how it goes; a second touch changes nothing', () => {
    open()
    const letters = places().map((one) => one.getAttribute('aria-label') ?? '')
    expect(letters).toEqual(['Place A', 'Place B', 'Place C', 'Place D'].slice(0, letters.length))
    // By key, as by touch: until one is wrong, each time on a new cloth.
    for (const key of ['b', 'c', 'a']) {
      fireEvent.keyDown(document, { key })
      if (verdict()?.startsWith('Not so.')) break
      cleanup()
      open()
    }
    expect(verdict()).toMatch(/^Not so\. .+\.$/)
    expect(screen.getByRole('img', { name: 'What came of it' })).toBeTruthy()
    const said = verdict()
    fireEvent.keyDown(document, { key: 'a' })
    expect([verdict(), told.length]).toEqual([said, 1])
    fireEvent.click(screen.getByText('How it goes'))
    expect(screen.getByRole('img', { name: 'How it goes' })).toBeTruthy()
  })

  it('has nothing to ask before anything was taught', () => {
    open({ ...week, lessons: week.lessons.map((one) => ({ ...one, on: ['2027-01-07'] })) })
    expect(screen.getByText('Nothing to ask yet.')).toBeTruthy()
    expect(screen.queryByText('A few more')).toBeNull()
  })

  it('passes over what was asked of a piece that is another now', () => {
    const events = [
      { id: 'e', at: '2026-11-27T18:00:00.000Z', learner: 'p1', by: 'learner', kind: 'recall', exercise: 'gone', motion: 'no 0', right: false },
    ] as const
    open({ ...week, events })
    expect(screen.getByText('1 of 4')).toBeTruthy()
  })
})
