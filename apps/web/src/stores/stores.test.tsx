// @vitest-environment jsdom
/** The stores as they are read and changed: without a browser, on the real store. */
import '../testing/furnish.ts'
import { readCsv, storesCsv } from '@lemmata/contract'
import { emptyStores, type Stores } from '@lemmata/core/stores'
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react'
import { App } from 'antd'
import { unparse } from 'papaparse'
import { Provider } from 'react-redux'
import { MemoryRouter } from 'react-router'
import { afterEach, describe, expect, it } from 'vitest'
import { store, takeBackStores } from '../store/index.ts'
import { storesClosed, storesOpened } from '../store/stores.ts'
import { choose, type } from '../testing/page.tsx'
import { BringInDialog } from './BringInDialog.tsx'
import { StoresPage } from './StoresPage.tsx'

const rain = { id: 't1', kind: 'stranded-cotton', colour: { name: 'Rainwater', hex: '#2F6496' }, left: 16_000, price: 1.35 }
const slate = { id: 't2', kind: 'pearl-cotton', weight: '8', colour: { name: 'Slate', hex: '#4B5665' }, left: 0 }
const some: Stores = {
  ...emptyStores(),
  threads: [rain, slate],
  needles: [{ id: 'n1', kind: 'embroidery', size: 8, left: 5 }],
  cloths: [{ id: 'c1', kind: 'calico', colour: { name: 'Unbleached', hex: '#EFE6D2' }, widthMm: 1400, left: 2500 }],
  hoops: [{ id: 'h1', shape: 'oval', sizeMm: [200, 150], left: 1 }],
  tools: [{ id: 'w1', name: 'Stiletto', left: 1 }],
}
const now = (): Stores => {
  const { open } = store.getState().stores
  if (!open) throw new Error('the stores are not open')
  return open.document
}
function open(stores: Stores = some): void {
  store.dispatch(storesOpened({ answer: { id: 'a', revision: 1, document: stores }, pending: [] }))
  render(
    <Provider store={store}>
      <App>
        <MemoryRouter>
          <StoresPage />
        </MemoryRouter>
      </App>
    </Provider>,
  )
}
const shelf = (name: string): void => void fireEvent.click(within(screen.getByLabelText('Shelf')).getByText(new RegExp(`^${name} \\d`)))
const hold = (name: string): void => void fireEvent.click(screen.getByRole('button', { name }))
const rows = (): string[] =>
  screen
    .getAllByRole('row')
    .slice(1)
    .map((row) => row.textContent ?? '')

afterEach(() => {
  cleanup()
  store.dispatch(storesClosed())
})

describe('a shelf', () => {
  it('says of everything what it is, how much there is and what it costs', () => {
    open()
    expect(rows()).toEqual([expect.stringMatching(/^Rainwaterstranded cotton16\.00 m, 2 skeins.1\.35 a skein of 8 m$/), 'Slatepearl cotton 8none left'])
    shelf('Needles')
    expect(rows()).toEqual(['Embroidery 80.61 mm, sharp5'])
    shelf('Cloth')
    expect(rows()).toEqual(['Unbleachedcalico2.50 m'])
    shelf('Hoops')
    expect(rows()).toEqual(['Oval, 200 by 150 mmoval1'])
  })

  it('is looked through by any word, and walked through by key', () => {
    open()
    fireEvent.change(screen.getByLabelText('Find on this shelf'), { target: { value: 'pearl sl' } })
    expect(rows()).toHaveLength(1)
    fireEvent.change(screen.getByLabelText('Find on this shelf'), { target: { value: 'unicorn' } })
    expect(screen.getByText('Nothing here is called that.')).toBeTruthy()
    fireEvent.change(screen.getByLabelText('Find on this shelf'), { target: { value: '' } })
    hold('Rainwater')
    fireEvent.keyDown(screen.getByRole('button', { name: 'Rainwater' }), { key: 'ArrowDown' })
    expect(screen.getByRole('complementary', { name: 'Slate' })).toBeTruthy()
  })

  it('of an empty account says what it is for, and is filled with the usual set in one step', () => {
    open(emptyStores())
    expect(screen.getByText(/^Nothing on this shelf yet/)).toBeTruthy()
    fireEvent.click(screen.getByRole('button', { name: 'I have the usual set' }))
    expect(now().needles.length).toBeGreaterThan(10)
    takeBackStores('undo')
    expect(now()).toEqual(emptyStores())
  })
})

describe('one thing', () => {
  it('is added, counted up by the skein, priced with a decimal comma, and taken out; all of it can be undone', () => {
    open()
    fireEvent.click(screen.getByRole('button', { name: 'Add a thread' }))
    fireEvent.click(screen.getByRole('button', { name: 'One skein more' }))
    type('Price a skein of 8 m, EUR', '1,40')
    expect(now().threads[2]).toMatchObject({ kind: 'stranded-cotton', left: 16_000, price: 1.4 })
    fireEvent.click(screen.getByRole('button', { name: 'Take out' }))
    expect(now().threads).toHaveLength(2)
    for (let step = 0; step < 4; step += 1) takeBackStores('undo')
    expect(now()).toEqual(some)
  })

  it('a thread of another thickness is measured by its wraps and lies wider; its kind\u2019s figures are put back', () => {
    open()
    hold('Rainwater')
    expect(screen.getByText(/One strand lies 0\.30 mm wide/)).toBeTruthy()
    fireEvent.click(screen.getByText('Measure how thick it is'))
    type('Wraps', '90')
    fireEvent.click(screen.getByRole('button', { name: 'Take 0.33 mm' }))
    expect(now().threads[0]?.figures).toMatchObject({ diameterMm: 0.333, from: 'measured' })
    expect(screen.getByText(/One strand lies 0\.37 mm wide/)).toBeTruthy()
    fireEvent.click(screen.getByRole('button', { name: 'Put back the figures of its kind' }))
    expect(now()).toEqual(some)
  })

  it('a colour says how it is seen on her cloths', () => {
    open()
    hold('Rainwater')
    // Luminances 0.117 and 0.797: 0.847 to 0.167.
    expect(within(screen.getByLabelText('How it is seen on cloth')).getByText(/^Unbleached: 5\.\d, good to show with$/)).toBeTruthy()
  })

  it('a needle of another kind keeps its size where that kind has it', async () => {
    open()
    shelf('Needles')
    hold('Embroidery 8')
    await choose('Kind and size', /^Milliner/)
    expect(now().needles[0]).toMatchObject({ kind: 'milliner', size: 8 })
    await choose('Kind and size', /^Tapestry/)
    expect([13, 14, 16, 18, 20, 22, 24, 26, 28]).toContain(now().needles[0]?.size)
  })

  it('threads of a cloth are counted, and a count is put into the stores', () => {
    open()
    shelf('Cloth')
    hold('Unbleached')
    fireEvent.click(screen.getByText('Count its threads'))
    type('Threads', '110')
    fireEvent.click(screen.getByRole('button', { name: 'Take 22.0 to the cm' }))
    expect(now().cloths[0]?.threadsPerCm).toBe(22)
  })
})

describe('a table', () => {
  const bringIn = (text: string, stores: Stores = some): void => {
    store.dispatch(storesOpened({ answer: { id: 'a', revision: 1, document: stores }, pending: [] }))
    render(
      <Provider store={store}>
        <BringInDialog stores={stores} file={{ name: 'it.csv', text }} onClose={() => undefined} />
      </Provider>,
    )
  }

  it('is read by lines, whatever divides its cells, with quotes and breaks inside them', () => {
    const text = '\uFEFFShelf;What;Left;Note\r\ntools;"A; ""good"" one";1;"two\r\nlines"\r\ntools;Pins;50;\r\n'
    expect(readCsv(text).map(({ line, cells }) => [line, cells[1]])).toEqual([
      [1, 'What'],
      [2, 'A; "good" one'],
      [4, 'Pins'],
      [5, undefined],
    ])
    expect(readCsv('Shelf\tWhat\tLeft\ntools\tPins\t50').map((one) => one.cells)).toEqual([
      ['Shelf', 'What', 'Left'],
      ['tools', 'Pins', '50'],
    ])
  })

  it('that was taken out comes in again and changes nothing; what it holds is no formula', () => {
    const hostile = { ...some, tools: [{ id: 'w1', name: '=cmd|calc', left: 1, note: '+1' }] }
    const csv = storesCsv(hostile)
    expect(csv).toContain("'=cmd|calc")
    bringIn(csv, hostile)
    expect(screen.getByRole('button', { name: 'Nothing to take' })).toBeTruthy()
    expect(screen.getByText(/0 new, 0 that you have/)).toBeTruthy()
  })

  it('of five thousand lines takes the good ones in one step and names the bad ones', () => {
    const lines = Array.from({ length: 5000 }, (_, index) =>
      index % 500 === 7
        ? ['threads', 'Moonbeam', '', `Nr ${index}`, '#123456', '8', 'm', '']
        : ['threads', 'Stranded cotton', '', `Nr ${index}; "${index}"`, '#123456', '2,5', 'skeins', '1,40'],
    )
    bringIn(`\uFEFF${unparse([['Shelf', 'What', 'Size', 'Colour', 'Hex', 'Left', 'Unit', 'Price'], ...lines], { delimiter: ';' })}`)
    expect(screen.getByText('10 lines cannot, and are left out:')).toBeTruthy()
    expect(within(screen.getByLabelText('Lines that cannot be read')).getAllByRole('listitem')[0]).toMatchObject({ value: 9 })
    fireEvent.click(screen.getByRole('button', { name: 'Take 4990 lines' }))
    expect(now().threads).toHaveLength(4992)
    expect(now().threads[2]).toMatchObject({ colour: { name: 'Nr 0; "0"' }, left: 20_000, price: 1.4 })
    takeBackStores('undo')
    expect(now()).toEqual(some)
  })

  it('that is no table says so and takes nothing', () => {
    bringIn('{"this": "is JSON"}')
    expect(screen.getByText(/The column Shelf is missing/)).toBeTruthy()
    expect(screen.getByRole('button', { name: 'Nothing to take' })).toBeTruthy()
    expect(now()).toEqual(some)
  })
})
