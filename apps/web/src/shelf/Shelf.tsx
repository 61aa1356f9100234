/** The shelf: a teacher's samplers. */
import { readJson, type SamplerSummary } from '@lemmata/contract'
import { App, Button, Input, Modal } from 'antd'
import { useEffect, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import {
  failedWith,
  useCopySamplerMutation,
  useMakeSamplerMutation,
  useRemoveSamplerMutation,
  useRenameSamplerMutation,
  useRestoreSamplerMutation,
  useSamplersQuery,
} from '../api/server-api.ts'
import { FileButton } from '../look/FileButton.tsx'
import { TopBar } from '../sampler/TopBar.tsx'

export function Shelf() {
  const { data: samplers, error, refetch } = useSamplersQuery(undefined, { refetchOnMountOrArgChange: true })
  const [makeSampler] = useMakeSamplerMutation()
  const [copySampler] = useCopySamplerMutation()
  const [removeSampler] = useRemoveSamplerMutation()
  const [restoreSampler] = useRestoreSamplerMutation()
  const [renameSampler] = useRenameSamplerMutation()
  const [naming, setNaming] = useState<{ id: string | null; name: string } | null>(null)
  const { message } = App.useApp()
  const navigate = useNavigate()
  const problem = failedWith(error)
  useEffect(() => {
    document.title = 'Lemmata'
  }, [])

  /** What came of it, or nothing after saying why not. */
  const told = async <T,>(what: Promise<{ data?: T; error?: unknown }>): Promise<T | null> => {
    const answer = await what
    if (answer.error) message.error(failedWith(answer.error), 8)
    return answer.data ?? null
  }
  const keepName = (): void => {
    if (!naming || naming.name.trim() === '') return
    const { id, name } = naming
    setNaming(null)
    if (id !== null) void told(renameSampler({ id, name: name.trim() }))
    else void told(makeSampler({ name: name.trim() })).then((made) => made && navigate(`/samplers/${made.id}/brief`))
  }
  const remove = async (sampler: SamplerSummary): Promise<void> => {
    const answer = await removeSampler(sampler.id)
    if (answer.error) {
      message.error(failedWith(answer.error), 8)
      return
    }
    message.info({
      key: sampler.id,
      duration: 8,
      content: (
        <span>
          {sampler.name} is deleted.{' '}
          <Button
            size="small"
            type="link"
            onClick={() => {
              message.destroy(sampler.id)
              void told(restoreSampler(sampler.id))
            }}
          >
            Put it back
          </Button>
        </span>
      ),
    })
  }
  const importFile = async (chosen: File): Promise<void> => {
    const read = readJson(await chosen.text())
    if (!read.ok) {
      message.error(`${chosen.name} is not a sampler: it cannot be read as JSON. Choose a file that was exported here.`, 8)
      return
    }
    const made = await told(makeSampler({ document: read.value }))
    if (made) message.success(`${made.document.name} is on the shelf.`)
  }

  return (
    <div className="page">
      <TopBar />
      <main className="shelf">
        <div className="shelf-head">
          <div style={{ flex: 1 }}>
            <h1>Shelf</h1>
            <span className="quiet">Your samplers, the last changed first.</span>
          </div>
          <FileButton label="Sampler file" onFile={(file) => void importFile(file)}>
            Import a file
          </FileButton>
          <Button type="primary" onClick={() => setNaming({ id: null, name: '' })}>
            New sampler
          </Button>
        </div>
        {problem && (
          <p role="alert" className="wrong">
            {problem} <Button onClick={() => void refetch()}>Try again</Button>
          </p>
        )}
        {samplers?.length === 0 && (
          <div className="empty sheet">
            <h2>The shelf is empty</h2>
            <p className="quiet">Begin with a name; cloth, thread and stitches follow, and nothing waits for anything else.</p>
            <Button type="primary" onClick={() => setNaming({ id: null, name: '' })}>
              New sampler
            </Button>
          </div>
        )}
        <ul className="shelf-list">
          {samplers?.map((sampler) => (
            <li key={sampler.id} className="shelf-item">
              <Link to={`/samplers/${sampler.id}/cloth`}>
                <h2>{sampler.name}</h2>
                <div className="facts quiet">
                  {sampler.exercises === 1 ? '1 exercise' : `${sampler.exercises} exercises`} on {sampler.cloth.toLowerCase()}
                  <br />
                  changed {new Date(sampler.changedAt).toLocaleString()}
                </div>
              </Link>
              <div className="acts">
                <Button size="small" type="text" onClick={() => setNaming({ id: sampler.id, name: sampler.name })}>
                  Rename
                </Button>
                <Button size="small" type="text" onClick={() => void told(copySampler(sampler.id))}>
                  Copy
                </Button>
                <Button size="small" type="text" href={`/api/samplers/${sampler.id}/document`}>
                  Export
                </Button>
                <Button size="small" type="text" danger onClick={() => void remove(sampler)} aria-label={`Delete ${sampler.name}`}>
                  Delete
                </Button>
              </div>
            </li>
          ))}
        </ul>
      </main>
      <Modal
        open={naming !== null}
        title={naming?.id === null ? 'New sampler' : 'Rename'}
        okText={naming?.id === null ? 'Begin' : 'Rename'}
        onOk={keepName}
        onCancel={() => setNaming(null)}
        okButtonProps={{ disabled: (naming?.name ?? '').trim() === '' }}
      >
        <Input
          aria-label="Name"
          placeholder="Weather over the harbour"
          value={naming?.name ?? ''}
          maxLength={120}
          autoFocus
          onChange={(event) => setNaming((before) => (before ? { ...before, name: event.target.value } : null))}
          onPressEnter={keepName}
        />
      </Modal>
    </div>
  )
}
