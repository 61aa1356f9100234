// @vitest-environment jsdom
/** The course on dates as it is read and changed: without a browser, on the real store. */
import { bandSampler } from '@lemmata/contract/testing'
import { rehearse, type SimulatedClass } from '@lemmata/core/calendar'
import { type ClassCalendar, newClass } from '@lemmata/core/classes'
import type { Sampler } from '@lemmata/core/sampler'
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { useState } from 'react'
import { afterEach, describe, expect, it } from 'vitest'
import { classClosed, classOpened } from '../store/class.ts'
import { editClass, store, undo } from '../store/index.ts'
import { choose, closePage, openPage, type } from '../testing/page.tsx'
import { CourseThread } from './CourseThread.tsx'
import { DatesDialog } from './DatesDialog.tsx'
import { LessonCard } from './LessonCard.tsx'
import { LessonRows } from './LessonRows.tsx'
import { RehearseDialog } from './RehearseDialog.tsx'
import { type DatedCourse, onDates } from './use-calendar.ts'
import type { RehearsedOnDates } from '../compute/rehearsal.worker.ts'
import type { Running } from './use-rehearsal.ts'
import { courseNow } from '../order/use-course.ts'
import { useWorked } from '../compute/use-worked.ts'
import { useSampler } from '../sampler/use-sampler.ts'
import { useAppSelector } from '../store/index.ts'

const sampler = bandSampler('2026-12-03')
const weekly: ClassCalendar = {
  ...{ start: '2031-01-09', rhythm: { kind: 'every', days: 7 }, begins: '18:30', zone: 'Europe/Oslo' },
  ...{ off: { '2031-01-23': 'the hall is let' }, catchUp: [], moved: {}, twice: [] },
}
const titles = sampler.lessons.map((one) => one.title)

function Stage({ held }: { readonly held: number | null }) {
  const now = useSampler()
  const worked = useWorked()
  const calendar = useAppSelector((state) => state.class.open?.document.calendar)
  const { course } = courseNow(now, worked)
  const on: DatedCourse = onDates(now, calendar, course, '2030-12-01', 'Europe/Oslo')
  const lesson = held === null ? undefined : on.lessons[held]
  const [picked, setPicked] = useState('')
  const move = (id: string, days: number) => editClass({ kind: 'move-date', lesson: id, to: { on: `2031-01-${16 + days}`, follow: false } })
  return (
    <>
      <CourseThread on={on} held={lesson?.id ?? null} onHold={(id) => setPicked(id)} />
      <output>{picked}</output>
      <LessonRows
        {...{ sampler: now, on }}
        done={worked.done}
        held={lesson?.id ?? null}
        onHold={() => undefined}
        onMove={move}
        onHoldAfterAll={(day) => editClass({ kind: 'set-day-off', on: day, why: null })}
      />
      {lesson && <LessonCard sampler={now} course={course} on={on} lesson={lesson} onClose={() => undefined} />}
    </>
  )
}
function open(calendar: ClassCalendar | null, held: number | null = null, given: Sampler = sampler) {
  const document = { ...newClass('Thursdays'), ...(calendar ? { calendar } : {}) }
  store.dispatch(classOpened({ answer: { id: 'c', revision: 1, document }, pending: [] }))
  return openPage(given, <Stage held={held} />)
}
const calendarNow = () => store.getState().class.open?.document.calendar
const rows = (): string[] => [...document.querySelectorAll('.calendar-rows tbody tr')].map((one) => one.textContent ?? '')

afterEach(() => {
  closePage()
  act(() => void store.dispatch(classClosed()))
})

describe('dates', () => {
  it('stand in order with what each lesson takes; a day off says why, and is held after all by one press', () => {
    open(weekly)
    expect(rows()).toHaveLength(titles.length + 1)
    expect(rows()[0]).toMatch(new RegExp(`^Thu 9 Jan 203118:301. ${titles[0]}.*\\d+ showing, \\d+ working\\d+ min`))
    expect(rows()[2]).toBe('Thu 23 Jan 2031No lesson: the hall is let. Hold it after all')
    fireEvent.click(screen.getByRole('button', { name: 'Hold it after all' }))
    expect(calendarNow()?.off).toEqual({})
    expect(rows()[2]).toContain('Thu 23 Jan 2031')
    act(() => undo())
    expect(calendarNow()).toEqual(weekly)
  })

  it('without a class\u2019s own are the brief\u2019s, and nothing of them is changed here', () => {
    open(null)
    expect(rows()[0]).toContain(titles[0] ?? '')
    expect(screen.queryByRole('button', { name: 'Hold it after all' })).toBeNull()
  })

  it('are moved by key: that one alone', () => {
    open(weekly)
    fireEvent.keyDown(screen.getByRole('button', { name: `2. ${titles[1]}` }), { key: 'ArrowDown', altKey: true })
    expect(Object.values(calendarNow()?.moved ?? {})).toEqual([{ on: '2031-01-17', follow: false }])
    expect(rows()[1]).toContain('Fri 17 Jan 2031')
    expect(rows()[3]).toContain('Thu 30 Jan 2031')
  })
})

describe('a lesson\u2019s card', () => {
  it('gives it a second date, and the rest go on after it', () => {
    open(weekly, 1)
    fireEvent.click(screen.getByRole('checkbox', { name: 'Held on two dates' }))
    expect(rows().filter((one) => one.includes(', 1 of 2') || one.includes(', 2 of 2'))).toHaveLength(2)
    expect(rows().at(-1)).toContain(titles.at(-1) ?? '')
  })

  it('says that it is too full, and moves part of the longest home', () => {
    // The fullest lesson, with five minutes less than it takes.
    open(weekly)
    const takes = rows().map((row) => (/(\d+) showing, (\d+) working/.exec(row) ?? []).slice(1).reduce((sum, one) => sum + Number(one), 0))
    const fullest = takes.indexOf(Math.max(...takes))
    const minutes = Math.max(...takes) - 5
    closePage()
    const page = open({ ...weekly, off: {}, minutes }, fullest - (fullest > 2 ? 1 : 0))
    const card = screen.getByRole('complementary')
    expect(within(card).getByText(new RegExp(`^Lesson \\d takes \\d+ minutes of showing and working, and has ${minutes}: \\d+ too many\\.$`))).toBeTruthy()
    const mend = within(card).queryByRole('button', { name: / % of .* at home$/ })
    if (!mend) throw new Error('nothing would make it fit')
    const [, percent, name] = /^(\d+) % of (.*) at home$/.exec(mend.textContent ?? '') ?? []
    fireEvent.click(mend)
    expect(page.document().exercises.find((one) => one.name === name)?.homePercent).toBe(Number(percent))
    expect(within(card).queryByText(/too many/)).toBeNull()
  })

  it('what was moved is put back; minutes are the class\u2019s own', () => {
    const [, second] = sampler.lessons
    open({ ...weekly, moved: { [second?.id ?? '']: { on: '2031-01-17', follow: true } } }, 1)
    expect(rows().at(-1)).toMatch(/^Fri /)
    fireEvent.click(screen.getByRole('button', { name: 'Put its date back' }))
    expect(calendarNow()?.moved).toEqual({})
    type('In class, min', '120')
    expect(calendarNow()?.minutes).toBe(120)
    expect(screen.getByText('In class, of 120 min')).toBeTruthy()
  })

  it('are stitches on a thread as far apart as their dates; a day off is a gap', () => {
    open({ ...weekly, catchUp: ['2031-02-06'] })
    const thread = screen.getByRole('img', { name: /^The thread of the course, from Thu 9 Jan 2031 to / })
    expect(thread.getAttribute('aria-label')).toContain('1 day without class')
    expect(thread.getAttribute('aria-label')).toContain('1 day to catch up')
    const stitches = [...thread.querySelectorAll('.course-lesson')]
    expect(stitches).toHaveLength(sampler.lessons.length)
    const middles = stitches.map((one) => Number(one.querySelector('text')?.getAttribute('x')))
    const [one = 0, two = 0, three = 0] = middles
    // The third is a fortnight after the second: between them the class does not meet.
    expect(three - two).toBeCloseTo(2 * (two - one), 6)
    fireEvent.click(stitches[1] as Element)
    expect(screen.getByRole('status').textContent).toBe(sampler.lessons[1]?.id)
  })

  it('says from when learners have its pages, if not from the beginning', async () => {
    open(weekly, 0)
    expect(screen.queryByText(/pages from/)).toBeNull()
    await choose('Learners get its pages', '7 days before its day')
    expect(calendarNow()?.releaseDays).toBe(7)
    expect(screen.getByText(/pages from Thu 2 Jan 2031/)).toBeTruthy()
    await choose('Learners get its pages', 'from the beginning')
    expect(calendarNow()).toEqual(weekly)
  })

  it('says who is where: the slow never before the quick', () => {
    open({ ...weekly, minutes: 30, homeMinutes: 0 }, titles.length - 1)
    const behind = [...screen.getByRole('complementary').querySelectorAll('dt')]
      .filter((one) => one.textContent?.endsWith(' hands'))
      .map((one) => Number(/\d+/.exec(one.nextElementSibling?.textContent ?? '')?.[0] ?? 0))
    expect(behind).toHaveLength(3)
    expect([...behind].sort((a, b) => b - a)).toEqual(behind)
    expect(behind[0]).toBeGreaterThan(0)
  })
})

it('holidays come out of a calendar file in one step; a file that is none is said', async () => {
  open(weekly)
  const dialog = openDialog()
  const bring = (text: string) => fireEvent.change(dialog.getByLabelText('Holidays as a calendar file'), { target: { files: [new File([text], 'days.ics')] } })
  bring(
    ['BEGIN:VCALENDAR', 'BEGIN:VEVENT', 'DTSTART;VALUE=DATE:20310210', 'DTEND;VALUE=DATE:20310213', 'SUMMARY:Winter', 'END:VEVENT', 'END:VCALENDAR'].join(
      '\r\n',
    ),
  )
  await screen.findByText(/^3 days off more/)
  expect(Object.keys(calendarNow()?.off ?? {})).toEqual(['2031-01-23', '2031-02-10', '2031-02-11', '2031-02-12'])
  act(() => undo())
  expect(calendarNow()).toEqual(weekly)
  bring('no calendar')
  await screen.findByText(/is no calendar file/)
})

function openDialog() {
  closePage()
  openPage(sampler, <Dialog />)
  return screen
}
function Dialog() {
  const calendar = useAppSelector((state) => state.class.open?.document.calendar)
  return calendar ? <DatesDialog calendar={calendar} onClose={() => undefined} /> : null
}

function Rehearsed() {
  const now = useSampler()
  const { course } = courseNow(now, useWorked())
  return <RehearseDialog sampler={now} course={course} on={onDates(now, weekly, course, '2030-12-01', 'Europe/Oslo')} onClose={() => undefined} begin={hall} />
}

/** A worker in this very thread; while the hall is shut it waits. */
let shut: Promise<void> = Promise.resolve()
let ended = 0
const hall = (): Running => {
  const service = {
    rehearse: async ({ weeks, ...course }: RehearsedOnDates, how: SimulatedClass, onProgress: (share: number) => void) => {
      onProgress(0.4)
      await shut
      return rehearse({ ...course, weeks: (lesson) => weeks[lesson] ?? 1 }, how)
    },
  } as unknown as Running['service']
  return { service, ask: (call) => call(service), end: () => (ended += 1) }
}

describe('a rehearsal', () => {
  it('says how many are done, where most fall behind, and how it would be otherwise', async () => {
    openPage(sampler, <Rehearsed />)
    const shares = (): number[] => [...document.querySelectorAll('.rehearsal .share')].map((one) => Number.parseInt(one.textContent ?? '', 10))
    await waitFor(() => expect(shares()).toHaveLength(titles.length))
    const usual = shares()
    expect(screen.getByRole('status').textContent).toMatch(/^\d+ % have all of it worked a week after the last lesson\./)
    // All the way to half of the lessons missed: ten steps of five to the right.
    const missed = screen.getByRole('slider', { name: 'Lessons missed' })
    for (let step = 0; step < 10; step += 1) fireEvent.keyDown(missed, { key: 'ArrowRight', keyCode: 39, which: 39 })
    expect(screen.getByText('50 %', { selector: '.quiet' })).toBeTruthy()
    await waitFor(() => expect(shares().at(-1)).toBeLessThan(usual.at(-1) ?? 0))
    for (const [at, share] of shares().entries()) expect(share).toBeLessThanOrEqual(usual[at] ?? 0)
    await choose('Beside it', 'Beside it: one lesson more')
    expect((await screen.findByText(/in place of/)).textContent).toContain(`${titles.length + 1} lessons`)
    await choose('Beside it', 'Beside it: one lesson less')
    await waitFor(() => expect(screen.getByText(/in place of/).textContent).toContain(`${titles.length - 1} lessons`))
  })

  it('says how far it is, is stopped, and is begun again when asked', async () => {
    let open: () => void = () => undefined
    shut = new Promise((resolve) => {
      open = resolve
    })
    ended = 0
    openPage(sampler, <Rehearsed />)
    await waitFor(() => expect(screen.getByLabelText('Rehearsed').getAttribute('aria-valuenow')).toBe('40'))
    fireEvent.click(screen.getByText('Stop'))
    expect([screen.queryByLabelText('Rehearsed'), ended]).toEqual([null, 1])
    open()
    await act(() => shut)
    // What comes back after that is nobody's.
    expect(document.querySelectorAll('.rehearsal .share')).toHaveLength(0)
    fireEvent.click(screen.getByText('Rehearse it'))
    await waitFor(() => expect(document.querySelectorAll('.rehearsal .share')).toHaveLength(titles.length))
  })
})
