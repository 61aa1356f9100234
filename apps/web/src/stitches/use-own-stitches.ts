/** The teacher's own library, kept on the server. */
import type { StitchDocument } from '@lemmata/core/notation'
import { App } from 'antd'
import { useCallback, useEffect, useState } from 'react'
import { api, sentenceOf } from '../api/client.ts'

export interface OwnStitches {
  readonly list: readonly StitchDocument[]
  readonly keep: (stitch: StitchDocument) => Promise<boolean>
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
      try {
        await api.putOwnStitch(stitch)
      } catch (error) {
        message.error(sentenceOf(error), 8)
        return false
      }
      setList((before) => [...before.filter((one) => one.id !== stitch.id), stitch])
      return true
    },
    [message],
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
