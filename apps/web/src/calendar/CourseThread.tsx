/** The thread of the course: a stitch for each lesson, as far apart as their dates; a day off is a gap that is not sewn. */
import { daysBetween } from '@lemmata/core/calendar'
import { counted, listInWords } from '@lemmata/core/units'
import dayjs from 'dayjs'
import { dayWords } from './LessonRows.tsx'
import type { DatedCourse } from './use-calendar.ts'

interface Props {
  readonly on: DatedCourse
  readonly held: string | null
  readonly onHold: (lesson: string) => void
}

const WIDE = 1000
const HIGH = 34
const Y = 20
/** Of a stitch, at most; and of what stands between two. */
const LONGEST = 46
const GAP = 10

export function CourseThread({ on, held, onHold }: Props) {
  const { days } = on.laid
  const [first, last] = [days[0], days.at(-1)]
  if (!first || !last || days.length < 2) return null
  const whole = Math.max(1, daysBetween(first.on, last.on))
  const edge = LONGEST / 2 + 12
  const at = (day: string): number => edge + ((WIDE - 2 * edge) * daysBetween(first.on, day)) / whole
  const closest = Math.min(
    ...days
      .slice(1)
      .map((day, index) => at(day.on) - at(days[index]?.on ?? day.on))
      .filter((apart) => apart > 0),
    LONGEST + GAP,
  )
  const half = Math.max(3, Math.min(LONGEST, closest - GAP) / 2)
  const today = dayjs().format('YYYY-MM-DD')
  const isWithin = today >= first.on && today <= last.on
  return (
    <svg className="course-thread" viewBox={`0 0 ${WIDE} ${HIGH}`} role="img" aria-label={threadInWords(on)}>
      <line x1={0} x2={WIDE} y1={Y} y2={Y} className="course-ground" />
      {days.map((day) => {
        const x = at(day.on)
        const key = `${day.kind} ${day.on}`
        if (day.kind === 'off')
          return (
            <g key={key} className="course-off">
              <title>{`${dayWords(day.on)}: no class${day.why === '' ? '' : `, ${day.why}`}`}</title>
              <circle cx={x - half} cy={Y} r={2} />
              <circle cx={x + half} cy={Y} r={2} />
            </g>
          )
        if (day.kind === 'catch-up')
          return (
            <g key={key} className="course-catch-up">
              <title>{`${dayWords(day.on)}: catching up`}</title>
              <circle cx={x} cy={Y} r={4.5} />
            </g>
          )
        const index = on.lessons.findIndex((one) => one.id === day.lesson)
        return (
          // biome-ignore lint/a11y/noStaticElementInteractions: the same by key in the rows below; here it is only nearer to the pointer.
          // biome-ignore lint/a11y/useKeyWithClickEvents: as above.
          <g key={`${key} ${day.part}`} className={`course-lesson${day.lesson === held ? ' is-held' : ''}`} onClick={() => onHold(day.lesson)}>
            <title>{`${dayWords(day.on)}: ${on.lessons[index]?.title ?? ''}`}</title>
            <line x1={x - half} x2={x + half} y1={Y} y2={Y} />
            <text x={x} y={11} textAnchor="middle">
              {index + 1}
            </text>
          </g>
        )
      })}
      {isWithin && <line className="course-today" x1={at(today)} x2={at(today)} y1={13} y2={HIGH} />}
    </svg>
  )
}

function threadInWords({ laid }: DatedCourse): string {
  const of = (kind: string): number => laid.days.filter((one) => one.kind === kind).length
  const [first, last] = [laid.days[0]?.on ?? '', laid.days.at(-1)?.on ?? '']
  const parts = [
    counted(of('lesson'), 'date'),
    ...(of('off') > 0 ? [`${counted(of('off'), 'day')} without class`] : []),
    ...(of('catch-up') > 0 ? [`${counted(of('catch-up'), 'day')} to catch up`] : []),
  ]
  return `The thread of the course, from ${dayWords(first)} to ${dayWords(last)}: ${listInWords(parts)}`
}
