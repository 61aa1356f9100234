// @vitest-environment jsdom
/** A learner of a class: what is left free to her, what she chose, and the way back to the class. */
import { bandSampler } from '@lemmata/contract/testing'
import { newClass } from '@lemmata/core/classes'
import { workSampler } from '@lemmata/core/exercise'
import type { Exercise, Sampler } from '@lemmata/core/sampler'
import { act, fireEvent, screen } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { classClosed, classOpened } from '../store/class.ts'
import { store, undo, useAppSelector } from '../store/index.ts'
import { choose, closePage, openPage } from '../testing/page.tsx'
import { LearnerPanel } from './LearnerPanel.tsx'

const demo = bandSampler('2026-12-03')
const [first] = demo.exercises as [Exercise, ...Exercise[]]
const FREE: Sampler = {
  ...demo,
  exercises: demo.exercises.map((one) =>
    one.id === first.id ? { ...one, free: ['colour', 'strands', 'length', 'marks'] } : { ...one, free: [], substitutes: [] },
  ),
}
let removed = 0

function Panel({ sampler }: { sampler: Sampler }) {
  const learner = useAppSelector((state) => state.class.open?.document.learners[0])
  const { done } = workSampler(sampler)
  return learner ? <LearnerPanel sampler={sampler} learner={learner} done={done} onRemoved={() => (removed += 1)} /> : <p>nobody</p>
}

function open(sampler: Sampler = FREE) {
  removed = 0
  const document = { ...newClass('My class', 's1'), learners: [{ id: 'v1', name: 'Tove', choices: {} }] }
  store.dispatch(classOpened({ answer: { id: 'c1', revision: 1, document }, pending: [] }))
  openPage(sampler, <Panel sampler={sampler} />)
  return () => store.getState().class.open?.document.learners[0]
}
afterEach(() => {
  closePage()
  act(() => void store.dispatch(classClosed()))
})

describe('what she is', () => {
  it('her name and her hand are kept, a name of nothing is not', () => {
    const learner = open()
    fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'Tove Lind' } })
    fireEvent.blur(screen.getByLabelText('Name'))
    expect(learner()?.name).toBe('Tove Lind')
    fireEvent.change(screen.getByLabelText('Name'), { target: { value: '  ' } })
    fireEvent.blur(screen.getByLabelText('Name'))
    expect(learner()?.name).toBe('Tove Lind')
    fireEvent.click(screen.getByText('Left'))
    expect(learner()?.hand).toBe('left')
  })

  it('clear orders are set and forgotten', () => {
    const learner = open()
    fireEvent.click(screen.getByLabelText('Nothing left open: clear orders'))
    expect(learner()?.settled).toBe(true)
    fireEvent.click(screen.getByLabelText('Nothing left open: clear orders'))
    expect(learner()).not.toHaveProperty('settled')
  })
})

describe('what she chose', () => {
  it('a colour of her own, and the class’s again', async () => {
    const learner = open()
    const other = demo.threads.at(-1)
    await choose('Colour', other?.colour.name ?? '')
    expect(learner()?.choices[first.id]).toEqual({ thread: other?.id })
    await choose('Colour', /^not chosen/)
    expect(learner()?.choices[first.id]?.thread).toBeUndefined()
  })

  it('strands, length and marks each alone, and all of them given back by one press and one step', () => {
    const learner = open()
    const strands = screen.getByLabelText('Strands')
    fireEvent.focus(strands)
    fireEvent.change(strands, { target: { value: '5' } })
    fireEvent.blur(strands)
    const length = screen.getByLabelText(/ length$/)
    fireEvent.change(length, { target: { value: '3,2' } })
    fireEvent.blur(length)
    expect(learner()?.choices[first.id]?.strands).toBe(5)
    expect(Object.values(learner()?.choices[first.id]?.parameters ?? {})).toEqual([3.2])
    fireEvent.click(screen.getByText('As the class'))
    expect(learner()?.choices[first.id] ?? {}).toEqual({})
    act(undo)
    expect(learner()?.choices[first.id]?.strands).toBe(5)
  })

  it('nothing is asked of her where nothing is left free, and it is said where that is set', () => {
    open({ ...FREE, exercises: FREE.exercises.map((one) => ({ ...one, free: [] })) })
    expect(screen.getByText(/^Nothing here is left to choose\./)).toBeTruthy()
    expect(screen.queryByLabelText('Colour')).toBeNull()
  })

  it('a stitch that is allowed instead can be hers', async () => {
    const learner = open({
      ...FREE,
      exercises: FREE.exercises.map((one) => (one.id === first.id ? { ...one, substitutes: [{ stitch: 'stem-stitch' }] } : one)),
    })
    await choose('Stitch', 'Stem stitch')
    expect(learner()?.choices[first.id]).toEqual({ stitch: 'stem-stitch' })
  })
})

describe('taken out of the class', () => {
  it('is said, told to the stage, and taken back with all she had chosen', async () => {
    const learner = open()
    const before = learner()
    fireEvent.click(screen.getByText('Take out of the class'))
    expect(learner()).toBeUndefined()
    expect(removed).toBe(1)
    fireEvent.click(await screen.findByText('Put back'))
    expect(learner()).toEqual(before)
  })
})
