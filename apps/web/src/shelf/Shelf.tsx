/** The shelf: a teacher's samplers. */
import { readJson, type SamplerSummary } from '@lemmata/contract'
import { App, Button, Dropdown } from 'antd'
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
import { dateInWords } from '../look/dates.ts'
import { FileButton } from '../look/FileButton.tsx'
import { NameDialog } from '../look/NameDialog.tsx'
import { TopBar } from '../sampler/TopBar.tsx'
import { cannotBeWorked } from './cannot-be-worked.ts'
import { EmptyHoop } from './EmptyHoop.tsx'
import { SamplerPicture } from './SamplerPicture.tsx'

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
  const keepName = (name: string): void => {
    if (!naming) return
    const { id } = naming
    if (id !== null) void told(renameSampler({ id, name }))
    else void told(makeSampler({ name })).then((made) => made && navigate(`/samplers/${made.id}/brief`))
  }
  const takeDemo = async (which: 'weatherDiary' | 'sixThursdays'): Promise<void> => {
    const demo = await import('@lemmata/contract/demo')
    const document = which === 'weatherDiary' ? demo.weatherDiary() : demo.sixThursdays(new Date().toISOString().slice(0, 10))
    const made = await told(makeSampler({ document }))
    if (made) message.success(`${made.document.name} is on the shelf.`)
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
    if (!made) return
    message.success(`${made.document.name} is on the shelf.`)
    const wrong = await cannotBeWorked(made.document).catch(() => null)
    if (wrong !== null) message.warning(`${made.document.name} is on the shelf, but not all of it can be worked. ${wrong}`, 12)
  }

  return (
    <div className="page">
      <TopBar />
      <main className="shelf">
        <div className="shelf-head">
          <div style={{ flex: 1 }}>
            <h1>Shelf</h1>
            <span className="quiet">Your samplers, the last changed first</span>
          </div>
          <Link to="/stores" className="link-button">
            Stores
          </Link>
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
        <ul className="shelf-list">
          {samplers?.map((sampler) => (
            <li key={sampler.id} className="shelf-item">
              <Link to={`/samplers/${sampler.id}/cloth`} aria-label={sampler.name}>
                <SamplerPicture id={sampler.id} name={sampler.name} revision={sampler.revision} heightPx={310} />
              </Link>
              <div className="shelf-words">
                <h2 title={sampler.name}>{sampler.name}</h2>
                <Dropdown
                  trigger={['click']}
                  menu={{
                    items: [
                      { key: 'rename', label: 'Rename', onClick: () => setNaming({ id: sampler.id, name: sampler.name }) },
                      { key: 'copy', label: 'Copy', onClick: () => void told(copySampler({ id: sampler.id, forNextClass: false })) },
                      { key: 'next', label: 'Copy for the next class', onClick: () => void told(copySampler({ id: sampler.id, forNextClass: true })) },
                      { key: 'export', label: <a href={`/api/samplers/${sampler.id}/document`}>Export</a> },
                      { key: 'delete', label: 'Delete', danger: true, onClick: () => void remove(sampler) },
                    ],
                  }}
                >
                  <Button type="text" aria-label={`More of ${sampler.name}`} title="More">
                    …
                  </Button>
                </Dropdown>
                <p className="quiet">
                  {sampler.exercises === 1 ? '1 exercise' : `${sampler.exercises} exercises`} on {sampler.cloth.toLowerCase()}
                  <br />
                  changed {dateInWords(sampler.changedAt)}
                </p>
                <Button type="primary" onClick={() => void navigate(`/samplers/${sampler.id}/cloth`)} aria-label={`Open ${sampler.name}`}>
                  Open
                </Button>
              </div>
            </li>
          ))}
          {samplers && (
            <li>
              <EmptyHoop first={samplers.length === 0} onNew={() => setNaming({ id: null, name: '' })} onDemo={(which) => void takeDemo(which)} />
            </li>
          )}
        </ul>
      </main>
      {naming && (
        <NameDialog
          title={naming.id === null ? 'New sampler' : 'Rename the sampler'}
          act={naming.id === null ? 'Begin' : 'Rename'}
          name={naming.name}
          placeholder="Weather over the harbour"
          onName={keepName}
          onClose={() => setNaming(null)}
        />
      )}
    </div>
  )
}
