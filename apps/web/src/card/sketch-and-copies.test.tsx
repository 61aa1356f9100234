// @vitest-environment jsdom
/** A sketch is worked later; copies are asked for and changed in the card; what is held together is arranged together. */
import { type Copies, newSampler, type Sampler } from '@lemmata/core/sampler'
import { act, fireEvent, screen } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { ArrangeMenu } from '../cloth/ArrangeMenu.tsx'
import { useSampler } from '../sampler/use-sampler.ts'
import { store, undo, useAppSelector } from '../store/index.ts'
import { allHeld, exerciseSelected, heldToo } from '../store/sampler.ts'
import { choose, closePage, openPage, type } from '../testing/page.tsx'
import { HeldCard } from './HeldCard.tsx'

const SKETCH: Sampler = {
  ...newSampler('Frost'),
  drawing: {
    groups: [],
    guides: [
      { id: 'g1', draft: true, guide: { kind: 'line', path: 'M 102 100 L 198 100' } },
      { id: 'g2', guide: { kind: 'line', path: 'M 120 130 L 160 130' } },
    ],
  },
  exercises: [{ id: 'e1', name: 'Rime', stitch: 'back-stitch', on: [{ guide: 'g2' }] }],
}

function Page() {
  const sampler = useSampler()
  const { selected, also } = useAppSelector((state) => state.sampler)
  return (
    <>
      <ArrangeMenu sampler={sampler} held={selected === null ? [] : [selected, ...also]} done={[]} />
      <HeldCard sampler={sampler} stage="cloth" />
    </>
  )
}
const open = (held: string) => {
  const page = openPage(SKETCH, <Page />)
  act(() => void store.dispatch(exerciseSelected(held)))
  return page
}
const held = (): readonly (string | null)[] => [store.getState().sampler.selected, ...store.getState().sampler.also]
afterEach(closePage)

describe('a sketch', () => {
  it('says how long it is and what comes out even, and is worked in a stitch: a sketch no longer', async () => {
    const page = open('g1')
    expect(screen.getByTestId('sketch-card').textContent).toContain('96.0 mm to draw')
    expect(screen.getByText(/^Comes out even as 32 of 3\.00 mm, /)).toBeTruthy()
    await choose('Work this in', 'Stem stitch')
    expect(page.document().exercises.at(-1)).toMatchObject({ stitch: 'stem-stitch', on: [{ guide: 'g1' }] })
    expect(page.document().drawing.guides[0]).not.toHaveProperty('draft')
    act(undo)
    expect(page.document()).toEqual(SKETCH)
  })

  it('has a name, and is rubbed out', () => {
    const page = open('g1')
    type('Name', 'Horizon')
    expect(page.document().drawing.guides[0]?.name).toBe('Horizon')
    fireEvent.click(screen.getByText('Rub it out'))
    expect(page.document().drawing.guides.map((one) => one.id)).toEqual(['g2'])
  })
})

describe('copies', () => {
  const copiesOf = (document: Sampler): Copies | undefined => document.drawing.guides.find((one) => one.id === 'g2')?.copies

  it('round the middle of the hoop, so many, upright or turned; and none again', async () => {
    const page = open('e1')
    await choose('Copies', 'round a centre')
    expect(copiesOf(page.document())).toMatchObject({ kind: 'round', count: 8 })
    type('How many', '5')
    expect(copiesOf(page.document())).toMatchObject({ count: 5 })
    fireEvent.click(screen.getByLabelText('turned as they go'))
    expect(copiesOf(page.document())).toMatchObject({ upright: true })
    fireEvent.click(screen.getByLabelText('turned as they go'))
    expect(copiesOf(page.document())).not.toHaveProperty('upright')
    await choose('Copies', /^none/)
    expect(copiesOf(page.document())).toBeUndefined()
  })

  it('in rows with their steps, in a brick', async () => {
    const page = open('e1')
    await choose('Copies', 'in rows')
    type('One under another', '4')
    type('Each below', '6.5')
    fireEvent.click(screen.getByLabelText('every second row half a step aside'))
    expect(copiesOf(page.document())).toMatchObject({ columns: 3, rows: 4, stepMm: [44, 6.5], brick: true })
  })
})

describe('held together', () => {
  it('one more is held or let go of, and choosing one lets go of the others', () => {
    open('e1')
    act(() => void store.dispatch(heldToo('g1')))
    expect(held()).toEqual(['e1', 'g1'])
    act(() => void store.dispatch(heldToo('e1')))
    expect(held()).toEqual(['g1'])
    act(() => void store.dispatch(allHeld(['e1', 'g1'])))
    act(() => void store.dispatch(exerciseSelected('e1')))
    expect(held()).toEqual(['e1'])
  })

  it('exercises and sketches are lined up by one edit', async () => {
    const page = open('e1')
    act(() => void store.dispatch(heldToo('g1')))
    fireEvent.click(screen.getByText('Arrange 2 ▾'))
    fireEvent.click(await screen.findByText('Line up at the left'))
    expect(page.document().drawing.guides[1]?.guide).toEqual({ kind: 'line', path: 'M102 130L142 130' })
    act(undo)
    expect(page.document()).toEqual(SKETCH)
  })
})
