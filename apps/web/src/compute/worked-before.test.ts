/** What is kept between pages: found again under what it was worked from, never under anything else, never too much of it. */
import 'fake-indexeddb/auto'
import { deleteDB } from 'idb'
import { afterEach, describe, expect, it } from 'vitest'
import { pack, type Packed, unpack } from './packed.ts'
import { keptWork } from './worked-before.ts'

afterEach(async () => {
  await deleteDB('lemmata-worked')
})

const kept = (program: string) => keptWork<Packed>(program, ({ numbers }) => numbers.byteLength, 0)
const one = { name: 'Rain', path: 'M 0 0 H 40' }
const around = { threads: ['cotton'] }
const key = async (store: ReturnType<typeof kept>, ...from: readonly unknown[]): Promise<string> => {
  const made = await store.keyOf(...from)
  if (made === null) throw new Error('no key')
  return made
}

describe('what was worked before', () => {
  it('is found by another page of the same program, whole', async () => {
    const before = kept('a')
    const value = { segments: [{ x: 1 }, { x: 2 }], points: Array.from({ length: 9 }, (_, x) => ({ x, y: -x })) }
    await before.put([[await key(before, one, around), pack(value)]])
    const later = kept('a')
    const there = await key(later, structuredClone(one), structuredClone(around))
    const found = (await later.get([there])).get(there)
    expect(found && unpack(found)).toEqual(value)
  })

  it('is not found for anything that differs, nor by another program', async () => {
    const store = kept('a')
    const keys = [
      await key(store, one, around),
      await key(store, { ...one, path: 'M 0 0 H 41' }, around),
      await key(store, one, { threads: ['silk'] }),
      await key(kept('b'), one, around),
      await key(store, 'swatch', one, around),
    ]
    expect(new Set(keys).size).toBe(keys.length)
    await store.put([[keys[0] as string, pack({ it: 1 })]])
    expect([...(await store.get(keys)).keys()]).toEqual([keys[0]])
  })

  it('what another program kept goes when something is kept', async () => {
    const old = kept('a')
    const there = await key(old, one)
    await old.put([[there, pack({ it: 1 })]])
    const now = kept('b')
    await now.put([[await key(now, one), pack({ it: 2 })]])
    expect((await kept('a').get([there])).size).toBe(0)
  })

  it('more than there is room for: the oldest go', async () => {
    const store = kept('a')
    const large = (at: number) => ({ tree: { at }, words: [], numbers: new Float64Array(4_000_000) })
    const keys = await Promise.all(Array.from({ length: 10 }, (_, at) => key(store, at)))
    for (const [at, one] of keys.entries()) await kept('a').put([[one, large(at)]])
    const left = await store.get(keys)
    // 32 megabytes each, 240 in all.
    expect(left.size).toBe(7)
    expect(left.has(keys[9] as string)).toBe(true)
    expect(left.has(keys[0] as string)).toBe(false)
  }, 30_000)
})
