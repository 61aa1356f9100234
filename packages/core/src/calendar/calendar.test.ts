/** Lessons on dates: by hand, by property, across summer time, short months and leap days; minutes, and who is where when. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { ClassCalendar, Rhythm } from '../classes/index.ts'
import type { CourseItem } from '../order/index.ts'
import { newSampler } from '../sampler/index.ts'
import {
  addDays,
  beginCalendar,
  datesFrom,
  daysBetween,
  forecast,
  homeToFit,
  layLessons,
  lessonMinutes,
  minutesProblems,
  momentsOf,
  nextFree,
  type Pace,
  weekdayOf,
} from './index.ts'

const weekly: ClassCalendar = {
  ...{ start: '2026-09-03', rhythm: { kind: 'every', days: 7 }, begins: '18:30', zone: 'Europe/Oslo' },
  ...{ off: { '2026-09-24': 'the hall is let' }, catchUp: [], moved: {}, twice: [] },
}
const SIX = ['l1', 'l2', 'l3', 'l4', 'l5', 'l6']
const dates = (calendar: ClassCalendar, order = SIX) => layLessons(calendar, order).lessons.map((one) => one.on.join(' + '))
const codes = (calendar: ClassCalendar, order = SIX) => layLessons(calendar, order).problems.map((one) => `${one.code} ${Number(one.figures.number)}`)

describe('dates', () => {
  const first = (rhythm: Rhythm, from: string, count: number) => {
    const found: string[] = []
    for (const on of datesFrom(rhythm, from)) if (found.push(on) === count) break
    return found
  }

  it('of a month are the start\u2019s day, or the last where it has none, and come back to it; a leap day too', () => {
    expect(first({ kind: 'monthly' }, '2027-01-31', 4)).toEqual(['2027-01-31', '2027-02-28', '2027-03-31', '2027-04-30'])
    expect(first({ kind: 'monthly' }, '2028-01-30', 2)).toEqual(['2028-01-30', '2028-02-29'])
    expect(first({ kind: 'every', days: 1 }, '2028-02-28', 3)).toEqual(['2028-02-28', '2028-02-29', '2028-03-01'])
  })

  it('of weekdays are those, from the first of them on; chosen ones are in order and once', () => {
    // 3 September 2026 is a Thursday.
    expect(weekdayOf('2026-09-03')).toBe(4)
    expect(first({ kind: 'weekdays', days: [2, 4] }, '2026-09-03', 4)).toEqual(['2026-09-03', '2026-09-08', '2026-09-10', '2026-09-15'])
    expect([...datesFrom({ kind: 'chosen', on: ['2026-10-01', '2026-09-10', '2026-10-01', '2026-01-01'] }, '2026-09-03')]).toEqual(['2026-09-10', '2026-10-01'])
  })

  it.each([
    ['Europe/Oslo', '2027-03-25', 17.5, '2027-04-01', 16.5],
    ['America/New_York', '2027-03-11', 23.5, '2027-03-18', 22.5],
    ['Asia/Kolkata', '2027-03-25', 13, '2027-04-01', 13],
  ])('half past six in %s is half past six there, before summer time and in it', (zone, winter, inWinter, summer, inSummer) => {
    const hour = (on: string): number => {
      const at = momentsOf({ begins: '18:30', zone }, on, 90)
      expect(at.ends - at.begins).toBe(90 * 60_000)
      return (at.begins / 3_600_000) % 24
    }
    expect([hour(winter), hour(summer)]).toEqual([inWinter, inSummer])
  })

  it('a class over the hour that is not there lasts as long as it lasts', () => {
    // Clocks go from two to three on 28 March 2027.
    const at = momentsOf({ begins: '01:30', zone: 'Europe/Oslo' }, '2027-03-28', 60)
    expect([at.begins, at.ends]).toEqual(['2027-03-28T00:30:00Z', '2027-03-28T01:30:00Z'].map((one) => Date.parse(one)))
  })
})

describe('lessons on dates', () => {
  it('are held week by week, not on a day off', () => {
    expect(dates(weekly)).toEqual(['2026-09-03', '2026-09-10', '2026-09-17', '2026-10-01', '2026-10-08', '2026-10-15'])
    expect(layLessons(weekly, SIX).days[3]).toEqual({ kind: 'off', on: '2026-09-24', why: 'the hall is let' })
    expect(codes(weekly)).toEqual([])
    expect(nextFree(weekly, layLessons(weekly, SIX))).toBe('2026-10-22')
  })

  it('one that is moved moves no other, unless they are to follow', () => {
    const alone = { ...weekly, moved: { l2: { on: '2026-09-12', follow: false } } }
    expect(dates(alone)).toEqual(['2026-09-03', '2026-09-12', '2026-09-17', '2026-10-01', '2026-10-08', '2026-10-15'])
    const with_ = { ...weekly, moved: { l2: { on: '2026-09-12', follow: true } } }
    expect(dates(with_)).toEqual(['2026-09-03', '2026-09-12', '2026-09-19', '2026-09-26', '2026-10-03', '2026-10-10'])
  })

  it('one that is moved to a day off, onto another, or past the next is said, and stays where it was put', () => {
    const at = (on: string) => codes({ ...weekly, moved: { l2: { on, follow: false } } })
    expect(at('2026-09-24')).toEqual(['calendar.day-off 2', 'calendar.before-another 3'])
    expect(at('2026-09-17')).toEqual(['calendar.same-day 3'])
    expect(at('2026-09-18')).toEqual(['calendar.before-another 3'])
  })

  it('one that is given two dates takes two; a date to catch up takes none', () => {
    expect(dates({ ...weekly, twice: ['l1'], catchUp: ['2026-10-08'] })).toEqual([
      '2026-09-03 + 2026-09-10',
      '2026-09-17',
      '2026-10-01',
      '2026-10-15',
      '2026-10-22',
      '2026-10-29',
    ])
    expect(dates({ ...weekly, twice: ['l1'], moved: { l1: { on: '2026-09-05', follow: true } } }).slice(0, 2)).toEqual([
      '2026-09-05 + 2026-09-12',
      '2026-09-19',
    ])
  })

  it('for which no date is chosen have none, and it is said', () => {
    const chosen: ClassCalendar = { ...weekly, rhythm: { kind: 'chosen', on: ['2026-09-05', '2026-09-24'] } }
    expect(dates(chosen, ['a', 'b'])).toEqual(['2026-09-05', ''])
    expect(codes(chosen, ['a', 'b'])).toEqual(['calendar.no-date 2'])
    expect(nextFree(chosen, layLessons(chosen, ['a']))).toBeNull()
  })

  it('whatever the rhythm: never on a day off, each after the one before, as many dates as lessons', () => {
    const day = fc.integer({ min: 0, max: 300 }).map((days) => addDays('2027-01-01', days))
    const rhythm = fc.oneof(
      fc.integer({ min: 1, max: 40 }).map((days): Rhythm => ({ kind: 'every', days })),
      fc.constant<Rhythm>({ kind: 'monthly' }),
      fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { minLength: 1, maxLength: 7 }).map((days): Rhythm => ({ kind: 'weekdays', days })),
    )
    fc.assert(
      fc.property(
        rhythm,
        day,
        fc.array(day, { maxLength: 12 }),
        fc.array(day, { maxLength: 4 }),
        fc.nat(9),
        fc.subarray(SIX),
        (how, start, off, catchUp, later, twice) => {
          const plain: ClassCalendar = { ...weekly, rhythm: how, start, off: Object.fromEntries(off.map((on) => [on, 'x'])), catchUp, twice }
          const usual = layLessons(plain, SIX)
          // One is moved later and the rest follow.
          const from = usual.lessons[2]?.on.at(-1) ?? start
          const moved = layLessons({ ...plain, moved: { l3: { on: addDays(from, later), follow: true } } }, SIX)
          for (const [index, { lessons }] of [usual, moved].entries()) {
            const all = lessons.flatMap((one) => one.on)
            expect(all).toHaveLength(SIX.length + twice.length)
            expect([...new Set(all)].sort()).toEqual(all)
            for (const [at, on] of all.entries()) if (index === 0 || at !== all.indexOf(addDays(from, later))) expect(off).not.toContain(on)
          }
          expect(moved.lessons.slice(0, 2)).toEqual(usual.lessons.slice(0, 2))
        },
      ),
      { numRuns: 300 },
    )
  })

  it('begin as the brief has them in mind', () => {
    const plain = newSampler('x')
    const sampler = { ...plain, brief: { ...plain.brief, startDate: '2027-01-14', everyDays: 14, skipDates: ['2027-02-11', '2027-01-28'] } }
    const begun = beginCalendar(sampler, '2026-11-27', 'Europe/Oslo')
    expect(dates(begun, ['a', 'b'])).toEqual(['2027-01-14', '2027-02-25'])
    expect(beginCalendar(plain, '2026-11-27', 'Europe/Oslo').start).toBe('2026-11-27')
    expect(daysBetween('2026-11-27', '2027-01-14')).toBe(48)
  })
})

describe('minutes of a lesson', () => {
  const item = (id: string, working: number, show = 3, home = 0): CourseItem =>
    ({ id, minutes: show + working, showMinutes: show, homeMinutes: home }) as unknown as CourseItem
  const course = [item('a', 40), item('b', 30, 4, 20), item('c', 45)]

  it('are showing, working and a break where there is room for it', () => {
    expect(lessonMinutes({ id: 'l', exercises: ['a', 'b'] }, course, 90)).toEqual({
      ...{ lesson: 'l', showing: 7, working: 70, breaks: 5, home: 20, room: 90, over: 0, longest: 'a' },
    })
    // 7 and 70 in 80: three are left of the five.
    expect(lessonMinutes({ id: 'l', exercises: ['a', 'b'] }, course, 80).breaks).toBe(3)
  })

  it('that are too many are said, with how much of the longest would be done at home', () => {
    const full = lessonMinutes({ id: 'l', exercises: ['a', 'c'] }, course, 80)
    // 43 and 48 in fives are 45 and 50.
    expect(full.over).toBe(15)
    expect(full.longest).toBe('c')
    // 91 in 80: eleven of forty-five are a quarter, in tenths 30 %.
    expect(homeToFit(full, course, 0)).toBe(30)
    expect(homeToFit(lessonMinutes({ id: 'l', exercises: ['c'] }, course, 90), course, 0)).toBeNull()
    expect(minutesProblems([full], 60).map((one) => [one.code, one.figures.over])).toEqual([['calendar.too-full', 15]])
    expect(minutesProblems([lessonMinutes({ id: 'l', exercises: ['b'] }, course, 90)], 15).map((one) => one.code)).toEqual(['calendar.home-too-full'])
  })

  it('by pace: the slow carry on what the week does not take, the quick are done', () => {
    const all = [lessonMinutes({ id: 'l1', exercises: ['a', 'b'] }, course, 90), lessonMinutes({ id: 'l2', exercises: ['c'] }, course, 90)]
    const found = forecast(all, { dates: () => 1, homeRoom: 30, weeks: () => 1 })
    const of = (pace: Pace) => found.find((one) => one.pace === pace)
    // 70 x 1.5 = 105 in 90 - 7 - 5 = 78: 27 left, and 30 at home: 57 less 30.
    expect(of('slow')?.behind.map((one) => Math.round(one.minutes))).toEqual([27, 0])
    expect(of('usual')?.behind.map((one) => one.minutes)).toEqual([0, 0])
    expect(of('quick')?.finished).toBe('l2')
    expect(forecast(all, { dates: () => 1, homeRoom: 0, weeks: () => 1 })[0]?.finished).toBeNull()
    for (const one of of('usual')?.behind ?? [])
      expect(one.minutes).toBeLessThanOrEqual(of('slow')?.behind.find((slow) => slow.lesson === one.lesson)?.minutes ?? 0)
  })
})
