/** How long the lesson has gone on, what is left of it, and when hands and eyes rest. Begun and stopped by hand. */
import { teachingClock } from '@lemmata/core/calendar'
import { Button } from 'antd'
import { useEffect, useState } from 'react'

const MINUTE = 60_000

export function TeachingTimer({ room }: { readonly room: number }) {
  const [begun, setBegun] = useState<number | null>(null)
  const [now, setNow] = useState(0)
  useEffect(() => {
    if (begun === null) return
    const tick = setInterval(() => setNow(performance.now()), 1000)
    return () => clearInterval(tick)
  }, [begun])
  if (begun === null)
    return (
      <Button
        size="large"
        onClick={() => {
          setBegun(performance.now())
          setNow(performance.now())
        }}
      >
        Begin the {room} minutes
      </Button>
    )
  const { left, over, breakIn, resting } = teachingClock(Math.floor((now - begun) / MINUTE), room)
  return (
    <span className={`teach-timer${resting !== null || over > 0 ? ' teach-now' : ''}`} role="timer">
      {resting !== null
        ? `Break: stand up, open the hands. ${resting} min`
        : over > 0
          ? `${over} min over`
          : `${left} min left${breakIn === null ? '' : `, break in ${breakIn}`}`}
      <Button size="small" type="text" onClick={() => setBegun(null)} aria-label="Stop the clock">
        ×
      </Button>
    </span>
  )
}
