/** Named versions of the sampler: kept as it is now, put back as it was then; undo takes that back. */
import { App, Button, Input, Modal } from 'antd'
import { useState } from 'react'
import { api, sentenceOf } from '../api/client.ts'
import { useDropVersionMutation, useKeepVersionMutation, useVersionsQuery } from '../api/server-api.ts'
import { dateInWords } from '../look/dates.ts'
import { edit, useAppSelector } from '../store/index.ts'

interface Props {
  readonly id: string
  readonly onClose: () => void
}

export function VersionsDialog({ id, onClose }: Props) {
  const { message } = App.useApp()
  const { data: versions, error } = useVersionsQuery(id, { refetchOnMountOrArgChange: true })
  const [keepVersion, keeping] = useKeepVersionMutation()
  const [dropVersion] = useDropVersionMutation()
  const [name, setName] = useState('')
  const [wrong, setWrong] = useState<string | null>(null)
  // What is kept is what the server has.
  const saved = useAppSelector((state) => state.sampler.open?.status === 'saved')
  const keep = async (): Promise<void> => {
    const done = await keepVersion({ id, name: name.trim() })
    if ('error' in done && done.error) setWrong((done.error as { sentence: string }).sentence)
    else {
      setName('')
      setWrong(null)
    }
  }
  const putBack = async (version: string, called: string): Promise<void> => {
    try {
      const { document } = await api.version(id, version)
      edit({ kind: 'put-back', document })
      message.success(`It is as it was in "${called}". Undo brings back what was here.`)
      onClose()
    } catch (thrown) {
      setWrong(sentenceOf(thrown))
    }
  }
  const drop = async (version: string): Promise<void> => {
    const done = await dropVersion({ id, version })
    if ('error' in done && done.error) setWrong((done.error as { sentence: string }).sentence)
  }
  const trouble = wrong ?? (error ? (error as { sentence: string }).sentence : null)
  const canKeep = saved && name.trim() !== '' && !keeping.isLoading
  return (
    <Modal open title="Versions" footer={null} onCancel={onClose} width={520}>
      <p className="why">A version is all of the sampler as it is now, under a name: before you try another arrangement, or for what one class was given.</p>
      <div className="version-new">
        <Input
          aria-label="Name of this version"
          placeholder="As the spring class had it"
          value={name}
          maxLength={120}
          onChange={(event) => setName(event.target.value)}
          onPressEnter={() => canKeep && void keep()}
        />
        <Button type="primary" disabled={!canKeep} onClick={() => void keep()}>
          Keep it
        </Button>
      </div>
      {!saved && <p className="quiet">What was changed last is still on its way; then it can be kept.</p>}
      {trouble && (
        <p role="alert" className="wrong">
          {trouble}
        </p>
      )}
      {versions?.length === 0 && <p className="quiet">None is kept yet.</p>}
      <ul className="versions" aria-label="Kept versions">
        {versions?.map((version) => (
          <li key={version.id}>
            <span>
              <strong title={version.name}>{version.name}</strong>
              <span className="quiet">kept {dateInWords(version.keptAt)}</span>
            </span>
            <Button size="small" aria-label={`Put back ${version.name}`} onClick={() => void putBack(version.id, version.name)}>
              Put back
            </Button>
            <Button size="small" type="text" danger aria-label={`Drop ${version.name}`} onClick={() => void drop(version.id)}>
              Drop
            </Button>
          </li>
        ))}
      </ul>
    </Modal>
  )
}
