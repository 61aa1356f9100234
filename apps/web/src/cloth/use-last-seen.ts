/** Ends what was shown while the cloth was on its way, and keeps the cloth as it is seen for the next time. */
import { type RefObject, useCallback, useEffect, useRef } from 'react'
import { useParams } from 'react-router'
import { useSessionQuery } from '../api/server-api.ts'
import { useWorked } from '../compute/use-worked.ts'
import { keepLastSeen, lastSeenOver } from '../drawing/last-seen.ts'

/** After the last change, so that work never waits for it. */
const AFTER_MS = 1500
const QUALITY = 0.9

/** `isAsOpened`: seen as it will be seen when it is opened again. Answers with what is called when the picture is whole. */
export function useLastSeen(box: RefObject<HTMLElement | null>, isAsOpened: boolean): (painted: HTMLCanvasElement) => void {
  const { id } = useParams()
  const { data: teacher } = useSessionQuery()
  const { complete } = useWorked()
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const now = { id, teacher: teacher?.id, isAsOpened, complete }
  const latest = useRef(now)
  latest.current = now
  useEffect(
    () => () => {
      clearTimeout(timer.current)
      lastSeenOver()
    },
    [],
  )
  return useCallback(
    (painted) => {
      clearTimeout(timer.current)
      // The bare cloth is painted first.
      if (!latest.current.complete) return
      lastSeenOver()
      timer.current = setTimeout(() => {
        const now = latest.current
        const place = box.current?.getBoundingClientRect()
        if (now.isAsOpened && now.id && now.teacher && place && place.width > 0) keep(painted, place, now.teacher, now.id)
      }, AFTER_MS)
    },
    [box],
  )
}

/** Without the margin that is painted about what is seen. */
function keep(painted: HTMLCanvasElement, place: DOMRect, teacher: string, sampler: string): void {
  const over = painted.getBoundingClientRect()
  const ratio = painted.width / over.width
  const seen = document.createElement('canvas')
  seen.width = Math.round(place.width * ratio)
  seen.height = Math.round(place.height * ratio)
  seen.getContext('2d', { alpha: false })?.drawImage(painted, Math.round((over.left - place.left) * ratio), Math.round((over.top - place.top) * ratio))
  seen.toBlob((blob) => blob && void keepLastSeen(teacher, sampler, blob, place), 'image/jpeg', QUALITY)
}
