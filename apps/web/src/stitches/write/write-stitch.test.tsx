// @vitest-environment jsdom
/** Writing a stitch with formulas: what is typed is worked at once, what is wrong is said and marked, nothing half-typed is lost. */
import type { StitchDocument } from '@lemmata/core/notation'
import { cleanup, fireEvent, screen } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { choose } from '../../testing/page.tsx'
import { openWriting } from '../../testing/writing.tsx'

afterEach(cleanup)

function open(id = 'back-stitch') {
  const { kept } = openWriting(id)
  fireEvent.click(screen.getByText('With formulas'))
  return kept
}
const type = (label: string, text: string): void => void fireEvent.change(screen.getByLabelText(label), { target: { value: text } })
const says = (): string => screen.getByRole('status').textContent
const keep = (): void => void fireEvent.click(screen.getByText('Keep in this sampler'))

describe('a copy of a stitch', () => {
  it('has a name of its own, is worked at once, and is kept as it was read', () => {
    const kept = open()
    expect(screen.getByLabelText<HTMLInputElement>('Name of the stitch').value).toBe('My back stitch')
    expect(says()).toMatch(/^It can be worked: \d+ stitches, difficulty \d+\.$/)
    keep()
    expect(kept).toMatchObject([{ format: 'lemmata-stitch', id: 'my-back-stitch', name: 'My back stitch' }])
    expect(kept[0]).not.toHaveProperty('variants')
  })

  it('that is named like one of the library is refused until it is named otherwise', () => {
    const kept = open()
    type('Name of the stitch', 'Back stitch')
    expect(says()).toContain('The library has a stitch called "back-stitch" already')
    keep()
    expect(kept).toEqual([])
    type('Name of the stitch', 'Frost!')
    keep()
    expect(kept.map((one) => one.id)).toEqual(['frost'])
  })

  it('a name without a letter still has an id', () => {
    const kept = open()
    type('Name of the stitch', '—')
    keep()
    expect(kept.map((one) => [one.id, one.name])).toEqual([['my-stitch', '—']])
  })
})

describe('moves', () => {
  it('one typed wrong marks its row, says why, and cannot be kept; typed right it can', () => {
    const kept = open()
    type('Repeat, move 2, where', '0, nowhere')
    expect(says()).toMatch(/nowhere/)
    expect(document.querySelectorAll('tr.wrong-row')).toHaveLength(1)
    keep()
    expect(kept).toEqual([])
    // What stands in the field is what was typed.
    expect(screen.getByLabelText<HTMLInputElement>('Repeat, move 2, where').value).toBe('0, nowhere')
    type('Repeat, move 2, where', '0, 0')
    expect(says()).toMatch(/^It can be worked/)
    expect(document.querySelectorAll('tr.wrong-row')).toHaveLength(0)
  })

  it('are added, moved and removed by name', () => {
    const kept = open()
    const rows = (): number => screen.queryAllByLabelText(/^To end, move \d+, where$/).length
    const before = rows()
    fireEvent.click(screen.getAllByText('Add a move').at(-1) as HTMLElement)
    expect(rows()).toBe(before + 1)
    fireEvent.click(screen.getByLabelText(`Remove To end, move ${before + 1}`))
    expect(rows()).toBe(before)
    const places = (): string[] => screen.getAllByLabelText(/^Repeat, move \d+, where$/).map((one) => (one as HTMLInputElement).value)
    const [first, second] = places()
    fireEvent.click(screen.getByLabelText('Repeat, move 1 down'))
    expect(places().slice(0, 2)).toEqual([second, first])
    keep()
    // Going down before coming up is no stitch.
    expect(kept).toEqual([])
    expect(says()).toMatch(/already behind|Come up first/)
  })

  it('the kind of a move is changed and keeps its place', async () => {
    open()
    const place = screen.getByLabelText<HTMLInputElement>('Repeat, move 2, where').value
    await choose('Repeat, move 2', 'lead the thread by')
    expect(screen.getByLabelText<HTMLInputElement>('Repeat, move 2, where').value).toBe(place)
  })
})

describe('lengths', () => {
  it('a usual length is an expression of the thread; one that cannot be read is said', () => {
    open()
    type('Parameter L, usual', '1.2+3*W')
    expect(says()).toMatch(/^It can be worked/)
    type('Parameter L, usual', '1.2+3*')
    expect(says()).not.toMatch(/^It can be worked/)
    type('Parameter L, usual', '2.5')
    expect(says()).toMatch(/^It can be worked/)
  })

  it('one that is needed cannot be removed unsaid; another is added with a letter that is free', () => {
    open()
    fireEvent.click(screen.getByLabelText('Remove parameter L'))
    expect(says()).toMatch(/nothing is called "L"|"L"/i)
    fireEvent.click(screen.getByText('Add one'))
    expect(says()).toMatch(/^It can be worked/)
    fireEvent.click(screen.getByText('Add one'))
    expect(screen.getByLabelText<HTMLInputElement>('Parameter 2, letter').value).not.toBe('L')
  })
})

describe('placement and passes', () => {
  it('half a placement is marked and the last whole one stays in use', () => {
    open()
    const field = screen.getByLabelText<HTMLInputElement>('Placement of pass 1')
    const whole = field.value
    fireEvent.change(field, { target: { value: whole.slice(0, -2) } })
    expect(field.className).toContain('error')
    expect(says()).toMatch(/^It can be worked/)
    fireEvent.change(field, { target: { value: whole } })
    expect(screen.getByLabelText('Placement of pass 1').className).not.toContain('error')
  })

  it('a pass is added after the last and removed again; the only one stays', () => {
    open()
    expect(screen.queryByRole('button', { name: 'Remove' })).toBeNull()
    fireEvent.click(screen.getByText('Add a pass'))
    expect(screen.getByLabelText('Name of pass 2')).toBeTruthy()
    fireEvent.click(screen.getAllByRole('button', { name: 'Remove' }).at(-1) as HTMLElement)
    expect(screen.queryByLabelText('Name of pass 2')).toBeNull()
  })
})

describe('as a file', () => {
  it('what is typed there is the same stitch; half of it leaves the last that could be read', () => {
    const kept = open()
    fireEvent.click(screen.getByText('As a file'))
    const file = screen.getByLabelText<HTMLTextAreaElement>('The stitch as a file')
    const given = JSON.parse(file.value) as StitchDocument
    fireEvent.change(file, { target: { value: '{"passes": [' } })
    expect(says()).toMatch(/^It can be worked/)
    fireEvent.change(file, { target: { value: JSON.stringify({ ...given, name: 'Hail', id: 'hail' }) } })
    keep()
    expect(kept.map((one) => one.id)).toEqual(['hail'])
    fireEvent.click(screen.getByText('With formulas'))
    expect(screen.getByLabelText<HTMLInputElement>('Name of the stitch').value).toBe('Hail')
  })
})
