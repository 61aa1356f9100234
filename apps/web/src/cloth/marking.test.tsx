// @vitest-environment jsdom
/** Choosing with what the cloth is marked: said why, kept, undone; a trial is noted and taken out. */
import { bandSampler } from '@lemmata/contract/testing'
import { fireEvent, screen, within } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { useSampler } from '../sampler/use-sampler.ts'
import { undo } from '../store/index.ts'
import { closePage, openPage } from '../testing/page.tsx'
import { MarkingDialog } from './MarkingDialog.tsx'

const NONE: readonly never[] = []
function Page() {
  return <MarkingDialog sampler={useSampler()} done={NONE} onClose={() => undefined} />
}
const open = () => openPage(bandSampler('2026-12-03'), <Page />)
afterEach(closePage)
const way = (name: RegExp): HTMLElement => screen.getByRole('radio', { name })

describe('marking', () => {
  it('is chosen by pointer and by arrows, with one Tab stop, and undone', () => {
    const page = open()
    fireEvent.click(way(/^Water-erasable pen/))
    expect(page.document().brief.marking).toEqual({ method: 'water-pen' })
    expect(way(/^Water-erasable pen/).getAttribute('aria-checked')).toBe('true')
    expect(screen.getAllByRole('radio').filter((one) => one.tabIndex === 0)).toEqual([way(/^Water-erasable pen/)])
    fireEvent.keyDown(way(/^Water-erasable pen/), { key: 'ArrowDown' })
    expect(page.document().brief.marking?.method).not.toBe('water-pen')
    undo()
    undo()
    expect(page.document().brief).not.toHaveProperty('marking')
  })

  it('what may not be wetted is said of what needs water', () => {
    const page = open()
    fireEvent.click(screen.getByRole('switch', { name: 'It may be wetted' }))
    expect(page.document().brief.marking).toEqual({ washable: false })
    expect(within(way(/^Water-erasable pen/)).getByText(/not to be wetted/)).toBeTruthy()
    expect(within(way(/^Water-erasable pen/)).getByText('not here')).toBeTruthy()
  })

  it('a trial is noted with its day and taken out again', () => {
    const page = open()
    fireEvent.click(way(/^Heat-erasable pen/))
    fireEvent.change(screen.getByLabelText('What was done'), { target: { value: ' ironed, then a night outside ' } })
    fireEvent.click(screen.getByRole('button', { name: 'Note it' }))
    expect(page.document().brief.marking?.tests).toMatchObject([{ method: 'heat-pen', result: 'gone', note: 'ironed, then a night outside' }])
    fireEvent.click(screen.getByRole('button', { name: /^Take out the trial/ }))
    expect(page.document().brief.marking?.tests).toEqual([])
  })
})
