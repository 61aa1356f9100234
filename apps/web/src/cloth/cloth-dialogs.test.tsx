// @vitest-environment jsdom
/** The cloth as a whole, without a browser: rows of one length, the class's pieces, motifs, cautions of two lines too near. */
import { type Exercise, newSampler, type Sampler } from '@lemmata/core/sampler'
import { act, fireEvent, screen, within } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { HeldCard } from '../card/HeldCard.tsx'
import { useWorked } from '../compute/use-worked.ts'
import { useSampler } from '../sampler/use-sampler.ts'
import { store, undo } from '../store/index.ts'
import { allHeld } from '../store/sampler.ts'
import { choose, closePage, openPage, type } from '../testing/page.tsx'
import { ArrangeMenu } from './ArrangeMenu.tsx'
import { OneLengthDialog } from './OneLengthDialog.tsx'
import { PrepareDialog } from './PrepareDialog.tsx'

const row = (index: number, more: Partial<Exercise>): Exercise => ({
  id: `e${index}`,
  name: `Row ${index + 1}`,
  stitch: 'back-stitch',
  on: [{ guide: `g${index}` }],
  ...more,
})
/** Three rows of back stitch in 3, 4 and 6 mm. */
const rows = (apart = 20): Sampler => ({
  ...newSampler('Isobars'),
  drawing: {
    groups: [],
    guides: [93, 95, 100].map((long, index) => ({
      id: `g${index}`,
      guide: { kind: 'line', path: `M 100 ${130 + apart * index} L ${100 + long} ${130 + apart * index}` },
    })),
  },
  exercises: [3, 4, 6].map((L, index) => row(index, { parameters: { L }, materials: { main: { strands: 6 } } })),
  lessons: [{ id: 'l1', title: 'Lines', exercises: ['e0', 'e1', 'e2'] }],
})
const pathsOf = (document: Sampler): readonly unknown[] => document.drawing.guides.map((one) => ('path' in one.guide ? one.guide.path : null))
afterEach(closePage)

describe('one length for rows', () => {
  function Page() {
    const { done } = useWorked()
    return <OneLengthDialog sampler={useSampler()} ids={['g0', 'g1', 'g2']} done={done} onClose={() => undefined} />
  }

  it('offers 96 first, says what each row comes to and where all meet, and gives it to all by one edit', () => {
    const page = openPage(rows(), <Page />)
    expect(screen.getAllByRole('radio')[0]).toHaveProperty('checked', true)
    const cells = screen.getAllByRole('row').slice(1)
    expect(cells.map((one) => within(one).getAllByRole('cell')[2]?.textContent)).toEqual(['32 of 3.0 mm', '24 of 4.0 mm', '16 of 6.0 mm'])
    expect(screen.getByText(/meet every 12.0 mm/)).toBeTruthy()
    fireEvent.click(screen.getByRole('button', { name: 'Make all 96.0 mm long' }))
    expect(pathsOf(page.document())).toEqual(['M100 130L196 130', 'M100 150L196 150', 'M100 170L196 170'])
    act(undo)
    expect(page.document()).toEqual(rows())
  })
})

describe('preparing the cloth', () => {
  function Page() {
    return <PrepareDialog sampler={useSampler()} done={[]} onClose={() => undefined} />
  }

  it('counts the learners, one to spare and the teacher, keeps the width of the cloth and when it is washed', async () => {
    const page = openPage(rows(), <Page />)
    expect(screen.getByRole('heading', { name: /^Cut 10 pieces of 310 mm by 310 mm/ })).toBeTruthy()
    type('The cloth is wide', '1100')
    expect(screen.getByRole('img', { name: '10 pieces in 4 rows of 3' })).toBeTruthy()
    await choose('It is washed', 'Piece by piece, after cutting')
    expect(page.document().brief.cutting).toEqual({ boltMm: 1100, washed: 'after-cutting' })
    // 310 / 0.94 for calico: 329.8, so 330.
    expect(screen.getByRole('heading', { name: /of 330 mm by 330 mm/ })).toBeTruthy()
  })
})

describe('a motif, and lines too near', () => {
  function Page() {
    const sampler = useSampler()
    const { done } = useWorked()
    return (
      <>
        <ArrangeMenu sampler={sampler} held={['e0', 'e1']} done={done} />
        <HeldCard sampler={sampler} stage="cloth" />
      </>
    )
  }
  const open = (apart: number) => {
    const page = openPage(rows(apart), <Page />)
    act(() => void store.dispatch(allHeld(['e0', 'e1'])))
    return page
  }

  it('two that are held become one motif, are turned as one, copied as one, and taken apart', async () => {
    const page = open(20)
    fireEvent.click(screen.getByText('Arrange 2 ▾'))
    fireEvent.click(await screen.findByText('One motif of these'))
    expect(page.document().drawing.groups).toMatchObject([{ members: ['g0', 'g1'] }])
    expect(screen.getByText(/^One motif with Row 2/)).toBeTruthy()
    await choose('Copies of the motif', 'in rows')
    expect(page.document().drawing.groups[0]?.copies).toMatchObject({ kind: 'rows', columns: 3 })
    fireEvent.click(screen.getByText('Arrange 2 ▾'))
    fireEvent.click(await screen.findByText('Take the motif apart'))
    expect(page.document().drawing.groups).toEqual([])
  })

  it('a row 0.3 mm beside another is said on its card and moved away by its mend', () => {
    const page = open(0.3)
    expect(screen.getByText(/its thread lies on that of "Row 2"/)).toBeTruthy()
    fireEvent.click(screen.getByRole('button', { name: /^Move it 0\.\d mm away$/ }))
    const [first] = pathsOf(page.document())
    expect(Number(String(first).match(/[\d.]+/g)?.[1])).toBeLessThan(129.8)
  })
})
