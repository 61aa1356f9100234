// @vitest-environment jsdom
/** Ticks that take from the stores and give back; the list as figures. */
import '../testing/furnish.ts'
import type { Kit } from '@lemmata/core/kit'
import { act, renderHook } from '@testing-library/react'
import { emptyStores, type Part, type Stores } from '@lemmata/core/stores'
import { parse } from 'papaparse'
import { afterEach, describe, expect, it } from 'vitest'
import { store } from '../store/index.ts'
import { storesClosed, storesOpened } from '../store/stores.ts'
import { shoppingCsv } from './kit-csv.ts'
import { alreadyTaken, bagTicks, nameOfTick, threadTicks, ticksOfColour } from './ticks.ts'
import { whoseAll } from './whose.ts'
import { useTicks } from './use-ticks.ts'

const colour = (id: string, name: string, lengths: number): Kit['colours'][number] =>
  ({ thread: { id, colour: { name, hex: '#000000' } }, lengths: [{ lengthMm: 450, parted: { lengths } }] }) as unknown as Kit['colours'][number]
const kit = (kits: number, lengths: number): Kit =>
  ({ kits, threadsOnCard: 9, colours: [colour('t', 'Slate', lengths), colour('t-5', 'Slate pearl', 4)] }) as unknown as Kit

const rainwater = { id: 't1', kind: 'stranded-cotton', colour: { name: 'Rainwater', hex: '#4B6D8F' }, left: 25_000 }
const takesTenMetres = (): readonly Part[] => [{ shelf: 'threads', item: 't1', amount: 10_000 }]
const openStores = (): void => {
  store.dispatch(storesOpened({ answer: { id: 'a', revision: 1, document: { ...emptyStores(), threads: [rainwater] } }, pending: [] }))
}
const storesNow = (): Stores => {
  const { open } = store.getState().stores
  if (!open) throw new Error('the stores are not open')
  return open.document
}
afterEach(() => void store.dispatch(storesClosed()))

describe('ticks', () => {
  it('are one for each kit of each colour, and one for each bag; called by colour and kit', () => {
    const all = threadTicks(kit(3, 8))
    expect(all).toHaveLength(6)
    expect(new Set(all).size).toBe(6)
    expect(nameOfTick(kit(3, 8), all[2] ?? '')).toBe('Slate, kit 3')
    // An id that begins like another's.
    expect(nameOfTick(kit(3, 8), all[3] ?? '')).toBe('Slate pearl, kit 1')
    expect(bagTicks(kit(3, 8)).map((tick) => nameOfTick(kit(3, 8), tick))).toEqual(['Bag 1', 'Bag 2', 'Bag 3'])
  })

  it('of a great many kits are one for ten, and called so', () => {
    const many = kit(123, 800)
    const all = ticksOfColour(many.colours[0] as Kit['colours'][number], 123)
    expect([all.length, nameOfTick(many, all[1] ?? ''), nameOfTick(many, all[12] ?? '')]).toEqual([13, 'Slate, kits 11\u201320', 'Slate, kits 121\u2013123'])
    expect(nameOfTick(many, bagTicks(many)[0] ?? '')).toBe('Bags 1\u201310')
    const cut = alreadyTaken({ ...many, cloth: { count: 124, piece: { widthMm: 300, heightMm: 300 } } as Kit['cloth'] }, (tick) => tick === all[12])
    expect(cut.threads(many.colours[0] as Kit['colours'][number])).toEqual([120, 121, 122])
    expect(whoseAll({ learners: 120, leftHanded: 4 }, [110, 120])).toBe('6 for a right hand, 4 for a left hand: left-handed sheets')
    expect(whoseAll({ learners: 120, leftHanded: 4 }, [0, 10])).toBe('for a right hand')
  })

  it('take from the stores under their name, are taken back in turn, and are of another plan where another number is cut', () => {
    const all = threadTicks(kit(3, 8))
    const [first, second] = [all[0] ?? '', all[1] ?? '']
    const look = (sampler: string, ticks: readonly string[]) => renderHook(() => useTicks(sampler, ticks, storesNow(), takesTenMetres)).result
    openStores()
    const toggle = (tick: string): void => {
      const { current } = look('s', all)
      act(() => current.toggle(tick))
    }
    toggle(first)
    toggle(second)
    expect(storesNow().threads[0]?.left).toBe(5000)
    expect([look('s', all).current.has(first), look('s', all).current.last]).toEqual([true, second])
    const { current } = look('s', all)
    act(() => current.takeBack())
    expect(storesNow().threads[0]?.left).toBe(15_000)
    expect([look('s', all).current.has(second), look('s', all).current.last]).toEqual([false, first])
    // Another sampler's, and this one's when more is cut: those are of an earlier plan.
    expect(look('other', all).current).toMatchObject({ last: null, earlier: [] })
    expect(look('s', threadTicks(kit(3, 9))).current).toMatchObject({ last: null, earlier: [`s ${first}`] })
    toggle(first)
    expect(storesNow()).toMatchObject({ taken: [], threads: [{ left: 25_000 }] })
  })
})

it('what is bought is read back as it was, and no cell is a formula', () => {
  const csv = shoppingCsv([
    {
      group: 'Thread',
      of: 't',
      what: '=HYPERLINK("x"), "rain"; fog',
      count: 2,
      unit: 'skein of 8 m',
      each: '3 needlefuls',
      instead: null,
      onHand: 0.4321,
      missing: 2,
      price: 1.5,
    },
    { group: 'Tools', of: 'x', what: 'Line\nbroken', count: 1, unit: '', each: '1', instead: '+1', onHand: 0, missing: 1, price: null },
  ])
  expect(csv.startsWith('\uFEFF')).toBe(true)
  const rows = parse<string[]>(csv.slice(1).trimEnd()).data
  expect(rows[0]).toEqual(['Group', 'What', 'How many', 'Of', 'In the stores', 'To buy', 'Price', 'In each kit', 'Instead'])
  expect(rows[1]).toEqual(['Thread', '\'=HYPERLINK("x"), "rain"; fog', '2', 'skein of 8 m', '0.43', '2', '1.5', '3 needlefuls', ''])
  expect(rows[2]).toEqual(['Tools', 'Line\nbroken', '1', '', '0', '1', '', '1', "'+1"])
})
