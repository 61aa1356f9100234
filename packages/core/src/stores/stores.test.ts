/** The stores: what is taken once is taken once, nothing is taken that is not there, and every edit comes back to the byte. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { applyStoresOperation, emptyStores, invertStoresOperation, storedHoops, storedThreads, type Stores, type StoresOperation } from './index.ts'

const rainwater = { name: 'Rainwater', hex: '#4B6D8F' }
const thread = (id: string, left: number) => ({ id, kind: 'stranded-cotton', colour: rainwater, left })
const needle = (id: string, left: number) => ({ id, kind: 'embroidery', size: 8, left })
const after = (stores: Stores, ...operations: StoresOperation[]): Stores =>
  operations.reduce((now, operation) => {
    const applied = applyStoresOperation(now, operation)
    if (!applied.ok) throw new Error(applied.problems[0]?.code)
    return applied.value
  }, stores)
const why = (stores: Stores, operation: StoresOperation): string | undefined => {
  const applied = applyStoresOperation(stores, operation)
  return applied.ok ? undefined : applied.problems[0]?.code
}
const house = after(
  emptyStores(),
  { kind: 'put-stored', shelf: 'threads', item: thread('t1', 10_000), at: 0 },
  { kind: 'put-stored', shelf: 'needles', item: needle('n1', 3), at: 0 },
)
const take = (id: string, amount: number, of = 'sampler'): StoresOperation => ({
  kind: 'take',
  taken: { id, for: of, parts: [{ shelf: 'threads', item: 't1', amount }] },
})
const left = (stores: Stores): number | undefined => stores.threads[0]?.left

describe('what is taken', () => {
  it('goes down, and comes back when it is given back', () => {
    const cut = after(house, take('kit 1', 900), take('kit 2', 900))
    expect(left(cut)).toBe(8200)
    expect(left(after(cut, { kind: 'give-back', id: 'kit 1' }))).toBe(9100)
    expect(why(after(cut, { kind: 'give-back', id: 'kit 1' }), { kind: 'give-back', id: 'kit 1' })).toBe('stores.not-taken')
  })

  it('is taken once under its name, and never more than there is', () => {
    const first = after(house, take('kit 1', 8000))
    expect(why(first, take('kit 1', 8000))).toBe('stores.taken-already')
    const second = after(first, take('kit 2', 8000))
    expect(left(second)).toBe(0)
    expect(second.taken[1]?.parts).toEqual([{ shelf: 'threads', item: 't1', amount: 2000 }])
    // What was not there does not come back either.
    expect(left(after(second, { kind: 'give-back', id: 'kit 2' }))).toBe(2000)
    expect(after(second, take('kit 3', 1)).taken[2]?.parts).toEqual([])
  })

  it('of one thing in two parts is no more than there is of it', () => {
    const both: StoresOperation = {
      kind: 'take',
      taken: { id: 'x', for: 's', parts: [6000, 6000].map((amount) => ({ shelf: 'threads', item: 't1', amount })) },
    }
    expect(after(house, both).taken[0]?.parts.map((one) => one.amount)).toEqual([6000, 4000])
    expect(left(after(house, both))).toBe(0)
  })

  it('is let go when the kits are handed out: it stays taken, and may be taken again for the next class', () => {
    const out = after(house, take('kit 1', 900), take('other', 100, 'another'), { kind: 'close-taken', for: 'sampler' })
    expect(out.taken.map((one) => one.id)).toEqual(['other'])
    expect(left(after(out, take('kit 1', 900)))).toBe(8100)
  })

  it('names no thing that has gone meanwhile', () => {
    const gone = after(house, take('kit 1', 900), { kind: 'remove-stored', shelf: 'threads', id: 't1' })
    expect(after(gone, { kind: 'give-back', id: 'kit 1' })).toMatchObject({ threads: [], taken: [] })
  })
})

describe('what is there', () => {
  it('is counted up and down from whatever it is by now, and not below nothing', () => {
    const more = after(house, take('kit 1', 900), { kind: 'restock', shelf: 'threads', id: 't1', amount: 8000 })
    expect(left(more)).toBe(17_100)
    expect(why(house, { kind: 'restock', shelf: 'threads', id: 't1', amount: -10_001 })).toBe('stores.not-so-much')
    expect(why(house, { kind: 'restock', shelf: 'threads', id: 'none', amount: 1 })).toBe('stores.gone')
  })

  it('changes in one field while another window takes of it', () => {
    const cut = after(house, take('kit 1', 900), { kind: 'change-stored', shelf: 'threads', id: 't1', set: { price: 1.4 } })
    expect(cut.threads[0]).toEqual({ ...thread('t1', 9100), price: 1.4 })
  })
})

describe('any history of the stores', () => {
  const amount = fc.integer({ min: 1, max: 7_000_000 }).map((thousandths) => thousandths / 1000)
  const id = fc.constantFrom('t1', 't2')
  const name = fc.constantFrom('kit 1', 'kit 2', 'kit 3')
  const whom = fc.constantFrom('a', 'b')
  const single = fc.oneof(
    fc.tuple(id, amount, fc.nat(3)).map(([one, some, at]): StoresOperation => ({ kind: 'put-stored', shelf: 'threads', item: thread(one, some), at })),
    id.map((one): StoresOperation => ({ kind: 'remove-stored', shelf: 'threads', id: one })),
    fc.tuple(id, amount, fc.boolean()).map(
      ([one, some, clears]): StoresOperation => ({
        kind: 'change-stored',
        shelf: 'threads',
        id: one,
        set: clears ? { left: some } : { price: some, note: 'x' },
        ...(clears ? { clear: ['price'] } : {}),
      }),
    ),
    fc
      .tuple(id, amount, fc.boolean())
      .map(([one, some, less]): StoresOperation => ({ kind: 'restock', shelf: 'threads', id: one, amount: less ? -some : some })),
    fc.tuple(name, whom, id, amount, amount).map(
      ([one, of, item, a, b]): StoresOperation => ({
        kind: 'take',
        taken: {
          id: one,
          for: of,
          parts: [
            { shelf: 'threads', item, amount: a },
            { shelf: 'threads', item: 't1', amount: b },
          ],
        },
      }),
    ),
    name.map((one): StoresOperation => ({ kind: 'give-back', id: one })),
    whom.map((one): StoresOperation => ({ kind: 'close-taken', for: one })),
    fc.constantFrom('EUR', 'SEK').map((currency): StoresOperation => ({ kind: 'set-currency', currency })),
  )
  const any = fc.oneof(
    { weight: 4, arbitrary: single },
    { weight: 1, arbitrary: fc.array(single, { minLength: 1, maxLength: 4 }).map((operations): StoresOperation => ({ kind: 'batch', operations })) },
  )

  it('never comes below nothing, and taken back step by step is the stores as they were, to the byte', () => {
    fc.assert(
      fc.property(fc.array(any, { maxLength: 14 }), (operations) => {
        let now = house
        const back: { readonly before: string; readonly inverse: StoresOperation | null }[] = []
        for (const operation of operations) {
          const applied = applyStoresOperation(now, operation)
          if (!applied.ok) continue
          back.push({ before: JSON.stringify(now), inverse: invertStoresOperation(now, operation) })
          now = applied.value
          for (const one of now.threads) expect(one.left).toBeGreaterThanOrEqual(0)
        }
        for (const { before, inverse } of back.reverse()) {
          if (inverse) now = after(now, inverse)
          expect(JSON.stringify(now)).toBe(before)
        }
      }),
      { seed: 41, numRuns: 600 },
    )
  })
})

describe('what serves', () => {
  it('is of the same kind, weight and colour, by name or by figure; the least first', () => {
    const stores = after(
      emptyStores(),
      ...[
        thread('much', 16_000),
        thread('rest', 700),
        { ...thread('other', 8000), colour: { name: 'Slate', hex: '#5A6470' } },
        { ...thread('named', 9000), colour: { name: 'rainwater ', hex: '#000000' } },
        { ...thread('pearl', 9000), kind: 'pearl-cotton', weight: '8' },
        { ...thread('own', 100), figures: { name: 'From the market', from: 'measured' as const } },
      ].map((item): StoresOperation => ({ kind: 'put-stored', shelf: 'threads', item, at: 0 })),
    )
    expect(storedThreads(stores, { kind: 'stranded-cotton', colour: rainwater }).map((one) => one.id)).toEqual(['rest', 'named', 'much'])
  })

  it('of hoops what is within half a centimetre of it', () => {
    const hoop = (id: string, mm: number) => ({ id, shape: 'round' as const, sizeMm: [mm, mm] as const, left: 1 })
    const stores = { ...emptyStores(), hoops: [hoop('eight', 203), hoop('seven', 178)] }
    expect(storedHoops(stores, { shape: 'round', nominalMm: 200, insideMm: 192, at: [0, 0] }).map((one) => one.id)).toEqual(['eight'])
    expect(storedHoops(stores, { shape: 'oval', insideMm: [203, 203], at: [0, 0] })).toEqual([])
  })
})
