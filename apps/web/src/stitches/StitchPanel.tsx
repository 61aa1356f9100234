/** One stitch: the hand, trying its lengths, mistakes, what would come undone, facts, and teaching it. */
import { problemInWords } from '@lemmata/contract'
import type { Surroundings } from '@lemmata/core/assign'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { secondHandMotions, untwistEvery } from '@lemmata/core/measure'
import type { StitchDocument } from '@lemmata/core/notation'
import { motionsOf, motionWord } from '@lemmata/core/order'
import type { RowOfRows } from '@lemmata/core/layout'
import { formatLength } from '@lemmata/core/units'
import { Button, Collapse } from 'antd'
import { type ReactNode, useEffect, useState } from 'react'
import { VersionField } from '../sampler/VersionField.tsx'
import { Hand } from './Hand.tsx'
import { Mistakes, WouldItHold } from './Mistakes.tsx'
import { FIRST_TRIAL, type Trial } from './trial.ts'
import { TryIt, useTrial } from './TryIt.tsx'

interface Props {
  readonly document: StitchDocument
  readonly around: Surroundings
  readonly clothHex: string
  readonly units: 'mm' | 'in'
  /** Letters of the exercises that use it. */
  readonly where: string
  readonly onTeach: (trial: Trial) => void
  readonly onRows: (rows: RowOfRows, trial: Trial) => void
  readonly onCopy: () => void
  readonly onExport: () => void
  /** Only for a stitch of the teacher's own library. */
  readonly onRemove?: (() => void) | undefined
  readonly onClose: () => void
  readonly isCompared: boolean
  readonly onCompare: () => void
}

export function StitchPanel(props: Props) {
  const { document, around, clothHex, units, where, onTeach, onRows, onCopy, onExport, onRemove, onClose, isCompared, onCompare } = props
  const [trial, setTrial] = useState<Trial>(FIRST_TRIAL)
  const [open, setOpen] = useState<string | null>('facts')
  useEffect(() => setTrial(FIRST_TRIAL), [document.id])
  const worked = useTrial(document, around, trial)
  const done = worked?.ok ? worked.value : null
  const groups: { key: string; label: string; fact: string; children: ReactNode }[] = [
    {
      key: 'facts',
      label: 'About it',
      fact: done ? `difficulty ${Math.round(done.stitchDifficulty.score)}` : '',
      children: done && <Facts done={done} units={units} />,
    },
    {
      key: 'try',
      label: 'Try it',
      fact: 'other lengths, other guides',
      children: (
        <TryIt document={document} worked={worked} trial={trial} onChange={setTrial} clothHex={clothHex} units={units} onRows={(rows) => onRows(rows, trial)} />
      ),
    },
    { key: 'mistakes', label: 'Good and bad', fact: 'usual mistakes, and their mends', children: done && <Mistakes done={done} clothHex={clothHex} /> },
    { key: 'hold', label: 'Would it hold?', fact: 'if an end comes loose', children: done && <WouldItHold done={done} /> },
  ]
  return (
    <div className="stitch-panel">
      <div className="drawer-head">
        <div className="card-title">
          <h2 title={document.name}>{document.name}</h2>
          <span>
            {document.family ?? 'a stitch of your own'}
            {where === '' ? '; not in this course yet' : `; in your course as ${where}`}
          </span>
        </div>
        <Button
          type="primary"
          onClick={() => onTeach(trial)}
          disabled={!done}
          aria-label={`Teach ${document.name.toLowerCase()}${where === '' ? '' : ' again'}`}
        >
          {where === '' ? 'Teach it' : 'Teach it again'}
        </Button>
        <Button type="text" size="small" aria-label="Close the drawer" title="Close the drawer" onClick={onClose}>
          ×
        </Button>
      </div>
      <VersionField
        document={document}
        value={trial.variant}
        // Its lengths and guides are its own.
        onChange={(variant) => setTrial({ ...FIRST_TRIAL, strands: trial.strands, variant })}
      />
      {done ? (
        <Hand done={done} clothHex={clothHex} />
      ) : (
        <p className="wrong">{worked && !worked.ok && worked.problems[0] ? problemInWords(worked.problems[0]) : ''}</p>
      )}
      <Collapse
        ghost
        className="card-groups"
        activeKey={open === null ? [] : [open]}
        onChange={(keys) => setOpen(keys.find((key) => key !== open) ?? null)}
        items={groups.map(({ key, label, fact, children }) => ({
          key,
          label,
          extra: <span className="fact">{fact}</span>,
          children: <div className="group">{children}</div>,
        }))}
      />
      <div className="card-foot">
        <Button onClick={onCompare} aria-pressed={isCompared}>
          {isCompared ? 'Laid beside' : 'Lay beside'}
        </Button>
        <Button onClick={onCopy}>Write one like it</Button>
        <Button onClick={onExport}>Export</Button>
        {onRemove && (
          <Button danger onClick={onRemove}>
            Remove from my library
          </Button>
        )}
      </div>
    </div>
  )
}

function Facts({ done, units }: { done: WorkedExercise; units: 'mm' | 'in' }) {
  const { document } = done.assigned
  const motions = motionsOf(done)
  const twist = twistAfter(done)
  const facts: [string, string | undefined][] = [
    ['Also called', document.also?.join(', ')],
    ['Good for', document.goodFor?.join(', ')],
    ['The hands learn', motions.length === 0 ? 'to come up and go down evenly' : motions.map(motionWord).join(', ')],
    ['Hands', handsFor(done)],
    ['Reads as wide as', formatLength(done.widthMm, units, 2)],
    ['Tension', document.tension ?? 'easy'],
    ['Untwist', twist],
    ['Not to be confused with', document.lookAlikes?.map((one) => `${one.name}: ${one.tell}`).join(' ')],
    ['Front', document.look?.front],
    ['Back', document.look?.back],
  ]
  return (
    <>
      <dl className="facts-list">
        {facts.map(([name, value]) =>
          value ? (
            <div key={name} style={{ display: 'contents' }}>
              <dt>{name}</dt>
              <dd>{value}</dd>
            </div>
          ) : null,
        )}
      </dl>
      {document.slips?.map((slip) => (
        <p key={slip.see} className="why" style={{ margin: 0 }}>
          <b>{slip.see}.</b> {slip.mend}
        </p>
      ))}
      {document.unpick && (
        <p className="why" style={{ margin: 0 }}>
          <b>To unpick.</b> {document.unpick}
        </p>
      )}
      {document.cautions?.map((caution) => (
        <p key={caution} className="caution" style={{ margin: 0 }}>
          {caution}
        </p>
      ))}
    </>
  )
}

function handsFor(done: WorkedExercise): string {
  const needed = secondHandMotions(done.pieces[0].worked.motions)
  return needed.length === 0
    ? 'One is enough, with the hoop on a stand.'
    : `Both: ${needed.map(motionWord).join(', ')}. With one hand, put the hoop on a stand and hold the thread with a clip.`
}

function twistAfter(done: WorkedExercise): string {
  const every = untwistEvery(done.pieces[0].worked)
  return `Let the needle hang and untwist after every ${every === 1 ? 'stitch' : `${every} stitches`}.`
}
