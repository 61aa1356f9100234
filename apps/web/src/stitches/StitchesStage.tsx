/** The stitch library: a wall of swatches at one scale, one stitch at a time beside it, comparing, and writing one's own. */
import { applyVariant, type StitchDocument } from '@lemmata/core/notation'
import { motionsOf } from '@lemmata/core/order'
import { newExercise, newRows, type RowOfRows } from '@lemmata/core/layout'
import { type Operation, type Sampler, teachingOrder } from '@lemmata/core/sampler'
import { letterOf } from '@lemmata/core/sheets'
import { LIBRARY } from '@lemmata/core/stitches'
import { readJson, readStitch, problemInWords } from '@lemmata/contract'
import { App, Button, Segmented } from 'antd'
import { lazy, Suspense, useCallback, useEffect, useMemo, useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { useSearchParams } from 'react-router'
import { useWorked } from '../compute/use-worked.ts'
import { FileButton } from '../look/FileButton.tsx'
import { PanelBoundary } from '../sampler/PanelBoundary.tsx'
import { useSampler } from '../sampler/use-sampler.ts'
import { edit } from '../store/index.ts'
import { newIds } from '../store/new-ids.ts'
import { download } from './download.ts'
import { familiesOf } from './families.ts'
import { isShown, NO_FILTER, type WallFilter } from './filter.ts'
import { fetchLaterParts, laterParts } from './later-parts.ts'
import { workSwatch } from './swatch.ts'
import { asTried, FIRST_TRIAL, type Trial } from './trial.ts'
import { useOwnStitches } from './use-own-stitches.ts'
import { Failure } from '../sampler/Failure.tsx'
import { Swatch } from './Swatch.tsx'
import { useWall, useWallOf } from './use-wall.ts'
import { WallGrid } from './WallGrid.tsx'
import { WallFilters } from './WallFilters.tsx'

const StitchPanel = lazy(() => laterParts.panel().then((one) => ({ default: one.StitchPanel })))
const Compare = lazy(() => laterParts.compare().then((one) => ({ default: one.Compare })))
const WriteStitch = lazy(() => laterParts.write().then((one) => ({ default: one.WriteStitch })))

const MOST_COMPARED = 3

export function StitchesStage() {
  const sampler = useSampler()
  const worked = useWorked()
  const { message } = App.useApp()
  const own = useOwnStitches()
  const [address, setAddress] = useSearchParams()
  const chosen = address.get('stitch')
  const setChosen = useCallback((id: string | null): void => setAddress(id === null ? {} : { stitch: id }, { replace: true }), [setAddress])
  const choose = useCallback((document: StitchDocument): void => setChosen(document.id), [setChosen])
  const [filter, setFilter] = useState<WallFilter>(NO_FILTER)
  const [side, setSide] = useState<'front' | 'back'>('front')
  const [compared, setCompared] = useState<readonly string[]>([])
  const compare = useCallback(
    ({ id }: StitchDocument): void =>
      setCompared((before) => (before.includes(id) ? before.filter((one) => one !== id) : [...before, id].slice(-MOST_COMPARED))),
    [],
  )
  const [writing, setWriting] = useState<StitchDocument | null>(null)
  const wallOf = useWallOf(sampler, own.list, side)
  const { documents, around } = wallOf
  const wall = useWall(wallOf)
  useEffect(() => {
    if (!wall.busy) fetchLaterParts()
  }, [wall.busy])
  const motions = useMemo(() => [...new Set([...wall.pictures.values()].flatMap(({ facts }) => (facts.ok ? facts.value.motions : [])))].sort(), [wall])
  const taught = useMemo(() => new Set(worked.done.flatMap(motionsOf)), [worked.done])
  const found = documents.filter((document) => isShown(document, wall.pictures.get(document.id)?.facts, filter))
  const current = documents.find((document) => document.id === chosen) ?? null
  const beside = compared.flatMap((id) => documents.find((document) => document.id === id) ?? [])

  /** A stitch of the teacher's library goes into the sampler with its exercise, so that the file is whole: one step, one undo. */
  const withStitch = (document: StitchDocument, add: Operation): Operation => {
    const there = LIBRARY.includes(document) || sampler.stitches.some((one) => one.id === document.id)
    return there ? add : { kind: 'batch', operations: [{ kind: 'put-stitch', stitch: document }, add] }
  }
  const teach = (document: StitchDocument, trial: Trial): void => {
    edit(withStitch(document, newExercise(applyVariant(document, trial.variant), sampler, newIds(), asTried(trial))))
    message.success(`${document.name} is on the cloth.`)
  }
  useHotkeys('shift+t', () => current && teach(current, FIRST_TRIAL))
  const teachRows = (document: StitchDocument, rows: RowOfRows, { variant }: Trial): void => {
    edit(withStitch(document, newRows(applyVariant(document, variant), sampler, rows, newIds, variant === null ? {} : { variant })))
    message.success(`${rows.values.length} rows of ${document.name.toLowerCase()} are on the cloth.`)
  }
  const open = async (file: File): Promise<void> => {
    const json = readJson(await file.text())
    const read = json.ok ? readStitch(json.value) : json
    if (!read.ok) {
      message.error(read.problems[0] ? problemInWords(read.problems[0]) : 'This file cannot be read.', 8)
      return
    }
    const tried = workSwatch(read.value, { ...around, stitches: [...around.stitches.filter((one) => one.id !== read.value.id), read.value] })
    if (!tried.ok) {
      message.error(tried.problems[0] ? problemInWords(tried.problems[0]) : 'This stitch cannot be worked.', 8)
      return
    }
    edit({ kind: 'put-stitch', stitch: read.value })
    setChosen(read.value.id)
    message.success(`${read.value.name} is in this sampler.`)
  }

  if (writing)
    return (
      <Suspense fallback={null}>
        <WriteStitch
          key={writing.id}
          first={writing}
          around={around}
          clothHex={sampler.cloth.colour.hex}
          onClose={() => setWriting(null)}
          onSampler={(document) => {
            edit({ kind: 'put-stitch', stitch: document })
            setChosen(document.id)
            setWriting(null)
            message.success(`${document.name} is in this sampler.`)
          }}
          onLibrary={async (document) => {
            const kept = await own.keep(document)
            if (!kept) return
            setChosen(kept.id)
            setWriting(null)
            if (kept.id === document.id) message.success(`${kept.name} is in your library.`)
            else message.warning(`Another window has kept a ${document.name} meanwhile. Yours is beside it as ${kept.name}.`, 8)
          }}
        />
      </Suspense>
    )
  const letters = lettersByStitch(sampler)
  const families = familiesOf(found)
  return (
    <div className="stage-frame stitches-stage">
      <h1 className="visually-hidden">Stitches</h1>
      {wall.failed !== null && <Failure sentence={wall.failed} />}
      <div className="toolbar">
        <WallFilters filter={filter} onChange={setFilter} documents={documents} motions={motions} taught={taught} />
        <span className="grow" />
        <Segmented
          aria-label="Side of the cloth"
          value={side}
          onChange={setSide}
          options={[
            { value: 'front', label: 'Front' },
            { value: 'back', label: 'Back' },
          ]}
        />
        <FileButton label="Stitch file" onFile={(file) => void open(file)}>
          Open a stitch file
        </FileButton>
      </div>
      <div className={current ? 'wall-and-drawer' : 'wall-alone'}>
        <div className="stage-scroll wall-scroll">
          {beside.length > 0 && (
            <Suspense fallback={null}>
              <Compare
                documents={beside}
                around={around}
                clothHex={sampler.cloth.colour.hex}
                units={sampler.units}
                onDrop={(id) => setCompared(compared.filter((one) => one !== id))}
                onClose={() => setCompared([])}
              />
            </Suspense>
          )}
          <p className="quiet wall-note" role="status">
            {found.length} of {documents.length} stitches, drawn at twice true size, the tallest smaller{wall.busy ? '; working …' : ''}
          </p>
          {found.length === 0 && !wall.busy && (
            <p className="quiet">
              No stitch is like that. Loosen the choice above, or{' '}
              <Button size="small" onClick={() => LIBRARY[0] && setWriting(LIBRARY[0])}>
                write one
              </Button>
            </p>
          )}
          <WallGrid families={families} chosen={current?.id ?? null} onTeach={(document) => teach(document, FIRST_TRIAL)}>
            {(document, stop) => (
              <Swatch
                key={document.id}
                document={document}
                shown={wall.pictures.get(document.id)}
                side={side}
                clothHex={sampler.cloth.colour.hex}
                letters={letters.get(document.id) ?? ''}
                own={!LIBRARY.includes(document)}
                isStop={stop}
                pressed={current?.id === document.id}
                onChoose={choose}
                isCompared={compared.includes(document.id)}
                onCompare={compare}
              />
            )}
          </WallGrid>
        </div>
        {current && (
          <aside className="drawer" aria-label={current.name}>
            <PanelBoundary name="This stitch" key={current.id}>
              <Suspense fallback={null}>
                <StitchPanel
                  document={current}
                  around={around}
                  clothHex={sampler.cloth.colour.hex}
                  units={sampler.units}
                  where={letters.get(current.id) ?? ''}
                  onTeach={(trial) => teach(current, trial)}
                  onRows={(rows, trial) => teachRows(current, rows, trial)}
                  onCopy={() => setWriting(current)}
                  onExport={() => download(`${current.id}.json`, current)}
                  onRemove={own.list.includes(current) ? () => void own.remove(current.id) : undefined}
                  onClose={() => setChosen(null)}
                  isCompared={compared.includes(current.id)}
                  onCompare={() =>
                    setCompared((before) =>
                      before.includes(current.id) ? before.filter((one) => one !== current.id) : [...before, current.id].slice(-MOST_COMPARED),
                    )
                  }
                />
              </Suspense>
            </PanelBoundary>
          </aside>
        )}
      </div>
    </div>
  )
}

/** Letters of the exercises that use each stitch. */
function lettersByStitch(sampler: Sampler): ReadonlyMap<string, string> {
  const letters = new Map<string, string>()
  teachingOrder(sampler).forEach((exercise, index) => {
    const before = letters.get(exercise.stitch)
    letters.set(exercise.stitch, before === undefined ? letterOf(index) : `${before}, ${letterOf(index)}`)
  })
  return letters
}
