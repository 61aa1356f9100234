/** Whether the spine is folded: by itself where the work holds the same list or needs the width; a teacher's choice is remembered by stage. */
import { useCallback, useState } from 'react'

const KEY = 'lemmata-spine/'
const BY_ITSELF = ['stitches', 'thread']

export function useFolded(stage: string): readonly [boolean, (folded: boolean) => void] {
  const [chosen, setChosen] = useState<Readonly<Record<string, boolean>>>({})
  const kept = localStorage.getItem(KEY + stage)
  const folded = chosen[stage] ?? (kept === null ? BY_ITSELF.includes(stage) : kept === 'folded')
  const fold = useCallback(
    (next: boolean) => {
      localStorage.setItem(KEY + stage, next ? 'folded' : 'open')
      setChosen((before) => ({ ...before, [stage]: next }))
    },
    [stage],
  )
  return [folded, fold]
}
