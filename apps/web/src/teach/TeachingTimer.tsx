/** What is on by the running order, what is left of the lesson, and when hands and eyes rest. Begun and stopped by hand. */
import { type RunningOrder, teachingClock, type Turn } from '@lemmata/core/calendar'
import { Button } from 'antd'
import { useEffect, useState } from 'react'

const MINUTE = 60_000

interface Props {
  /** One for each date that the lesson is held on. */
  readonly orders: readonly RunningOrder[]
  /** Minutes of a date. */
  readonly room: number
  readonly letters: ReadonlyMap<string, string>
}

export function TeachingTimer({ orders, room, letters }: Props) {
  const [begun, setBegun] = useState<{ readonly at: number; readonly turns: readonly Turn[] } | null>(null)
  const [now, setNow] = useState(0)
  useEffect(() => {
    if (begun === null) return
    const tick = setInterval(() => setNow(performance.now()), 1000)
    return () => clearInterval(tick)
  }, [begun])
  if (begun === null)
    return orders.map(({ turns }, index) => (
      <Button
        key={index}
        size="large"
        onClick={() => {
          setBegun({ at: performance.now(), turns })
          setNow(performance.now())
        }}
      >
        {orders.length === 1 ? `Begin the ${room} minutes` : `Begin date ${index + 1}, ${room} min`}
      </Button>
    ))
  const { left, over, now: on, breakIn, resting } = teachingClock(Math.floor((now - begun.at) / MINUTE), begun.turns)
  return (
    <span className={`teach-timer${resting !== null || over > 0 ? ' teach-now' : ''}`} role="timer">
      {resting !== null
        ? `Break: stand up, open the hands. ${resting} min`
        : over > 0
          ? `${over} min over`
          : `${on ? `${turnInWords(on, letters)} · ` : ''}${left} min left${breakIn === null ? '' : `, break in ${breakIn}`}`}
      <Button size="small" type="text" onClick={() => setBegun(null)} aria-label="Stop the clock">
        ×
      </Button>
    </span>
  )
}

const TURNS: Readonly<Record<Turn['kind'], string>> = {
  arrive: 'arriving',
  recap: 'looking back',
  show: 'show',
  work: 'work',
  break: 'break',
  look: 'looking in pairs',
  spare: 'to spare',
  close: 'closing',
}

const turnInWords = ({ kind, exercise }: Turn, letters: ReadonlyMap<string, string>): string =>
  [TURNS[kind], ...(exercise === null ? [] : [letters.get(exercise) ?? ''])].join(' ')
