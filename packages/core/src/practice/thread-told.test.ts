import { expect, it } from 'vitest'
import type { ExercisePractice, LearnerPractice, PracticeEvent } from './index.ts'
import { isSpareEnough, practiceOf, threadTold, unpickedLearned, UNTOUCHED } from './index.ts'

const practice = (of: Record<string, Partial<ExercisePractice>>): LearnerPractice => ({
  exercises: new Map(Object.entries(of).map(([id, one]) => [id, { ...UNTOUCHED, state: 'can', ...one }])),
  came: new Map(),
  questions: [],
})

it('nobody counted: as reckoned', () => {
  expect(threadTold([practice({ rain: { minutes: 20 } })], ['rain'], () => 4)).toEqual({
    ...{ times: 1, learners: 0 },
    rows: [{ exercise: 'rain', reckoned: 4, told: null }],
  })
})

it('three who threaded half as many again are drawn half way to what is reckoned: the root of one and a half', () => {
  const { times, learners, rows } = threadTold(
    [6, 6, 6].map((needlefuls) => practice({ rain: { needlefuls } })),
    ['rain'],
    () => 4,
  )
  expect([times, learners]).toEqual([expect.closeTo(Math.sqrt(1.5), 9), 3])
  expect(rows[0]?.told).toEqual({ low: 6, middle: 6, high: 6, learners: 3 })
})

it('one who wasted a whole skein moves ten by less than a twentieth; who is still practising says nothing', () => {
  const usual = Array.from({ length: 10 }, () => practice({ rain: { needlefuls: 4 } }))
  const wild = threadTold([...usual, practice({ rain: { needlefuls: 60 } })], ['rain'], () => 4)
  expect(Math.abs(wild.times - 1)).toBeLessThan(0.05)
  const practising = threadTold([...usual, practice({ rain: { needlefuls: 60, state: 'practising' } })], ['rain'], () => 4)
  expect([practising.times, practising.learners]).toEqual([1, 10])
})

it('counted up, and down where one was told by mistake; never below none; a needle that was threaded is a piece begun', () => {
  const tell = (id: string, at: number, count: number): PracticeEvent => ({
    ...{ id, at: `2026-12-01T18:0${at}:00.000Z`, learner: 'ada', by: 'learner', kind: 'needlefuls', exercise: 'rain', count },
  })
  const after = (...events: PracticeEvent[]) => practiceOf(events, 'ada').exercises.get('rain')
  expect(after(tell('a', 1, 1), tell('b', 2, 1), tell('c', 3, -1), tell('b', 2, 1))).toMatchObject({ needlefuls: 1, state: 'practising' })
  expect(after(tell('a', 1, -1), tell('b', 2, 1))).toMatchObject({ needlefuls: 1 })
})

it('spare thread is enough while a twentieth of what is reckoned stays over', () => {
  expect([1, 1.2, 1.29, 1.31, 1.5].map((times) => isSpareEnough({ times }, 0.35))).toEqual([true, true, true, false, false])
})

it('kits cut by a class have what it lost and a twentieth over, which is enough; where nobody counted nothing is learned', () => {
  const by = (times: number) => unpickedLearned({ times, learners: 9 }, '2026-11-12')
  expect([0.8, 1, 1.1, 1.225, 9].map((times) => by(times)?.share)).toEqual([0.05, 0.05, 0.15, 0.28, 2])
  for (const times of [0.8, 1, 1.1, 1.225, 1.37]) expect(isSpareEnough({ times }, by(times)?.share ?? 0), `${times}`).toBe(true)
  expect(by(1.1)).toEqual({ share: 0.15, learners: 9, on: '2026-11-12' })
  expect(unpickedLearned({ times: 1, learners: 0 }, '2026-11-12')).toBe(null)
})
