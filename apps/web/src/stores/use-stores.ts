/**
 * The stores, opened where a page asks for them. They stay open when it is left, so that what was changed is sent. What another
 * window writes is seen here at once, what another machine writes when one comes back to the page.
 */
import type { StoresOperation } from '@lemmata/core/stores'
import { useCallback, useEffect, useRef, useState } from 'react'
import { api, sentenceOf } from '../api/client.ts'
import { storesKey, useAppDispatch, useAppSelector } from '../store/index.ts'
import { type OpenStores, storesOpened, storesRebased } from '../store/stores.ts'
import { unsentOf } from '../store/unsent.ts'

const CHANNEL = 'lemmata-stores'

export function useStores(): { readonly open: OpenStores | null; readonly failed: string | null } {
  const open = useAppSelector((state) => state.stores.open)
  const dispatch = useAppDispatch()
  const [failed, setFailed] = useState<string | null>(null)
  const now = useRef(open)
  now.current = open

  const look = useCallback(async (): Promise<void> => {
    // What is on its way here is newer than what would be answered.
    if (now.current && now.current.pending.length > 0) return
    const answer = await api.stores()
    const is = now.current
    if (is?.id === answer.id) {
      if (answer.revision > is.revision && is.pending.length === 0) dispatch(storesRebased({ answer, applied: [] }))
      return
    }
    dispatch(storesOpened({ answer, pending: await unsentOf<StoresOperation>(storesKey(answer.id)) }))
  }, [dispatch])

  useEffect(() => {
    look().catch((error: unknown) => setFailed(sentenceOf(error)))
    const again = (): void => void look().catch(() => undefined)
    window.addEventListener('focus', again)
    return () => window.removeEventListener('focus', again)
  }, [look])

  const revision = open?.revision
  useEffect(() => {
    if (typeof BroadcastChannel === 'undefined') return
    const channel = new BroadcastChannel(CHANNEL)
    channel.onmessage = ({ data }: MessageEvent<unknown>) => {
      if (typeof data === 'number' && data > (now.current?.revision ?? 0)) void look().catch(() => undefined)
    }
    return () => channel.close()
  }, [look])
  const told = useRef(revision)
  useEffect(() => {
    if (typeof BroadcastChannel === 'undefined' || revision === undefined || told.current === revision) return
    told.current = revision
    const channel = new BroadcastChannel(CHANNEL)
    channel.postMessage(revision)
    channel.close()
  }, [revision])

  return { open, failed }
}
