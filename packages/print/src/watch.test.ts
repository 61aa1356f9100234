/** A print tells how far it is, of every kind from nothing to all; and whoever is told may end it there. */
import { newSampler, type Sampler } from '@lemmata/core/sampler'
import { describe, expect, it } from 'vitest'
import { type BookKind, printBook, printSampler } from './index.ts'

const sampler: Sampler = {
  ...newSampler('Drizzle'),
  drawing: { groups: [], guides: [{ id: 'g1', guide: { kind: 'line', path: 'M 60 60 L 120 60' } }] },
  exercises: [{ id: 'e1', name: 'Steady rain', stitch: 'back-stitch', on: [{ guide: 'g1' }] }],
  lessons: [{ id: 'l1', title: 'Rain', exercises: ['e1'] }],
}
const order = { sampler, page: 'a4', made: new Date(0) } as const
const rising = (shares: readonly number[]): void => expect(shares).toEqual([...shares].sort((a, b) => a - b))

describe('how far it is', () => {
  it.each(['learner', 'teacher', 'cards', 'slip'] as const)('is told of the %s from nothing to all, and is the same print', async (kind: BookKind) => {
    const shares: number[] = []
    const of = { ...order, kind, since: { sampler: { ...sampler, name: 'Shower' }, version: 'first' } }
    const watched = await printBook(of, (share) => {
      shares.push(share)
      return Promise.resolve()
    })
    expect([shares[0], shares.at(-1)]).toEqual([0, 1])
    expect(shares.length).toBeGreaterThan(2)
    rising(shares)
    const plain = await printBook(of)
    expect(watched.ok && plain.ok && Buffer.from(watched.value).equals(Buffer.from(plain.value))).toBe(true)
  })

  it('is told of a sheet', async () => {
    const shares: number[] = []
    await printSampler(order, (share) => {
      shares.push(share)
      return Promise.resolve()
    })
    expect([shares[0], shares.at(-1)]).toEqual([0, 1])
    rising(shares)
  })
})

it('ended by whoever is told, it says why, and nothing more is told', async () => {
  const shares: number[] = []
  const ends = (share: number): Promise<void> => {
    shares.push(share)
    return share >= 0.5 ? Promise.reject(new Error('enough')) : Promise.resolve()
  }
  await expect(printBook(order, ends)).rejects.toThrow('enough')
  const told = shares.length
  await expect(printSampler(order, () => Promise.reject(new Error('at once')))).rejects.toThrow('at once')
  expect([shares.length, shares.at(-1)]).toEqual([told, expect.any(Number)])
  expect(shares.filter((one) => one >= 0.5)).toHaveLength(1)
})
