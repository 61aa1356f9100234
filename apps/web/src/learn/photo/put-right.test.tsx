// @vitest-environment jsdom
/** Marks put right by hand: what each button asks for, and what a touch chooses. */
import type { PutRight as Change, RowKind } from '@lemmata/core/photo'
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { nearestStitch } from './nearest-stitch.ts'
import { PutRight } from './PutRight.tsx'

afterEach(cleanup)

function open(kind: RowKind, chosen: number | null, marked = 5, notFound: number | null = null) {
  const said: { changes: Change[]; counts: number[]; chosen: number[]; opened: boolean[] } = { changes: [], counts: [], chosen: [], opened: [] }
  render(
    <PutRight
      {...{ kind, chosen, marked, notFound }}
      count={marked}
      onOpen={(isOpen) => said.opened.push(isOpen)}
      onChoose={(one) => said.chosen.push(one)}
      onCount={(one) => said.counts.push(one)}
      onChange={(one) => said.changes.push(one)}
      onBack={null}
    />,
  )
  return said
}
const press = (name: string, within_?: string): void => {
  const where = within_ === undefined ? screen : within(screen.getByRole('group', { name: within_, hidden: true }))
  fireEvent.click(where.getByRole('button', { name, hidden: true }))
}

describe('putting marks right', () => {
  it('moves an end a tenth of a millimetre, parts and joins the stitch that is chosen', () => {
    const { changes } = open('end-to-end', 2)
    press('Nearer to the row\u2019s beginning', 'Where it begins')
    press('Nearer to the row\u2019s end', 'Where it ends')
    press('These are two')
    press('One with the next')
    expect(changes).toEqual([
      { kind: 'move', stitch: 2, end: 'first', byMm: -0.1 },
      { kind: 'move', stitch: 2, end: 'last', byMm: 0.1 },
      { kind: 'two', stitch: 2 },
      { kind: 'one-with-next', stitch: 2 },
    ])
    // Where they share holes, what is no stitch is the next one's too.
    expect(screen.queryByRole('button', { name: 'This is no stitch', hidden: true })).toBeNull()
  })

  it('says that so many stitches as she counts cannot be found, and that all stays as it was', () => {
    open('end-to-end', null, 5, 9)
    expect(screen.getByRole('status', { hidden: true }).textContent).toMatch(/^A row of 9 does not go with what is seen/)
  })

  it('goes from stitch to stitch and stops at the last, which has none to be joined with', () => {
    const said = open('apart', 4)
    press('The next stitch')
    press('The stitch before')
    expect(said.chosen).toEqual([4, 3])
    expect(screen.getByRole('button', { name: 'One with the next', hidden: true }).hasAttribute('disabled')).toBe(true)
    press('This is no stitch')
    expect(said.changes).toEqual([{ kind: 'none', stitch: 4 }])
  })

  it('counts where stitches are told by their number; across a band nothing else is put right', () => {
    const said = open('crossed', null, 20)
    press('One stitch more')
    press('One stitch less')
    expect(said.counts).toEqual([21, 19])
    expect(screen.queryByRole('group', { name: 'Where it begins', hidden: true })).toBeNull()
  })
})

describe('a touch', () => {
  const row = [0, 3, 6].map(
    (x) =>
      [
        { x, y: 0 },
        { x: x + 3, y: 0 },
      ] as const,
  )
  it('chooses the stitch whose middle is nearest, however far off', () => {
    expect(nearestStitch(row, { x: 4.4, y: 1 })).toBe(1)
    expect(nearestStitch(row, { x: 90, y: -20 })).toBe(2)
    expect(nearestStitch([], { x: 0, y: 0 })).toBeNull()
  })
})
