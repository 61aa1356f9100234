/** A PDF being made: how far it is, a way to stop it, and where it is when it is made. */
import { useCallback, useEffect, useRef, useState } from 'react'
import { api, sentenceOf } from '../api/client.ts'
import { readPrint } from '../api/read-print.ts'

export type Printing =
  | { readonly state: 'none' }
  | { readonly state: 'making'; readonly share: number }
  /** `url`: of this page. */
  | { readonly state: 'made'; readonly url: string; readonly name: string; readonly bytes: number }
  | { readonly state: 'failed'; readonly sentence: string }

/** A tab that shows one may still save it when another was made here: only those long past are let go. */
const MOST_KEPT = 5
const kept: string[] = []

function keptUrl(file: Blob): string {
  const url = URL.createObjectURL(file)
  kept.push(url)
  for (const past of kept.splice(0, Math.max(0, kept.length - MOST_KEPT))) URL.revokeObjectURL(past)
  return url
}

/** `address`: of what is wanted; when that or the revision changes, what was made is no longer it. */
export function usePrint(address: string, revision: number, onMade: () => void) {
  const [printing, setPrinting] = useState<Printing>({ state: 'none' })
  // One at a time: what an earlier one tells is nobody's.
  const current = useRef<AbortController | null>(null)
  const leave = useCallback((): void => {
    current.current?.abort()
    current.current = null
    setPrinting({ state: 'none' })
  }, [])
  // biome-ignore lint/correctness/useExhaustiveDependencies: another address or revision is another print.
  useEffect(() => leave, [address, revision, leave])
  const make = useCallback(async (): Promise<void> => {
    leave()
    const mine = new AbortController()
    current.current = mine
    const say = (next: Printing): void => {
      if (current.current === mine) setPrinting(next)
    }
    say({ state: 'making', share: 0 })
    try {
      const { file, name } = await readPrint(await api.print(address, mine.signal), (share) => say({ state: 'making', share }))
      if (current.current !== mine) return
      onMade()
      const url = keptUrl(file)
      say({ state: 'made', url, name, bytes: file.size })
      // Where the browser will not have it opened by itself, a link to it stands there.
      window.open(url, '_blank', 'noopener')
    } catch (thrown) {
      say({ state: 'failed', sentence: sentenceOf(thrown) })
    }
  }, [address, onMade, leave])
  return { printing, make, stop: leave }
}
