/** When a motion is asked again: later each time, the next day after a slip, and the same whatever order answers arrive in. */
import { describe, expect, it } from 'vitest'
import { addDays } from '../calendar/index.ts'
import type { PracticeEvent } from '../practice/index.ts'
import { askedToday, INTERVAL_DAYS, MOST_ASKED, MOST_NEW, nextAsked, rememberedOf } from './index.ts'

const answer = (day: string, right: boolean, motion = 'chain 0', learner = 'p1'): PracticeEvent => ({
  ...{ id: `${day} ${motion} ${right}`, at: `${day}T18:00:00.000Z`, learner, by: 'learner' },
  ...{ kind: 'recall', exercise: 'rain', motion, right },
})
const known = (events: readonly PracticeEvent[]) => rememberedOf(events, 'p1', addDays)

describe('a motion comes back', () => {
  it('after 1, 2, 4, 7, 14 and 28 days, each time it is known on its day; and stays there', () => {
    const events: PracticeEvent[] = []
    let day = '2027-01-30'
    const waited: number[] = []
    for (let time = 0; time < 8; time += 1) {
      events.push(answer(day, true))
      const { due = '', box = 0 } = known(events).get('chain 0') ?? {}
      waited.push(INTERVAL_DAYS[box] as number)
      expect(due).toBe(addDays(day, waited.at(-1) as number))
      day = due
    }
    expect(waited).toEqual([1, 2, 4, 7, 14, 28, 28, 28])
  })

  it('the next day after a wrong answer, however well it was known', () => {
    const events = [answer('2027-01-01', true), answer('2027-01-02', true), answer('2027-01-04', true), answer('2027-01-08', false)]
    expect(known(events).get('chain 0')).toMatchObject({ box: 0, due: '2027-01-09' })
  })

  it('as it was due, where it is answered before its day', () => {
    const events = [answer('2027-01-01', true), answer('2027-01-02', true), answer('2027-01-03', true)]
    expect(known(events).get('chain 0')).toMatchObject({ box: 1, due: '2027-01-04' })
  })

  it('the same from two devices, in any order, told twice', () => {
    const events = [answer('2027-01-01', true), answer('2027-01-02', false), answer('2027-01-03', true), answer('2027-01-04', true)]
    expect(known([...events].reverse().concat(events))).toEqual(known(events))
  })

  it('for herself alone, by what she answered and nothing else', () => {
    const ticked: PracticeEvent = { ...answer('2027-01-01', true), kind: 'can', exercise: 'rain', can: true }
    expect(known([answer('2027-01-01', true, 'chain 0', 'p2'), ticked]).size).toBe(0)
  })
})

describe('at one sitting', () => {
  const all = Array.from({ length: 20 }, (_, index) => ({ exercise: 'rain', motion: `m${index}` }))

  it('new motions come a few at a time, as they are taught', () => {
    expect(askedToday(new Map(), all, '2027-01-01').map((one) => one.motion)).toEqual(['m0', 'm1', 'm2', 'm3'])
    expect(MOST_NEW).toBe(4)
  })

  it('what has waited longest comes first, and leaves room for new ones only where there is some', () => {
    const events = all.slice(0, 10).map(({ motion }, index) => answer(addDays('2027-01-10', -index), true, motion))
    const asked = askedToday(known(events), all, '2027-01-20').map((one) => one.motion)
    expect(asked).toEqual(['m9', 'm8', 'm7', 'm6', 'm5', 'm4', 'm3', 'm2'])
    expect(asked).toHaveLength(MOST_ASKED)
    expect(askedToday(known(events.slice(0, 2)), all, '2027-01-11').map((one) => one.motion)).toEqual(['m1', 'm0', 'm2', 'm3', 'm4', 'm5'])
  })

  it('looks at no more of what is new than it asks, and asks what two exercises share once', () => {
    let looked = 0
    function* fresh() {
      for (const { motion } of all) {
        looked += 2
        yield { exercise: 'rain', motion }
        yield { exercise: 'wind', motion }
      }
    }
    expect(askedToday(new Map(), fresh(), '2027-01-01')).toEqual(['m0', 'm1', 'm2', 'm3'].map((motion) => ({ exercise: 'rain', motion })))
    expect(looked).toBe(8)
  })

  it('says when the next one comes back', () => {
    expect(nextAsked(new Map())).toBeNull()
    expect(nextAsked(known([answer('2027-01-05', true, 'm1'), answer('2027-01-03', true, 'm2')]))).toBe('2027-01-04')
  })
})
