/** A lesson more, a lesson less: where it helps, and nothing lost by it. */
import { describe, expect, it } from 'vitest'
import type { CourseItem } from '../order/index.ts'
import { oneLessonLess, oneLessonMore } from './index.ts'

const course = (
  [
    ['a', 30],
    ['b', 20],
    ['c', 50],
    ['d', 10],
    ['e', 15],
  ] as const
).map(([id, minutes]) => ({ id, minutes }) as unknown as CourseItem)
const lessons = [
  { id: 'l1', exercises: ['a', 'b', 'c'] },
  { id: 'l2', exercises: ['d'] },
  { id: 'l3', exercises: ['e'] },
]

describe('a course otherwise divided', () => {
  it('has a lesson more where it is fullest, in halves as alike as can be', () => {
    expect(oneLessonMore(lessons, course)?.map((one) => one.exercises)).toEqual([['a', 'b'], ['c'], ['d'], ['e']])
    expect(oneLessonMore(lessons.slice(1), course)).toBeNull()
  })

  it('has a lesson less where two after one another are emptiest', () => {
    expect(oneLessonLess(lessons, course)?.map((one) => one.exercises)).toEqual([
      ['a', 'b', 'c'],
      ['d', 'e'],
    ])
    expect(oneLessonLess(lessons.slice(0, 1), course)).toBeNull()
  })
})
