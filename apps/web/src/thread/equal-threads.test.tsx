// @vitest-environment jsdom
/** In place of a thread: what comes nearest first, from what there is or of all kinds; taken in one step, or noted as a trial. */
import { bandSampler } from '@lemmata/contract/testing'
import { MAIN_ROLE } from '@lemmata/core/notation'
import type { Sampler } from '@lemmata/core/sampler'
import { emptyStores, type Stores } from '@lemmata/core/stores'
import { act, fireEvent, screen } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { FromStores } from '../brief/FromStores.tsx'
import { useWorked } from '../compute/use-worked.ts'
import { useSampler } from '../sampler/use-sampler.ts'
import { store, undo } from '../store/index.ts'
import { storesClosed, storesOpened } from '../store/stores.ts'
import { choose, closePage, openPage, type } from '../testing/page.tsx'
import { EqualThreadsDialog } from './EqualThreadsDialog.tsx'

const demo = bandSampler('2026-12-03')
const [first] = demo.exercises
const [cotton] = demo.threads
if (!first || !cotton) throw new Error('the sampler is empty')
const sampler: Sampler = {
  ...demo,
  exercises: [{ ...first, materials: { main: { thread: cotton.id, strands: 3 } } }],
  lessons: [{ id: 'l', title: 'One', exercises: [first.id] }],
}
const stored = (id: string, kind: string, weight: string | undefined, left = 9000): Stores['threads'][number] => ({
  ...{ id, kind, colour: cotton.colour, left },
  ...(weight === undefined ? {} : { weight }),
})
const openStores = (stores: Stores): void => void store.dispatch(storesOpened({ answer: { id: 'a', revision: 1, document: stores }, pending: [] }))

function Dialog() {
  const now = useSampler()
  const { results } = useWorked()
  const result = results.get(first?.id ?? '')
  const [exercise] = now.exercises
  if (!result?.ok || !exercise) return null
  return (
    <EqualThreadsDialog
      sampler={now}
      exercise={exercise}
      done={result.value}
      all={[result.value]}
      assigned={result.value.assigned.main}
      onClose={() => undefined}
    />
  )
}
const threadsShown = (): string[] =>
  screen
    .getAllByRole('row')
    .slice(1)
    .map((row) => `${row.children[0]?.textContent} in ${row.children[1]?.textContent}`)

afterEach(() => {
  closePage()
  act(() => void store.dispatch(storesClosed()))
})

describe('in place of a thread', () => {
  it('of all kinds the one that it is comes first, and another width brings another count', () => {
    openStores(emptyStores())
    openPage(sampler, <Dialog />)
    expect(screen.getByText(/^Nothing is in your stores yet/)).toBeTruthy()
    expect(threadsShown()[0]).toBe('Stranded cotton in 3')
    type('As wide as', '0.31')
    expect(threadsShown()[0]).toBe('Stranded cotton in 1')
  })

  it('from the stores only what is there, with the needles that are there, and how much of it in this colour', () => {
    openStores({
      ...emptyStores(),
      threads: [
        stored('p8', 'pearl-cotton', '8'),
        stored('out', 'pearl-cotton', '12', 0),
        { ...stored('k', 'coton-a-broder', '16'), colour: { name: 'Other', hex: '#111111' } },
      ],
      needles: [{ id: 'n', kind: 'embroidery', size: 6, left: 2 }],
    })
    openPage(sampler, <Dialog />)
    expect(threadsShown()).toEqual(['Coton à broder 16in other colours  in 1', `Pearl cotton 89.00 m in ${cotton.colour.name.toLowerCase()} in 1`])
    expect(screen.getAllByText(/^Embroidery 6/)).toHaveLength(2)
  })

  it('taken adds the thread in its colour with its strands and needle, in one step', () => {
    openStores({ ...emptyStores(), threads: [{ ...stored('p8', 'pearl-cotton', '8'), figures: { name: 'Market pearl', diameterMm: 0.5, from: 'measured' } }] })
    const page = openPage(sampler, <Dialog />)
    fireEvent.click(screen.getByRole('button', { name: 'Take Market pearl in 1' }))
    const added = page.document().threads.at(-1)
    expect(added).toMatchObject({ kind: 'pearl-cotton', weight: '8', colour: cotton.colour, figures: { diameterMm: 0.5 } })
    expect(page.document().exercises[0]?.materials?.[MAIN_ROLE]).toMatchObject({ thread: added?.id, strands: 1 })
    act(() => undo())
    expect(page.document()).toEqual(sampler)
  })

  it('or is noted as a trial, with what it stands for', () => {
    openStores(emptyStores())
    const page = openPage(sampler, <Dialog />)
    fireEvent.click(screen.getByRole('button', { name: 'Note Pearl cotton 8 in 1 as a trial' }))
    expect(page.document().exercises[0]?.trials?.[0]).toMatchObject({
      setting: expect.stringMatching(/^pearl cotton 8 in 1, .*, in place of stranded cotton in 3$/),
      verdict: 'change',
    })
  })
})

it('a thread of the stores is added to the sampler with its figures; one that is there, or used up, is not offered', async () => {
  const figures = { diameterMm: 0.31, from: 'measured' as const }
  const mine = { ...stored('n', 'crewel-wool', undefined), colour: { name: 'Lichen', hex: '#778855' }, figures }
  openStores({ ...emptyStores(), threads: [stored('same', cotton.kind, cotton.weight), mine, stored('out', 'sock-yarn', undefined, 0)] })
  const page = openPage(sampler, <Threads />)
  await choose('Add one from the stores', /^Lichen/)
  expect(page.document().threads.at(-1)).toMatchObject({ kind: 'crewel-wool', colour: mine.colour, figures })
  expect(screen.queryByRole('combobox', { name: 'Add one from the stores' })).toBeNull()
})

function Threads() {
  const { threads } = useSampler()
  return <FromStores threads={threads} />
}
