/** The head of a sampler: its name, the stages, undo and redo, finding, the account. One row. */
import type { Sampler } from '@lemmata/core/sampler'
import { Button, Dropdown } from 'antd'
import { useState } from 'react'
import { Link, useLocation, useNavigate } from 'react-router'
import { NameDialog } from '../look/NameDialog.tsx'
import { RedoGlyph, UndoGlyph } from '../look/Glyphs.tsx'
import { canTakeBack, edit, redo, undo, useAppSelector } from '../store/index.ts'
import { AccountMenu } from './AccountMenu.tsx'
import { Find } from './Find.tsx'
import { SaveState } from './SaveState.tsx'
import { Shortcuts } from './Shortcuts.tsx'
import type { StageState } from './stage-states.ts'
import { Stages } from './Stages.tsx'
import { VersionsDialog } from './VersionsDialog.tsx'

interface Props {
  readonly id: string
  readonly sampler: Sampler
  readonly stages: readonly StageState[]
}

export function Head({ id, sampler, stages }: Props) {
  const canUndo = useAppSelector((state) => canTakeBack(state, 'undo'))
  const canRedo = useAppSelector((state) => canTakeBack(state, 'redo'))
  const location = useLocation()
  return (
    <header className="head">
      <a className="skip" href="#stage">
        Skip to the stage
      </a>
      <div className="head-name">
        <Link to="/" className="mark" aria-label="Lemmata, to the shelf">
          <img src="/mark.svg" alt="" />
        </Link>
        <div className="head-words">
          <SamplerMenu id={id} name={sampler.name} />
          <SaveState />
        </div>
      </div>
      <Stages stages={stages} />
      <div className="head-acts">
        <Button onClick={undo} disabled={!canUndo} aria-label="Undo" title="Undo (Ctrl+Z)" icon={<UndoGlyph />} />
        <Button onClick={redo} disabled={!canRedo} aria-label="Redo" title="Redo (Ctrl+Shift+Z)" icon={<RedoGlyph />} />
        <Link to={`/samplers/${id}/teach`} state={{ from: location.pathname }} className="teach-link" title="Teach, full screen (T)">
          Teach
        </Link>
        <Find id={id} sampler={sampler} stages={stages} />
        <Shortcuts />
        <AccountMenu />
      </div>
    </header>
  )
}

function SamplerMenu({ id, name }: { id: string; name: string }) {
  const [renaming, setRenaming] = useState(false)
  const [versions, setVersions] = useState(false)
  const navigate = useNavigate()
  return (
    <>
      <Dropdown
        trigger={['click']}
        menu={{
          items: [
            { key: 'rename', label: 'Rename', onClick: () => setRenaming(true) },
            { key: 'versions', label: 'Versions …', onClick: () => setVersions(true) },
            { key: 'export', label: <a href={`/api/samplers/${id}/document`}>Export as a file</a> },
            { key: 'print', label: 'Print its sheets', onClick: () => void navigate(`/samplers/${id}/sheets`) },
            { key: 'shelf', label: 'Back to the shelf', onClick: () => void navigate('/') },
          ],
        }}
      >
        <button type="button" className="sampler-name" title={name} aria-label={`${name}, menu of the sampler`}>
          <span>{name}</span>
        </button>
      </Dropdown>
      {versions && <VersionsDialog id={id} onClose={() => setVersions(false)} />}
      {renaming && (
        <NameDialog
          title="Rename the sampler"
          act="Rename"
          name={name}
          onClose={() => setRenaming(false)}
          onName={(next) => edit({ kind: 'rename', name: next })}
        />
      )}
    </>
  )
}
