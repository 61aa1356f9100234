/** The shelf: a teacher's samplers. */
import type { SamplerSummary } from '@lemmata/contract'
import { App, Button, Input, Modal } from 'antd'
import { useCallback, useEffect, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { api, sentenceOf } from '../api/client.ts'
import { FileButton } from '../look/FileButton.tsx'
import { TopBar } from '../sampler/TopBar.tsx'

export function Shelf() {
  const [samplers, setSamplers] = useState<readonly SamplerSummary[] | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const [naming, setNaming] = useState<{ id: string | null; name: string } | null>(null)
  const { message } = App.useApp()
  const navigate = useNavigate()

  const load = useCallback(() => {
    api.samplers().then(
      (list) => {
        setSamplers(list)
        setProblem(null)
      },
      (error: unknown) => setProblem(sentenceOf(error)),
    )
  }, [])
  useEffect(() => {
    document.title = 'Lemmata'
    load()
  }, [load])

  const act = async (what: () => Promise<unknown>): Promise<void> => {
    try {
      await what()
      load()
    } catch (error) {
      message.error(sentenceOf(error))
    }
  }
  const keepName = (): void => {
    if (!naming || naming.name.trim() === '') return
    const { id, name } = naming
    setNaming(null)
    if (id === null) {
      api.makeSampler({ name: name.trim() }).then(
        (made) => navigate(`/samplers/${made.id}/brief`),
        (error: unknown) => message.error(sentenceOf(error)),
      )
      return
    }
    void act(async () => {
      const { version } = await api.sampler(id)
      await api.sendOperations(id, version, [{ id: crypto.randomUUID(), operation: { kind: 'rename', name: name.trim() } }])
    })
  }
  const remove = (sampler: SamplerSummary): void =>
    void act(async () => {
      await api.removeSampler(sampler.id)
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
                void act(() => api.restoreSampler(sampler.id))
              }}
            >
              Put it back
            </Button>
          </span>
        ),
      })
    })
  const importFile = async (chosen: File): Promise<void> => {
    try {
      const made = await api.makeSampler({ document: JSON.parse(await chosen.text()) as unknown })
      message.success(`${made.document.name} is on the shelf.`)
      load()
    } catch (error) {
      message.error(
        error instanceof SyntaxError ? `${chosen.name} is not a sampler: it cannot be read as JSON. Choose a file that was exported here.` : sentenceOf(error),
        8,
      )
    }
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
            {problem} <Button onClick={load}>Try again</Button>
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
                <Button size="small" type="text" onClick={() => void act(() => api.copySampler(sampler.id))}>
                  Copy
                </Button>
                <Button size="small" type="text" href={`/api/samplers/${sampler.id}/document`}>
                  Export
                </Button>
                <Button size="small" type="text" danger onClick={() => remove(sampler)} aria-label={`Delete ${sampler.name}`}>
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
