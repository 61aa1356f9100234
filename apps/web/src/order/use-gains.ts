/** Moves of one exercise that would help the present order, sought off the page's thread whenever the order changes. */
import type { OrderGain } from '@lemmata/core/order'
import { useEffect, useRef, useState } from 'react'
import { startOrderWorker } from './use-finder.ts'
import type { Course } from './use-course.ts'

/** Edits that follow each other quickly are one question. */
const RESTS_MS = 120

/** Null while they are sought. */
export function useGains({ course, plan, settings }: Course): readonly OrderGain[] | null {
  const [gains, setGains] = useState<readonly OrderGain[] | null>(null)
  const worker = useRef<ReturnType<typeof startOrderWorker> | null>(null)
  useEffect(
    () => () => {
      worker.current?.end()
      worker.current = null
    },
    [],
  )
  useEffect(() => {
    let dropped = false
    setGains(null)
    if (course.length < 2) return
    const seek = (): void => {
      worker.current ??= startOrderWorker()
      const asked = worker.current
      asked
        .ask((service) => service.gains(course, plan, settings))
        .then(
          (found) => {
            if (!dropped) setGains(found)
          },
          () => {
            // Nothing is lost: the whole order can still be sought, and that says so when it breaks.
            if (worker.current === asked) worker.current = null
            if (!dropped) setGains([])
          },
        )
    }
    const timer = setTimeout(seek, RESTS_MS)
    return () => {
      dropped = true
      clearTimeout(timer)
    }
  }, [course, plan, settings])
  return gains
}
