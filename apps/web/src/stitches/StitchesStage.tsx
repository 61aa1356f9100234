/** The stitch library: swatches worked in thread, the hand, and choosing what to teach. */
import { surroundingsOf } from '@lemmata/core/assign'
import type { Result } from '@lemmata/core/base'
import { workExercise, type WorkedExercise } from '@lemmata/core/exercise'
import { practiceFor, practiceGuide } from '@lemmata/core/guide'
import type { PracticeGuide, StitchDocument } from '@lemmata/core/notation'
import { motionsOf, motionWord, newExercise } from '@lemmata/core/plan'
import type { Sampler } from '@lemmata/core/sampler'
import { LIBRARY } from '@lemmata/core/stitches'
import { formatLength } from '@lemmata/core/units'
import { readJson, readStitch } from '@lemmata/contract'
import { App, Button, Input } from 'antd'
import { useMemo, useState } from 'react'
import { useWorked } from '../compute/use-worked.ts'
import { ThreadCanvas } from '../drawing/ThreadCanvas.tsx'
import { FileButton } from '../look/FileButton.tsx'
import { Slope } from '../look/Glyphs.tsx'
import { PanelBoundary } from '../sampler/PanelBoundary.tsx'
import { useSampler } from '../sampler/use-sampler.ts'
import { edit } from '../store/index.ts'
import { Hand } from './Hand.tsx'

interface Shown {
  readonly document: StitchDocument
  readonly result: Result<WorkedExercise>
  readonly own: boolean
}

/** The whole wall is drawn at this scale, so that widths can be compared. */
const SWATCH_PX_PER_MM = 7

/** As much of the practice guide as a swatch shows. */
function shortened(practice: PracticeGuide): PracticeGuide {
  switch (practice.kind) {
    case 'line':
    case 'band':
      return { ...practice, lengthMm: 40 }
    case 'spots':
      return { ...practice, count: Math.max(2, Math.min(practice.count, Math.floor(38 / practice.apartMm))) }
    case 'square':
      return { ...practice, repeat: Math.max(1, Math.min(practice.repeat, Math.floor(40 / practice.sideMm))) }
    default:
      return practice
  }
}

function workSwatch(document: StitchDocument, sampler: Sampler): Result<WorkedExercise> {
  const practice = document.practice ?? practiceFor(document)
  const short = shortened(practice)
  return workExercise({ id: `try-${document.id}`, name: document.name, stitch: document.id, guide: practiceGuide(short, 40, 20, 60) }, surroundingsOf(sampler))
}

export function StitchesStage() {
  const sampler = useSampler()
  const worked = useWorked()
  const { message } = App.useApp()
  const [chosen, setChosen] = useState<string | null>(null)
  const [search, setSearch] = useState('')
  const wall = useMemo<readonly Shown[]>(() => {
    const all = [
      ...sampler.stitches.map((document) => ({ document, own: true })),
      ...LIBRARY.filter((one) => !sampler.stitches.some((own) => own.id === one.id)).map((document) => ({ document, own: false })),
    ]
    return all.map(({ document, own }) => ({ document, own, result: workSwatch(document, sampler) }))
  }, [sampler])
  const wanted = search.trim().toLowerCase()
  const found = wall.filter(
    ({ document }) =>
      wanted === '' ||
      [document.name, document.id, ...(document.also ?? []), document.family ?? '', ...(document.goodFor ?? [])].some((word) =>
        word.toLowerCase().includes(wanted),
      ),
  )
  const current = wall.find(({ document }) => document.id === chosen) ?? found[0] ?? null

  const add = (document: StitchDocument): void => {
    const exercise = newExercise(document, sampler, worked.done, `e-${crypto.randomUUID().slice(0, 8)}`)
    edit({ kind: 'add-exercise', exercise, at: sampler.exercises.length })
    message.success(`${exercise.name} is on the cloth.`)
  }
  const open = async (chosenFile: File): Promise<void> => {
    const json = readJson(await chosenFile.text())
    const read = json.ok ? readStitch(json.value) : json
    if (!read.ok) {
      message.error(read.problems[0]?.message ?? 'This file cannot be read.', 8)
      return
    }
    const tried = workSwatch(read.value, { ...sampler, stitches: [...sampler.stitches, read.value] })
    if (!tried.ok) {
      message.error(tried.problems[0]?.message ?? 'This stitch cannot be worked.', 8)
      return
    }
    edit({ kind: 'put-stitch', stitch: read.value })
    setChosen(read.value.id)
    message.success(`${read.value.name} is in this sampler.`)
  }

  return (
    <div className="scroll">
      <div style={{ display: 'flex', gap: 12, alignItems: 'end', marginBottom: 16, flexWrap: 'wrap' }}>
        <div style={{ flex: 1, minWidth: 220 }}>
          <h1>Stitches</h1>
          <span className="quiet">Worked at one scale in this sampler’s first thread. Choose what to teach.</span>
        </div>
        <Input.Search
          aria-label="Find a stitch"
          placeholder="Find by any name or use"
          allowClear
          value={search}
          onChange={(event) => setSearch(event.target.value)}
          style={{ width: 250 }}
        />
        <FileButton label="Stitch file" onFile={(file) => void open(file)}>
          Open a stitch file
        </FileButton>
      </div>
      <div className="stitch-split">
        <div className="wall">
          {found.length === 0 && <p className="quiet">No stitch is called or used like that.</p>}
          {found.map(({ document, result, own }) => (
            <button
              key={document.id}
              type="button"
              className="swatch"
              aria-pressed={current?.document.id === document.id}
              onClick={() => setChosen(document.id)}
            >
              {result.ok && (
                <ThreadCanvas
                  done={result.value}
                  heightPx={76}
                  pxPerMm={SWATCH_PX_PER_MM}
                  clothHex={sampler.cloth.colour.hex}
                  label={`${document.name}, worked`}
                />
              )}
              <span className="label">
                <b>{document.name}</b>
                <span className="quiet" style={{ fontSize: 13, display: 'flex', justifyContent: 'space-between', alignItems: 'center' }}>
                  {own ? 'your own' : (document.family ?? '')}
                  {result.ok ? <Slope score={result.value.difficulty.score} /> : <span className="wrong">cannot be worked here</span>}
                </span>
              </span>
            </button>
          ))}
        </div>
        {current && (
          <PanelBoundary name="This stitch" key={current.document.id}>
            <div style={{ display: 'grid', gap: 14 }}>
              {current.result.ok ? (
                <Hand done={current.result.value} clothHex={sampler.cloth.colour.hex} />
              ) : (
                <p className="wrong">{current.result.problems[0]?.message}</p>
              )}
              <div className="panel" style={{ display: 'grid', gap: 9 }}>
                <Button type="primary" onClick={() => add(current.document)} disabled={!current.result.ok}>
                  Teach {current.document.name.toLowerCase()}
                </Button>
                {current.result.ok && <Facts done={current.result.value} sampler={sampler} />}
              </div>
            </div>
          </PanelBoundary>
        )}
      </div>
    </div>
  )
}

function Facts({ done, sampler }: { done: WorkedExercise; sampler: Sampler }) {
  const { document } = done.assigned
  const motions = motionsOf(done)
  return (
    <>
      <dl className="facts-list">
        {document.also && document.also.length > 0 && (
          <>
            <dt>Also called</dt>
            <dd>{document.also.join(', ')}</dd>
          </>
        )}
        {document.goodFor && (
          <>
            <dt>Good for</dt>
            <dd>{document.goodFor.join(', ')}</dd>
          </>
        )}
        <dt>The hands learn</dt>
        <dd>{motions.length === 0 ? 'to come up and go down evenly' : motions.map(motionWord).join(', ')}</dd>
        <dt>Reads as wide as</dt>
        <dd>{formatLength(done.widthMm, sampler.units, 2)}</dd>
        <dt>Tension</dt>
        <dd>{document.tension ?? 'easy'}</dd>
        {document.look?.front && (
          <>
            <dt>Front</dt>
            <dd>{document.look.front}</dd>
          </>
        )}
        {document.look?.back && (
          <>
            <dt>Back</dt>
            <dd>{document.look.back}</dd>
          </>
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
