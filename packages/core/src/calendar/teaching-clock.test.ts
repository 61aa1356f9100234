/** The clock of a lesson: what is left, when hands rest, and no break that would be its end. */
import { describe, expect, it } from 'vitest'
import { teachingClock } from './index.ts'

describe('the clock of a lesson', () => {
  it('of ninety minutes has one break of five after forty-five, and is over when it is over', () => {
    expect(teachingClock(0, 90)).toEqual({ left: 90, over: 0, breakIn: 45, resting: null })
    expect(teachingClock(40, 90)).toEqual({ left: 50, over: 0, breakIn: 5, resting: null })
    expect(teachingClock(47, 90)).toEqual({ left: 43, over: 0, breakIn: null, resting: 3 })
    // The next would begin at 95.
    expect(teachingClock(50, 90)).toEqual({ left: 40, over: 0, breakIn: null, resting: null })
    expect(teachingClock(93, 90)).toEqual({ left: 0, over: 3, breakIn: null, resting: null })
  })

  it('of two and a half hours has two, and a lesson of fifty minutes none', () => {
    expect(teachingClock(50, 150).breakIn).toBe(45)
    expect(teachingClock(96, 150).resting).toBe(4)
    expect(teachingClock(100, 150).breakIn).toBeNull()
    expect(teachingClock(0, 50).breakIn).toBeNull()
  })
})
