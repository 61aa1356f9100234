/** What is told of a class's practice, as the server has it: asked for again while the page is looked at, and marked by its teacher. */
import type { LearningAnswer, MarkedEvent } from '@lemmata/contract'
import { useCallback, useEffect, useState } from 'react'
import { api, sentenceOf } from '../api/client.ts'
import { useAppDispatch } from '../store/index.ts'
import { noticed } from '../store/sampler.ts'

const AGAIN_MS = 20_000

/** Whatever a teacher marks, without its id and moment. */
export type Marked = MarkedEvent extends infer One ? (One extends MarkedEvent ? Omit<One, 'id' | 'at'> : never) : never

export interface LearningInPage {
  /** Null while it is on its way. */
  readonly learning: LearningAnswer | null
  readonly mark: (marked: Marked) => void
  /** Something of it is changed on the server, and then read again. */
  readonly change: (how: () => Promise<unknown>) => Promise<void>
}

export function useLearning(classId: string | null): LearningInPage {
  const [learning, setLearning] = useState<LearningAnswer | null>(null)
  const dispatch = useAppDispatch()
  const read = useCallback(async (): Promise<void> => {
    if (classId === null) return
    const answer = await api.learning(classId)
    // What was just marked may not be there yet when this was asked.
    setLearning((before) => ({ ...answer, events: [...answer.events, ...(before?.events ?? []).filter(({ id }) => waiting.has(id))] }))
  }, [classId])
  useEffect(() => {
    setLearning(null)
    const again = (): void => {
      // One that fails is followed by the next.
      if (document.visibilityState === 'visible') void read().catch(() => undefined)
    }
    void read().catch((thrown: unknown) => dispatch(noticed(sentenceOf(thrown))))
    const timer = setInterval(again, AGAIN_MS)
    document.addEventListener('visibilitychange', again)
    return () => {
      clearInterval(timer)
      document.removeEventListener('visibilitychange', again)
    }
  }, [read, dispatch])
  const mark = useCallback(
    (marked: Marked): void => {
      if (classId === null) return
      const event = { ...marked, id: crypto.randomUUID(), at: new Date().toISOString() } as MarkedEvent
      waiting.add(event.id)
      setLearning((before) => before && { ...before, events: [...before.events, { ...event, by: 'teacher' as const }] })
      api
        .markPractice(classId, [event])
        .catch((thrown: unknown) => {
          setLearning((before) => before && { ...before, events: before.events.filter((one) => one.id !== event.id) })
          dispatch(noticed(`It was not kept: ${sentenceOf(thrown)}`))
        })
        .finally(() => waiting.delete(event.id))
    },
    [classId, dispatch],
  )
  const change = useCallback(
    async (how: () => Promise<unknown>): Promise<void> => {
      try {
        await how()
        await read()
      } catch (thrown) {
        dispatch(noticed(sentenceOf(thrown)))
      }
    },
    [read, dispatch],
  )
  return { learning, mark, change }
}

/** Marked here, and not acknowledged yet. */
const waiting = new Set<string>()
