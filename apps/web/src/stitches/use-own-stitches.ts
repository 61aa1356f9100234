/** The teacher's own library, kept on the server. */
import type { StitchDocument } from '@lemmata/core/notation'
import { App } from 'antd'
import { useCallback, useEffect, useState } from 'react'
import { api, sentenceOf } from '../api/client.ts'
import { besideOthers } from './beside-others.ts'

export interface OwnStitches {
  readonly list: readonly StitchDocument[]
  /** The stitch as it was kept: under another name where another window has kept one of the same meanwhile. Null where it could not be. */
  readonly keep: (stitch: StitchDocument) => Promise<StitchDocument | null>
  readonly remove: (id: string) => Promise<void>
}

export function useOwnStitches(): OwnStitches {
  const { message } = App.useApp()
  const [list, setList] = useState<readonly StitchDocument[]>([])
  useEffect(() => {
    let dropped = false
    api.ownStitches().then(
      (answer) => {
        if (!dropped) setList(answer)
      },
      // The wall is whole without them; a lost connection is said where work is saved.
      () => undefined,
    )
    return () => {
      dropped = true
    }
  }, [])
  const keep = useCallback(
    async (stitch: StitchDocument) => {
      let kept = stitch
      try {
        const there = await api.ownStitches()
        kept = besideOthers(stitch, list, there)
        await api.putOwnStitch(kept)
      } catch (error) {
        message.error(sentenceOf(error), 8)
        return null
      }
      setList((before) => [...before.filter((one) => one.id !== kept.id), kept])
      return kept
    },
    [message, list],
  )
  const remove = useCallback(
    async (id: string) => {
      try {
        await api.removeOwnStitch(id)
        setList((before) => before.filter((one) => one.id !== id))
      } catch (error) {
        message.error(sentenceOf(error), 8)
      }
    },
    [message],
  )
  return { list, keep, remove }
}
