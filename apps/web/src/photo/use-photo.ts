/** The worker that measures, as long as the page that asks it is open; what was said of the picture, and put right in it. */
import {
  figuresOfStitches,
  putRight,
  type PutRight,
  type ReadStitches,
  type RowFigures,
  type RowPlan,
  type SaidOfPicture,
  type Verdict,
} from '@lemmata/core/photo'
import type { Remote } from 'comlink'
import { useCallback, useEffect, useRef, useState } from 'react'
import { runWorker, type RunningWorker } from '../compute/protocol.ts'
import workerUrl from './photo.worker.ts?beside-page'
import type { Looked, PhotoService } from './photo.worker.ts'

export type PhotoState =
  | { readonly at: 'waiting' }
  | { readonly at: 'looking' }
  | { readonly at: 'seen'; readonly looked: Looked; readonly isExample: boolean }
  /** No picture that can be read here. */
  | { readonly at: 'unread' }
  /** The part of the page that measures did not come, or broke. */
  | { readonly at: 'broken' }

export interface Measured {
  readonly figures: RowFigures
  readonly stitches: ReadStitches
  readonly isCounted: boolean
  readonly isPutRight: boolean
}

export interface Photo {
  readonly state: PhotoState
  /** What is told of it: as it was read, and as it was put right; null as long as it is neither. */
  readonly measured: Measured | null
  readonly look: (isExample: boolean, ask: (service: Remote<PhotoService>) => Promise<Looked | null>) => void
  readonly touch: (at: SaidOfPicture['touched']) => void
  /** Whether so many stitches are found is seen in `measured`: where they are not, it is as it was, and `notFound` says how many. */
  readonly count: (counted: number) => void
  readonly notFound: number | null
  readonly change: (change: PutRight) => void
  /** As it was read at first. */
  readonly back: () => void
  /** What is under way is let go. */
  readonly stop: () => void
}

export const startPhotoWorker = (): Worker => new Worker(workerUrl, { type: 'module' })

const NOTHING_SAID: SaidOfPicture = { touched: null, counted: null }

export function usePhoto(plan: RowPlan): Photo {
  const [state, setState] = useState<PhotoState>({ at: 'waiting' })
  const [said, setSaid] = useState(NOTHING_SAID)
  const [hand, setHand] = useState<ReadStitches | null>(null)
  const [notFound, setNotFound] = useState<number | null>(null)
  const worker = useRef<RunningWorker<PhotoService> | null>(null)
  const turn = useRef(0)
  const end = useCallback((): void => {
    turn.current += 1
    worker.current?.end()
    worker.current = null
  }, [])
  useEffect(() => end, [end])

  const ask = <T>(call: (service: Remote<PhotoService>) => Promise<T>, then: (answer: T) => void): void => {
    turn.current += 1
    const mine = turn.current
    worker.current ??= runWorker<PhotoService>(startPhotoWorker, 'Measuring')
    const running = worker.current
    running.ask(call).then(
      (answer) => mine === turn.current && then(answer),
      () => {
        if (mine !== turn.current) return
        end()
        setState({ at: 'broken' })
      },
    )
  }
  const say = (next: SaidOfPicture): void => {
    if (state.at !== 'seen') return
    ask(
      // A proxy answers each kind of verdict with a promise of its own.
      (service) => service.again(plan, next) as Promise<Verdict | null>,
      (verdict) => {
        // A number that cannot be is not taken.
        if (!verdict || (next.counted !== null && verdict.state === 'refused')) return setNotFound(next.counted)
        setNotFound(null)
        setSaid(next)
        setHand(null)
        setState({ ...state, looked: { ...state.looked, verdict } })
      },
    )
  }
  const measured = state.at === 'seen' ? measuredOf(state.looked.verdict, hand, plan, said.counted !== null) : null
  return {
    state,
    measured,
    notFound,
    look: (isExample, call) => {
      setState({ at: 'looking' })
      setSaid(NOTHING_SAID)
      setHand(null)
      setNotFound(null)
      ask(call, (looked) => setState(looked ? { at: 'seen', looked, isExample } : { at: 'unread' }))
    },
    touch: (touched) => say({ ...said, touched }),
    count: (counted) => say({ ...said, counted }),
    change: (change) => {
      setNotFound(null)
      if (measured) setHand(putRight(measured.stitches, plan.kind, change))
    },
    back: () => say({ ...said, counted: null }),
    stop: () => {
      end()
      setState({ at: 'waiting' })
    },
  }
}

function measuredOf(verdict: Verdict, hand: ReadStitches | null, { kind }: RowPlan, wasCounted: boolean): Measured | null {
  if (verdict.state !== 'measured' && verdict.state !== 'whole') return null
  const { figures, stitches, state } = verdict
  if (!hand) return { figures, stitches, isCounted: state === 'measured', isPutRight: wasCounted }
  // Whoever has put right a stitch has looked at them all.
  return { figures: figuresOfStitches(hand, kind, figures), stitches: hand, isCounted: true, isPutRight: true }
}
