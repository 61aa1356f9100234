/** Writing a stitch: a table of its moves, drawn and moved as it is typed; what is wrong is said with its move. */
import { type Surroundings, wordForRole } from '@lemmata/core/assign'
import type { Problem, Result } from '@lemmata/core/base'
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { Move, Pass, StitchDocument } from '@lemmata/core/notation'
import { cycleOf, isMoveLists, MAIN_ROLE, rolesOf } from '@lemmata/core/notation'
import { GUIDE_KINDS } from '@lemmata/core/guide'
import { LIBRARY } from '@lemmata/core/stitches'
import { readJson, readStitch, problemInWords } from '@lemmata/contract'
import { Button, Input, Segmented, Select } from 'antd'
import { useDeferredValue, useEffect, useMemo, useState } from 'react'
import { ThreadCanvas } from '../drawing/ThreadCanvas.tsx'
import { PanelBoundary } from '../sampler/PanelBoundary.tsx'
import { download } from './download.ts'
import { Hand } from './Hand.tsx'
import { MovesTable } from './MovesTable.tsx'
import { ParametersTable } from './ParametersTable.tsx'
import { workSwatch } from './swatch.ts'

interface Props {
  readonly first: StitchDocument
  readonly around: Surroundings
  readonly clothHex: string
  readonly onSampler: (document: StitchDocument) => void
  readonly onLibrary: (document: StitchDocument) => Promise<void>
  readonly onClose: () => void
}

/** The threads that stitches know; a stitch written as a file may name others. */
const LIBRARY_ROLES = [...new Set([MAIN_ROLE, ...LIBRARY.flatMap(rolesOf)])]

interface Tried {
  readonly document: StitchDocument | null
  readonly result: Result<WorkedExercise> | null
  readonly problems: readonly Problem[]
}

function tryOut(draft: unknown, around: Surroundings): Tried {
  const read = readStitch(draft)
  if (!read.ok) return { document: null, result: null, problems: read.problems }
  const document = read.value
  const result = workSwatch(document, { ...around, stitches: [...around.stitches.filter((one) => one.id !== document.id), document] })
  return { document, result, problems: result.ok ? [] : result.problems }
}

export function WriteStitch({ first, around, clothHex, onSampler, onLibrary, onClose }: Props) {
  const [draft, setDraft] = useState<StitchDocument>(() => copyOf(first))
  const [as, setAs] = useState<'table' | 'file'>('table')
  const [text, setText] = useState('')
  useEffect(() => {
    window.document.getElementById('stage')?.scrollTo(0, 0)
  }, [])
  const waiting = useDeferredValue(draft)
  const tried = useMemo(() => tryOut(waiting, around), [waiting, around])
  const taken = LIBRARY.some((one) => one.id === draft.id)
  const ready = tried.document && tried.result?.ok && !taken
  const wrongMoves = new Set(tried.problems.map((problem) => problem.path.join('/')))
  const openFile = (): void => {
    setText(JSON.stringify(draft, null, 2))
    setAs('file')
  }
  const typeFile = (typed: string): void => {
    setText(typed)
    const json = readJson(typed)
    if (json.ok && typeof json.value === 'object' && json.value !== null && 'passes' in json.value && Array.isArray(json.value.passes))
      setDraft(json.value as StitchDocument)
  }
  return (
    <div className="scroll write-stitch" data-testid="write-stitch">
      <div style={{ display: 'flex', gap: 12, alignItems: 'end', flexWrap: 'wrap', marginBottom: 12 }}>
        <div style={{ flex: 1, minWidth: 240 }}>
          <h1>Write a stitch</h1>
          <span className="quiet">Begun from {first.name.toLowerCase()}. Everything else is worked out from the moves.</span>
        </div>
        <Segmented
          aria-label="How to write it"
          value={as}
          onChange={(value) => (value === 'file' ? openFile() : setAs('table'))}
          options={[
            { value: 'table', label: 'Table of moves' },
            { value: 'file', label: 'As a file' },
          ]}
        />
        <Button onClick={onClose}>Leave it</Button>
        <Button onClick={() => download(`${draft.id}.json`, draft)}>Export</Button>
        <Button disabled={!ready} onClick={() => tried.document && onSampler(tried.document)}>
          Keep in this sampler
        </Button>
        <Button type="primary" disabled={!ready} onClick={() => tried.document && void onLibrary(tried.document)}>
          Keep in my library
        </Button>
      </div>
      <div className="write-split">
        <div style={{ display: 'grid', gap: 14 }}>
          {as === 'file' ? (
            <Input.TextArea
              aria-label="The stitch as a file"
              value={text}
              onChange={(event) => typeFile(event.target.value)}
              autoSize={{ minRows: 24, maxRows: 40 }}
              spellCheck={false}
              style={{ fontFamily: 'monospace', fontSize: 13.5 }}
            />
          ) : (
            <>
              <div className="panel" style={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 10 }}>
                <label>
                  Name
                  <Input
                    value={draft.name}
                    maxLength={120}
                    onChange={(event) => setDraft(renamed(draft, event.target.value))}
                    aria-label="Name of the stitch"
                  />
                </label>
                <label>
                  Worked on
                  <Select
                    mode="multiple"
                    aria-label="Guides it is worked on"
                    value={[...draft.guide]}
                    options={GUIDE_KINDS.map((kind) => ({ value: kind, label: kind }))}
                    onChange={(guide: string[]) => setDraft({ ...draft, guide: guide.length > 0 ? guide : draft.guide })}
                    style={{ width: '100%' }}
                  />
                </label>
                {draft.base !== undefined && <span className="quiet">Worked over {draft.base.replaceAll('-', ' ')}.</span>}
              </div>
              <ParametersTable parameters={draft.parameters ?? {}} onChange={(parameters) => setDraft({ ...draft, parameters })} />
              {draft.passes.map((pass, index) => (
                <PassEditor
                  key={`${index}-${draft.passes.length}`}
                  pass={pass}
                  number={index + 1}
                  wrong={wrongMoves}
                  onChange={(next) => setDraft({ ...draft, passes: draft.passes.map((one, at) => (at === index ? next : one)) })}
                  onRemove={draft.passes.length > 1 ? () => setDraft({ ...draft, passes: draft.passes.filter((_, at) => at !== index) }) : undefined}
                />
              ))}
              <Button
                onClick={() => setDraft({ ...draft, passes: [...draft.passes, { ...(draft.passes.at(-1) as Pass), name: `pass ${draft.passes.length + 1}` }] })}
                style={{ justifySelf: 'start' }}
              >
                Add a pass
              </Button>
            </>
          )}
        </div>
        <div style={{ display: 'grid', gap: 12, alignContent: 'start' }}>
          <div role="status" aria-live="polite">
            {taken && <p className="wrong">The library has a stitch called "{draft.id}" already. Give this one a name of its own.</p>}
            {tried.problems.slice(0, 5).map((problem) => (
              <p key={problem.code + problem.path.join()} className="wrong" style={{ margin: '0 0 6px' }}>
                {problemInWords(problem)}
              </p>
            ))}
            {tried.result?.ok && (
              <p className="fine">
                It can be worked: {tried.result.value.pieces[0].worked.fitted.count} stitches, difficulty{' '}
                {Math.round(tried.result.value.stitchDifficulty.score)}.
              </p>
            )}
          </div>
          {tried.result?.ok && (
            <PanelBoundary name="This stitch">
              <ThreadCanvas done={tried.result.value} heightPx={120} pxPerMm={9} clothHex={clothHex} label={`${draft.name}, front`} />
              <ThreadCanvas done={tried.result.value} heightPx={90} pxPerMm={9} side="back" clothHex={clothHex} label={`${draft.name}, back`} />
              <Hand done={tried.result.value} clothHex={clothHex} />
            </PanelBoundary>
          )}
        </div>
      </div>
    </div>
  )
}

/** A copy with a name of its own; variants and mistakes belong to the stitch it came from. */
function copyOf(document: StitchDocument): StitchDocument {
  const { variants: _variants, mistakes: _mistakes, also: _also, ...rest } = document
  return renamed(rest, LIBRARY.some((one) => one.id === document.id) ? `My ${document.name.toLowerCase()}` : document.name)
}

function renamed(document: StitchDocument, name: string): StitchDocument {
  const id = name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60)
  return { ...document, name, id: id || 'my-stitch' }
}

interface PassProps {
  readonly pass: Pass
  readonly number: number
  /** Paths of the moves that are wrong. */
  readonly wrong: ReadonlySet<string>
  readonly onChange: (pass: Pass) => void
  readonly onRemove: (() => void) | undefined
}

function PassEditor({ pass, number, wrong, onChange, onRemove }: PassProps) {
  const [place, setPlace] = useState(JSON.stringify(pass.place))
  const [isWrong, setWrong] = useState(false)
  const typePlace = (typed: string): void => {
    setPlace(typed)
    try {
      onChange({ ...pass, place: JSON.parse(typed) as Pass['place'] })
      setWrong(false)
    } catch {
      setWrong(true)
    }
  }
  const lists = cycleOf(pass)
  const setList = (index: number, moves: readonly Move[]): void => {
    const next = lists.map((list, at) => (at === index ? moves : list))
    onChange({ ...pass, repeat: isMoveLists(pass.repeat) ? next : (next[0] ?? []) })
  }
  const block = (name: 'start' | 'end', words: string) => (
    <MovesTable
      title={words}
      moves={pass[name] ?? []}
      isWrong={(index) => wrong.has(`passes/${number - 1}/${name}/${index}`)}
      onChange={(moves) => onChange(moves.length > 0 ? { ...pass, [name]: moves } : without(pass, name))}
    />
  )
  return (
    <div className="panel" style={{ display: 'grid', gap: 10 }}>
      <div style={{ display: 'flex', gap: 10, alignItems: 'end', flexWrap: 'wrap' }}>
        <label style={{ flex: 1, minWidth: 120 }}>
          Pass {number}
          <Input value={pass.name} maxLength={60} aria-label={`Name of pass ${number}`} onChange={(event) => onChange({ ...pass, name: event.target.value })} />
        </label>
        <label style={{ display: 'grid' }}>
          Thread
          <Select
            aria-label={`Thread of pass ${number}`}
            value={pass.thread ?? MAIN_ROLE}
            onChange={(thread) => onChange({ ...pass, thread })}
            options={LIBRARY_ROLES.map((role) => ({ value: role, label: role === MAIN_ROLE ? 'the main one' : wordForRole(role, []) }))}
            style={{ width: 130 }}
          />
        </label>
        <label style={{ display: 'grid' }}>
          It lies
          <Select
            aria-label={`How pass ${number} lies`}
            value={pass.lie ?? 'round'}
            onChange={(lie) => onChange({ ...pass, lie })}
            options={[
              { value: 'round', label: 'as a line' },
              { value: 'flat', label: 'flat, as a fill' },
            ]}
            style={{ width: 130 }}
          />
        </label>
        {onRemove && (
          <Button danger size="small" onClick={onRemove}>
            Remove
          </Button>
        )}
      </div>
      <label>
        Where its repeats lie
        <Input
          value={place}
          status={isWrong ? 'error' : ''}
          aria-label={`Placement of pass ${number}`}
          onChange={(event) => typePlace(event.target.value)}
          spellCheck={false}
          style={{ fontFamily: 'monospace', fontSize: 13.5 }}
        />
      </label>
      {block('start', 'To begin')}
      {lists.map((list, index) => (
        <MovesTable
          key={index}
          title={lists.length > 1 ? `Repeat, ${index + 1} of ${lists.length} in turn` : 'Repeat'}
          moves={list}
          isWrong={(at) => wrong.has(`passes/${number - 1}/repeat/${at}`)}
          onChange={(moves) => setList(index, moves)}
        />
      ))}
      {block('end', 'To end')}
    </div>
  )
}

function without(pass: Pass, name: 'start' | 'end'): Pass {
  const { [name]: _gone, ...rest } = pass
  return rest
}
