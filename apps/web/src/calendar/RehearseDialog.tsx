/** A class that is not there yet works the course, many times over: how many are done with each lesson, where most fall behind, and how it would be otherwise. */
import { type DividedLesson, lessonMinutes, oneLessonLess, oneLessonMore, type Rehearsal } from '@lemmata/core/calendar'
import type { CourseItem } from '@lemmata/core/order'
import type { Sampler } from '@lemmata/core/sampler'
import { counted } from '@lemmata/core/units'
import { Button, Modal, Progress, Select, Slider } from 'antd'
import { useMemo, useState } from 'react'
import type { RehearsedOnDates } from '../compute/rehearsal.worker.ts'
import type { DatedCourse } from './use-calendar.ts'
import { type Running, useRehearsal } from './use-rehearsal.ts'

interface Props {
  readonly sampler: Sampler
  readonly course: readonly CourseItem[]
  readonly on: DatedCourse
  readonly onClose: () => void
  /** Otherwise in a test. */
  readonly begin?: () => Running
}

/** More make the figures steadier, and take longer. */
const CLASSES = [100, 1000, 10_000] as const
const SEED = 20_270_114
/** Of the paces about the usual: all alike, as most classes are, widely apart. */
const SPREADS = [0, 0.2, 0.35, 0.5]

type Beside = 'none' | 'slower' | 'more' | 'less' | `kept ${string}`

export function RehearseDialog({ sampler, course, on, onClose, begin }: Props) {
  const [spread, setSpread] = useState(2)
  const [missed, setMissed] = useState(10)
  const [practised, setPractised] = useState(70)
  const [beside, setBeside] = useState<Beside>('none')
  const [classes, setClasses] = useState<number>(1000)
  const learners = Math.max(1, sampler.brief.learners)
  const how = useMemo(
    () => ({ ...{ classes, learners, seed: SEED, spread: SPREADS[spread] ?? 0.35 }, missed: missed / 100, practised: practised / 100 }),
    [classes, learners, spread, missed, practised],
  )
  const courses = useMemo(() => coursesFor(beside, sampler, on, course), [beside, sampler, on, course])
  const { rehearsing, stop, repeat } = useRehearsal(courses, how, begin)
  const [now, other] = rehearsing.found
  const end = now?.lessons.at(-1)
  const titles = new Map(on.lessons.map((one, index) => [one.id as string, `${index + 1} ${one.title}`]))
  return (
    <Modal open title="Rehearse the course" width={760} footer={null} onCancel={onClose}>
      <div className="rehearse-how">
        <Setting
          label="Learners' paces"
          said={['all alike', 'much alike', 'as usual', 'far apart'][spread] ?? ''}
          max={3}
          value={spread}
          onChange={setSpread}
        />
        <Setting label="Lessons missed" said={`${missed} %`} max={50} value={missed} onChange={setMissed} />
        <Setting label="Weeks practised at home" said={`${practised} %`} max={100} value={practised} onChange={setPractised} />
        <Select<Beside>
          aria-label="Beside it"
          style={{ minWidth: 240 }}
          value={beside}
          onChange={setBeside}
          options={[
            { value: 'none', label: 'As it is' },
            { value: 'slower', label: 'Beside it: twice as long between' },
            { value: 'more', label: 'Beside it: one lesson more' },
            { value: 'less', label: 'Beside it: one lesson less' },
            ...sampler.keptOrders.map((one) => ({ value: `kept ${one.id}` as const, label: `Beside it: ${one.name}` })),
          ]}
        />
        <Select<number>
          aria-label="Simulated classes"
          style={{ minWidth: 140 }}
          value={classes}
          onChange={setClasses}
          options={CLASSES.map((count) => ({ value: count, label: `${count.toLocaleString('en')} classes` }))}
        />
      </div>
      <div className="rehearse-state">
        <p role="status">{rehearsing.state === 'failed' ? 'The rehearsal stopped unexpectedly.' : now ? inWords(now, titles) : 'Rehearsing …'}</p>
        {rehearsing.state === 'busy' && <Progress percent={Math.round(100 * rehearsing.share)} size="small" aria-label="Rehearsed" />}
        {rehearsing.state === 'busy' ? (
          <Button size="small" onClick={stop}>
            Stop
          </Button>
        ) : (
          rehearsing.state !== 'done' && (
            <Button size="small" onClick={repeat}>
              Rehearse it
            </Button>
          )
        )}
      </div>
      <table className="kit-table rehearsal" aria-busy={rehearsing.state === 'busy'}>
        <thead>
          <tr>
            <th>After lesson</th>
            <th>Done with all so far</th>
            <th className="kit-number">In the middle</th>
            <th className="kit-number">One in ten more than</th>
          </tr>
        </thead>
        <tbody>
          {(now?.lessons ?? []).map(({ lesson, finished, middle, ninth }) => (
            <tr key={lesson}>
              <td>{titles.get(lesson)}</td>
              <td>
                <span className="share" style={{ '--share': finished } as React.CSSProperties}>
                  {Math.round(100 * finished)} %
                </span>
              </td>
              <td className="kit-number">{behind(middle)}</td>
              <td className="kit-number">{behind(ninth)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {other && (
        <p>
          <b>Beside it:</b> {counted(other.lessons.length, 'lesson')}, and {Math.round(100 * (other.lessons.at(-1)?.finished ?? 1))} % are done at the end in
          place of {Math.round(100 * (end?.finished ?? 1))} %; one in ten has more than {Math.round(other.lessons.at(-1)?.ninth ?? 0)} min left, in place of{' '}
          {Math.round(end?.ninth ?? 0)}.
        </p>
      )}
      <p className="why">
        A model, to compare courses by; it foretells nobody. {classes.toLocaleString('en')} classes of {learners}: a third of the learners are slower or quicker
        than usual by as much as is set; who misses a lesson does none of it there and is 15 % slower in the next; what a week at home has no room for is
        carried on. The same learners every time, so that what differs is the course.
      </p>
    </Modal>
  )
}

interface SettingProps {
  readonly label: string
  readonly said: string
  readonly max: number
  readonly value: number
  readonly onChange: (value: number) => void
}

function Setting({ label, said, max, value, onChange }: SettingProps) {
  return (
    <div className="weight">
      <span>{label}</span>
      <span className="quiet">{said}</span>
      <Slider min={0} max={max} step={max > 10 ? 5 : 1} value={value} onChange={onChange} ariaLabelForHandle={label} tooltip={{ formatter: null }} />
    </div>
  )
}

function inWords({ lessons, stuck }: Rehearsal, titles: ReadonlyMap<string, string>): string {
  const end = Math.round(100 * (lessons.at(-1)?.finished ?? 1))
  const done = `${end} % have all of it worked a week after the last lesson.`
  return stuck
    ? `${done} Most fall behind in ${titles.get(stuck.lesson) ?? stuck.lesson}: ${Math.round(100 * stuck.share)} % of all learners.`
    : `${done} Nobody falls behind.`
}

const behind = (minutes: number): string => (minutes < 0.5 ? 'nothing left' : `${Math.round(minutes)} min left`)

/** The course as it is, and whatever is beside it. */
function coursesFor(beside: Beside, sampler: Sampler, on: DatedCourse, course: readonly CourseItem[]): readonly RehearsedOnDates[] {
  const asItIs = { lessons: on.minutes, homeRoom: on.homeRoom, weeks: weeksOf(on, on.lessons, 1) }
  const divided = dividedBy(beside, sampler, on, course)
  if (beside === 'none' || !divided) return [asItIs]
  const dates = (id: string): number => Math.max(1, on.laid.lessons.find((one) => one.lesson === id)?.on.length ?? 1)
  const lessons = divided.map((one) => lessonMinutes(one, course, on.room, dates(one.id)))
  return [asItIs, { lessons, homeRoom: on.homeRoom, weeks: weeksOf(on, divided, beside === 'slower' ? 2 : 1) }]
}

const weeksOf = (on: DatedCourse, lessons: readonly { readonly id: string }[], times: number): Readonly<Record<string, number>> =>
  Object.fromEntries(lessons.map(({ id }) => [id, times * on.weeks(id)]))

function dividedBy(beside: Beside, sampler: Sampler, { lessons }: DatedCourse, course: readonly CourseItem[]): readonly DividedLesson[] | null {
  if (beside === 'more') return oneLessonMore(lessons, course)
  if (beside === 'less') return oneLessonLess(lessons, course)
  const kept = sampler.keptOrders.find((one) => beside === `kept ${one.id}`)
  return kept ? kept.lessons.map((exercises, index) => ({ id: lessons[index]?.id ?? `kept ${index}`, exercises })) : lessons
}
