/** An open sampler: its head, the spine, the stage, and the card of what is held. */
import type { Operation } from '@lemmata/core/sampler'
import { App } from 'antd'
import { useEffect, useMemo, useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { Link, Outlet, useLocation, useNavigate, useParams } from 'react-router'
import { api, sentenceOf } from '../api/client.ts'
import { UNLESS_TYPING } from '../look/keys.ts'
import { serverApi } from '../api/server-api.ts'
import { useWorkedSampler, WorkedContext } from '../compute/use-worked.ts'
import { readyWorkers } from '../compute/workers.ts'
import { continueTurns, redo, samplerKey, undo, useAppDispatch, useAppSelector } from '../store/index.ts'
import { heldSampler, holdSampler } from '../store/held.ts'
import { unsentOf } from '../store/unsent.ts'
import { classClosed } from '../store/class.ts'
import { cardClosed, type OpenSampler, samplerClosed, samplerOpened } from '../store/sampler.ts'
import { Failure } from './Failure.tsx'
import { PanelBoundary } from './PanelBoundary.tsx'
import { Head } from './Head.tsx'
import { HeldCard } from '../card/HeldCard.tsx'
import { Spine } from '../spine/Spine.tsx'
import { isNarrow, useFolded } from '../spine/use-folded.ts'
import { useOwnList } from '../stitches/use-own-stitches.ts'
import { useWallBeforehand, useWallOf } from '../stitches/use-wall.ts'
import { stageStates } from './stage-states.ts'
import { TopBar } from './TopBar.tsx'

export function SamplerPage() {
  const { id = '' } = useParams()
  const open = useAppSelector((state) => state.sampler.open)
  const notice = useAppSelector((state) => state.sampler.notice)
  const classNotice = useAppSelector((state) => state.class.notice)
  const dispatch = useAppDispatch()
  const { message } = App.useApp()
  const [failed, setFailed] = useState<string | null>(null)

  useEffect(() => {
    let dropped = false
    setFailed(null)
    readyWorkers()
    // Stitches of one's own are part of what the sampler is worked in: asked for beside it, not after it.
    const asked = dispatch(serverApi.endpoints.ownStitches.initiate())
    Promise.all([api.sampler(id), unsentOf<Operation>(samplerKey(id))]).then(
      ([answer, pending]) => {
        if (dropped) return
        const before = heldSampler(id)
        continueTurns(Math.max(0, ...[...(before?.undo ?? []), ...(before?.redo ?? [])].map((step) => step.turn)))
        dispatch(samplerOpened({ answer, pending, before }))
        // Where the card would cover the work it waits until something is chosen.
        if (isNarrow()) dispatch(cardClosed())
      },
      (error: unknown) => {
        if (!dropped) setFailed(sentenceOf(error))
      },
    )
    return () => {
      dropped = true
      asked.unsubscribe()
      dispatch(samplerClosed())
      dispatch(classClosed())
    }
  }, [id, dispatch])

  useEffect(() => {
    if (notice) message.warning({ content: notice.text, duration: 6 })
  }, [notice, message])
  useEffect(() => {
    if (classNotice) message.warning({ content: classNotice.text, duration: 6 })
  }, [classNotice, message])

  if (failed)
    return (
      <div className="page">
        <TopBar />
        <main className="empty" role="alert">
          <h1>This sampler could not be opened</h1>
          <p>{failed}</p>
          <Link to="/">To the shelf</Link>
        </main>
      </div>
    )
  if (!open || open.id !== id)
    return (
      <div className="page">
        <TopBar />
        <main className="empty quiet">Opening …</main>
      </div>
    )
  return <Work open={open} />
}

/** Stages that have the exercises at their side; those that concern one exercise have its card. */
const WITH_SPINE = ['stitches', 'order', 'cloth', 'thread', 'sheets']
const WITH_CARD = ['order', 'cloth', 'thread']
/** Nothing of these is made of worked exercises but what the spine says of them. */
const BESIDE_THE_WORK = ['brief', 'stitches']

function Work({ open }: { open: OpenSampler }) {
  const { document: sampler } = open
  const location = useLocation()
  const navigate = useNavigate()
  const selected = useAppSelector((state) => state.sampler.selected)
  const stage = location.pathname.split('/')[3] ?? 'cloth'
  const worked = useWorkedSampler(sampler, BESIDE_THE_WORK.includes(stage))
  const [folded, fold] = useFolded(stage)
  const ownStitches = useOwnList()
  useWallBeforehand(worked.complete && stage !== 'stitches', useWallOf(sampler, ownStitches, 'front'))
  const stages = useMemo(() => stageStates(sampler, worked, open.revision, open.printedRevision), [sampler, worked, open.revision, open.printedRevision])
  useEffect(() => {
    document.title = `${sampler.name} \u2013 Lemmata`
  }, [sampler.name])
  // A page that is loaded again goes on where it was.
  useEffect(() => holdSampler(open, selected), [open, selected])
  useHotkeys(
    'mod+z',
    (event) => {
      event.preventDefault()
      undo()
    },
    UNLESS_TYPING,
  )
  useHotkeys(
    'mod+shift+z, mod+y',
    (event) => {
      event.preventDefault()
      redo()
    },
    UNLESS_TYPING,
  )
  useHotkeys(
    stages.map((_, index) => `alt+${index + 1}`).join(','),
    (event) => {
      event.preventDefault()
      const to = stages[Number(event.code.replace('Digit', '')) - 1]
      if (to) void navigate(`/samplers/${open.id}/${to.id}`)
    },
    { enableOnFormTags: true },
  )
  useHotkeys('t', () => void navigate(`/samplers/${open.id}/teach`, { state: { from: location.pathname } }), {
    enableOnFormTags: ['option'],
    enabled: stage !== 'teach',
  })
  // It stands over everything: nothing of the rest is to be seen, or come to by Tab.
  if (stage === 'teach')
    return (
      <WorkedContext value={worked}>
        <main id="stage">
          <PanelBoundary name="Teaching">
            <Outlet context={sampler} />
          </PanelBoundary>
        </main>
      </WorkedContext>
    )
  return (
    <WorkedContext value={worked}>
      <div className="work">
        <Head id={open.id} sampler={sampler} stages={stages} />
        <div className="body">
          {WITH_SPINE.includes(stage) ? <Spine sampler={sampler} stage={stage} folded={folded} onFold={fold} /> : <span />}
          <main id="stage" tabIndex={-1} key={stage}>
            {worked.failed !== null && <Failure sentence={worked.failed} />}
            <PanelBoundary name="This stage">
              <Outlet context={sampler} />
            </PanelBoundary>
          </main>
          {WITH_CARD.includes(stage) ? (
            <PanelBoundary name="The card" key={selected}>
              <HeldCard sampler={sampler} stage={stage} />
            </PanelBoundary>
          ) : (
            <span />
          )}
        </div>
      </div>
    </WorkedContext>
  )
}
