/** Seeking an order: progress while it lasts, the best so far at any moment, and a way to stop. */
import type { CourseItem, CourseSettings, OrderAnswer, OrderProgress } from '@lemmata/core/order'
import { proxy } from 'comlink'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { OrderService } from '../compute/order.worker.ts'
import orderWorker from '../compute/order.worker.ts?beside-page'
import { runWorker, type RunningWorker } from '../compute/protocol.ts'

export type Finding =
  | { readonly state: 'idle' }
  | { readonly state: 'busy'; readonly progress: OrderProgress | null }
  | { readonly state: 'done'; readonly answer: OrderAnswer; readonly stopped: boolean; readonly seconds: number }
  | { readonly state: 'failed' }

type Running = RunningWorker<OrderService>

export function startOrderWorker(): Running {
  return runWorker<OrderService>(() => new Worker(orderWorker, { type: 'module' }), 'The search')
}

export function useFinder(costOf: (progress: OrderProgress) => OrderAnswer | null) {
  const [finding, setFinding] = useState<Finding>({ state: 'idle' })
  const running = useRef<Running | null>(null)
  const begunAt = useRef(0)
  const end = useCallback(() => {
    running.current?.end()
    running.current = null
  }, [])
  useEffect(() => end, [end])

  const find = useCallback(
    (course: readonly CourseItem[], settings: CourseSettings) => {
      end()
      const begun = startOrderWorker()
      running.current = begun
      begunAt.current = performance.now()
      const mine = (): boolean => running.current === begun
      setFinding({ state: 'busy', progress: null })
      const onProgress = proxy((progress: OrderProgress) => {
        if (mine()) setFinding({ state: 'busy', progress })
      })
      begun
        .ask((service) => service.find(course, settings, onProgress) as Promise<OrderAnswer>)
        .then(
          (answer) => {
            if (!mine()) return
            end()
            setFinding({ state: 'done', answer, stopped: false, seconds: since(begunAt.current) })
          },
          () => mine() && setFinding({ state: 'failed' }),
        )
    },
    [end],
  )

  /** The best that was found so far is the answer. */
  const stop = useCallback(() => {
    end()
    setFinding((now) => {
      const answer = now.state === 'busy' && now.progress ? costOf(now.progress) : null
      return answer ? { state: 'done', answer, stopped: true, seconds: since(begunAt.current) } : { state: 'idle' }
    })
  }, [end, costOf])
  const forget = useCallback(() => setFinding({ state: 'idle' }), [])
  return { finding, find, stop, forget }
}

function since(begun: number): number {
  return (performance.now() - begun) / 1000
}
