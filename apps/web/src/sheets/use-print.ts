/** A PDF being made: how far it is, a way to stop it, and where it is when it is made. */
import { useCallback, useEffect, useRef, useState } from 'react'
import { api, sentenceOf } from '../api/client.ts'

export type Printing =
  | { readonly state: 'none' }
  | { readonly state: 'making'; readonly share: number }
  | { readonly state: 'made'; readonly file: string; readonly bytes: number }
  | { readonly state: 'failed'; readonly sentence: string }

const ASKED_EACH_MS = 200

/** `address`: of what is wanted; when that or the revision changes, what was made is no longer it. */
export function usePrint(address: string, revision: number, onMade: () => void) {
  const [printing, setPrinting] = useState<Printing>({ state: 'none' })
  // One at a time: what an earlier one tells is nobody's.
  const current = useRef(0)
  const begun = useRef<string | null>(null)
  const leave = useCallback((): void => {
    current.current += 1
    const id = begun.current
    begun.current = null
    // It may be made or gone already: either way nobody waits for it.
    if (id !== null) void api.stopPrint(id).catch(() => undefined)
  }, [])
  // biome-ignore lint/correctness/useExhaustiveDependencies: another address or revision is another print.
  useEffect(() => {
    setPrinting({ state: 'none' })
    return leave
  }, [address, revision, leave])
  const make = useCallback(async (): Promise<void> => {
    leave()
    const mine = current.current
    setPrinting({ state: 'making', share: 0 })
    try {
      const { id } = await api.beginPrint(address)
      if (current.current !== mine) return void api.stopPrint(id).catch(() => undefined)
      begun.current = id
      for (;;) {
        const now = await api.print(id)
        if (current.current !== mine) return
        if (now.state === 'making') setPrinting(now)
        else if (now.state === 'failed') return setPrinting({ state: 'failed', sentence: now.error.message })
        else {
          onMade()
          const file = `/api/prints/${id}/file.pdf`
          setPrinting({ state: 'made', file, bytes: now.bytes })
          // Where the browser will not have it opened by itself, a link to it stands there.
          window.open(file, '_blank', 'noopener')
          return
        }
        await new Promise((resolve) => setTimeout(resolve, ASKED_EACH_MS))
      }
    } catch (thrown) {
      if (current.current === mine) setPrinting({ state: 'failed', sentence: sentenceOf(thrown) })
    }
  }, [address, onMade, leave])
  const stop = useCallback((): void => {
    leave()
    setPrinting({ state: 'none' })
  }, [leave])
  return { printing, make, stop }
}
