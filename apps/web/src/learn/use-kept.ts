/** What the device keeps, in the page: what is told is kept first and sent then, again and again until it has arrived. */
import type { JoinedAnswer, ToldEvent } from '@lemmata/contract'
import { useCallback, useEffect, useRef, useState } from 'react'
import { acknowledged, type Kept, NOTHING, readKept, writeKept } from './kept.ts'
import { Refused, talk } from './talk.ts'
import { NothingKept } from './trouble.ts'

/** Whatever a learner can tell, without its id and moment. */
export type Told = ToldEvent extends infer One ? (One extends ToldEvent ? Omit<One, 'id' | 'at'> : never) : never

const AGAIN_MS = 15_000
/** While she works, her teacher's marks are seen within so long. */
const ASKED_EACH_MS = 60_000
/** So many go at once. */
const MOST = 200

export function useKept() {
  const [kept, setKept] = useState(readKept)
  const [connected, setConnected] = useState(true)
  const [trouble, setTrouble] = useState<Error | null>(null)
  const now = useRef(kept)
  const sending = useRef(false)
  const askedAt = useRef(0)
  const isStored = useRef(true)
  const change = useCallback((how: (before: Kept) => Kept): void => {
    // Another tab of hers may have told or begun something meanwhile: what the device keeps is changed, not what this tab last saw of it.
    const next = how(isStored.current ? readKept() : now.current)
    now.current = next
    isStored.current = writeKept(next)
    if (!isStored.current) setTrouble(new NothingKept())
    setKept(next)
  }, [])

  const send = useCallback(
    async (isComing: boolean): Promise<void> => {
      const { key } = now.current
      if (key === null || sending.current) return
      sending.current = true
      let one = false
      try {
        while (now.current.unsent.length > 0) {
          const part = now.current.unsent.slice(0, one ? 1 : MOST)
          try {
            await talk.tell(key, part)
          } catch (thrown) {
            if (!(thrown instanceof Refused && thrown.status === 422)) throw thrown
            // One that cannot be kept holds up no other: they go by themselves, and it is let go.
            if (part.length > 1) {
              one = true
              continue
            }
            setTrouble(thrown)
          }
          // Answered it is done with: what was not kept is somebody else's, and never will be hers.
          const ids = part.map((one) => one.id)
          change((before) => acknowledged(before, ids))
        }
        // What she told is in what her device keeps already: the week is asked for again when she comes to it, and now and then.
        if (isComing || Date.now() - askedAt.current > ASKED_EACH_MS) {
          const week = await talk.week(key, now.current.week)
          askedAt.current = Date.now()
          change((before) => ({ ...before, week }))
        }
        setConnected(true)
        if (!one) setTrouble(null)
      } catch (thrown) {
        if (thrown instanceof Refused) {
          setConnected(true)
          setTrouble(thrown)
          if (thrown.status === 401) change((before) => ({ ...before, key: null }))
        } else setConnected(false)
      } finally {
        sending.current = false
      }
    },
    [change],
  )

  useEffect(() => {
    void send(true)
    const again = (): void => void send(true)
    const timer = setInterval(() => now.current.unsent.length > 0 && void send(false), AGAIN_MS)
    const seen = (): void => {
      if (document.visibilityState === 'visible') again()
    }
    const elsewhere = (): void => {
      if (!isStored.current) return
      now.current = readKept()
      setKept(now.current)
    }
    window.addEventListener('online', again)
    window.addEventListener('storage', elsewhere)
    document.addEventListener('visibilitychange', seen)
    return () => {
      clearInterval(timer)
      window.removeEventListener('online', again)
      window.removeEventListener('storage', elsewhere)
      document.removeEventListener('visibilitychange', seen)
    }
  }, [send])

  const tell = useCallback(
    (told: Told): void => {
      const event = { ...told, id: crypto.randomUUID(), at: new Date().toISOString() } as ToldEvent
      change((before) => ({ ...before, unsent: [...before.unsent, event] }))
      void send(false)
    },
    [change, send],
  )
  const joined = useCallback(
    ({ key, link }: JoinedAnswer): void => {
      change((before) => ({ ...before, key, link }))
      void send(true)
    },
    [change, send],
  )
  const leave = useCallback((): void => {
    now.current = NOTHING
    writeKept(NOTHING)
    setKept(NOTHING)
  }, [])
  return { kept, connected, trouble, change, tell, joined, leave, send }
}

export type KeptInPage = ReturnType<typeof useKept>
