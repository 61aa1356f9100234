/** A lesson minute by minute: nothing lost, nothing on top of something else, and the lesson over when it is over. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { CourseItem } from '../order/index.ts'
import { lessonMinutes, type RunningOrder, runningOrders, teachingClock } from './index.ts'

const item = (id: string, show: number, work: number): CourseItem => ({ id, showMinutes: show, minutes: show + work }) as unknown as CourseItem
const told = ({ turns }: RunningOrder): string => turns.map((one) => `${one.at} ${one.kind} ${one.minutes}`).join(', ')
const onOne = (items: readonly CourseItem[], room: number, hasRecap = true): RunningOrder => runningOrders(items, room, hasRecap, 1)[0] as RunningOrder

describe('a lesson of 90 minutes', () => {
  it('with 18 to show and 42 to work has a break after 45, and room to arrive, look back, look and close', () => {
    const order = onOne([item('a', 10, 16), item('b', 8, 26)], 90)
    // The second demonstration ends at 44.
    expect(told(order)).toBe('0 arrive 5, 5 recap 5, 10 show 10, 20 work 16, 36 show 8, 44 work 1, 45 break 5, 50 work 25, 75 look 5, 80 spare 5, 85 close 5')
    expect(order.turns.find((one) => one.at === 50)?.goesOn).toBe(true)
    expect(order.over).toBe(0)
  })

  it('brings a demonstration that is nearly over to its end before the break', () => {
    const order = onOne([item('a', 10, 18), item('b', 8, 24)], 90)
    expect(told(order)).toBe('0 arrive 5, 5 recap 5, 10 show 10, 20 work 18, 38 show 8, 46 break 5, 51 work 24, 75 look 5, 80 spare 5, 85 close 5')
  })

  it('filled to the brim keeps only what is taught, and says by how much it is too much', () => {
    expect(told(onOne([item('a', 20, 70)], 90))).toBe('0 show 20, 20 work 70')
    expect(onOne([item('a', 20, 85)], 90).over).toBe(15)
    // Three minutes left are for closing it: needles are counted in.
    expect(told(onOne([item('a', 20, 20)], 43))).toBe('0 show 20, 20 work 20, 40 close 3')
    // Of seven left the break has five, and closing two.
    expect(told(onOne([item('a', 20, 53)], 80, false))).toBe('0 show 20, 20 work 25, 45 break 5, 50 work 28, 78 close 2')
  })

  it('held on two dates goes on at the second, each with its own beginning, break and end', () => {
    const [first, second] = runningOrders([item('a', 10, 50), item('b', 10, 60)], 90, false, 2)
    expect(first && told(first)).toBe('0 arrive 5, 5 show 10, 15 work 30, 45 break 5, 50 work 20, 70 look 5, 75 spare 10, 85 close 5')
    expect(second && told(second)).toBe('0 arrive 5, 5 recap 5, 10 show 10, 20 work 25, 45 break 5, 50 work 35, 85 close 5')
  })
})

describe('the clock of a lesson', () => {
  const { turns } = onOne([item('a', 10, 16), item('b', 8, 26)], 90)
  it('says what is on, what is left, and when hands rest, as the running order does', () => {
    expect(teachingClock(0, turns)).toMatchObject({ left: 90, over: 0, breakIn: 45, resting: null, now: { kind: 'arrive' } })
    expect(teachingClock(40, turns)).toMatchObject({ left: 50, breakIn: 5, resting: null, now: { kind: 'show', exercise: 'b' } })
    expect(teachingClock(47, turns)).toMatchObject({ left: 43, over: 0, breakIn: null, resting: 3 })
    expect(teachingClock(50, turns)).toMatchObject({ left: 40, over: 0, breakIn: null, resting: null, now: { kind: 'work', exercise: 'b' } })
    expect(teachingClock(93, turns)).toMatchObject({ left: 0, over: 3, breakIn: null, resting: null, now: null })
  })

  it('of two and a half hours has two breaks, and a lesson of fifty minutes none', () => {
    const long = onOne([item('a', 10, 90)], 150).turns
    expect(teachingClock(50, long).breakIn).toBe(45)
    expect(teachingClock(96, long).resting).toBe(4)
    expect(teachingClock(100, long).breakIn).toBeNull()
    expect(teachingClock(0, onOne([item('a', 5, 20)], 50).turns).breakIn).toBeNull()
  })
})

it('of any lesson: turn follows turn, all that is taught is there, it ends with the lesson, and its breaks are those that the course counts', () => {
  const items = fc.array(fc.record({ show: fc.nat(25), work: fc.nat(120) }), { minLength: 1, maxLength: 6 })
  fc.assert(
    fc.property(items, fc.integer({ min: 30, max: 240 }), fc.boolean(), fc.integer({ min: 1, max: 3 }), (given, room, hasRecap, dates) => {
      const course = given.map(({ show, work }, index) => item(String(index), show, work))
      const orders = runningOrders(course, room, hasRecap, dates)
      expect(orders.length).toBeLessThanOrEqual(dates)
      for (const { turns, over } of orders) {
        let at = 0
        for (const one of turns) {
          expect(one.at).toBe(at)
          expect(one.minutes).toBeGreaterThan(0)
          at += one.minutes
        }
        expect(at).toBe(room + over)
        if (turns.length > 0) expect(turns.at(-1)?.kind).not.toBe('break')
      }
      const all = orders.flatMap((one) => one.turns)
      for (const [index, { show, work }] of given.entries()) {
        const minutes = (kind: string) => all.filter((one) => one.kind === kind && one.exercise === String(index)).reduce((sum, one) => sum + one.minutes, 0)
        expect([minutes('show'), minutes('work')]).toEqual([show, work])
      }
      const lesson = { id: 'l', exercises: course.map((one) => one.id) }
      const breaks = all.filter((one) => one.kind === 'break').reduce((sum, one) => sum + one.minutes, 0)
      expect(lessonMinutes(lesson, course, room, dates).breaks).toBe(breaks)
    }),
    { seed: 5, numRuns: 300 },
  )
})
