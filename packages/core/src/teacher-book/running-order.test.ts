/** A lesson minute by minute: nothing lost, nothing on top of something else, and the lesson over when it is over. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { CourseItem } from '../order/index.ts'
import { runningOrder } from './running-order.ts'

const item = (id: string, show: number, work: number): CourseItem => ({ id, showMinutes: show, minutes: show + work }) as unknown as CourseItem
const told = (order: ReturnType<typeof runningOrder>): string => order.turns.map((one) => `${one.at} ${one.kind} ${one.minutes}`).join(', ')

describe('a lesson of 90 minutes', () => {
  it('with 18 to show and 42 to work has a break after 45, and room to arrive, look back, look and close', () => {
    const order = runningOrder([item('a', 10, 18), item('b', 8, 24)], 90, true)
    expect(told(order)).toBe('0 arrive 5, 5 recap 5, 10 show 10, 20 work 18, 38 show 8, 46 work 9, 55 break 5, 60 work 15, 75 look 5, 80 spare 5, 85 close 5')
    expect(order.turns.find((one) => one.at === 60)?.goesOn).toBe(true)
    expect(order.over).toBe(0)
  })

  it('filled to the brim keeps only what is taught, and says by how much it is too much', () => {
    expect(told(runningOrder([item('a', 20, 70)], 90, true))).toBe('0 show 20, 20 work 70')
    expect(runningOrder([item('a', 20, 85)], 90, true).over).toBe(15)
    // Three minutes left are for closing it: needles are counted in.
    expect(told(runningOrder([item('a', 20, 20)], 43, true))).toBe('0 show 20, 20 work 20, 40 close 3')
  })
})

it('of any lesson: turn follows turn, all that is taught is there, and it ends with the lesson', () => {
  const items = fc.array(fc.record({ show: fc.nat(25), work: fc.nat(120) }), { minLength: 1, maxLength: 6 })
  fc.assert(
    fc.property(items, fc.integer({ min: 30, max: 240 }), fc.boolean(), (given, room, hasRecap) => {
      const { turns, over } = runningOrder(
        given.map(({ show, work }, index) => item(String(index), show, work)),
        room,
        hasRecap,
      )
      let at = 0
      for (const one of turns) {
        expect(one.at).toBe(at)
        expect(one.minutes).toBeGreaterThan(0)
        at += one.minutes
      }
      expect(at).toBe(room + over)
      for (const [index, { show, work }] of given.entries()) {
        const minutes = (kind: string) => turns.filter((one) => one.kind === kind && one.exercise === String(index)).reduce((sum, one) => sum + one.minutes, 0)
        expect([minutes('show'), minutes('work')]).toEqual([show, work])
      }
    }),
    { seed: 5, numRuns: 300 },
  )
})
