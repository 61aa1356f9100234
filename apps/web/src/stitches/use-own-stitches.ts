/** The teacher's own library, kept on the server. */
import type { StitchDocument } from '@lemmata/core/notation'
import { App } from 'antd'
import { useCallback } from 'react'
import { failedWith, useOwnStitchesQuery, usePutOwnStitchMutation, useRemoveOwnStitchMutation } from '../api/server-api.ts'
import { besideOthers } from './beside-others.ts'

export interface OwnStitches {
  readonly list: readonly StitchDocument[]
  /** The stitch as it was kept: under another name where another window has kept one of the same meanwhile. Null where it could not be. */
  readonly keep: (stitch: StitchDocument) => Promise<StitchDocument | null>
  readonly remove: (id: string) => Promise<void>
}

const NONE: readonly StitchDocument[] = []

/** One and the same list as long as there is none, whether that is known already or not: nothing is worked twice for it. */
const listed = (data: readonly StitchDocument[] | undefined): readonly StitchDocument[] => (data && data.length > 0 ? data : NONE)

/** The wall is whole without them; a lost connection is said where work is saved. */
export const useOwnList = (): readonly StitchDocument[] => listed(useOwnStitchesQuery().data)

export function useOwnStitches(): OwnStitches {
  const { message } = App.useApp()
  const { data, refetch } = useOwnStitchesQuery()
  const list = listed(data)
  const [put] = usePutOwnStitchMutation()
  const [take] = useRemoveOwnStitchMutation()
  const keep = useCallback(
    async (stitch: StitchDocument) => {
      const there = await refetch()
      const kept = besideOthers(stitch, list, there.data ?? list)
      const answer = there.error ? there : await put(kept)
      if (!answer.error) return kept
      message.error(failedWith(answer.error), 8)
      return null
    },
    [message, list, put, refetch],
  )
  const remove = useCallback(
    async (id: string) => {
      const answer = await take(id)
      if (answer.error) message.error(failedWith(answer.error), 8)
    },
    [message, take],
  )
  return { list, keep, remove }
}
