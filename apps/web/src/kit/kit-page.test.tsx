// @vitest-environment jsdom
/** The kit as it is read: without a browser, on the real store. */
import { bandSampler } from '@lemmata/contract/testing'
import { workSampler } from '@lemmata/core/exercise'
import { planKit } from '@lemmata/core/kit'
import { newSampler, type Sampler } from '@lemmata/core/sampler'
import { fireEvent, screen, within } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { closePage, openPage } from '../testing/page.tsx'
import { KitPage } from './KitPage.tsx'

const demo = bandSampler('2026-12-03')
const withBrief = (brief: Partial<Sampler['brief']>): Sampler => ({ ...demo, brief: { ...demo.brief, ...brief } })
const kitOf = (sampler: Sampler) => planKit(sampler, workSampler(sampler).done)
const look = (view: string): void => void fireEvent.click(within(screen.getByLabelText('What is shown')).getByText(view))

beforeEach(() => localStorage.clear())
afterEach(closePage)

describe('the kit', () => {
  it('has a row for every colour in the order of teaching, with what is cut and as many boxes as kits', () => {
    const sampler = withBrief({ learners: 3, sparePercent: 0, leftHanded: 0 })
    const kit = kitOf(sampler)
    openPage(sampler, <KitPage />)
    const rows = screen.getAllByRole('listitem')
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
    openPage(withBrief({ learners: 4, leftHanded: 1, sparePercent: 25 }), <KitPage />)
    expect(screen.getByText('4 learners, 1 left-handed and 1 spare: 5 kits')).toBeTruthy()
    look('Pack')
    const bags = screen.getAllByRole('button', { name: /^Bag \d$/ }).map((box) => box.closest('li')?.textContent)
    expect(bags).toEqual(['1for a right hand', '2for a right hand', '3for a right hand', '4for a left hand: left-handed sheets', '5to spare'])
  })

  it('counts needles out, with the exercises that each is for, and says how dangerous things are handed over', () => {
    const sampler = withBrief({ learners: 4, sparePercent: 0 })
    const kit = kitOf(sampler)
    openPage(sampler, <KitPage />)
    look('Needles and tools')
    expect(screen.getByText(new RegExp(`^${kit.needles.length * 4} in all`))).toBeTruthy()
    expect(screen.getByText(/handed over by the blades/)).toBeTruthy()
    expect(screen.getByText(/keep to the rules of the place where you teach/)).toBeTruthy()
  })

  it('cloth that is too narrow is said, and the rest of the kit stands', () => {
    openPage(withBrief({ learners: 4, cutting: { boltMm: 150 } }), <KitPage />)
    look('Cloth')
    expect(document.querySelector('.kit-cloth .wrong')?.textContent).toMatch(/wide/)
    look('Buy')
    const what = screen.getAllByRole('row').map((row) => row.textContent ?? '')
    expect(what.some((text) => text.startsWith('Cloth:'))).toBe(false)
    expect(what.some((text) => text.startsWith('Thread:'))).toBe(true)
  })

  it('of an empty sampler says what to do first', () => {
    openPage(newSampler('Empty'), <KitPage />)
    expect(screen.getByText(/there is nothing to cut. Choose a stitch first/)).toBeTruthy()
  })
})
