// @vitest-environment jsdom
/** Ticks that outlive the page and mean nothing once the plan has changed; the list as figures. */
import type { Kit } from '@lemmata/core/kit'
import { act, renderHook } from '@testing-library/react'
import { parse } from 'papaparse'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { shoppingCsv } from './kit-csv.ts'
import { bagTicks, nameOfTick, threadTicks } from './ticks.ts'
import { readTicks, useTicks } from './use-ticks.ts'

const colour = (id: string, name: string, lengths: number): Kit['colours'][number] =>
  ({ thread: { id, colour: { name, hex: '#000000' } }, lengths: [{ lengthMm: 450, parted: { lengths } }] }) as unknown as Kit['colours'][number]
const kit = (kits: number, lengths: number): Kit =>
  ({ kits, threadsOnCard: 9, colours: [colour('t', 'Slate', lengths), colour('t-5', 'Slate pearl', 4)] }) as unknown as Kit

beforeEach(() => localStorage.clear())

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

  it('outlive the page, are taken back in turn, and go where another number is cut', () => {
    const all = threadTicks(kit(3, 8))
    const [first, second] = [all[0] ?? '', all[1] ?? '']
    const { result, unmount } = renderHook(() => useTicks('s', all))
    act(() => result.current.toggle(first))
    act(() => result.current.toggle(second))
    unmount()
    const again = renderHook(() => useTicks('s', all))
    expect([again.result.current.has(first), again.result.current.last]).toEqual([true, second])
    act(() => again.result.current.takeBack())
    expect([again.result.current.has(second), again.result.current.last]).toEqual([false, first])
    act(() => again.result.current.toggle(first))
    expect(again.result.current.last).toBeNull()
    act(() => again.result.current.toggle(first))
    // Another sampler's, and this one's when more is cut.
    expect(renderHook(() => useTicks('other', all)).result.current.last).toBeNull()
    expect(renderHook(() => useTicks('s', threadTicks(kit(3, 9)))).result.current.last).toBeNull()
  })

  it('of another window are seen at once', () => {
    const all = threadTicks(kit(2, 8))
    const { result } = renderHook(() => useTicks('s', all))
    localStorage.setItem('lemmata-cut s', JSON.stringify([all[1]]))
    act(() => void window.dispatchEvent(new StorageEvent('storage')))
    expect(result.current.has(all[1] ?? '')).toBe(true)
  })

  it('that are torn, or cannot be kept, lose nobody the page', () => {
    expect(readTicks('{')).toEqual([])
    expect(readTicks('{"a":1}')).toEqual([])
    expect(readTicks('["a",3,null,"b"]')).toEqual(['a', 'b'])
    const full = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new Error('full')
    })
    const all = threadTicks(kit(2, 8))
    const { result } = renderHook(() => useTicks('full', all))
    act(() => result.current.toggle(all[0] ?? ''))
    expect(result.current.has(all[0] ?? '')).toBe(true)
    full.mockRestore()
  })
})

it('what is bought is read back as it was, and no cell is a formula', () => {
  const csv = shoppingCsv([
    { group: 'Thread', what: '=HYPERLINK("x"), "rain"; fog', count: 2, unit: 'skein of 8 m', each: '3 needlefuls', instead: null },
    { group: 'Tools', what: 'Line\nbroken', count: 1, unit: '', each: '1', instead: '+1' },
  ])
  expect(csv.startsWith('\uFEFF')).toBe(true)
  const rows = parse<string[]>(csv.slice(1).trimEnd()).data
  expect(rows[0]).toEqual(['Group', 'What', 'How many', 'Of', 'In each kit', 'Instead'])
  expect(rows[1]).toEqual(['Thread', '\'=HYPERLINK("x"), "rain"; fog', '2', 'skein of 8 m', '3 needlefuls', ''])
  expect(rows[2]).toEqual(['Tools', 'Line\nbroken', '1', '', '1', "'+1"])
})
