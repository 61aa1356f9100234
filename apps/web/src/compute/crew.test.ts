/** What a crew does with groups: all are worked, the urgent first, none twice, and a worker that breaks is replaced. */
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { makeCrew, NOT_ASKED_YET } from './crew.ts'
import type { RunningWorker } from './protocol.ts'

interface Doubler {
  readonly double: (numbers: readonly number[]) => Promise<number[]>
}

/** A worker in this very thread: answers when the test lets it. */
function bench() {
  const asked: { readonly numbers: readonly number[]; readonly answer: () => void; readonly fail: () => void }[] = []
  let made = 0
  let ended = 0
  const make = (): RunningWorker<Doubler> => {
    made += 1
    const service = {
      double: (numbers: readonly number[]) =>
        new Promise<number[]>((resolve, reject) => {
          asked.push({ numbers, answer: () => resolve(numbers.map((one) => 2 * one)), fail: () => reject(new Error('broken')) })
        }),
    } as unknown as RunningWorker<Doubler>['service']
    return { service, ask: (call) => call(service), end: () => (ended += 1) }
  }
  const settle = async (): Promise<void> => {
    for (let turn = 0; turn < 20; turn += 1) await Promise.resolve()
  }
  return { asked, make, settle, made: () => made, ended: () => ended }
}

const double = (service: RunningWorker<Doubler>['service'], group: readonly number[]): Promise<number[]> => service.double(group)

describe('a crew', () => {
  it('has two groups with each worker and no more, and works all of them', async () => {
    const { asked, make, settle, made } = bench()
    const crew = makeCrew(make, 2)
    const got: number[] = []
    const job = crew.inGroups([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11], 2, 1, double, (_, answer) => got.push(...answer))
    expect(asked.map((one) => one.numbers)).toEqual([
      [1, 2],
      [3, 4],
      [5, 6],
      [7, 8],
    ])
    expect(made()).toBe(2)
    for (let index = 0; index < 6; index += 1) {
      asked[index]?.answer()
      await settle()
    }
    await job.ended
    expect(got).toEqual([2, 4, 6, 8, 10, 12, 14, 16, 18, 20, 22])
  })

  it('what is urgent goes before what waits already', async () => {
    const { asked, make, settle } = bench()
    const crew = makeCrew(make, 1)
    crew.inGroups([1, 2, 3, 4], 1, 2, double, () => undefined)
    crew.inGroups([100], 1, 0, double, () => undefined)
    asked[0]?.answer()
    await settle()
    expect(asked.map((one) => one.numbers[0])).toEqual([1, 2, 100])
  })

  describe('what is not asked for yet', () => {
    beforeEach(() => void vi.useFakeTimers())
    afterEach(() => void vi.useRealTimers())
    const aMoment = (): void => void vi.advanceTimersByTime(1500)

    it('is begun when nothing has been asked for a moment, one group at a time, and only while nothing else is', async () => {
      const { asked, make, settle } = bench()
      const crew = makeCrew(make, 2)
      crew.inGroups([1, 2, 3], 1, NOT_ASKED_YET, double, () => undefined)
      expect(asked).toHaveLength(0)
      aMoment()
      expect(asked.map((one) => one.numbers[0])).toEqual([1])
      crew.inGroups([100, 101], 1, 2, double, () => undefined)
      asked[0]?.answer()
      await settle()
      expect(asked.map((one) => one.numbers[0])).toEqual([1, 100, 101])
      asked[1]?.answer()
      asked[2]?.answer()
      await settle()
      expect(asked).toHaveLength(3)
      aMoment()
      asked[3]?.answer()
      await settle()
      // Begun, it goes on without waiting again.
      expect(asked.map((one) => one.numbers[0])).toEqual([1, 100, 101, 2, 3])
    })

    it('lets what is asked for within that moment go first', () => {
      const { asked, make } = bench()
      const crew = makeCrew(make, 1)
      crew.inGroups([1, 2], 1, NOT_ASKED_YET, double, () => undefined)
      vi.advanceTimersByTime(1400)
      crew.inGroups([100, 101, 102], 1, 1, double, () => undefined)
      aMoment()
      expect(asked.map((one) => one.numbers[0])).toEqual([100, 101])
    })

    it('is worked as what is asked for as soon as it is', () => {
      const { asked, make } = bench()
      const crew = makeCrew(make, 2)
      let isAside = true
      crew.inGroups(
        [1, 2, 3, 4, 5],
        1,
        () => (isAside ? NOT_ASKED_YET : 2),
        double,
        () => undefined,
      )
      crew.inGroups([100], 1, 1, double, () => undefined)
      expect(asked.map((one) => one.numbers[0])).toEqual([100])
      isAside = false
      crew.reconsider()
      expect(asked.map((one) => one.numbers[0])).toEqual([100, 1, 2, 3])
    })
  })

  it('a dropped job begins no further group; those in hand are still told', async () => {
    const { asked, make, settle } = bench()
    const crew = makeCrew(make, 1)
    const got: number[] = []
    const job = crew.inGroups([1, 2, 3, 4], 1, 1, double, (_, answer) => got.push(...answer))
    asked[0]?.answer()
    await settle()
    job.drop()
    await job.ended
    for (const one of asked) one.answer()
    await settle()
    expect(got).toEqual([2, 4, 6])
    expect(asked).toHaveLength(3)
  })

  it('a worker that breaks ends its job with the reason, and the next job has a new one', async () => {
    const { asked, make, settle, made, ended } = bench()
    const crew = makeCrew(make, 1)
    const job = crew.inGroups([1, 2, 3], 1, 1, double, () => undefined)
    asked[0]?.fail()
    await expect(job.ended).rejects.toThrow('broken')
    asked[1]?.fail()
    await settle()
    expect([made(), ended()]).toEqual([1, 1])
    const got: number[] = []
    const again = crew.inGroups([7], 1, 1, double, (_, answer) => got.push(...answer))
    asked[2]?.answer()
    await again.ended
    expect([got, made()]).toEqual([[14], 2])
  })

  it('nothing to work is done at once', async () => {
    const { make, made } = bench()
    await makeCrew(make, 2).inGroups([], 4, 1, double, () => undefined).ended
    expect(made()).toBe(0)
  })
})
