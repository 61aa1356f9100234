/** An open sampler: its name, the stages, the spine, and the stage itself. */
import { type Operation, teachingOrder } from '@lemmata/core/sampler'
import { App, Button, Input } from 'antd'
import { useEffect, useMemo, useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { Link, Outlet, useLocation, useNavigate, useParams } from 'react-router'
import { api, sentenceOf } from '../api/client.ts'
import { useWorkedSampler, WorkedContext } from '../compute/use-worked.ts'
import { canTakeBack, edit, redo, samplerKey, undo, useAppDispatch, useAppSelector } from '../store/index.ts'
import { unsentOf } from '../store/unsent.ts'
import { classClosed } from '../store/class.ts'
import { exerciseSelected, type OpenSampler, samplerClosed, samplerOpened } from '../store/sampler.ts'
import { Failure } from './Failure.tsx'
import { PanelBoundary } from './PanelBoundary.tsx'
import { SaveState } from './SaveState.tsx'
import { Shortcuts } from './Shortcuts.tsx'
import { Spine } from './Spine.tsx'
import { stageStates } from './stage-states.ts'
import { Stages } from './Stages.tsx'
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
    Promise.all([api.sampler(id), unsentOf<Operation>(samplerKey(id))]).then(
      ([answer, pending]) => {
        if (!dropped) dispatch(samplerOpened({ answer, pending }))
      },
      (error: unknown) => {
        if (!dropped) setFailed(sentenceOf(error))
      },
    )
    return () => {
      dropped = true
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

/** Stages that have the exercises at their side. */
const WITH_SPINE = ['order', 'cloth', 'thread', 'sheets']

function Work({ open }: { open: OpenSampler }) {
  const { document: sampler } = open
  const worked = useWorkedSampler(sampler)
  const location = useLocation()
  const navigate = useNavigate()
  const dispatch = useAppDispatch()
  const selected = useAppSelector((state) => state.sampler.selected)
  const canUndo = useAppSelector((state) => canTakeBack(state, 'undo'))
  const canRedo = useAppSelector((state) => canTakeBack(state, 'redo'))
  const stage = location.pathname.split('/')[3] ?? 'cloth'
  const stages = useMemo(() => stageStates(sampler, worked, open.revision, open.printedRevision), [sampler, worked, open.revision, open.printedRevision])
  useEffect(() => {
    document.title = `${sampler.name} \u2013 Lemmata`
  }, [sampler.name])
  useHotkeys('mod+z', (event) => {
    event.preventDefault()
    undo()
  })
  useHotkeys('mod+shift+z, mod+y', (event) => {
    event.preventDefault()
    redo()
  })
  useHotkeys(
    stages.map((_, index) => `alt+${index + 1}`).join(','),
    (event) => {
      event.preventDefault()
      const to = stages[Number(event.code.replace('Digit', '')) - 1]
      if (to) void navigate(`/samplers/${open.id}/${to.id}`)
    },
    { enableOnFormTags: true },
  )
  const move = (by: number): void => {
    const order = teachingOrder(sampler)
    const next = order[order.findIndex((exercise) => exercise.id === selected) + by]
    if (next) dispatch(exerciseSelected(next.id))
  }
  return (
    <WorkedContext value={worked}>
      <div className="work">
        <TopBar>
          <a className="skip" href="#stage">
            Skip to the stage
          </a>
          <SamplerName name={sampler.name} />
          <SaveState />
          <span style={{ flex: 1 }} />
          <Button size="small" onClick={undo} disabled={!canUndo} title="Ctrl+Z">
            Undo
          </Button>
          <Button size="small" onClick={redo} disabled={!canRedo} title="Ctrl+Shift+Z">
            Redo
          </Button>
          <Shortcuts />
        </TopBar>
        <Stages stages={stages} />
        <div className="body">
          {WITH_SPINE.includes(stage) ? <Spine sampler={sampler} onMove={move} /> : <span />}
          <main id="stage" tabIndex={-1}>
            {worked.failed !== null && <Failure sentence={worked.failed} />}
            <PanelBoundary name="This stage" key={stage}>
              <Outlet context={sampler} />
            </PanelBoundary>
          </main>
        </div>
      </div>
    </WorkedContext>
  )
}

function SamplerName({ name }: { name: string }) {
  const [typed, setTyped] = useState(name)
  useEffect(() => setTyped(name), [name])
  const keep = (): void => {
    const next = typed.trim()
    if (next === '' || next === name) setTyped(name)
    else edit({ kind: 'rename', name: next })
  }
  return (
    <Input
      aria-label="Name of the sampler"
      variant="borderless"
      value={typed}
      maxLength={120}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={keep}
      onPressEnter={keep}
      style={{ font: '700 20px Alegreya, serif', width: `${Math.max(8, typed.length + 2)}ch`, maxWidth: 360, paddingInline: 6 }}
    />
  )
}
