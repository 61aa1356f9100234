// @vitest-environment jsdom
/** What a learner's device keeps: nothing is lost that was told, and nothing counts twice. */
import { UNRULED } from '@lemmata/core/photo'
import type { ToldEvent, WeekAnswer } from '@lemmata/contract'
import { bandSampler } from '@lemmata/contract/testing'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { acknowledged, type Kept, minutesSince, NOTHING, practiceIn, readKept, writeKept } from './kept.ts'

const week: WeekAnswer = {
  ...{
    learner: { id: 'p1', name: 'Gaia', choices: {} },
    className: 'Thursdays',
    today: '2026-12-01',
    sampler: bandSampler('2026-11-23'),
    lessons: [],
    events: [],
    said: [],
    pictures: [],
    sendsPictures: true,
    measuring: UNRULED,
    version: 'v1',
  },
}
const minutes = (id: string, count: number): ToldEvent => ({ id, at: '2026-12-01T18:00:00.000Z', kind: 'minutes', exercise: 'e1', minutes: count })
const kept: Kept = { ...NOTHING, key: 'k', week, unsent: [minutes('a', 5), minutes('b', 7)] }
afterEach(() => {
  localStorage.clear()
  vi.restoreAllMocks()
})

describe('what is on its way', () => {
  it('counts at once, and once when it has arrived, whether all of it or a part', () => {
    const counted = (one: Kept) => practiceIn(one).exercises.get('e1')?.minutes
    expect(counted(kept)).toBe(12)
    const part = acknowledged(kept, ['a'])
    expect([part.unsent.map((one) => one.id), counted(part)]).toEqual([['b'], 12])
    const all = acknowledged(part, ['a', 'b'])
    expect([all.unsent, counted(all)]).toEqual([[], 12])
    // The server's own week then has them too: still once.
    const fresh = { ...all, week: { ...week, events: all.week?.events ?? [] }, unsent: [minutes('b', 7)] }
    expect(counted(fresh)).toBe(12)
  })

  it('is nothing while there is no week to tell it of', () => {
    expect(practiceIn({ ...kept, week: null }).exercises.size).toBe(0)
    // What has arrived is not sent again, week or none.
    expect(acknowledged({ ...kept, week: null }, ['a']).unsent.map((one) => one.id)).toEqual(['b'])
  })
})

describe('on the device', () => {
  it('is read as it was written', () => {
    expect(readKept()).toEqual(NOTHING)
    expect(writeKept(kept)).toBe(true)
    expect(readKept()).toEqual(kept)
  })

  it('what is not to be read is as none, and a device without room says so', () => {
    localStorage.setItem('lemmata-learn', '{ broken')
    expect(readKept()).toEqual(NOTHING)
    vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    expect(writeKept(kept)).toBe(false)
  })
})

it('minutes are whole, at least one, and no more than a day has hands for', () => {
  const since = '2026-12-01T18:00:00.000Z'
  const at = (text: string) => minutesSince(since, Date.parse(text))
  expect(at('2026-12-01T18:00:10Z')).toBe(1)
  expect(at('2026-12-01T18:12:40Z')).toBe(13)
  expect(at('2026-12-03T18:00:00Z')).toBe(600)
  // A clock that was set back.
  expect(at('2026-12-01T17:00:00Z')).toBe(1)
})
