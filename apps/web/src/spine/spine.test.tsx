// @vitest-environment jsdom
/** The list of exercises: one Tab stop, focus and selection together, moves and names by keyboard. */
import { bandSampler } from '@lemmata/contract/testing'
import { fireEvent, screen, within } from '@testing-library/react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { useSampler } from '../sampler/use-sampler.ts'
import { store, undo } from '../store/index.ts'
import { closePage, openPage } from '../testing/page.tsx'
import { Spine } from './Spine.tsx'

const demo = bandSampler('2026-12-03')
const order = demo.lessons.flatMap((one) => one.exercises as readonly string[])
const nameOf = (id: string | undefined): string => demo.exercises.find((one) => one.id === id)?.name ?? ''

let folded = false
let stage = 'cloth'
function List() {
  return <Spine sampler={useSampler()} stage={stage} folded={folded} onFold={(next) => (folded = next)} />
}
const open = (sampler = demo) => openPage(sampler, <List />)
afterEach(() => {
  closePage()
  folded = false
  stage = 'cloth'
})
const row = (id: string | undefined): HTMLElement => screen.getByRole('option', { name: new RegExp(nameOf(id)) })
const selected = (): string | null => store.getState().sampler.selected

describe('the spine', () => {
  it('lists every exercise under its lesson, in the order of teaching', () => {
    open()
    expect(screen.getAllByRole('option').map((one) => one.dataset.exercise)).toEqual(order)
    for (const [index, lesson] of demo.lessons.entries())
      expect(within(screen.getByRole('group', { name: `Lesson ${index + 1}, ${lesson.title}` })).getAllByRole('option')).toHaveLength(lesson.exercises.length)
    expect(screen.getByText('8 exercises in 6 lessons')).toBeTruthy()
  })

  it('is one Tab stop; arrows move focus and selection together and stop at both ends', () => {
    open()
    const stops = (): string[] => screen.getAllByRole('option').flatMap((one) => (one.tabIndex === 0 ? [one.dataset.exercise ?? ''] : []))
    expect(stops()).toEqual([order[0]])
    row(order[0]).focus()
    fireEvent.keyDown(row(order[0]), { key: 'ArrowDown' })
    expect([selected(), document.activeElement, stops()]).toEqual([order[1], row(order[1]), [order[1]]])
    fireEvent.keyDown(row(order[1]), { key: 'End' })
    expect([selected(), document.activeElement]).toEqual([order.at(-1), row(order.at(-1))])
    fireEvent.keyDown(row(order.at(-1)), { key: 'ArrowDown' })
    expect(selected()).toBe(order.at(-1))
    fireEvent.keyDown(row(order.at(-1)), { key: 'c' })
    expect(selected()).toBe(order[2])
  })

  it('Alt with an arrow moves the exercise into the next lesson, says where, and is one step back', () => {
    const page = open()
    fireEvent.keyDown(row(order[0]), { key: 'ArrowDown', altKey: true })
    expect(
      page
        .document()
        .lessons.slice(0, 2)
        .map((one) => one.exercises),
    ).toEqual([[], [order[0], ...(demo.lessons[1]?.exercises ?? [])]])
    expect(screen.getByText(`${nameOf(order[0])}, now in lesson 2, place 1 of 3.`)).toBeTruthy()
    undo()
    expect(page.document()).toEqual(demo)
  })

  it('F2 renames in place; Escape leaves the name as it was', () => {
    const page = open()
    fireEvent.keyDown(row(order[0]), { key: 'F2' })
    const field = (): HTMLElement => screen.getByLabelText(`Name of ${nameOf(order[0])}`)
    fireEvent.change(field(), { target: { value: 'Cloudburst' } })
    fireEvent.keyDown(field(), { key: 'Escape' })
    expect(page.document().exercises).toEqual(demo.exercises)
    fireEvent.keyDown(row(order[0]), { key: 'F2' })
    fireEvent.change(field(), { target: { value: ' Cloudburst ' } })
    fireEvent.keyDown(field(), { key: 'Enter' })
    expect(page.document().exercises.find((one) => one.id === order[0])?.name).toBe('Cloudburst')
  })

  it('on the cloth Shift holds several, by pointer and by keyboard, and a lesson is held whole', () => {
    stage = 'cloth'
    open()
    const held = () => store.getState().sampler
    fireEvent.click(row(order[0]))
    fireEvent.click(row(order[2]), { shiftKey: true })
    expect([held().selected, held().also]).toEqual([order[0], [order[2]]])
    expect(screen.getAllByRole('option', { selected: true }).map((one) => one.dataset.exercise)).toEqual([order[0], order[2]])
    fireEvent.keyDown(row(order[2]), { key: 'ArrowDown', shiftKey: true })
    expect(held().also).toEqual([order[2], order[3]])
    fireEvent.keyDown(row(order[1]), { key: 'a', ctrlKey: true })
    expect(held().also.length).toBeGreaterThan(0)
    expect(held().selected).toBe(order[1])
    stage = 'order'
    closePage()
    open()
    fireEvent.click(row(order[0]))
    fireEvent.click(row(order[2]), { shiftKey: true })
    expect([held().selected, held().also]).toEqual([order[2], []])
  })

  it('a letter chooses its exercise; a small t is left to whoever teaches', () => {
    open()
    fireEvent.keyDown(row(order[0]), { key: 'c' })
    expect(store.getState().sampler.selected).toBe(order[2])
    const heard = vi.fn()
    document.addEventListener('keydown', heard)
    fireEvent.keyDown(row(order[2]), { key: 't' })
    fireEvent.keyDown(row(order[2]), { key: 'b' })
    document.removeEventListener('keydown', heard)
    expect(heard.mock.calls.map(([event]) => (event as KeyboardEvent).key)).toEqual(['t'])
    expect(store.getState().sampler.selected).toBe(order[1])
  })

  it('a knot has a name, and what cannot be worked has the other sign', () => {
    open({
      ...demo,
      exercises: demo.exercises.map((one) =>
        one.id === order[0] ? { ...one, stitch: 'no-such-stitch' } : one.id === order[1] ? { ...one, parameters: { L: 9 } } : one,
      ),
    })
    expect(within(row(order[0])).getByRole('img', { name: 'cannot be worked' })).toBeTruthy()
    expect(within(row(order[1])).getByRole('img', { name: 'has a caution' })).toBeTruthy()
  })

  it('folded it keeps letters, colours and names for those who hear it', () => {
    folded = true
    open()
    expect(screen.getAllByRole('option').map((one) => one.dataset.exercise)).toEqual(order)
    expect(row(order[0]).querySelector('.thread-bar')).not.toBeNull()
  })
})
