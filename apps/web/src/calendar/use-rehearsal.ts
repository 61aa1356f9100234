/** Rehearsals of courses side by side, off the page's thread: how far they are, a way to stop, and all of them afresh when something is set otherwise. */
import type { Rehearsal, SimulatedClass } from '@lemmata/core/calendar'
import { proxy } from 'comlink'
import { useCallback, useEffect, useRef, useState } from 'react'
import { runWorker, type RunningWorker } from '../compute/protocol.ts'
import type { RehearsalService, RehearsedOnDates } from '../compute/rehearsal.worker.ts'
import rehearsalWorker from '../compute/rehearsal.worker.ts?beside-page'

export interface Rehearsing {
  readonly state: 'busy' | 'stopped' | 'failed' | 'done'
  /** 0 to 1 while it is busy. */
  readonly share: number
  /** Of the courses that were asked for, or of those before while it is busy. */
  readonly found: readonly Rehearsal[]
}

export type Running = RunningWorker<RehearsalService>
/** While a slider is drawn nothing is begun. */
const QUIET_MS = 120

const start = (): Running => runWorker<RehearsalService>(() => new Worker(rehearsalWorker, { type: 'module' }), 'The rehearsal')

/** The same object for the same courses: what is new is rehearsed. `begin`: otherwise in a test. */
export function useRehearsal(courses: readonly RehearsedOnDates[], how: SimulatedClass, begin: () => Running = start) {
  const [rehearsing, setRehearsing] = useState<Rehearsing>({ state: 'busy', share: 0, found: [] })
  const [again, setAgain] = useState(0)
  const running = useRef<Running | null>(null)
  const end = useCallback(() => {
    running.current?.end()
    running.current = null
  }, [])
  // biome-ignore lint/correctness/useExhaustiveDependencies: `again` asks for the same once more.
  useEffect(() => {
    const tell = (now: Partial<Rehearsing>): void => setRehearsing((before) => ({ ...before, ...now }))
    const rehearseAll = async (own: Running, mine: () => boolean): Promise<readonly Rehearsal[]> => {
      const found: Rehearsal[] = []
      for (const course of courses) {
        const onProgress = proxy((share: number) => {
          if (mine()) tell({ share: (found.length + share) / courses.length })
        })
        found.push(await own.ask((service) => service.rehearse(course, how, onProgress)))
      }
      return found
    }
    const go = (): void => {
      const own = begin()
      running.current = own
      const mine = (): boolean => running.current === own
      rehearseAll(own, mine).then(
        (found) => mine() && tell({ state: 'done', found }),
        () => mine() && tell({ state: 'failed' }),
      )
    }
    tell({ state: 'busy', share: 0 })
    const timer = setTimeout(go, QUIET_MS)
    return () => {
      clearTimeout(timer)
      end()
    }
  }, [courses, how, begin, end, again])
  const stop = useCallback(() => {
    end()
    setRehearsing((before) => ({ ...before, state: 'stopped' }))
  }, [end])
  const repeat = useCallback(() => setAgain((before) => before + 1), [])
  return { rehearsing, stop, repeat }
}
