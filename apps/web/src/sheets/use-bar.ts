/** What the check bar of 50 mm measured on the printer at hand, mm; set once, kept on this machine. */
import { BAR_RANGE, CHECK_BAR_MM } from '@lemmata/core/sheets'
import { useCallback, useState } from 'react'

const KEY = 'lemmata-printed-bar-mm'

function kept(): number {
  const [least, most] = BAR_RANGE
  const read = Number(localStorage.getItem(KEY))
  return read >= least && read <= most ? read : CHECK_BAR_MM
}

export function useBar(): readonly [number, (mm: number) => void] {
  const [bar, setBar] = useState(kept)
  const keep = useCallback((mm: number) => {
    localStorage.setItem(KEY, String(mm))
    setBar(mm)
  }, [])
  return [bar, keep]
}
