// @vitest-environment jsdom
/** The Thread stage: what is recommended, what is overruled, and the way back. */
import { sixThursdays } from '@lemmata/contract/demo'
import { MAIN_ROLE } from '@lemmata/core/notation'
import { type Exercise, newSampler, type Sampler } from '@lemmata/core/sampler'
import { fireEvent, screen, within } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { choose, closePage, openPage } from '../testing/page.tsx'
import { ThreadStage } from './ThreadStage.tsx'

const demo = sixThursdays('2026-12-03')
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
    expect(screen.queryByText('overruled')).toBeNull()
    expect(screen.getByText(/^Contrast with the cloth \d+\.\d to 1$/)).toBeTruthy()
  })

  it('overruled strands are marked, say both reasons, and are put back by one press', async () => {
    const page = open(only(plain(first)))
    await choose(`Strands of ${first.name}`, '6')
    expect(page.document().exercises[0]?.materials?.[MAIN_ROLE]).toEqual({ strands: 6 })
    expect(screen.getByText('overruled')).toBeTruthy()
    expect(screen.getByText(/^Recommended: .* Yours: /)).toBeTruthy()
    fireEvent.click(screen.getByText('Put back'))
    expect(page.document().exercises[0]?.materials?.[MAIN_ROLE]?.strands).toBeUndefined()
    expect(screen.queryByText('overruled')).toBeNull()
  })

  it('a coarser needle than is wanted is said where it was chosen, with the one that would serve', async () => {
    const page = open(only(plain(first)))
    await choose(`Needle of ${first.name}`, /^Embroidery 1 /)
    expect(page.document().exercises[0]?.materials?.[MAIN_ROLE]?.needle).toEqual({ kind: 'embroidery', size: 1 })
    const line = screen.getByText(/Embroidery 1: the .* shaft leaves a visible hole.* would serve\./, { selector: '.problem span' })
    expect(line.textContent).toMatch(/^Caution: /)
    fireEvent.click(screen.getAllByText('Put back').at(-1) as HTMLElement)
    expect(page.document().exercises[0]?.materials?.[MAIN_ROLE]?.needle).toBeUndefined()
  })

  it('of two threads has a row for each, with needle and length of its own', () => {
    open({
      ...only({ ...plain(first), stitch: 'couching-stitch', parameters: {} }),
      drawing: { groups: [], guides: first.on.map(({ guide }) => ({ id: guide, guide: { kind: 'line', path: 'M 40 60 H 140' } })) },
    })
    const needles = screen.getAllByRole('combobox', { name: /^Needle of/ })
    expect(needles.map((one) => one.getAttribute('aria-label'))).toEqual([`Needle of laid thread of ${first.name}`, `Needle of tie of ${first.name}`])
    expect(screen.getAllByText(/needleful/).length).toBeGreaterThanOrEqual(2)
  })

  it('that cannot be worked still has its thread to choose, and says why', () => {
    open(only({ ...plain(first), stitch: 'no-such-stitch' }))
    expect(screen.getByRole('combobox', { name: `Thread of ${first.name}` })).toBeTruthy()
    expect(screen.getByText(/^Cannot be worked:/)).toBeTruthy()
    expect(screen.queryByRole('combobox', { name: /^Strands/ })).toBeNull()
  })
})

describe('for one learner', () => {
  it('threads are added up by colour: needlefuls, a single strand, the share of a put-up', () => {
    open(demo)
    const totals = within(screen.getByText('For one learner').closest('section') as HTMLElement)
    const rows = totals.getAllByRole('row').slice(1)
    expect(rows.length).toBe(new Set(rows.map((row) => row.textContent)).size)
    for (const row of rows) expect(row.textContent).toMatch(/\d+\s*(m|cm).*\d+ % of a /)
  })

  it('without an exercise there is nothing to add up, and it is said where to begin', () => {
    open(newSampler('Empty'))
    expect(screen.getByText('No exercise yet. Choose a stitch first.')).toBeTruthy()
    expect(screen.queryByText('For one learner')).toBeNull()
  })
})
