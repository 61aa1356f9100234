// @vitest-environment jsdom
/** The kit as it is read: without a browser, on the real store. */
import { bandSampler } from '@lemmata/contract/testing'
import { newClass } from '@lemmata/core/classes'
import { workSampler } from '@lemmata/core/exercise'
import { planKit } from '@lemmata/core/kit'
import { newSampler, type Sampler } from '@lemmata/core/sampler'
import { act, fireEvent, screen, within } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { emptyStores, type Stores } from '@lemmata/core/stores'
import { classClosed, classOpened } from '../store/class.ts'
import { edit, store } from '../store/index.ts'
import { storesClosed, storesOpened } from '../store/stores.ts'
import { closePage, openPage, type } from '../testing/page.tsx'
import { KitPage } from './KitPage.tsx'

const demo = bandSampler('2026-12-03')
const withBrief = (brief: Partial<Sampler['brief']>): Sampler => ({ ...demo, brief: { ...demo.brief, ...brief } })
const kitOf = (sampler: Sampler) => planKit(sampler, workSampler(sampler).done)
const colourRows = (): HTMLElement[] => [...document.querySelectorAll<HTMLElement>('.kit-colour')]
const look = (view: string): void => void fireEvent.click(within(screen.getByLabelText('What is shown')).getByText(view))

const openKit = (sampler: Sampler, stores: Stores = emptyStores()): void => {
  store.dispatch(storesOpened({ answer: { id: 'a', revision: 1, document: stores }, pending: [] }))
  openPage(sampler, <KitPage />)
}
const storesNow = (): Stores => {
  const { open } = store.getState().stores
  if (!open) throw new Error('the stores are not open')
  return open.document
}
afterEach(() => {
  closePage()
  store.dispatch(storesClosed())
})

describe('the kit', () => {
  it('has a row for every colour in the order of teaching, with what is cut and as many boxes as kits', () => {
    const sampler = withBrief({ learners: 3, sparePercent: 0, leftHanded: 0 })
    const kit = kitOf(sampler)
    openKit(sampler)
    const rows = colourRows()
    expect(rows.map((row) => within(row).getByRole('heading').textContent)).toEqual(kit.colours.map((one) => one.thread.colour.name))
    const first = rows[0] as HTMLElement
    expect(within(first).getByText(`Cut ${kit.colours[0]?.lengths[0]?.parted.lengths} lengths`)).toBeTruthy()
    expect(within(first).getAllByRole('button')).toHaveLength(3)
    expect(screen.getByText(`0 of ${3 * kit.colours.length} done.`)).toBeTruthy()
    fireEvent.click(within(first).getByRole('button', { name: 'Kit 2' }))
    expect(screen.getByText(`1 of ${3 * kit.colours.length} done.`)).toBeTruthy()
    fireEvent.click(screen.getByRole('button', { name: 'Undo the last tick' }))
    expect(screen.getByText(`0 of ${3 * kit.colours.length} done.`)).toBeTruthy()
  })

  it('says of every bag for which hand it is, the spare ones last', () => {
    openKit(withBrief({ learners: 4, leftHanded: 1, sparePercent: 25 }))
    expect(screen.getByText('4 learners, 1 left-handed and 1 spare: 5 kits')).toBeTruthy()
    look('Pack')
    const bags = screen.getAllByRole('button', { name: /^Bag \d$/ }).map((box) => box.closest('li')?.textContent)
    expect(bags).toEqual(['1for a right hand', '2for a right hand', '3for a right hand', '4for a left hand: left-handed sheets', '5to spare'])
  })

  it('names whose bag differs, with what comes out of it and goes in, and what is cut for it', () => {
    const [blue] = demo.threads.filter((one) => one.id !== demo.exercises[0]?.materials?.main?.thread && one.kind === 'stranded-cotton')
    const first = { ...(demo.exercises[0] as Sampler['exercises'][number]), free: ['colour' as const] }
    const sampler = { ...demo, exercises: [first, ...demo.exercises.slice(1)] }
    const learners = [{ id: 'p1', name: 'Tove', choices: { [first.id]: { thread: blue?.id ?? '' } } }]
    openKit(sampler)
    look('Pack')
    expect(screen.queryByText('Bags that differ')).toBeNull()
    act(() => void store.dispatch(classOpened({ answer: { id: 'g', revision: 1, document: { ...newClass('Thursdays'), learners } }, pending: [] })))
    const row = within(screen.getByRole('region', { name: 'Bags that differ' })).getByRole('row', { name: /^Tove/ })
    expect(row.textContent).toContain(blue?.colour.name)
    expect(screen.getByText('Cut for them besides')).toBeTruthy()
    act(() => void store.dispatch(classClosed()))
  })

  it('counts needles out, with the exercises that each is for, and says how dangerous things are handed over', () => {
    const sampler = withBrief({ learners: 4, sparePercent: 0 })
    const kit = kitOf(sampler)
    openKit(sampler)
    look('Needles and tools')
    expect(screen.getByText(new RegExp(`^${kit.needles.length * 4} in all`))).toBeTruthy()
    expect(screen.getAllByText(/handed over by the blades/)).toHaveLength(2)
    expect(screen.getByText(/First keep to the rules of the place where you teach/)).toBeTruthy()
  })

  it('cloth that is too narrow is said, and the rest of the kit stands', () => {
    openKit(withBrief({ learners: 4, cutting: { boltMm: 150 } }))
    look('Cloth')
    expect(document.querySelector('.kit-cloth .wrong')?.textContent).toMatch(/wide/)
    look('Buy')
    const what = screen.getAllByRole('row').map((row) => row.textContent ?? '')
    expect(what.some((text) => text.startsWith('Cloth:'))).toBe(false)
    expect(what.some((text) => text.startsWith('Thread:'))).toBe(true)
  })

  it('of an empty sampler says what to do first', () => {
    openKit(newSampler('Empty'))
    expect(screen.getByText(/there is nothing to cut. Choose a stitch first/)).toBeTruthy()
  })

  it('takes of the stores kit by kit, says what is short, and asks what is really left when a colour is cut', () => {
    const sampler = withBrief({ learners: 2, sparePercent: 0, leftHanded: 0 })
    const colour = kitOf(sampler).colours[0]
    if (!colour) throw new Error('nothing is cut')
    const { kind, weight, colour: shade } = colour.thread
    openKit(sampler, { ...emptyStores(), threads: [{ id: 'x', kind, ...(weight === undefined ? {} : { weight }), colour: shade, left: 400_000, price: 2 }] })
    const row = colourRows()[0] as HTMLElement
    expect(within(row).getByText('400.00 m in the stores')).toBeTruthy()
    for (const box of within(row).getAllByRole('button')) fireEvent.click(box)
    const cut = colour.lengths.reduce((sum, { lengthMm, parted }) => sum + lengthMm * parted.lengths, 0)
    expect(storesNow().threads[0]?.left).toBe(400_000 - cut)
    type('Really left, m', String((400_000 - cut) / 1000 - 1))
    expect(storesNow().threads[0]?.left).toBeCloseTo(399_000 - cut, -1)
    expect(screen.getByText(/^1\.0\d? ?m less than by the sums|^1\.00 m less than by the sums/)).toBeTruthy()
    look('Buy')
    const line = screen.getAllByRole('row').find((one) => one.textContent?.includes(shade.name))
    expect(line?.textContent).toContain('nothing')
    expect(screen.getByText(/One kit costs/)).toBeTruthy()
  })

  it('has a label for every bag, with its hand, its threads in the order of use and its needles', () => {
    const sampler = withBrief({ learners: 2, leftHanded: 1, sparePercent: 0 })
    const kit = kitOf(sampler)
    openKit(sampler)
    look('Labels')
    const labels = [...document.querySelectorAll<HTMLElement>('.kit-labels > li')]
    expect(labels).toHaveLength(2)
    expect(labels[1]?.textContent).toContain('for a left hand')
    expect(
      within(labels[0] as HTMLElement)
        .getAllByRole('listitem')
        .map((one) => one.textContent?.split(',')[0]),
    ).toEqual(kit.colours.map((one) => one.thread.colour.name))
  })

  it('lays out each lesson in the order of use, and has a label for every finished sample', () => {
    openKit(demo)
    look('Lessons')
    const lessons = [...document.querySelectorAll<HTMLElement>('.kit-lesson')]
    expect(lessons.map((one) => within(one).getByRole('heading').textContent)).toEqual(demo.lessons.map((one, index) => `${index + 1}. ${one.title}`))
    expect(within(lessons[0] as HTMLElement).getByText(/^New in the needle book: /)).toBeTruthy()
    look('Labels')
    fireEvent.click(screen.getByText('For finished samples'))
    const labels = [...document.querySelectorAll('.kit-labels > li h2')].map((one) => one.textContent)
    expect(labels).toHaveLength(demo.exercises.length)
    expect(labels[0]).toMatch(/ A$/)
  })

  it('of a plan that has changed says what was cut for it, and puts it back in one', () => {
    const sampler = withBrief({ learners: 2, sparePercent: 0, leftHanded: 0 })
    const [first] = kitOf(sampler).colours
    if (!first) throw new Error('nothing is cut')
    openKit(sampler, emptyStores())
    fireEvent.click(within(colourRows()[0] as HTMLElement).getByRole('button', { name: 'Kit 1' }))
    act(() => edit({ kind: 'change-brief', set: { learners: 3 } }))
    expect(screen.getByText(/1 box was ticked before the plan changed/)).toBeTruthy()
    fireEvent.click(screen.getByRole('button', { name: 'Put it back' }))
    expect(storesNow().taken).toEqual([])
    expect(screen.queryByText(/before the plan changed/)).toBeNull()
  })
})
