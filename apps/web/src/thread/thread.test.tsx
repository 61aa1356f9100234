// @vitest-environment jsdom
/** The Thread stage: what is recommended, what is overruled, and the way back. */
import { bandSampler } from '@lemmata/contract/testing'
import { MAIN_ROLE } from '@lemmata/core/notation'
import { type Exercise, newSampler, type Sampler } from '@lemmata/core/sampler'
import { fireEvent, screen, within } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { undo } from '../store/index.ts'
import { choose, closePage, openPage } from '../testing/page.tsx'
import { ThreadStage } from './ThreadStage.tsx'

const demo = bandSampler('2026-12-03')
const [first] = demo.exercises as [Exercise, ...Exercise[]]
const plain = (one: Exercise): Exercise => {
  const { materials: _own, ...rest } = one
  return rest
}
const only = (exercise: Exercise, more: Partial<Sampler> = {}): Sampler => ({
  ...demo,
  exercises: [exercise],
  drawing: { ...demo.drawing, guides: demo.drawing.guides.filter((one) => exercise.on.some((part) => part.guide === one.id)) },
  lessons: [{ id: 'l1', title: 'One', exercises: [exercise.id] }],
  ...more,
})
const open = (sampler: Sampler) => openPage(sampler, <ThreadStage />)
afterEach(closePage)

describe('an exercise', () => {
  it('has its thread, strands and needle with a reason each, and nothing is called overruled', () => {
    open(only(plain(first)))
    for (const what of ['Thread', 'Strands', 'Needle']) expect(screen.getByRole('combobox', { name: `${what} of ${first.name}` })).toBeTruthy()
    expect(screen.queryByText('yours')).toBeNull()
    expect(screen.getByText(/^Contrast with the cloth \d+\.\d to 1\.$/)).toBeTruthy()
  })

  it('overruled strands are marked, say both reasons, and are put back by one press', async () => {
    const page = open(only(plain(first)))
    await choose(`Strands of ${first.name}`, '6')
    expect(page.document().exercises[0]?.materials?.[MAIN_ROLE]).toEqual({ strands: 6 })
    expect(screen.getByText('yours')).toBeTruthy()
    expect(screen.getByText(/^Recommended: .* Yours: /)).toBeTruthy()
    fireEvent.click(screen.getByText(/^Put back /))
    expect(page.document().exercises[0]?.materials?.[MAIN_ROLE]?.strands).toBeUndefined()
    expect(screen.queryByText('yours')).toBeNull()
  })

  it('a coarser needle than is wanted is said where it was chosen, with the one that would serve', async () => {
    const page = open(only(plain(first)))
    await choose(`Needle of ${first.name}`, /^Embroidery 1$/)
    expect(page.document().exercises[0]?.materials?.[MAIN_ROLE]?.needle).toEqual({ kind: 'embroidery', size: 1 })
    const line = screen.getByText(/Embroidery 1: the .* shaft leaves a visible hole.* would serve\./, { selector: '.problem span' })
    expect(line.textContent).toMatch(/^Caution: /)
    fireEvent.click(screen.getAllByText(/^Put back /).at(-1) as HTMLElement)
    expect(page.document().exercises[0]?.materials?.[MAIN_ROLE]?.needle).toBeUndefined()
  })

  it('of two threads has a row for each, with needle and length of its own', () => {
    open({
      ...only({ ...plain(first), stitch: 'couching-stitch', parameters: {} }),
      drawing: { groups: [], guides: first.on.map(({ guide }) => ({ id: guide, guide: { kind: 'line', path: 'M 40 60 H 140' } })) },
    })
    const rows = screen.getAllByRole('row').filter((row) => row.dataset.row !== undefined)
    expect(rows.map((row) => row.dataset.row?.split(' ')[1])).toEqual(['main', 'tie'])
    expect(rows[0]?.textContent).toContain('laid thread')
    for (const row of rows) expect(row.textContent).toMatch(/\d (cm|m)/)
    expect(screen.getByRole('combobox', { name: `Needle of laid thread of ${first.name}` })).toBeTruthy()
    fireEvent.click(rows[1] as HTMLElement)
    expect(screen.getByRole('combobox', { name: `Needle of tie of ${first.name}` })).toBeTruthy()
  })

  it('that cannot be worked still has its thread to choose, and says why', () => {
    open(only({ ...plain(first), stitch: 'no-such-stitch' }))
    expect(screen.getByRole('combobox', { name: `Thread of ${first.name}` })).toBeTruthy()
    expect(screen.getByRole('img', { name: 'cannot be worked' })).toBeTruthy()
    expect(screen.queryByRole('combobox', { name: /^Strands/ })).toBeNull()
  })
})

describe('the table', () => {
  const rowOf = (name: string): HTMLElement => {
    const row = screen.getAllByRole('row').find((one) => one.dataset.row !== undefined && one.textContent?.includes(name))
    if (!row) throw new Error(`no row of ${name}`)
    return row
  }
  const nameAt = (index: number): string => demo.exercises.find((one) => one.id === demo.lessons.flatMap((lesson) => lesson.exercises)[index])?.name ?? ''

  it('values are words until their row is held; arrows move by rows, one is a Tab stop', () => {
    open(demo)
    expect(screen.getAllByRole('combobox', { name: /^Needle of/ })).toHaveLength(1)
    expect(screen.getAllByRole('row').filter((row) => row.tabIndex === 0)).toHaveLength(1)
    fireEvent.keyDown(rowOf(nameAt(0)), { key: 'ArrowDown' })
    expect(screen.getByRole('combobox', { name: `Needle of ${nameAt(1)}` })).toBeTruthy()
    fireEvent.keyDown(rowOf(nameAt(1)), { key: 'ArrowUp' })
    expect(screen.getByRole('combobox', { name: `Needle of ${nameAt(0)}` })).toBeTruthy()
  })

  it('several rows are marked and set together in one step', async () => {
    const page = open(demo)
    fireEvent.click(rowOf(nameAt(2)), { shiftKey: true })
    expect(screen.getByText('3 rows')).toBeTruthy()
    await choose('Strands of these rows', '4')
    const strands = (): (number | undefined)[] =>
      [0, 1, 2].map((index) => page.document().exercises.find((one) => one.name === nameAt(index))?.materials?.[MAIN_ROLE]?.strands)
    expect(strands()).toEqual([4, 4, 4])
    undo()
    expect(page.document()).toEqual(demo)
    fireEvent.click(screen.getByText('Let go'))
    expect(screen.queryByText('3 rows')).toBeNull()
  })

  it('the eye and the line are said to who cannot see them; a bundle that does not pass is', async () => {
    open(only(plain(first)))
    expect(screen.getByRole('img', { name: /^Lies 0\.\d\d mm wide$/ })).toBeTruthy()
    expect(screen.getByRole('img', { name: /with the bundle in it$/ })).toBeTruthy()
    await choose(`Strands of ${first.name}`, '6')
    await choose(`Needle of ${first.name}`, /^Embroidery 10$/)
    expect(screen.getByRole('img', { name: /too narrow for the bundle$/ })).toBeTruthy()
  })
})

describe('for one learner', () => {
  it('threads are added up by colour: needlefuls, a single strand, the share of a put-up', () => {
    open(demo)
    fireEvent.click(screen.getByText('By thread'))
    const totals = within(screen.getByLabelText('For one learner'))
    const rows = totals.getAllByRole('row').slice(1)
    expect(rows.length).toBe(new Set(rows.map((row) => row.textContent)).size)
    for (const row of rows) expect(row.textContent).toMatch(/\d+\s*(m|cm).*\d+ % of a /)
  })

  it('without an exercise there is nothing to add up, and it is said where to begin', () => {
    open(newSampler('Empty'))
    expect(screen.getByText('No exercise yet. Choose a stitch first.')).toBeTruthy()
    expect(screen.queryByRole('grid')).toBeNull()
  })
})
