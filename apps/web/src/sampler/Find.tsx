/** Finds an exercise, a stitch by any of its names, a stage or a command: `Ctrl+K`, words, Enter. */
import type { Sampler } from '@lemmata/core/sampler'
import { Button, Modal, Select } from 'antd'
import type { BaseSelectRef } from '@rc-component/select'
import { useMemo, useRef, useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { useLocation, useNavigate } from 'react-router'
import { redo, undo, useAppDispatch } from '../store/index.ts'
import { exerciseSelected } from '../store/sampler.ts'
import { type Entry, entriesOf, matches } from './find-entries.ts'
import type { StageState } from './stage-states.ts'

interface Props {
  readonly id: string
  readonly sampler: Sampler
  readonly stages: readonly StageState[]
}

/** Stages that show the card of what is chosen. */
const WITH_CARD = ['order', 'cloth', 'thread']

export function Find({ id, sampler, stages }: Props) {
  const [open, setOpen] = useState(false)
  const dispatch = useAppDispatch()
  const navigate = useNavigate()
  const location = useLocation()
  const field = useRef<BaseSelectRef>(null)
  useHotkeys(
    'mod+k',
    (event) => {
      event.preventDefault()
      setOpen(true)
    },
    { enableOnFormTags: true },
  )
  const entries = useMemo(() => (open ? entriesOf(sampler, stages) : []), [open, sampler, stages])
  const go = (to: string): void => void navigate(`/samplers/${id}/${to}`)
  const choose = (value: string): void => {
    setOpen(false)
    const [kind, what = ''] = value.split(' ')
    if (kind === 'exercise') {
      dispatch(exerciseSelected(what))
      if (!WITH_CARD.some((stage) => location.pathname.endsWith(`/${stage}`))) go('cloth')
    } else if (kind === 'stitch') go(`stitches?stitch=${encodeURIComponent(what)}`)
    else if (kind === 'draw') go(`cloth?draw=${what}`)
    else if (kind === 'stage') go(what)
    else if (what === 'undo') undo()
    else if (what === 'redo') redo()
    else if (what === 'kit' || what === 'teach') go(what)
    else void navigate(what === 'stores' ? '/stores' : '/')
  }
  return (
    <>
      <Button className="find" onClick={() => setOpen(true)} aria-label="Find" title="Find (Ctrl+K)" aria-haspopup="dialog">
        <span>Find</span>
        <kbd>Ctrl K</kbd>
      </Button>
      <Modal
        open={open}
        footer={null}
        title="Find"
        width={560}
        style={{ top: 64 }}
        // At once: what is typed right after the keys must find the field, also when it was closed a moment ago.
        transitionName=""
        maskTransitionName=""
        onCancel={() => setOpen(false)}
        afterOpenChange={(shown) => shown && field.current?.focus()}
        destroyOnHidden
      >
        <Select<string, Entry>
          ref={field}
          autoFocus
          aria-label="An exercise, a stitch by any name, a stage, a command"
          placeholder="An exercise, a stitch by any name, a stage, a command"
          style={{ width: '100%' }}
          size="large"
          open={open}
          value={null}
          showSearch={{ filterOption: (typed, entry) => matches(typed, entry?.words ?? '') }}
          options={[...entries]}
          optionRender={(option) => (
            <span className="find-entry">
              <span>{option.data.label}</span>
              <span className="quiet">{option.data.what}</span>
            </span>
          )}
          onSelect={choose}
          onKeyDown={(event) => event.key === 'Escape' && setOpen(false)}
          listHeight={400}
          notFoundContent="Nothing is called that."
        />
      </Modal>
    </>
  )
}
