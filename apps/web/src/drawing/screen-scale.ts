/** How many CSS pixels make a millimetre on this screen: set once by matching a bar, kept on this machine. */
import { useCallback, useState } from 'react'

const KEY = 'lemmata-screen-px-per-mm'
/** What browsers assume: 96 to the inch. */
export const ASSUMED_PX_PER_MM = 96 / 25.4

export function readScreenScale(): number {
  const kept = Number(localStorage.getItem(KEY))
  return kept > 1 && kept < 40 ? kept : ASSUMED_PX_PER_MM
}

export function useScreenScale(): readonly [number, (pxPerMm: number) => void] {
  const [scale, setScale] = useState(readScreenScale)
  const keep = useCallback((pxPerMm: number) => {
    localStorage.setItem(KEY, String(pxPerMm))
    setScale(pxPerMm)
  }, [])
  return [scale, keep]
}
