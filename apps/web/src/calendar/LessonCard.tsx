/** One lesson's date: moved alone or with all after it, given a second one; what takes its time, and what would make it fit. */
import { problemInWords } from '@lemmata/contract'
import { homeToFit } from '@lemmata/core/calendar'
import type { ClassCalendar } from '@lemmata/core/classes'
import type { CourseItem } from '@lemmata/core/order'
import type { Lesson, Sampler } from '@lemmata/core/sampler'
import { counted } from '@lemmata/core/units'
import { Button, Checkbox, DatePicker, Select } from 'antd'
import dayjs from 'dayjs'
import { useState } from 'react'
import { Link } from 'react-router'
import { KnotGlyph } from '../look/Glyphs.tsx'
import { Field, NumberField } from '../sampler/fields.tsx'
import { edit, editClass } from '../store/index.ts'
import { dayWords } from './LessonRows.tsx'
import type { DatedCourse } from './use-calendar.ts'

interface Props {
  readonly sampler: Sampler
  readonly course: readonly CourseItem[]
  readonly on: DatedCourse
  readonly lesson: Lesson
  readonly onClose: () => void
}

export function LessonCard({ sampler, course, on, lesson, onClose }: Props) {
  const { calendar } = on
  const index = on.lessons.indexOf(lesson)
  const dated = on.laid.lessons[index]
  const minutes = on.minutes[index]
  const moved = calendar.moved[lesson.id]
  const [follow, setFollow] = useState(moved?.follow ?? false)
  const said = on.problems.filter((one) => one.path[1] === lesson.id)
  const day = dated?.on[0]
  const longest = sampler.exercises.find((one) => one.id === minutes?.longest)
  const home = minutes && longest ? homeToFit(minutes, course, longest.homePercent ?? 0) : null
  const move = (to: string): void => editClass({ kind: 'move-date', lesson: lesson.id, to: { on: to, follow } })
  const twice = (is: boolean): void =>
    editClass({ kind: 'change-calendar', set: { twice: is ? [...calendar.twice, lesson.id] : calendar.twice.filter((one) => one !== lesson.id) } })
  const isTwice = calendar.twice.includes(lesson.id)
  return (
    <aside className="card" aria-label={lesson.title}>
      <div className="card-head">
        <span className="letter">{index + 1}</span>
        <div className="card-title">
          <h2 title={lesson.title}>{lesson.title}</h2>
          <span>
            {day === undefined ? 'no date' : dayWords(day)}
            {dated?.seenFrom ? <span className="quiet"> · pages from {dayWords(dated.seenFrom)}</span> : null}
          </span>
        </div>
        <Button type="text" aria-label="Close the card" title="Close" onClick={onClose}>
          ×
        </Button>
      </div>
      <Link to={`../teach/${lesson.id}/0`} relative="path" className="teach-link">
        Teach this lesson
      </Link>
      {said.length > 0 && (
        <div className="card-problems">
          {said.map((one) => (
            <p key={one.code}>
              <KnotGlyph /> {problemInWords(one, sampler.units)}
            </p>
          ))}
          {home !== null && longest && (
            <Button onClick={() => edit({ kind: 'change-exercise', id: longest.id, set: { homePercent: home } })}>
              {home} % of {longest.name} at home
            </Button>
          )}
          {said.some((one) => one.code === 'calendar.too-full') && !isTwice && on.isOwn && <Button onClick={() => twice(true)}>Give it a second date</Button>}
          {moved && <Button onClick={() => editClass({ kind: 'move-date', lesson: lesson.id, to: null })}>Put its date back</Button>}
        </div>
      )}
      <div className="card-groups stored-groups">
        <Settings calendar={calendar} on={on} />
        {on.isOwn && (
          <div className="group">
            <h3>Its date</h3>
            <Field label="Held on" hint={follow ? 'All lessons after it go on from there.' : 'Moving this date moves nothing else.'}>
              {(id) => (
                <DatePicker
                  id={id}
                  allowClear={false}
                  value={day === undefined ? null : dayjs(day)}
                  onChange={(to) => to && move(to.format('YYYY-MM-DD'))}
                  style={{ width: '100%' }}
                />
              )}
            </Field>
            <Checkbox
              checked={follow}
              onChange={(event) => {
                setFollow(event.target.checked)
                if (moved) editClass({ kind: 'move-date', lesson: lesson.id, to: { on: moved.on, follow: event.target.checked } })
              }}
            >
              Move all after it too
            </Checkbox>
            <Checkbox checked={isTwice} onChange={(event) => twice(event.target.checked)}>
              Held on two dates
            </Checkbox>
            {moved && said.length === 0 && (
              <Button size="small" onClick={() => editClass({ kind: 'move-date', lesson: lesson.id, to: null })}>
                Put its date back
              </Button>
            )}
          </div>
        )}
        <div className="group">
          <h3>What takes the time</h3>
          <dl className="facts-list">
            {lesson.exercises.map((id) => {
              const item = course.find((one) => one.id === id)
              return item ? (
                <div key={id} style={{ display: 'contents' }}>
                  <dt>{item.name}</dt>
                  <dd>
                    {Math.round(item.showMinutes)} showing, {Math.round(item.minutes - item.showMinutes)} working
                    {item.homeMinutes >= 0.5 ? `, ${Math.round(item.homeMinutes)} at home` : ''}
                  </dd>
                </div>
              ) : null
            })}
          </dl>
        </div>
        <div className="group">
          <h3>Who is where after it</h3>
          <dl className="facts-list">
            {on.forecast.map(({ pace, behind }) => (
              <div key={pace} style={{ display: 'contents' }}>
                <dt>{pace} hands</dt>
                <dd>{behindInWords(behind[index]?.minutes ?? 0)}</dd>
              </div>
            ))}
          </dl>
          <p className="why">With the home minutes of the week before the next lesson worked. A forecast: minutes are known to 30 %.</p>
        </div>
      </div>
    </aside>
  )
}

export const behindInWords = (minutes: number): string => (minutes < 0.5 ? 'up to date' : `${counted(Math.round(minutes), 'minute')} behind`)

const FROM_THE_BEGINNING = -1
const RELEASES: readonly number[] = [FROM_THE_BEGINNING, 0, 1, 3, 7, 14]

const releaseInWords = (days: number): string =>
  days === FROM_THE_BEGINNING ? 'from the beginning' : days === 0 ? 'on its day' : `${counted(days, 'day')} before its day`

/** Of the whole class, where it has dates of its own. */
function Settings({ calendar, on }: { readonly calendar: ClassCalendar; readonly on: DatedCourse }) {
  if (!on.isOwn) return null
  return (
    <div className="group">
      <h3>Every lesson</h3>
      <div className="pair">
        <NumberField
          label="In class, min"
          value={on.room}
          min={10}
          max={600}
          step={5}
          onChange={(minutes) => editClass({ kind: 'change-calendar', set: { minutes } })}
        />
        <NumberField
          label="At home a week, min"
          value={on.homeRoom}
          min={0}
          max={3000}
          step={5}
          onChange={(homeMinutes) => editClass({ kind: 'change-calendar', set: { homeMinutes } })}
        />
      </div>
      <Field label="Learners get its pages" hint="The day stands with each lesson, here and in the table.">
        {(id) => (
          <Select<number>
            id={id}
            style={{ width: '100%' }}
            value={calendar.releaseDays ?? FROM_THE_BEGINNING}
            onChange={(days) =>
              editClass(
                days === FROM_THE_BEGINNING
                  ? { kind: 'change-calendar', set: {}, clear: ['releaseDays'] }
                  : { kind: 'change-calendar', set: { releaseDays: days } },
              )
            }
            options={[...new Set([...RELEASES, calendar.releaseDays ?? FROM_THE_BEGINNING])].map((days) => ({ value: days, label: releaseInWords(days) }))}
          />
        )}
      </Field>
      <p className="why">
        Begins at {calendar.begins}, {calendar.zone.replaceAll('_', ' ')}.
      </p>
    </div>
  )
}
