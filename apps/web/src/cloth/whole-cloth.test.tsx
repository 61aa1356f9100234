// @vitest-environment jsdom
/** Arranging all, felt under stitches, facing rows, what lies within a shape: without a browser, on the real store. */
import { type Guide, handlesOf } from '@lemmata/core/guide'
import { type Exercise, newSampler, type Sampler } from '@lemmata/core/sampler'
import { act, fireEvent, screen, within } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { WithinGuide } from '../card/GuideFields.tsx'
import { PiecesFields } from '../card/PiecesFields.tsx'
import { useWorked } from '../compute/use-worked.ts'
import { useSampler } from '../sampler/use-sampler.ts'
import { undo } from '../store/index.ts'
import { choose, closePage, openPage, type } from '../testing/page.tsx'
import { ArrangeMenu } from './ArrangeMenu.tsx'
import { FeltList } from './FeltList.tsx'
import { FiguresDialog } from './FiguresDialog.tsx'
import { LayoutDialog } from './LayoutDialog.tsx'
import { guideAfterKey, handlesInView } from './places-in-hand.ts'
import { HoopField } from '../brief/HoopField.tsx'

const on = (guides: readonly Guide[], stitch: string, more: Partial<Exercise> = {}): Sampler => ({
  ...newSampler('Whole'),
  drawing: { groups: [], guides: guides.map((guide, index) => ({ id: `g${index}`, guide })) },
  exercises: guides.map((_, index) => ({ id: `e${index}`, name: `Row ${index + 1}`, stitch, on: [{ guide: `g${index}` }], ...more })),
  lessons: [{ id: 'l1', title: 'Lines', exercises: guides.map((_, index) => `e${index}`) }],
})
const lines = (...lengths: readonly number[]): Sampler =>
  on(
    lengths.map((long, index) => ({ kind: 'line', path: `M 100 ${130 + 20 * index} L ${100 + long} ${130 + 20 * index}` })),
    'back-stitch',
    { parameters: { L: 3 } },
  )
afterEach(closePage)

describe('arranging all', () => {
  function Page() {
    const { done } = useWorked()
    return <LayoutDialog sampler={useSampler()} done={done} onClose={() => undefined} />
  }

  it('offers three ways with what is good and bad about each, and lays the one that is chosen by one edit', () => {
    const page = openPage(lines(30, 30, 30, 30), <Page />)
    const ways = screen.getAllByRole('radio')
    expect(ways).toHaveLength(3)
    expect(screen.getAllByText(/^All fits; nothing lies on anything; its weight lies .* from the middle\.$/)).toHaveLength(3)
    fireEvent.click(screen.getByRole('radio', { name: /In cells/ }))
    fireEvent.click(screen.getByLabelText('Draw its cells as a sketch'))
    fireEvent.click(screen.getByRole('button', { name: 'Lay it so' }))
    const { guides } = page.document().drawing
    expect(guides.at(-1)).toMatchObject({ draft: true, guide: { kind: 'grid', columns: 2, rows: 2 } })
    act(undo)
    expect(page.document()).toEqual(lines(30, 30, 30, 30))
  })

  it('of one exercise there is nothing to arrange, and it says so', () => {
    openPage(lines(30), <Page />)
    expect(screen.getByText('Two exercises or more are wanted for an arrangement.')).toBeTruthy()
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Lay it so' }).disabled).toBe(true)
  })
})

describe('facing rows', () => {
  function Page() {
    const { done } = useWorked()
    return <ArrangeMenu sampler={useSampler()} held={['e0', 'e1']} done={done} />
  }
  const take = async (label: RegExp): Promise<void> => {
    fireEvent.click(screen.getByText('Arrange 2 ▾'))
    fireEvent.click(await screen.findByText(label))
  }

  it('60 and 48 mm get 18 stitches each; equal rows are laid in brick', async () => {
    const page = openPage(lines(60, 48), <Page />)
    await take(/^As many stitches on each$/)
    expect(page.document().exercises.map((one) => one.parameters?.L)).toEqual([3.333, 2.667])
    closePage()
    const equal = openPage(lines(60, 60), <Page />)
    await take(/^In brick/)
    expect(equal.document().drawing.guides[1]?.guide).toMatchObject({ path: 'M 101.5 150 L 158.5 150' })
  })
})

describe('placed by figures', () => {
  function Page() {
    return <FiguresDialog sampler={useSampler()} ids={['g0']} onClose={() => undefined} />
  }

  it('twice as large, turned by a quarter about its middle, and 10 down: 60 level from 100 becomes 120 upright about 130, 140', () => {
    const page = openPage(lines(60, 60), <Page />)
    const place = screen.getByRole<HTMLButtonElement>('button', { name: 'Place it so' })
    expect(place.disabled).toBe(true)
    type('Down by', '10')
    type('Turned clockwise by', '90')
    type('As large', '200')
    fireEvent.click(place)
    const numbers = (JSON.stringify(page.document().drawing.guides[0]?.guide).match(/-?\d+(\.\d+)?/g) ?? []).map(Number)
    expect(numbers).toEqual([130, 80, 130, 200])
    act(undo)
    expect(page.document()).toEqual(lines(60, 60))
  })
})

describe('pieces', () => {
  const copied = (): Sampler => {
    const { drawing, ...rest } = lines(30)
    return {
      ...rest,
      drawing: { ...drawing, guides: drawing.guides.map((one) => ({ ...one, copies: { kind: 'rows', columns: 1, rows: 3, stepMm: [0, 8] } as const })) },
    }
  }
  function Page() {
    const sampler = useSampler()
    const { done } = useWorked()
    const [exercise] = sampler.exercises
    const [one] = done
    return exercise && one ? <PiecesFields sampler={sampler} exercise={exercise} done={one} /> : null
  }

  it('a copy has another length, and another colour; put back, nothing of it is left', async () => {
    const page = openPage(copied(), <Page />)
    fireEvent.click(screen.getByText('3 pieces'))
    const fields = await screen.findAllByLabelText('As long')
    expect(fields).toHaveLength(3)
    const [, second] = fields
    if (!second) throw new Error('no second')
    const take = (text: string): void => {
      fireEvent.focus(second)
      fireEvent.change(second, { target: { value: text } })
      fireEvent.blur(second)
    }
    take('50')
    expect(page.document().exercises[0]?.pieces).toEqual({ 'g0/1': { lengthShare: 0.5 } })
    expect(screen.getByText('3 pieces, 1 otherwise than the rest')).toBeTruthy()
    take('100')
    expect(page.document().exercises[0]).not.toHaveProperty('pieces')
    await choose('Piece 3, colour', new RegExp(`^${page.document().threads[0]?.colour.name ?? ''},`))
    expect(page.document().exercises[0]?.pieces).toEqual({ 'g0/2': { materials: { main: { thread: page.document().threads[0]?.id } } } })
  })
})

describe('felt under stitches', () => {
  function Page() {
    const { done } = useWorked()
    return <FeltList done={done} unit="mm" pieces={9} name="Whole" />
  }

  it('is listed layer by layer, with what all learners need; nothing where there is none', () => {
    openPage(on([{ kind: 'shape', path: 'M 100 100 L 130 100 L 130 120 L 100 120 Z' }], 'felt-padding', { parameters: { T: 1.5 } }), <Page />)
    const list = screen.getByRole('list')
    expect(
      within(list)
        .getAllByRole('listitem')
        .map((one) => one.textContent),
    ).toEqual(['Row 1, layer 1 of 2 from below: 24.0 mm by 14.0 mm', 'Row 1, layer 2 of 2 from below: 28.5 mm by 18.5 mm'])
    closePage()
    openPage(lines(30), <Page />)
    expect(screen.queryByText('Felt to cut')).toBeNull()
  })
})

describe('what lies within a shape', () => {
  const guide = { kind: 'shape', path: 'M 50 50 L 90 50 L 90 80 L 50 80 Z', vein: 'M 52 65 L 88 65' } as const
  function Page() {
    const sampler = useSampler()
    const [drawn] = sampler.drawing.guides
    return drawn ? <WithinGuide sampler={sampler} drawn={drawn} /> : null
  }

  it('has pins where there is room for them, is moved and bent by keys, and is taken out', () => {
    const ids = (scale: number): readonly string[] => handlesInView(guide, null, scale).map((one) => one.id)
    expect(ids(4)).toContain('vein/point-1')
    expect(ids(1)).not.toContain('vein/point-1')
    const pin = handlesOf(guide).find((one) => one.id === 'vein/point-1')
    if (!pin) throw new Error('no pin')
    const key = (name: string) => guideAfterKey(guide, pin, handlesOf(guide), { key: name, shiftKey: false })
    expect(key('ArrowUp')).toEqual({ ...guide, vein: 'M 52 65 L 88 64' })
    expect(handlesOf(key('a') ?? guide).filter((one) => one.id.startsWith('vein/'))).toHaveLength(3)
    const page = openPage(on([guide], 'satin-stitch'), <Page />)
    fireEvent.click(screen.getByRole('button', { name: 'Take out its vein' }))
    expect(page.document().drawing.guides[0]?.guide).not.toHaveProperty('vein')
  })
})

describe('in what the cloth is held', () => {
  function Page() {
    return <HoopField sampler={useSampler()} />
  }

  it('a round hoop, an oval one, a frame, none: each keeps the middle', () => {
    const page = openPage(lines(30), <Page />)
    const held = () => page.document().workingHoop
    fireEvent.click(screen.getByText('Oval hoop'))
    expect(held()).toEqual({ shape: 'oval', insideMm: [196, 120], at: [155, 155] })
    type('Free inside, down', '140')
    type('Its middle, from the left', '150')
    fireEvent.click(screen.getByText('Frame'))
    expect(held()).toEqual({ shape: 'frame', insideMm: [196, 140], at: [150, 155] })
    fireEvent.click(screen.getByText('Round hoop'))
    expect(held()).toEqual({ shape: 'round', nominalMm: 203, insideMm: 195, at: [150, 155] })
    fireEvent.click(screen.getByText('No hoop'))
    expect(held()).toBeUndefined()
  })
})
