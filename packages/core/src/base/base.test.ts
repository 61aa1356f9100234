/** Records changed and changed back, lists, batches, telling: what every room stands on. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  about,
  applyInTurn,
  caution,
  entriesBefore,
  error,
  failure,
  fieldOrder,
  fieldsBefore,
  hasErrors,
  insertAt,
  invertInTurn,
  mm,
  nearestCount,
  putById,
  requireNumber,
  requirePositive,
  roundTo,
  success,
  tell,
  withEntries,
  withFields,
} from './index.ts'

interface Card {
  readonly id: string
  readonly name?: string | undefined
  readonly count?: number | undefined
}
const ORDER = fieldOrder<Card>({ id: 0, name: 1, count: 2 })
const card = fc.record({ id: fc.constant('c'), name: fc.string(), count: fc.nat(9) }, { requiredKeys: ['id'] })
const change = fc.record({ name: fc.string(), count: fc.nat(9) }, { requiredKeys: [] })

describe('fields of a record', () => {
  it('set and cleared, and set back, are as they were to the byte', () => {
    fc.assert(
      fc.property(card, change, fc.subarray(['name', 'count'] as const), (given, set, clear) => {
        // As any document writes it: absent where nothing is said, in one order.
        const before = withFields<Card>({ id: 'c' }, given, [], ORDER)
        const after = withFields<Card>(before, set, clear, ORDER)
        const back = fieldsBefore<Card>(before, set, clear)
        expect(JSON.stringify(withFields<Card>(after, back.set, back.clear, ORDER))).toBe(JSON.stringify(before))
        for (const key of clear) expect(key in after).toBe(false)
      }),
      { seed: 12, numRuns: 300 },
    )
  })

  it('stand in one order, whatever was set last; undefined sets nothing', () => {
    expect(Object.keys(withFields<Card>({ id: 'c', count: 1 }, { name: 'x' }, [], ORDER))).toEqual(['id', 'name', 'count'])
    expect(withFields<Card>({ id: 'c', name: 'x' }, { name: undefined }, [], ORDER)).toEqual({ id: 'c', name: 'x' })
  })
})

describe('entries', () => {
  it('set, taken out and set back are as they were, in the order of their names', () => {
    const entries = fc.dictionary(fc.constantFrom('a', 'b', 'c', 'd'), fc.nat(9))
    fc.assert(
      fc.property(entries, entries, fc.subarray(['a', 'b', 'c', 'd']), (given, set, clear) => {
        const before = withEntries<number>(undefined, given, [])
        const after = withEntries(before, set, clear)
        const back = entriesBefore(before, [...Object.keys(set), ...clear])
        expect(JSON.stringify(withEntries(after, back.set, back.clear))).toBe(JSON.stringify(before))
        expect(Object.keys(after ?? {})).toEqual([...Object.keys(after ?? {})].sort())
      }),
      { seed: 13, numRuns: 300 },
    )
  })

  it('of which none is left are no record at all', () => {
    expect(withEntries({ a: 1 }, {}, ['a'])).toBeUndefined()
    expect(entriesBefore(undefined, ['a'])).toEqual({ set: {}, clear: ['a'] })
  })
})

describe('lists', () => {
  it('take in at a place within their ends', () => {
    expect(insertAt(['a', 'b'], 'x', 1)).toEqual(['a', 'x', 'b'])
    expect(insertAt(['a', 'b'], 'x', 99)).toEqual(['a', 'b', 'x'])
    expect(insertAt(['a', 'b'], 'x', -3)).toEqual(['x', 'a', 'b'])
  })

  it('put what is there in its own place, and what is not where it is told', () => {
    const list = [
      { id: 'a', n: 1 },
      { id: 'b', n: 2 },
    ]
    expect(putById(list, { id: 'b', n: 3 }, 0)).toEqual([
      { id: 'a', n: 1 },
      { id: 'b', n: 3 },
    ])
    expect(putById(list, { id: 'c', n: 3 }, 0).map((one) => one.id)).toEqual(['c', 'a', 'b'])
  })
})

describe('a batch', () => {
  const add = (total: number, by: number) => (by === 0 ? failure(error('test.nothing', [])) : success(total + by))
  const takeBack = (_before: number, by: number): number | null => -by

  it('is all of them, or the first problem', () => {
    expect(applyInTurn(1, [2, 3], add)).toEqual(success(6))
    const stopped = applyInTurn(1, [2, 0, 3], add)
    expect(stopped.ok ? null : stopped.problems[0]?.code).toBe('test.nothing')
  })

  it('is taken back last first', () => {
    expect(invertInTurn(0, [1, 2, 3], add, takeBack)).toEqual([-3, -2, -1])
    // What stops it took nothing with it, and nothing after it was made.
    expect(invertInTurn(0, [1, 0, 3], add, takeBack)).toEqual([-1])
  })
})

describe('problems', () => {
  it('are said of the whole they lie in, from without inwards', () => {
    const problem = about(about(error('x.y', ['a']), 'Rain'), 'Ida')
    expect(problem).toMatchObject({ about: ['Ida', 'Rain'], path: ['a'] })
  })

  it('that are only cautions stop nothing', () => {
    expect(hasErrors([caution('x.y', [])])).toBe(false)
    expect(hasErrors([caution('x.y', []), error('x.z', [])])).toBe(true)
  })

  it('are told with their figures: lists as people list, numbers with two decimals, reasons within', () => {
    const sentences = { a: '{who} has {n}: {why}', b: 'for {long}', c: ({ n }: { readonly [name: string]: unknown }) => `${Number(n) + 1}` }
    const length = (value: number): string => `${value} cubits`
    expect(tell({ code: 'a', figures: { who: ['Ada', 'Ben', 'Cy'], n: 1.005, why: { code: 'b', figures: { long: mm(3) } } } }, sentences, length)).toBe(
      'Ada, Ben and Cy has 1: for 3 cubits',
    )
    expect(tell({ code: 'a', figures: { who: ['Ada'], n: 2.499, why: '' } }, sentences, length)).toBe('Ada has 2.5: ')
    expect(tell({ code: 'c', figures: { n: 1 } }, sentences, length)).toBe('2')
  })
})

describe('numbers', () => {
  it('half way goes up, and a length that only just misses it by rounding too', () => {
    expect([nearestCount(2.4), nearestCount(2.5), nearestCount(2.4999999999)]).toEqual([2, 3, 3])
  })

  it('are rounded for reading, without a nought below nothing', () => {
    expect(roundTo(1.2345, 2)).toBe(1.23)
    expect(Object.is(roundTo(-0.001, 2), 0)).toBe(true)
  })

  it('that are none are refused by name', () => {
    expect(() => requireNumber(Number.NaN, 'the width')).toThrow(/the width/)
    expect(() => requirePositive(0, 'the width')).toThrow(/the width/)
    expect(() => requirePositive(0.1, 'the width')).not.toThrow()
  })
})
