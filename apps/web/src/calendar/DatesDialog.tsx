/** When the class meets: from which day, in which rhythm, at what hour, and on which days it does not. */
import { readDaysOff } from '@lemmata/contract'
import type { ClassCalendar, Rhythm } from '@lemmata/core/classes'
import { counted } from '@lemmata/core/units'
import { App, Button, DatePicker, Input, Modal, Select, TimePicker } from 'antd'
import dayjs from 'dayjs'
import { useState } from 'react'
import { FileButton } from '../look/FileButton.tsx'
import { Field } from '../sampler/fields.tsx'
import { editClass } from '../store/index.ts'
import { dayWords } from './LessonRows.tsx'

interface Props {
  readonly calendar: ClassCalendar
  readonly onClose: () => void
}

const RHYTHMS: readonly { readonly value: string; readonly label: string; readonly rhythm: Rhythm }[] = [
  { value: 'daily', label: 'every day', rhythm: { kind: 'every', days: 1 } },
  { value: 'weekly', label: 'every week', rhythm: { kind: 'every', days: 7 } },
  { value: 'fortnight', label: 'every other week', rhythm: { kind: 'every', days: 14 } },
  { value: 'monthly', label: 'every month', rhythm: { kind: 'monthly' } },
  { value: 'weekdays', label: 'on weekdays', rhythm: { kind: 'weekdays', days: [1, 4] } },
  { value: 'chosen', label: 'on chosen days', rhythm: { kind: 'chosen', on: [] } },
]
const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']
const iso = (day: dayjs.Dayjs): string => day.format('YYYY-MM-DD')

function nameOf(rhythm: Rhythm): string {
  if (rhythm.kind !== 'every') return rhythm.kind
  return rhythm.days === 1 ? 'daily' : rhythm.days === 7 ? 'weekly' : rhythm.days === 14 ? 'fortnight' : 'days'
}

export function DatesDialog({ calendar, onClose }: Props) {
  const { rhythm } = calendar
  const set = (change: Partial<Pick<ClassCalendar, 'start' | 'rhythm' | 'begins' | 'zone' | 'catchUp'>>): void =>
    editClass({ kind: 'change-calendar', set: change })
  const options = RHYTHMS.map(({ value, label }) => ({ value, label }))
  return (
    <Modal open title="Dates of the class" footer={null} width={640} onCancel={onClose}>
      <div className="group">
        <div className="pair">
          <Field label="From">
            {(id) => <DatePicker id={id} allowClear={false} value={dayjs(calendar.start)} onChange={(day) => day && set({ start: iso(day) })} />}
          </Field>
          <Field label="Meets">
            {(id) => (
              <Select
                id={id}
                value={nameOf(rhythm)}
                options={
                  nameOf(rhythm) === 'days' ? [...options, { value: 'days', label: `every ${rhythm.kind === 'every' ? rhythm.days : 7} days` }] : options
                }
                onChange={(value) => {
                  const found = RHYTHMS.find((one) => one.value === value)
                  if (found) set({ rhythm: found.rhythm.kind === 'chosen' ? { kind: 'chosen', on: [calendar.start] } : found.rhythm })
                }}
              />
            )}
          </Field>
          <Field label="Begins at">
            {(id) => (
              <TimePicker
                id={id}
                allowClear={false}
                format="HH:mm"
                minuteStep={5}
                value={dayjs(`2027-01-01T${calendar.begins}`)}
                onChange={(at) => at && set({ begins: at.format('HH:mm') })}
              />
            )}
          </Field>
          <Field label="By the clock of">
            {(id) => (
              <Select
                id={id}
                showSearch
                value={calendar.zone}
                options={[...new Set([calendar.zone, ...Intl.supportedValuesOf('timeZone')])].map((zone) => ({
                  value: zone,
                  label: zone.replaceAll('_', ' '),
                }))}
                onChange={(zone) => set({ zone })}
              />
            )}
          </Field>
        </div>
        {rhythm.kind === 'weekdays' && (
          <Field label="On">
            {(id) => (
              <Select<number[]>
                id={id}
                mode="multiple"
                value={[...rhythm.days]}
                options={WEEKDAYS.map((label, index) => ({ value: index + 1, label }))}
                onChange={(days) => days.length > 0 && set({ rhythm: { kind: 'weekdays', days: [...days].sort() } })}
              />
            )}
          </Field>
        )}
        {rhythm.kind === 'chosen' && <Days label="Chosen days" days={rhythm.on} onChange={(on) => set({ rhythm: { kind: 'chosen', on } })} />}
        <Days label="Dates to catch up, with nothing new" days={calendar.catchUp} onChange={(catchUp) => set({ catchUp })} />
        <DaysOff calendar={calendar} />
      </div>
    </Modal>
  )
}

function Days({ label, days, onChange }: { readonly label: string; readonly days: readonly string[]; readonly onChange: (days: readonly string[]) => void }) {
  return (
    <Field label={label}>
      {(id) => (
        <DatePicker
          id={id}
          multiple
          value={days.map((one) => dayjs(one))}
          onChange={(chosen) => onChange((chosen ?? []).map(iso).sort())}
          style={{ width: '100%' }}
        />
      )}
    </Field>
  )
}

function DaysOff({ calendar }: { readonly calendar: ClassCalendar }) {
  const [day, setDay] = useState<dayjs.Dayjs | null>(null)
  const [why, setWhy] = useState('')
  const { message } = App.useApp()
  const add = (): void => {
    if (!day) return
    editClass({ kind: 'set-day-off', on: iso(day), why: why.trim() })
    setDay(null)
    setWhy('')
  }
  const bring = async (file: File): Promise<void> => {
    const days = readDaysOff(await file.text())
    if (days === null) {
      message.error(`${file.name} is no calendar file. Holidays are published as files that end in .ics.`, 6)
      return
    }
    const fresh = days.filter(({ on }) => !(on in calendar.off))
    if (fresh.length > 0) editClass({ kind: 'batch', operations: fresh.map(({ on, why: reason }) => ({ kind: 'set-day-off', on, why: reason })) })
    message.success(fresh.length === 0 ? 'All of its days are off already.' : `${counted(fresh.length, 'day')} off more. Undo takes them back in one.`)
  }
  const all = Object.entries(calendar.off)
  return (
    <section>
      <h3>Days off</h3>
      <div className="days-off-new">
        <DatePicker aria-label="A day off" value={day} onChange={setDay} />
        <Input aria-label="Why" placeholder="why" maxLength={120} value={why} onChange={(event) => setWhy(event.target.value)} onPressEnter={add} />
        <Button disabled={!day} onClick={add}>
          Add
        </Button>
        <FileButton label="Holidays as a calendar file" accept=".ics,text/calendar" onFile={(file) => void bring(file)}>
          From a calendar file
        </FileButton>
      </div>
      <ul className="days-off">
        {all.map(([on, reason]) => (
          <li key={on}>
            <span>
              {dayWords(on)}
              {reason === '' ? '' : `: ${reason}`}
            </span>
            <Button
              size="small"
              type="text"
              aria-label={`Hold a lesson on ${dayWords(on)} after all`}
              onClick={() => editClass({ kind: 'set-day-off', on, why: null })}
            >
              Take off
            </Button>
          </li>
        ))}
      </ul>
    </section>
  )
}
