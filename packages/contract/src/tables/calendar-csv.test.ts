/** The course on dates as a table: a line a day, read back; no formula, no break of a line in the wrong place. */
import { courseOnDates } from '@lemmata/core/calendar'
import type { CourseItem } from '@lemmata/core/order'
import { newSampler } from '@lemmata/core/sampler'
import { describe, expect, it } from 'vitest'
import { calendarCsv, readCsv } from './index.ts'

const sampler = {
  ...newSampler('Table'),
  lessons: [
    { id: 'l1', title: '=SUM(rain)', exercises: ['a'] },
    { id: 'l2', title: 'Wind, "Low"; fog', exercises: ['b'] },
  ],
}
const course = [
  { id: 'a', minutes: 43, showMinutes: 3, homeMinutes: 20 },
  { id: 'b', minutes: 30, showMinutes: 4, homeMinutes: 0 },
] as unknown as CourseItem[]
const calendar = {
  ...{ start: '2027-01-14', rhythm: { kind: 'every' as const, days: 7 }, begins: '18:30', zone: 'Europe/Oslo', releaseDays: 7 },
  ...{ off: { '2027-01-21': 'the hall is let' }, catchUp: ['2027-01-28'], moved: {}, twice: [] },
}

describe('the calendar as a table', () => {
  it('has a line for each day, with what a lesson takes', () => {
    const [head, ...rows] = readCsv(calendarCsv(courseOnDates(sampler, calendar, course)))
    expect(head?.cells.slice(0, 4)).toEqual(['Date', 'Begins', 'Lesson', 'Title'])
    expect(rows.filter((one) => one.cells.length > 1).map((one) => one.cells)).toEqual([
      ['2027-01-14', '18:30', '1', "'=SUM(rain)", '', '3', '40', '5', '20', '2027-01-07'],
      ['2027-01-21', '', '', 'no lesson: the hall is let', '', '', '', '', '', ''],
      ['2027-01-28', '18:30', '', 'catching up', '', '', '', '', '', ''],
      ['2027-02-04', '18:30', '2', 'Wind, "Low"; fog', '', '4', '26', '5', '0', '2027-01-28'],
    ])
  })
})
