/** The course by date: what each lesson takes in class and at home, days off, and where today is. */
import { problemInWords } from '@lemmata/contract'
import type { CalendarDay } from '@lemmata/core/calendar'
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { Sampler } from '@lemmata/core/sampler'
import { Button } from 'antd'
import dayjs from 'dayjs'
import type { KeyboardEvent } from 'react'
import { ExerciseSwatch } from '../drawing/ExerciseSwatch.tsx'
import { KnotGlyph } from '../look/Glyphs.tsx'
import { Bar } from './Bar.tsx'
import type { DatedCourse } from './use-calendar.ts'

interface Props {
  readonly sampler: Sampler
  readonly done: readonly WorkedExercise[]
  readonly on: DatedCourse
  readonly held: string | null
  readonly onHold: (lesson: string) => void
  readonly onMove: (lesson: string, days: number) => void
  readonly onHoldAfterAll: (day: string) => void
}

export const dayWords = (on: string): string => dayjs(on).format(dayjs(on).year() === dayjs().year() ? 'ddd D MMM' : 'ddd D MMM YYYY')

export function LessonRows(props: Props) {
  const { on, held, onHold } = props
  const today = dayjs().format('YYYY-MM-DD')
  const days = on.laid.days
  const undated = on.laid.lessons.filter((one) => one.on.length === 0)
  const pick = (event: KeyboardEvent, lesson: string): void => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key]
    if (step === undefined) return
    event.preventDefault()
    if (event.altKey) {
      props.onMove(lesson, step)
      return
    }
    const order = on.lessons.map((one) => one.id)
    const next = order[order.indexOf(lesson) + step]
    if (next === undefined) return
    onHold(next)
    requestAnimationFrame(() => document.querySelector<HTMLElement>(`[data-lesson="${next}"]`)?.focus())
  }
  const stop = on.lessons.some((one) => one.id === held) ? held : on.lessons[0]?.id
  const firstAhead = days.findIndex((day) => day.on >= today)
  return (
    <table className="calendar-rows">
      <thead>
        <tr>
          <th>Date</th>
          <th>Lesson</th>
          <th>In class, of {on.room} min</th>
          <th>At home, of {on.homeRoom} min</th>
          <th>
            <span className="visually-hidden">To be said</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {days.flatMap((day, index) => [
          ...(index === firstAhead && index > 0 ? [<TodayRow key="today" />] : []),
          <DayRow key={`${day.kind} ${day.on} ${day.kind === 'lesson' ? day.lesson : ''}`} {...props} day={day} stop={stop ?? null} onKey={pick} />,
        ])}
        {undated.map(({ lesson }) => (
          <tr key={lesson} className="is-off">
            <td>no date</td>
            <td colSpan={4}>{on.lessons.find((one) => one.id === lesson)?.title}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function TodayRow() {
  return (
    <tr className="today-row">
      <td colSpan={5}>{dayjs().format('dddd D MMMM')}, today</td>
    </tr>
  )
}

interface DayProps extends Props {
  readonly day: CalendarDay
  readonly stop: string | null
  readonly onKey: (event: KeyboardEvent, lesson: string) => void
}

function DayRow({ sampler, done, on, held, onHold, onHoldAfterAll, day, stop, onKey }: DayProps) {
  if (day.kind === 'off')
    return (
      <tr className="is-off">
        <td>{dayWords(day.on)}</td>
        <td colSpan={4}>
          No lesson{day.why === '' ? '' : `: ${day.why}`}.{' '}
          {on.isOwn && (
            <Button size="small" type="link" onClick={() => onHoldAfterAll(day.on)}>
              Hold it after all
            </Button>
          )}
        </td>
      </tr>
    )
  if (day.kind === 'catch-up')
    return (
      <tr>
        <td>{dayWords(day.on)}</td>
        <td colSpan={4}>To catch up: nothing new.</td>
      </tr>
    )
  const index = on.lessons.findIndex((one) => one.id === day.lesson)
  const lesson = on.lessons[index]
  const minutes = on.minutes[index]
  if (!lesson || !minutes) return null
  const said = on.problems.filter((one) => one.path[1] === lesson.id)
  const worked = lesson.exercises.flatMap((id) => done.find((one) => one.exercise.id === id) ?? [])
  return (
    <tr className={lesson.id === held ? 'is-held' : undefined} onClick={() => onHold(lesson.id)}>
      <td>
        {dayWords(day.on)}
        <span className="quiet">{on.calendar.begins}</span>
      </td>
      <td>
        <span className="calendar-lesson">
          <span className="calendar-swatches">
            {worked.slice(0, 2).map((one) => (
              <ExerciseSwatch key={one.exercise.id} done={one} clothHex={sampler.cloth.colour.hex} widthPx={48} heightPx={24} />
            ))}
          </span>
          <button
            type="button"
            className="stored-name"
            data-lesson={day.part === 1 ? lesson.id : undefined}
            tabIndex={lesson.id === stop && day.part === 1 ? 0 : -1}
            aria-pressed={lesson.id === held}
            onKeyDown={(event) => onKey(event, lesson.id)}
          >
            <span>
              {index + 1}. {lesson.title}
              {day.parts > 1 ? `, ${day.part} of 2` : ''}
            </span>
          </button>
          {said.map((one) => (
            <span key={one.code} className="caution calendar-said">
              {problemInWords(one, sampler.units)}
            </span>
          ))}
        </span>
      </td>
      <td>
        {day.part === 1 && (
          <>
            <Bar parts={[minutes.showing, minutes.working, minutes.breaks]} room={minutes.room} />
            {Math.round(minutes.showing)} showing, {Math.round(minutes.working)} working
          </>
        )}
      </td>
      <td>
        {day.part === 1 && (
          <>
            <Bar parts={[0, minutes.home, 0]} room={on.homeRoom} />
            {Math.round(minutes.home)} min
          </>
        )}
      </td>
      <td>{said.length > 0 && <KnotGlyph title="something is to be said" />}</td>
    </tr>
  )
}
