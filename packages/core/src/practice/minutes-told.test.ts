import { describe, expect, it } from 'vitest'
import type { ExercisePractice, LearnerPractice } from './index.ts'
import { minutesTold, UNTOUCHED } from './index.ts'

const practice = (of: Record<string, Partial<ExercisePractice>>): LearnerPractice => ({
  exercises: new Map(Object.entries(of).map(([id, one]) => [id, { ...UNTOUCHED, ...one }])),
  came: new Map(),
  questions: [],
})
const took = (minutes: number, state: ExercisePractice['state'] = 'can') => practice({ rain: { minutes, state } })

describe('minutes told beside those reckoned', () => {
  it('are the quarters of those who can do it; the band is that of quick and slow hands', () => {
    const [rain, wind] = minutesTold(
      [10, 20, 30, 40, 90].map((one) => took(one)),
      ['rain', 'wind'],
      (id) => (id === 'rain' ? 20 : 30),
    )
    expect(rain).toMatchObject({ reckoned: 20, quick: 14, slow: 30, told: { low: 20, middle: 30, high: 40, learners: 5 } })
    expect(wind).toMatchObject({ reckoned: 30, told: null })
  })

  it('leave out who is still practising, is stuck, or told of no minutes', () => {
    const [rain] = minutesTold([took(12), took(300, 'practising'), took(300, 'stuck'), took(0)], ['rain'], () => 20)
    expect(rain?.told).toEqual({ low: 12, middle: 12, high: 12, learners: 1 })
  })

  it('of two lie between them', () => {
    const [rain] = minutesTold([took(10), took(20)], ['rain'], () => 20)
    expect(rain?.told).toEqual({ low: 12.5, middle: 15, high: 17.5, learners: 2 })
  })
})
