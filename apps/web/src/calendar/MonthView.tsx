/** The same dates month by month. */
import { Button, Calendar } from 'antd'
import dayjs from 'dayjs'
import { useState } from 'react'
import type { DatedCourse } from './use-calendar.ts'

export function MonthView({ on, onHold }: { readonly on: DatedCourse; readonly onHold: (lesson: string) => void }) {
  const today = dayjs().format('YYYY-MM-DD')
  const [shown, setShown] = useState(dayjs(on.laid.days.find((day) => day.on >= today)?.on ?? on.laid.days[0]?.on ?? today))
  return (
    <Calendar
      className="month-view"
      value={shown}
      onChange={setShown}
      headerRender={({ value, onChange }) => (
        <div className="month-head">
          <Button aria-label="The month before" onClick={() => onChange(value.subtract(1, 'month'))}>
            ‹
          </Button>
          <h2 aria-live="polite">{value.format('MMMM YYYY')}</h2>
          <Button aria-label="The month after" onClick={() => onChange(value.add(1, 'month'))}>
            ›
          </Button>
        </div>
      )}
      cellRender={(date, { type }) =>
        type === 'date'
          ? on.laid.days
              .filter((day) => day.on === date.format('YYYY-MM-DD'))
              .map((day) => {
                if (day.kind !== 'lesson')
                  return (
                    <p key={day.kind} className="quiet">
                      {day.kind === 'off' ? `no lesson${day.why === '' ? '' : `: ${day.why}`}` : 'catching up'}
                    </p>
                  )
                const index = on.lessons.findIndex((one) => one.id === day.lesson)
                return (
                  <button key={day.lesson} type="button" className="month-lesson" onClick={() => onHold(day.lesson)}>
                    {index + 1}. {on.lessons[index]?.title}
                  </button>
                )
              })
          : null
      }
    />
  )
}
