// @vitest-environment jsdom
/** The Order stage: lessons by hand, pins and what they break, wishes, kept orders; a search that breaks loses nothing. */
import { bandSampler } from '@lemmata/contract/testing'
import { type Exercise, newSampler, type Sampler } from '@lemmata/core/sampler'
import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { undo } from '../store/index.ts'
import { breakWorkers } from '../testing/furnish.ts'
import { HeldCard } from '../card/HeldCard.tsx'
import { useSampler } from '../sampler/use-sampler.ts'
import { Spine } from '../spine/Spine.tsx'
import { choose, closePage, openPage, type } from '../testing/page.tsx'
import { OrderStage } from './OrderStage.tsx'

const demo = bandSampler('2026-12-03')
const ids = demo.lessons.flatMap((one) => one.exercises)
const nameOf = (id: string | undefined): string => demo.exercises.find((one) => one.id === id)?.name ?? ''
const pinned = (id: string | undefined, pins: Exercise['pins']): Sampler => ({
  ...demo,
  exercises: demo.exercises.map((one) => (one.id === id ? { ...one, pins } : one)),
})
function Page() {
  const sampler = useSampler()
  return (
    <>
      <Spine sampler={sampler} stage="order" folded={false} onFold={() => undefined} />
      <OrderStage />
      <HeldCard sampler={sampler} stage="order" />
    </>
  )
}
const open = (sampler: Sampler = demo) => openPage(sampler, <Page />)
const look = (side: string): void => void fireEvent.click(within(screen.getByLabelText('Below the ramp')).getByText(side))
const select = (id: string | undefined): void => void fireEvent.click(screen.getByText(nameOf(id), { selector: '.row-name' }))
afterEach(closePage)

describe('lessons', () => {
  it('say their minutes in class, and how many of them are showing', () => {
    open()
    const facts = [...document.querySelectorAll('.lesson-heading .lesson-fact')]
    expect(facts.length).toBe(demo.lessons.length)
    for (const one of facts) {
      expect(one.textContent).toMatch(/^\d+ min$/)
      expect(one.getAttribute('title')).toMatch(/^\d+ of 90 min in class, \d+ of them showing/)
    }
  })

  it('a title is kept when it is left, cut to what a title may hold; blanks leave the old one', () => {
    const page = open()
    const rename = (to: string): void => {
      fireEvent.doubleClick(document.querySelector('.lesson-title') as HTMLElement)
      fireEvent.change(screen.getByLabelText('Title of lesson 1'), { target: { value: to } })
      fireEvent.blur(screen.getByLabelText('Title of lesson 1'))
    }
    rename('  First frost ')
    expect(page.document().lessons[0]?.title).toBe('First frost')
    rename('   ')
    expect(page.document().lessons[0]?.title).toBe('First frost')
    // By keyboard, from the card.
    type('Title of its lesson', 'Rain')
    expect(page.document().lessons[0]?.title).toBe('Rain')
  })

  it('one is added at the end, and an empty one can be removed', () => {
    const page = open()
    fireEvent.click(screen.getByText('Add a lesson'))
    expect(page.document().lessons.length).toBe(demo.lessons.length + 1)
    expect(screen.getByText('nothing yet')).toBeTruthy()
    fireEvent.click(screen.getByText(`Remove lesson ${demo.lessons.length + 1}`))
    expect(page.document()).toEqual(demo)
  })

  it('what is not taught is listed and can be taught again', () => {
    const page = open(pinned(ids[2], { excluded: true }))
    expect(screen.getByRole('group', { name: 'Not taught' }).textContent).toContain(nameOf(ids[2]))
    fireEvent.click(screen.getByText('Teach it again'))
    expect(page.document().exercises.find((one) => one.id === ids[2])?.pins?.excluded).toBe(false)
    expect(screen.queryByRole('group', { name: 'Not taught' })).toBeNull()
  })

  it('without an exercise there is nothing to order', () => {
    open(newSampler('Empty'))
    expect(screen.getByText('Nothing to order yet. Choose stitches first.')).toBeTruthy()
  })
})

describe('pins', () => {
  it('one that the order breaks is said with its repair, which is one press and one step back', () => {
    const last = ids.at(-1)
    const page = open(pinned(last, { first: true }))
    const broken = within(screen.getByLabelText('Broken rules'))
    expect(broken.getAllByText(new RegExp(nameOf(last))).length).toBeGreaterThan(0)
    fireEvent.click(broken.getAllByRole('button')[0] as HTMLElement)
    expect(page.document().lessons.flatMap((one) => one.exercises)[0]).toBe(last)
    undo()
    expect(page.document().lessons).toEqual(demo.lessons)
  })

  it('are set on the chosen exercise, and the last one taken off leaves no empty list behind', () => {
    const page = open()
    select(ids[1])
    fireEvent.click(screen.getByLabelText('first'))
    expect(page.document().exercises.find((one) => one.id === ids[1])?.pins).toEqual({ first: true })
    fireEvent.click(screen.getByLabelText('first'))
    expect(page.document().exercises.find((one) => one.id === ids[1])).not.toHaveProperty('pins')
  })

  it('before another is chosen by its name', async () => {
    const page = open()
    select(ids[0])
    await choose('Before', nameOf(ids[3]))
    expect(page.document().exercises.find((one) => one.id === ids[0])?.pins).toEqual({ before: [ids[3]] })
  })

  it('into a lesson by its number and title, and any again', async () => {
    const page = open()
    select(ids[0])
    await choose('In lesson', `2. ${demo.lessons[1]?.title ?? ''}`)
    expect(page.document().exercises.find((one) => one.id === ids[0])?.pins).toEqual({ lesson: demo.lessons[1]?.id })
    await choose('In lesson', 'any')
    expect(page.document().exercises.find((one) => one.id === ids[0])).not.toHaveProperty('pins')
  })
})

describe('the chosen exercise', () => {
  it('says what makes it hard, beside its neighbours, and what a late learner works first', () => {
    open()
    select(ids.at(-1))
    const panel = within(screen.getByTestId('exercise-card'))
    expect(panel.getByText(/^Difficulty \d+$/)).toBeTruthy()
    expect(panel.getByText(`Joining at lesson ${demo.lessons.length}`)).toBeTruthy()
    expect(panel.getByText(/^(Work first: .*\(.*min.*\)\.|Nothing of the earlier lessons is needed\.)$/)).toBeTruthy()
  })

  it('what learners may choose is kept, and nothing is nothing', () => {
    const page = open()
    select(ids[0])
    const free = within(screen.getByLabelText('Learners may choose'))
    const before = demo.exercises.find((one) => one.id === ids[0])?.free ?? []
    for (const one of before) fireEvent.click(free.getByLabelText(one))
    expect(page.document().exercises.find((one) => one.id === ids[0])).not.toHaveProperty('free')
    fireEvent.click(free.getByLabelText('marks'))
    expect(page.document().exercises.find((one) => one.id === ids[0])?.free).toEqual(['marks'])
  })

  it('a worker that breaks while easings are tried is told in a sentence', async () => {
    open()
    select(ids[0])
    expect(screen.getByText('Trying what would make it easier …')).toBeTruthy()
    breakWorkers()
    expect(await screen.findByText(/^The search stopped unexpectedly\. Your work is as it was/)).toBeTruthy()
  })
})

describe('finding', () => {
  it('a search that breaks says so and leaves the order as it is', async () => {
    const page = open()
    fireEvent.click(screen.getByText('Find a better order'))
    expect(screen.getByTestId('order-progress').textContent).toContain('Looking for a first order')
    breakWorkers()
    await waitFor(() => expect(screen.getByRole('alert').textContent).toMatch(/ended unexpectedly.*your own order is as it was/))
    expect(page.document()).toBe(demo)
  })

  it('stopped before anything was found, it can be begun again', () => {
    open()
    fireEvent.click(screen.getByText('Find a better order'))
    fireEvent.click(screen.getByText('Stop here'))
    expect(screen.getByText('Find a better order')).toBeTruthy()
  })

  it('the present order is kept by a name, laid beside, used and dropped', () => {
    const page = open({ ...demo, keptOrders: [] })
    const field = screen.getByLabelText('Keep the present order as')
    fireEvent.change(field, { target: { value: 'As in autumn' } })
    fireEvent.click(screen.getByText('Keep'))
    expect(page.document().keptOrders.map((one) => [one.name, one.lessons])).toEqual([['As in autumn', demo.lessons.map((one) => one.exercises)]])
    expect(screen.getByText(/^Against yours: /)).toBeTruthy()
    fireEvent.click(screen.getByLabelText('Lay beside: As in autumn'))
    // Both ramps, one above the other.
    expect(document.querySelectorAll('.ramp')).toHaveLength(2)
    fireEvent.click(screen.getByText('Lay it away'))
    expect(document.querySelectorAll('.ramp')).toHaveLength(1)
    fireEvent.click(screen.getByText('Drop'))
    expect(page.document().keptOrders).toEqual([])
  })
})

describe('wishes and the class', () => {
  it('a preset makes some loads weigh more, every difficulty is rated anew, and "as usual" forgets it', () => {
    const page = open()
    look('Wishes')
    const panel = within(screen.getByRole('region', { name: 'Wishes' }))
    const difficulty = (): string => [...document.querySelectorAll('.spine .slope')].map((one) => one.textContent).join('|')
    const before = difficulty()
    const presets = panel.getAllByRole('button').filter((one) => one.title !== '')
    expect(presets.length).toBeGreaterThan(1)
    fireEvent.click(presets[0] as HTMLElement)
    expect(page.document().brief.hardFor).toBeTruthy()
    expect(difficulty()).not.toBe(before)
    fireEvent.click(panel.getAllByText('As usual').at(-1) as HTMLElement)
    expect(page.document().brief).not.toHaveProperty('hardFor')
    expect(difficulty()).toBe(before)
  })

  it('a weight is moved by keyboard and said in words', () => {
    const page = open()
    look('Wishes')
    const slider = screen.getByRole('slider', { name: 'Variety' })
    fireEvent.focus(slider)
    fireEvent.keyDown(slider, { key: 'ArrowRight', keyCode: 39 })
    fireEvent.keyUp(slider, { key: 'ArrowRight', keyCode: 39 })
    expect(page.document().brief.wishes?.variety).toBeCloseTo((demo.brief.wishes?.variety ?? 1) + 0.1, 6)
  })
})

describe('motions', () => {
  it('each has a row with the lesson where it is first met and those where it comes again', () => {
    open()
    look('Motions')
    const panel = screen.getByLabelText('Motions and gaps')
    const rows = within(panel).getAllByRole('row').slice(1)
    expect(rows.length).toBeGreaterThan(3)
    for (const row of rows) expect(within(row).getAllByLabelText('first met')).toHaveLength(1)
  })
})
