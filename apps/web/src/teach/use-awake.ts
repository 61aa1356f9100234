/** Keeps the screen from going dark while one teaches, where the browser can; asked for again when the page is come back to. */
import { useEffect } from 'react'

export function useAwake(): void {
  useEffect(() => {
    let held: WakeLockSentinel | null = null
    let left = false
    const hold = (): void => {
      if (!('wakeLock' in navigator) || document.visibilityState !== 'visible') return
      navigator.wakeLock.request('screen').then(
        (lock) => {
          if (left) void lock.release()
          else held = lock
        },
        // A machine that saves its battery refuses: the screen then goes dark when it does.
        () => undefined,
      )
    }
    hold()
    document.addEventListener('visibilitychange', hold)
    return () => {
      left = true
      document.removeEventListener('visibilitychange', hold)
      void held?.release()
    }
  }, [])
}
