/** Writing a stitch: in sentences, its places lettered on the drawing; worked as it is written, and what is wrong is said with its move. */
import type { Surroundings } from '@lemmata/core/assign'
import type { Problem, Result } from '@lemmata/core/base'
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { Point } from '@lemmata/core/geometry'
import { GUIDE_KINDS } from '@lemmata/core/guide'
import { cycleOf, MAIN_ROLE, type Move, type Pass, rolesOf, type StitchDocument } from '@lemmata/core/notation'
import { LIBRARY } from '@lemmata/core/stitches'
import { readJson, readStitch, problemInWords } from '@lemmata/contract'
import { Button, Input, Segmented, Select } from 'antd'
import { useDeferredValue, useMemo, useRef, useState } from 'react'
import { PanelBoundary } from '../../sampler/PanelBoundary.tsx'
import { download } from '../download.ts'
import { Hand } from '../Hand.tsx'
import { workSwatch } from '../swatch.ts'
import { isSamePlace, letteredPlaces, type MoveAddress, movedPlace, placeOf, withPlace } from './letters.ts'
import { LetteredDrawing } from './LetteredDrawing.tsx'
import { LengthsSentences } from './LengthsSentences.tsx'
import { ParametersTable } from './ParametersTable.tsx'
import { PassFormulas } from './PassFormulas.tsx'
import { PassSentences, withBlock, withList } from './PassSentences.tsx'
import { pickPlace } from './pick.ts'
import { wordingOf } from './wording.ts'

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

type Way = 'sentences' | 'formulas' | 'file'

export function WriteStitch({ first, around, clothHex, onSampler, onLibrary, onClose }: Props) {
  const [draft, setDraft] = useState<StitchDocument>(() => copyOf(first))
  const [as, setAs] = useState<Way>('sentences')
  const [text, setText] = useState('')
  const [picking, setPicking] = useState<{ readonly pass: number; readonly address: MoveAddress } | null>(null)
  const waiting = useDeferredValue(draft)
  const tried = useMemo(() => tryOut(waiting, around), [waiting, around])
  // What was drawn last stays, so that there is something to put places on while a move is still wrong.
  const drawn = useRef<WorkedExercise | null>(null)
  if (tried.result?.ok) drawn.current = tried.result.value
  const done = tried.result?.ok ? tried.result.value : drawn.current
  const taken = LIBRARY.some((one) => one.id === draft.id)
  const ready = tried.document && tried.result?.ok && !taken
  const wording = useMemo(() => wordingOf(draft, done), [draft, done])
  const before = done ? done.pieces[0].assigned.document.passes.length - waiting.passes.length : 0
  const worked = done?.pieces[0].worked ?? null
  const places = draft.passes.map((pass, index) => letteredPlaces(pass, index + Math.max(0, before), worked))
  const wrongMoves = new Set(tried.problems.map((problem) => problem.path.join('/')))
  const isWrong = (pass: number, { block, list, move }: MoveAddress): boolean =>
    wrongMoves.has(`passes/${pass}/${block}/${move}`) || wrongMoves.has(`passes/${pass}/${block}/${list}/${move}`)
  const setPass = (index: number, next: Pass): void => setDraft({ ...draft, passes: draft.passes.map((one, at) => (at === index ? next : one)) })

  const change = (value: Way): void => {
    if (value === 'file') setText(JSON.stringify(draft, null, 2))
    setAs(value)
  }
  const typeFile = (typed: string): void => {
    setText(typed)
    const json = readJson(typed)
    if (json.ok && typeof json.value === 'object' && json.value !== null && 'passes' in json.value && Array.isArray(json.value.passes))
      setDraft(json.value as StitchDocument)
  }

  const shownPass = Math.min(picking?.pass ?? 0, draft.passes.length - 1)
  const shownPlaces = places[shownPass] ?? []
  const pickedMove = picking && draft.passes[picking.pass] ? moveAt(draft.passes[picking.pass] as Pass, picking.address) : null
  const held = pickedMove ? shownPlaces.find((one) => isSamePlace(one.form, placeOf(pickedMove) ?? ''))?.letter : undefined
  const press = (at: Point): void => {
    const form = pickPlace(at, shownPlaces, wording.worth, wording.reach)
    const pass = draft.passes[shownPass]
    if (form && picking && pass && pickedMove) setPass(shownPass, withMove(pass, picking.address, withPlace(pickedMove, form)))
  }
  const drag = (letter: string, at: Point): void => {
    const from = shownPlaces.find((one) => one.letter === letter)
    const pass = draft.passes[shownPass]
    const form = pickPlace(at, shownPlaces, wording.worth, wording.reach)
    if (from && pass && form) setPass(shownPass, movedPlace(pass, from.form, form))
  }

  return (
    <div className="stage-frame write-stitch" data-testid="write-stitch">
      <div className="toolbar">
        <h1>Write a stitch</h1>
        <span className="quiet">begun from {first.name.toLowerCase()}</span>
        <span className="grow" />
        <Segmented<Way>
          aria-label="How to write it"
          value={as}
          onChange={change}
          options={[
            { value: 'sentences', label: 'In sentences' },
            { value: 'formulas', label: 'With formulas' },
            { value: 'file', label: 'As a file' },
          ]}
        />
        <Button onClick={() => download(`${draft.id}.json`, draft)}>Save as a file</Button>
        <Button onClick={onClose}>Back to the wall</Button>
        <Button disabled={!ready} onClick={() => tried.document && onSampler(tried.document)}>
          Keep in this sampler
        </Button>
        <Button type="primary" disabled={!ready} onClick={() => tried.document && void onLibrary(tried.document)}>
          Keep in my library
        </Button>
      </div>
      <div className="write-split">
        <div className="write-side">
          {as === 'file' ? (
            <Input.TextArea
              aria-label="The stitch as a file"
              value={text}
              onChange={(event) => typeFile(event.target.value)}
              autoSize={{ minRows: 24 }}
              spellCheck={false}
              style={{ fontFamily: 'monospace', fontSize: 13.5 }}
            />
          ) : (
            <>
              <div className="panel write-name">
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
              {as === 'formulas' && <ParametersTable parameters={draft.parameters ?? {}} onChange={(parameters) => setDraft({ ...draft, parameters })} />}
              {draft.passes.map((pass, index) => {
                const shared = {
                  pass,
                  number: index + 1,
                  roles: LIBRARY_ROLES,
                  isWrong: (address: MoveAddress) => isWrong(index, address),
                  onChange: (next: Pass) => setPass(index, next),
                  onRemove: draft.passes.length > 1 ? () => setDraft({ ...draft, passes: draft.passes.filter((_, at) => at !== index) }) : undefined,
                }
                return as === 'formulas' ? (
                  <PassFormulas key={`${index}-${draft.passes.length}`} {...shared} />
                ) : (
                  <PassSentences
                    key={`${index}-${draft.passes.length}`}
                    {...shared}
                    wording={wording}
                    places={places[index] ?? []}
                    picking={picking?.pass === index ? picking.address : null}
                    onPick={(address) => setPicking({ pass: index, address })}
                  />
                )
              })}
              <Button
                onClick={() => setDraft({ ...draft, passes: [...draft.passes, { ...(draft.passes.at(-1) as Pass), name: `pass ${draft.passes.length + 1}` }] })}
                style={{ justifySelf: 'start' }}
              >
                Add a pass
              </Button>
              {as === 'sentences' && (
                <LengthsSentences
                  parameters={draft.parameters ?? {}}
                  values={done?.pieces[0].assigned.parameters ?? null}
                  wording={wording}
                  onChange={(parameters) => setDraft({ ...draft, parameters })}
                />
              )}
            </>
          )}
        </div>
        <div className="write-side">
          <div role="status" aria-live="polite" className="verdict">
            {taken && <p className="wrong">The library has a stitch called "{draft.id}" already. Give this one a name of its own.</p>}
            {tried.problems.slice(0, 3).map((problem) => (
              <p key={problem.code + problem.path.join()} className="wrong">
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
          {done && (
            <PanelBoundary name="This stitch">
              <LetteredDrawing done={done} clothHex={clothHex} places={shownPlaces} held={held ?? null} onPress={press} onDrag={drag} />
              <p className="quiet" style={{ margin: 0 }}>
                {as === 'sentences' && pickedMove
                  ? `Press where it ${'up' in pickedMove ? 'comes up' : 'down' in pickedMove ? 'goes down' : 'goes'}, or drag a letter to take all that is there along.`
                  : 'Drag a letter to move what is there.'}
              </p>
              {tried.result?.ok && <Hand done={tried.result.value} clothHex={clothHex} />}
            </PanelBoundary>
          )}
        </div>
      </div>
    </div>
  )
}

function moveAt(pass: Pass, { block, list, move }: MoveAddress): Move | null {
  return (block === 'repeat' ? cycleOf(pass)[list] : pass[block])?.[move] ?? null
}

function withMove(pass: Pass, { block, list, move }: MoveAddress, to: Move): Pass {
  const put = (moves: readonly Move[]): readonly Move[] => moves.map((one, at) => (at === move ? to : one))
  return block === 'repeat' ? withList(pass, list, put(cycleOf(pass)[list] ?? [])) : withBlock(pass, block, put(pass[block] ?? []))
}

/** A copy with a name of its own; variants and mistakes belong to the stitch it came from. */
function copyOf(document: StitchDocument): StitchDocument {
  const { variants: _variants, mistakes: _mistakes, also: _also, names: _names, ...rest } = document
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
