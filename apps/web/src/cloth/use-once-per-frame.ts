import { useCallback, useRef } from 'react'
import type { View } from './view.ts'

/** Changes of a gesture come faster than frames: they are taken together, once a frame. */
export function useOncePerFrame(set: (change: (before: View | null) => View | null) => void): (change: (before: View | null) => View | null) => void {
  const waiting = useRef<((before: View | null) => View | null)[]>([])
  return useCallback(
    (change) => {
      waiting.current.push(change)
      if (waiting.current.length > 1) return
      requestAnimationFrame(() => {
        const changes = waiting.current
        waiting.current = []
        set((before) => changes.reduce((now, one) => one(now), before))
      })
    },
    [set],
  )
}
