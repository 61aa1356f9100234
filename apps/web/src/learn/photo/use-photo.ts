/** The worker that measures, as long as the page that asks it is open. */
import { releaseProxy, type Remote, wrap } from 'comlink'
import { useCallback, useEffect, useRef, useState } from 'react'
import workerUrl from './photo.worker.ts?beside-page'
import type { Looked, PhotoService } from './photo.worker.ts'

export type PhotoState =
  | { readonly at: 'waiting' }
  | { readonly at: 'looking' }
  | { readonly at: 'seen'; readonly looked: Looked; readonly isExample: boolean }
  /** No picture that can be read here. */
  | { readonly at: 'unread' }

export const startPhotoWorker = (): Worker => new Worker(workerUrl, { type: 'module' })

export interface Photo {
  readonly state: PhotoState
  readonly look: (isExample: boolean, ask: (service: Remote<PhotoService>) => Promise<Looked>) => void
  readonly again: (ask: (service: Remote<PhotoService>) => Promise<Looked['verdict'] | null>) => void
  /** What is under way is let go. */
  readonly stop: () => void
}

export function usePhoto(): Photo {
  const [state, setState] = useState<PhotoState>({ at: 'waiting' })
  const worker = useRef<{ readonly worker: Worker; readonly service: Remote<PhotoService> } | null>(null)
  const turn = useRef(0)
  const end = useCallback((): void => {
    turn.current += 1
    worker.current?.service[releaseProxy]()
    worker.current?.worker.terminate()
    worker.current = null
  }, [])
  useEffect(() => end, [end])
  const service = (): Remote<PhotoService> => {
    if (!worker.current) {
      const started = startPhotoWorker()
      worker.current = { worker: started, service: wrap<PhotoService>(started) }
    }
    return worker.current.service
  }
  return {
    state,
    look: (isExample, ask) => {
      turn.current += 1
      const mine = turn.current
      setState({ at: 'looking' })
      ask(service()).then(
        (looked) => mine === turn.current && setState({ at: 'seen', looked, isExample }),
        () => mine === turn.current && setState({ at: 'unread' }),
      )
    },
    again: (ask) => {
      if (state.at !== 'seen') return
      const { looked, isExample } = state
      void ask(service()).then((verdict) => verdict && setState({ at: 'seen', looked: { ...looked, verdict }, isExample }))
    },
    stop: () => {
      end()
      setState({ at: 'waiting' })
    },
  }
}
