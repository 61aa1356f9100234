// @vitest-environment jsdom
/** The card of the chosen exercise: what is known of it, what can be set, and what each edit leaves alone. */
import { bandSampler } from '@lemmata/contract/testing'
import type { Exercise, Sampler } from '@lemmata/core/sampler'
import { act, fireEvent, screen } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { store, undo } from '../store/index.ts'
import { exerciseSelected } from '../store/sampler.ts'
import { choose, closePage, openPage, type } from '../testing/page.tsx'
import { useSampler } from '../sampler/use-sampler.ts'
import { HeldCard } from './HeldCard.tsx'

// Without a hoop nothing can lie outside it.
const { workingHoop: _hoop, ...demo } = bandSampler('2026-12-03')
const LINE: Sampler = {
  ...demo,
  units: 'mm',
  drawing: { groups: [], guides: [{ id: 'g1', name: 'Gust', guide: { kind: 'line', path: 'M 40 60 H 140' } }] },
  exercises: [{ id: 'e1', name: 'Gust', stitch: 'back-stitch', on: [{ guide: 'g1' }], parameters: { L: 3 } }],
  lessons: [{ id: 'l1', title: 'One', exercises: ['e1'] }],
  keptOrders: [],
}
const withExercise = (change: Partial<Exercise>): Sampler => ({ ...LINE, exercises: [{ ...(LINE.exercises[0] as Exercise), ...change }] })

let stage = 'cloth'
function Card() {
  return <HeldCard sampler={useSampler()} stage={stage} />
}
const open = (sampler: Sampler = LINE, at = 'cloth') => {
  stage = at
  return openPage(sampler, <Card />)
}
const unfold = (group: string): void => void fireEvent.click(screen.getByRole('button', { name: new RegExp(`${group}`) }))
const withNotes = (sampler: Sampler = LINE) => {
  const page = open(sampler)
  unfold('Notes')
  return page
}
afterEach(closePage)

describe('a caution', () => {
  const SAGS = /^Stitch comes to 5\.88 mm; over 4 mm a stitch of this weight sags/
  it('that is left goes from card to notes, and is put back from there', () => {
    const page = open(withExercise({ parameters: { L: 6 } }))
    expect(screen.getByText(SAGS)).toBeTruthy()
    fireEvent.click(screen.getByText('Leave it'))
    expect(page.document().exercises[0]?.setAside).toEqual(['exercise.long'])
    expect(screen.getByText('Everything suits. Nothing to mend.')).toBeTruthy()
    unfold('Notes')
    expect(screen.getByText(SAGS)).toBeTruthy()
    fireEvent.click(screen.getByText('Put back'))
    expect(page.document().exercises[0]).not.toHaveProperty('setAside')
    expect(screen.getByText('Leave it')).toBeTruthy()
  })

  it('what cannot be worked is never set aside', () => {
    open(withExercise({ stitch: 'satin-stitch' }))
    expect(document.querySelector('.card-problems.error')).toBeTruthy()
    expect(screen.queryByText('Leave it')).toBeNull()
  })
})

describe('lengths', () => {
  it('asked and fitted stand side by side: 100 mm at 3 mm are 33 stitches of 3.03 mm', () => {
    open()
    expect(screen.getByText('fitted 3.03 mm')).toBeTruthy()
    expect(screen.getByTestId('fitted-count').textContent).toBe('33')
    expect(screen.getByTestId('fitted-pitch').textContent).toBe('3.03 mm')
  })

  it('one that is typed is kept and worked: a decimal comma is understood', () => {
    const page = open()
    type('Stitch', '2,5')
    expect(page.document().exercises[0]?.parameters).toEqual({ L: 2.5 })
    expect(screen.getByTestId('fitted-count').textContent).toBe('40')
  })

  it('neat lengths that divide the line are offered, and one press takes one: 100 mm is 40 of 2.5', () => {
    const page = open()
    fireEvent.click(screen.getByText('40 of 2.50 mm'))
    expect(page.document().exercises[0]?.parameters).toEqual({ L: 2.5 })
    expect(screen.getByTestId('fitted-count').textContent).toBe('40')
    expect(screen.queryByText('40 of 2.50 mm')).toBeNull()
  })

  it('one outside its window is a caution with the usual length', () => {
    open()
    type('Stitch', '6')
    expect(screen.getByText(/^Stitch comes to 5\.88 mm; over 4 mm a stitch of this weight sags\. Usual: /, { exact: false })).toBeTruthy()
  })

  it('a height to the side is not said to be fitted to another', () => {
    open(withExercise({ stitch: 'blanket-stitch', parameters: { L: 3, H: 6 } }))
    expect(screen.getByText('fitted 6.00 mm')).toBeTruthy()
  })

  it('in inches they are inches', () => {
    open({ ...LINE, units: 'in' })
    expect(screen.getByTestId('fitted-pitch').textContent).toMatch(/^0\.12 in/)
  })
})

describe('the other settings', () => {
  it('every so many marks begin with every third', async () => {
    const page = open()
    await choose('Marks on the cloth', 'A dot for every third hole')
    expect(page.document().exercises[0]).toMatchObject({ marks: 'every-nth', nth: 3 })
  })

  it('a stitch that a learner may take is added, and one that stays keeps what was set for it', async () => {
    const page = withNotes(withExercise({ substitutes: [{ stitch: 'stem-stitch', parameters: { L: 5 } }] }))
    await choose('Also allowed', 'Split stitch')
    expect(page.document().exercises[0]?.substitutes).toEqual([{ stitch: 'stem-stitch', parameters: { L: 5 } }, { stitch: 'split-stitch' }])
    expect(screen.getByText('Or split stitch:')).toBeTruthy()
  })

  it('a name of nothing is no name; another is kept', () => {
    const page = withNotes()
    type('Name', '')
    expect(page.document().exercises[0]?.name).toBe('Gust')
    type('Name', ' Squall ')
    expect(page.document().exercises[0]?.name).toBe('Squall')
  })

  it('a square is as large as it is typed', () => {
    const page = open({
      ...withExercise({ stitch: 'sorbello-stitch', parameters: {} }),
      drawing: { groups: [], guides: [{ id: 'g1', guide: { kind: 'square', at: [80, 80], sideMm: 6 } }] },
    })
    type('Side', '8')
    expect(page.document().drawing.guides[0]?.guide).toMatchObject({ kind: 'square', sideMm: 8 })
  })
})

describe('taking off', () => {
  it('is one step, said, and put back whole', async () => {
    const page = open()
    fireEvent.click(screen.getByText('Take off'))
    expect(page.document().exercises).toEqual([])
    expect(page.document().lessons.flatMap((one) => one.exercises)).toEqual([])
    expect(await screen.findByText(/Gust is taken off/)).toBeTruthy()
    undo()
    expect(page.document()).toEqual(LINE)
  })
})

describe('what is known', () => {
  it('a curve that is too tight has its sentence and a mend that is pressed', () => {
    const page = open({
      ...withExercise({ materials: { main: { strands: 6 } } }),
      drawing: { groups: [], guides: [{ id: 'g1', guide: { kind: 'line', path: 'M 80 80 A 1.2 1.2 0 0 1 82.4 80 A 1.2 1.2 0 0 1 80 80' } }] },
    })
    const line = screen.getByText(/Even at its shortest good length back stitch leaves the line/, { exact: false })
    const mend = line.querySelector('button')
    expect(mend?.textContent).toMatch(/strand|larger|Ease/)
    const before = page.document()
    fireEvent.click(mend as HTMLElement)
    expect(page.document()).not.toEqual(before)
  })

  it('each thread of a couched line has its length', () => {
    open(withExercise({ stitch: 'couching-stitch', parameters: {} }))
    expect(screen.getByText(/^laid thread: .*needleful/)).toBeTruthy()
    expect(screen.getByText(/^tie: .*needleful/)).toBeTruthy()
  })

  it('what cannot be worked says so and keeps the settings that can be changed', () => {
    open(withExercise({ stitch: 'satin-stitch', parameters: {} }))
    expect(screen.getByText(/Satin stitch is worked on/, { exact: false })).toBeTruthy()
    expect(screen.queryByTestId('fitted-count')).toBeNull()
    unfold('Notes')
    expect(screen.getByLabelText('Name')).toBeTruthy()
  })

  it('the worst is said first, the others at a press; an error is called one', () => {
    const many = withExercise({ parameters: { L: 7 }, materials: { main: { strands: 6, needle: { kind: 'embroidery', size: 10 } } } })
    open(many)
    const shown = (): number => document.querySelectorAll('.card-problems .problem').length
    expect(shown()).toBe(1)
    fireEvent.click(screen.getByText(/^and \d+ more$/))
    expect(shown()).toBeGreaterThan(1)
    fireEvent.click(screen.getByText('Only the first'))
    expect(shown()).toBe(1)
  })

  it('a stage opens its own group, and a folded one says its fact', () => {
    open(LINE, 'thread')
    expect(screen.getByRole('combobox', { name: 'Strands of Gust' })).toBeTruthy()
    expect(screen.getByText('pitch 3.03 mm')).toBeTruthy()
    expect(screen.queryByTestId('fitted-count')).toBeNull()
  })

  it('of nothing wrong it says so; closed it is gone, and choosing brings it back', () => {
    open()
    expect(screen.getByText('Everything suits. Nothing to mend.')).toBeTruthy()
    fireEvent.click(screen.getByLabelText('Close the card'))
    expect(screen.queryByTestId('exercise-card')).toBeNull()
    act(() => void store.dispatch(exerciseSelected('e1')))
    expect(screen.getByTestId('exercise-card')).toBeTruthy()
  })
})

describe('the trial log', () => {
  const note = (result: string): void => {
    fireEvent.change(screen.getByLabelText('How it came out'), { target: { value: result } })
    fireEvent.click(screen.getByText('Note this trial'))
  }
  const trials = (page: ReturnType<typeof open>) => page.document().exercises[0]?.trials ?? []

  it('keeps what was tried with today’s date, its setting in words, and how it came out', () => {
    const page = withNotes()
    note('  even, a little stiff ')
    expect(trials(page)).toMatchObject([{ on: new Date().toISOString().slice(0, 10), result: 'even, a little stiff', verdict: 'keep' }])
    expect(trials(page)[0]?.setting).toMatch(/^\w+ strands?, stitch 3\.00 mm, 33 stitches$/)
    expect(screen.getByLabelText<HTMLInputElement>('How it came out').value).toBe('')
  })

  it('votes are given to one of them, and one is removed', () => {
    const page = withNotes()
    note('first')
    note('second')
    const votes = screen.getAllByLabelText(/^Preferred by, /)[1] as HTMLElement
    fireEvent.change(votes, { target: { value: '7' } })
    fireEvent.blur(votes)
    expect(trials(page).map((one) => one.votes)).toEqual([undefined, 7])
    fireEvent.click(screen.getAllByLabelText(/^Remove the trial /)[0] as HTMLElement)
    expect(trials(page).map((one) => one.result)).toEqual(['second'])
  })
})
