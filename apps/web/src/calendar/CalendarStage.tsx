/** The course on dates: as a list by date or by month, moved by hand or by key, with what each lesson takes and who is where when. */
import { calendarCsv, classCalendarFile } from '@lemmata/contract'
import { addDays } from '@lemmata/core/calendar'
import { Button, Segmented, Select } from 'antd'
import { useState } from 'react'
import { useWorked } from '../compute/use-worked.ts'
import { courseNow } from '../order/use-course.ts'
import { useSampler } from '../sampler/use-sampler.ts'
import { useClass } from '../sheets/use-class.ts'
import { downloadText } from '../stitches/download.ts'
import { editClass, useAppSelector } from '../store/index.ts'
import { AddressDialog } from './AddressDialog.tsx'
import { CourseThread } from './CourseThread.tsx'
import { DatesDialog } from './DatesDialog.tsx'
import { behindInWords, LessonCard } from './LessonCard.tsx'
import { dayWords, LessonRows } from './LessonRows.tsx'
import { MonthView } from './MonthView.tsx'
import { RehearseDialog } from './RehearseDialog.tsx'
import { type DatedCourse, useCalendar } from './use-calendar.ts'

export function CalendarStage() {
  const sampler = useSampler()
  const worked = useWorked()
  const id = useAppSelector((state) => state.sampler.open?.id ?? '')
  const group = useClass(id)
  const { course } = courseNow(sampler, worked)
  const own = group.open?.document.calendar
  const on = useCalendar(sampler, own, course)
  const [view, setView] = useState<'lessons' | 'month'>('lessons')
  const [held, setHeld] = useState<string | null>(null)
  const [dating, setDating] = useState(false)
  const [sharing, setSharing] = useState(false)
  const [rehearsing, setRehearsing] = useState(false)
  const lesson = on.lessons.find((one) => one.id === held)
  const begin = async (): Promise<void> => {
    if (await group.ensure()) {
      editClass({ kind: 'set-calendar', calendar: on.calendar })
      setDating(true)
    }
  }
  const move = (which: string, days: number): void => {
    const day = on.laid.lessons.find((one) => one.lesson === which)?.on[0]
    if (day === undefined || !own) return
    editClass({ kind: 'move-date', lesson: which, to: { on: addDays(day, days), follow: own.moved[which]?.follow ?? false } })
  }
  if (sampler.lessons.length === 0)
    return (
      <div className="stage-frame">
        <h1 className="visually-hidden">Calendar</h1>
        <p className="quiet stage-empty">No lesson yet: put exercises into lessons under Order, and they are laid on dates here.</p>
      </div>
    )
  return (
    <div className="stage-frame">
      <h1 className="visually-hidden">Calendar</h1>
      <div className="toolbar">
        <Segmented
          aria-label="Seen as"
          value={view}
          onChange={setView}
          options={[
            { value: 'lessons', label: 'Lessons' },
            { value: 'month', label: 'Month' },
          ]}
        />
        {group.classes.length > 1 && (
          <Select
            aria-label="Class"
            value={group.open?.id ?? null}
            options={group.classes.map((one) => ({ value: one.id, label: one.name }))}
            onChange={group.choose}
            style={{ minWidth: 160 }}
          />
        )}
        {own ? (
          <Button onClick={() => setDating(true)}>Dates and days off</Button>
        ) : (
          <>
            <span className="quiet">As the brief has in mind.</span>
            <Button type="primary" onClick={() => void begin()}>
              Give the class these dates
            </Button>
          </>
        )}
        <span className="toolbar-end">
          {own && Object.keys(own.moved).length > 0 && (
            <Button
              onClick={() => editClass({ kind: 'batch', operations: Object.keys(own.moved).map((which) => ({ kind: 'move-date', lesson: which, to: null })) })}
            >
              Date all again
            </Button>
          )}
          <Button onClick={() => setRehearsing(true)} disabled={!worked.complete}>
            Rehearse
          </Button>
          {own && <Button onClick={() => setSharing(true)}>Subscribe</Button>}
          <Button
            onClick={() => downloadText(`${sampler.name}.ics`, classCalendarFile(sampler, on.calendar, group.open?.id ?? id, new Date()), 'text/calendar')}
          >
            Calendar file
          </Button>
          <Button onClick={() => downloadText(`${sampler.name}.csv`, calendarCsv(on), 'text/csv')}>Table</Button>
        </span>
      </div>
      <div className="stores-body">
        <div className="stage-scroll" tabIndex={0} role="region" aria-label="Dates">
          {view === 'month' ? (
            <MonthView on={on} onHold={setHeld} />
          ) : (
            <>
              <CourseThread on={on} held={held} onHold={setHeld} />
              <LessonRows
                {...{ sampler, on, held }}
                done={worked.done}
                onHold={setHeld}
                onMove={move}
                onHoldAfterAll={(day) => editClass({ kind: 'set-day-off', on: day, why: null })}
              />
              <Legend on={on} complete={worked.complete} />
            </>
          )}
        </div>
        {lesson && <LessonCard key={lesson.id} {...{ sampler, course, on, lesson }} onClose={() => setHeld(null)} />}
      </div>
      {rehearsing && <RehearseDialog sampler={sampler} course={course} on={on} onClose={() => setRehearsing(false)} />}
      {sharing && group.open && <AddressDialog classId={group.open.id} onClose={() => setSharing(false)} />}
      {dating && own && <DatesDialog calendar={own} onClose={() => setDating(false)} />}
    </div>
  )
}

function Legend({ on, complete }: { readonly on: DatedCourse; readonly complete: boolean }) {
  const last = on.laid.days.filter((day) => day.kind === 'lesson').at(-1)
  return (
    <p className="why stage-note calendar-legend">
      <span className="legend-mark bar-showing" aria-hidden="true" /> showing <span className="legend-mark bar-working" aria-hidden="true" /> working{' '}
      <span className="legend-mark bar-break" aria-hidden="true" /> break. First attempts are counted in. {!complete && 'Still working the exercises …'}
      {complete &&
        last &&
        `After the last lesson, ${dayWords(last.on)}, and its week: ${on.forecast.map(({ pace, behind }) => `${pace} hands ${behindInWords(behind.at(-1)?.minutes ?? 0)}`).join(', ')}.`}
    </p>
  )
}
