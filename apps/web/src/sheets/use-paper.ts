/** The paper that lies in the printer at hand: chosen once, kept on this machine, for whatever is printed from wherever. */
import type { PageSize } from '@lemmata/core/sheets'
import { useCallback, useState } from 'react'

const KEY = 'lemmata-paper'
export function keptPaper(): PageSize {
  return localStorage.getItem(KEY) === 'letter' ? 'letter' : 'a4'
}

export function usePaper(): readonly [PageSize, (page: PageSize) => void] {
  const [page, setPage] = useState(keptPaper)
  const keep = useCallback((chosen: PageSize) => {
    localStorage.setItem(KEY, chosen)
    setPage(chosen)
  }, [])
  return [page, keep]
}
