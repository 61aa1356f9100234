/** Whether the spine is folded: by itself where the work holds the same list or needs the width; a teacher's choice is remembered by stage. */
import { useCallback, useEffect, useState } from 'react'

const KEY = 'lemmata-spine/'
const BY_ITSELF = ['stitches', 'thread']

/** Under it the list lies over the work, and is folded away when a row is chosen. */
const NARROW = '(max-width: 999px)'
export const isNarrow = (): boolean => window.matchMedia(NARROW).matches

export function useFolded(stage: string): readonly [boolean, (folded: boolean) => void] {
  const [chosen, setChosen] = useState<Readonly<Record<string, boolean>>>({})
  const [narrow, setNarrow] = useState(isNarrow)
  useEffect(() => {
    const query = window.matchMedia(NARROW)
    const onChange = (): void => {
      setNarrow(query.matches)
      setChosen({})
    }
    query.addEventListener('change', onChange)
    return () => query.removeEventListener('change', onChange)
  }, [])
  const kept = localStorage.getItem(KEY + stage)
  const folded = chosen[stage] ?? (narrow || (kept === null ? BY_ITSELF.includes(stage) : kept === 'folded'))
  const fold = useCallback(
    (next: boolean) => {
      // Where it is only pulled out for a moment, nothing is remembered.
      if (!isNarrow()) localStorage.setItem(KEY + stage, next ? 'folded' : 'open')
      setChosen((before) => ({ ...before, [stage]: next }))
    },
    [stage],
  )
  return [folded, fold]
}
