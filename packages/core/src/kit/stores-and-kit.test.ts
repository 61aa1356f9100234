/** Kits and the stores: what each kit takes, what is bought after what is there, what a kit costs. Worked by hand. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { workExercise, type WorkedExercise } from '../exercise/index.ts'
import { findThreadKind } from '../materials/index.ts'
import { layExercises, newSampler, type Sampler } from '../sampler/index.ts'
import { applyStoresOperation, emptyStores, type Stores, type StoredThread } from '../stores/index.ts'
import { againstStores, fillRests, type Kit, kitRanges, lengthsOfKit, lengthsOfKits, mmOf, partsOfBags, partsOfThread, planKit, toolsFor } from './index.ts'

const rainwater = { name: 'Rainwater', hex: '#336699' }
const plain = newSampler('Kit')
const sampler: Sampler = {
  ...plain,
  brief: { ...plain.brief, learners: 10, leftHanded: 2, sparePercent: 10, level: 'improver' },
  threads: [{ id: 't1', kind: 'stranded-cotton', colour: rainwater }],
  drawing: {
    groups: [],
    guides: [
      { id: 'g1', guide: { kind: 'line', path: 'M 40 40 H 140' } },
      { id: 'g2', guide: { kind: 'line', path: 'M 40 60 H 140' } },
    ],
  },
  exercises: [
    { id: 'a', name: 'A', stitch: 'back-stitch', on: [{ guide: 'g1' }] },
    { id: 'b', name: 'B', stitch: 'couching-stitch', on: [{ guide: 'g2' }] },
  ],
  lessons: [{ id: 'l', title: 'All', exercises: ['a', 'b'] }],
}
const done = layExercises(sampler).map((laid): WorkedExercise => {
  if (!laid.ok) throw new Error('it is not laid')
  const worked = workExercise(laid.value, surroundingsOf(sampler))
  if (!worked.ok) throw new Error('it is not worked')
  return worked.value
})
const kit: Kit = planKit(sampler, done)
const tools = toolsFor(done, kit.stiletto)
const [colour] = kit.colours
if (!colour) throw new Error('nothing is cut')
const allMm = mmOf(colour.lengths.map(({ lengthMm, parted }) => ({ lengthMm, count: parted.lengths })))
const thread = (id: string, left: number, more: Partial<StoredThread> = {}): StoredThread => ({ id, kind: 'stranded-cotton', colour: rainwater, left, ...more })
const withThreads = (...threads: StoredThread[]): Stores => ({ ...emptyStores(), threads })
const line = (stores: Stores, what: RegExp, taken?: Parameters<typeof againstStores>[4]) => {
  const found = againstStores(sampler, kit, tools, stores, taken).lines.find((one) => what.test(one.what))
  if (!found) throw new Error(`no line ${String(what)}`)
  return found
}

describe('a kit\u2019s share', () => {
  it('is whole lengths, and all shares are all that is cut', () => {
    expect(kit.kits).toBe(11)
    const shares = Array.from({ length: 11 }, (_, index) => lengthsOfKit(colour, 11, index))
    expect(shares.reduce((sum, one) => sum + mmOf(one), 0)).toBe(allMm)
    const counts = shares.map((one) => one.reduce((sum, length) => sum + length.count, 0))
    expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(1)
  })

  it('of seven lengths for three kits is three, two and two', () => {
    const seven = { lengths: [{ lengthMm: 450, bundles: [], parted: { lengths: 7, partings: [], spareStrands: 0 } }] }
    expect([0, 1, 2].map((index) => lengthsOfKit(seven, 3, index)[0]?.count)).toEqual([3, 2, 2])
  })
})

describe('a great many kits', () => {
  it('are cut by tens, the last what is left, and all of them are all that is cut', () => {
    expect(kitRanges(3)).toEqual([
      [0, 1],
      [1, 2],
      [2, 3],
    ])
    const many = kitRanges(123)
    expect([many.length, many[0], many.at(-1)]).toEqual([13, [0, 10], [120, 123]])
    const lengths = { lengths: [{ lengthMm: 450, bundles: [], parted: { lengths: 777, partings: [], spareStrands: 0 } }] }
    expect(many.reduce((sum, range) => sum + mmOf(lengthsOfKits(lengths, 123, range)), 0)).toBe(777 * 450)
    expect(kitRanges(0)).toEqual([])
  })
})

describe('kits that are cut', () => {
  it('take of the stores what is in them, the little rests first; given back the stores are as they were', () => {
    const before = withThreads(thread('much', 90_000), thread('rest', 500))
    let now = before
    for (let index = 0; index < 11; index += 1) {
      const applied = applyStoresOperation(now, {
        kind: 'take',
        taken: { id: `kit ${index}`, for: 's', parts: partsOfThread(colour, 11, [index, index + 1], now) },
      })
      if (applied.ok) now = applied.value
    }
    expect(now.threads.map((one) => one.left)).toEqual([90_500 - allMm, 0])
    for (let index = 10; index >= 0; index -= 1) {
      const applied = applyStoresOperation(now, { kind: 'give-back', id: `kit ${index}` })
      if (applied.ok) now = applied.value
    }
    expect(now).toEqual(before)
  })

  it('where there is nothing take nothing', () => {
    expect(partsOfThread(colour, 11, [0, 1], emptyStores())).toEqual([])
    expect(partsOfThread(colour, 11, [0, 1], withThreads(thread('none', 0), thread('other', 900, { colour: { name: 'Slate', hex: '#000000' } })))).toEqual([])
  })

  it('take a needle of each kind, the hoop, and nothing that has run out', () => {
    const [first, second] = kit.needles.map(({ needle }) => needle)
    if (!first || !second) throw new Error('two needles are wanted')
    const needle = (id: string, { family, size }: typeof first, left: number) => ({ id, kind: family.id, size, left })
    const stores: Stores = {
      ...emptyStores(),
      needles: [needle('out', first, 0), needle('n1', first, 4), needle('n2', second, 0)],
      hoops: [{ id: 'h', shape: 'round', sizeMm: [203, 203], left: 2 }],
    }
    expect(partsOfBags(sampler, kit, 1, stores)).toEqual([
      { shelf: 'needles', item: 'n1', amount: 1 },
      { shelf: 'hoops', item: 'h', amount: 1 },
    ])
  })
})

describe('what is bought', () => {
  const floss = findThreadKind('stranded-cotton', undefined)
  if (!floss) throw new Error('no such kind')

  it('of lengths that come out of whole skeins and rests is what does not', () => {
    // 17 lengths of 45 cm come out of a skein of 8 m, 2 out of a rest of one metre.
    const wanted = [{ lengthMm: 450, count: 40 }]
    expect(fillRests(wanted, [{ left: 9000 }], floss)).toEqual([{ lengthMm: 450, count: 21 }])
    expect(fillRests(wanted, [{ left: 0 }, { left: 449 }], floss)).toEqual(wanted)
    // Two rests of 40 cm are no length, though together they are 80 cm.
    expect(fillRests(wanted, [{ left: 400 }, { left: 400 }], floss)).toEqual(wanted)
    // A length of two sizes: the long ones first, the short ones in what they leave.
    expect(
      fillRests(
        [
          { lengthMm: 300, count: 2 },
          { lengthMm: 500, count: 1 },
        ],
        [{ left: 800 }],
        floss,
      ),
    ).toEqual([
      { lengthMm: 500, count: 0 },
      { lengthMm: 300, count: 1 },
    ])
  })

  it('without anything in the house is everything; with enough of it nothing', () => {
    expect(line(emptyStores(), /^Rainwater/)).toMatchObject({ onHand: 0, missing: colour.putUps, price: null })
    expect(line(withThreads(thread('t', colour.putUps * 8000, { price: 1.35 })), /^Rainwater/)).toMatchObject({
      onHand: colour.putUps,
      missing: 0,
      price: 1.35,
    })
    expect(line(withThreads(thread('t', 8000)), /^Rainwater/).missing).toBe(colour.putUps - 1)
  })

  it('for kits that are still to be cut: what was taken is not asked for again', () => {
    const all = Array.from({ length: 11 }, (_, index) => index)
    const cut = (threads: readonly number[]) => ({ threads: () => threads, bags: 0, cloth: false })
    expect(line(emptyStores(), /^Rainwater/, cut(all)).missing).toBe(0)
    const half = line(emptyStores(), /^Rainwater/, cut(all.slice(0, 6))).missing
    expect(half).toBeGreaterThan(0)
    expect(half).toBeLessThanOrEqual(colour.putUps)
    const needles = {
      ...emptyStores(),
      needles: kit.needles.map(({ needle }, index) => ({ id: `n${index}`, kind: needle.family.id, size: needle.size, left: 3 })),
    }
    const name = new RegExp(`^${needles.needles[0]?.kind}`, 'i')
    expect(line(needles, name).missing).toBe(8)
    expect(line(needles, name, { threads: () => [], bags: 5, cloth: false }).missing).toBe(3)
  })

  it('of cloth is by the metre, and a narrower one does not serve', () => {
    if (!kit.cloth.plan.ok) throw new Error('the cloth is not cut')
    const metres = kit.cloth.plan.value.toBuyMm / 1000
    const cloth = (widthMm: number): Stores => ({
      ...emptyStores(),
      cloths: [{ id: 'c', kind: sampler.cloth.kind, colour: sampler.cloth.colour, widthMm, left: 500, price: 8 }],
    })
    expect(line(cloth(1400), / cloth$/).missing).toBeCloseTo(metres - 0.5, 9)
    expect(line(cloth(1100), / cloth$/).missing).toBeCloseTo(metres, 9)
    expect(line(cloth(1400), / cloth$/, { threads: () => [], bags: 0, cloth: true }).missing).toBe(0)
  })

  it('costs what is missing; one kit costs its share of everything, thread by the metre; what has no price is named', () => {
    const stores: Stores = {
      ...withThreads(thread('t', 0, { price: 1.6 })),
      hoops: [{ id: 'h', shape: 'round', sizeMm: [203, 203], left: 4, price: 5 }],
    }
    const { cost, perKit, unpriced } = againstStores(sampler, kit, tools, stores)
    // Seven of the eleven hoops, and all skeins.
    expect(cost).toBeCloseTo(7 * 5 + colour.putUps * 1.6, 9)
    expect(perKit).toBeCloseTo(5 + ((allMm / 8000) * 1.6) / 11, 9)
    expect(unpriced).not.toContain('Hoop, 203 mm')
    expect(unpriced.some((one) => one.includes('scissors'))).toBe(true)
  })
})
