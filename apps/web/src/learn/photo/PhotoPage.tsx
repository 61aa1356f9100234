/** A practice row photographed: what it measures, shown over the picture, and the one thing to change. The picture stays on the device. */
import type { WeekAnswer } from '@lemmata/contract'
import { forLearner, workSampler } from '@lemmata/core/exercise'
import { stitchIn } from '@lemmata/core/language'
import { advise, canPutRight, type PracticeRow, practiceRow, ROW_WORDS, type RowPlan, rowsAlike, type RowSummary, summaryOf } from '@lemmata/core/photo'
import { UNTOUCHED } from '@lemmata/core/practice'
import { formatStitchLength } from '@lemmata/core/units'
import { useMemo, useRef, useState } from 'react'
import { usePhoto, WindowSeen } from '../../photo/index.ts'
import { practiceIn } from '../kept.ts'
import type { KeptInPage } from '../use-kept.ts'
import { useLanguage, useWords } from '../words/index.ts'
import { Before } from './Before.tsx'
import { nearestStitch } from './nearest-stitch.ts'
import { PutRight } from './PutRight.tsx'
import { SendPicture, SentPictures } from './SendPicture.tsx'

interface Props {
  readonly page: KeptInPage
  readonly week: WeekAnswer
  readonly exercise: string
  readonly onBack: () => void
}

export function PhotoPage({ page, week, exercise, onBack }: Props) {
  const words = useWords()
  const language = useLanguage()
  const { sampler } = useMemo(() => forLearner(week.sampler, week.learner), [week.sampler, week.learner])
  const own = sampler.exercises.find((one) => one.id === exercise)
  const worked = useMemo(() => workSampler(sampler, new Set([exercise])).done[0] ?? null, [sampler, exercise])
  const planned = useMemo(() => own && practiceRow(sampler, own), [own, sampler])
  return (
    <main className="learn-moves photo">
      <header className="learn-head">
        <button type="button" className="learn-back" onClick={onBack} aria-label={words.photo.backToPiece}>
          ‹
        </button>
        <div>
          <h1>{own?.name ?? ''}</h1>
          <p className="quiet">{worked && stitchIn(worked.assigned.document, language)}</p>
        </div>
      </header>
      {own && planned ? (
        <Measure {...{ page, week, exercise }} {...planned} alike={() => rowsAlike(sampler, own, planned.plan)} />
      ) : (
        <p>{words.photo.notThis}</p>
      )}
    </main>
  )
}

interface MeasureProps extends Omit<Props, 'onBack'>, PracticeRow {
  /** Asked for with a picture, for it takes a moment. */
  readonly alike: () => readonly RowPlan[]
}

function Measure({ page, week, exercise, done, plan, alike }: MeasureProps) {
  const words = useWords().photo
  const language = useLanguage()
  const told = ROW_WORDS[language]
  const photo = usePhoto(plan)
  const { state, measured, look, stop } = photo
  const rows = (practiceIn(page.kept).exercises.get(exercise) ?? UNTOUCHED).rows
  const length = (mm: number): string => formatStitchLength(mm, week.sampler.units)
  const [isKept, setKept] = useState(false)
  const [chosen, setChosen] = useState<number | null>(null)
  const [isPuttingRight, setPuttingRight] = useState(false)
  const example = useRef(0)
  // Of each picture looked at.
  const [turn, setTurn] = useState(0)
  const began = (): void => {
    setTurn(turn + 1)
    setKept(false)
    setChosen(null)
    setPuttingRight(false)
  }
  const file = (picked: File | undefined): void => {
    if (!picked) return
    began()
    look(false, (service) => service.look(picked, plan, alike()))
  }
  const verdict = state.at === 'seen' ? state.looked.verdict : null
  const summary = measured && summaryOf(measured.figures, plan, measured)
  return (
    <div className={isPuttingRight ? 'photo-page is-putting-right' : 'photo-page'}>
      {state.at === 'waiting' && <Before plan={plan} length={length} />}
      {state.at === 'looking' && (
        <p className="learn-sentence" role="status">
          {words.looking}
        </p>
      )}
      {(state.at === 'unread' || state.at === 'broken') && (
        <p className="learn-sentence" role="alert">
          {words[state.at]}
        </p>
      )}
      {state.at === 'seen' && state.looked.window && (
        <WindowSeen
          names={words}
          window={state.looked.window}
          kind={plan.kind}
          stitches={measured?.stitches ?? []}
          chosen={chosen}
          asked={
            verdict?.state === 'touch'
              ? { label: words.touchThread, onTouch: photo.touch }
              : chosen !== null && measured
                ? { label: words.touchStitch, onTouch: (at) => setChosen(nearestStitch(measured.stitches, at)) }
                : null
          }
        />
      )}
      <div aria-live="polite">
        {verdict?.state === 'refused' && (
          <p className="learn-sentence" data-testid="row-refused">
            {told.refused[verdict.why]}
          </p>
        )}
        {verdict?.state === 'touch' && <p className="learn-sentence">{told.touch}</p>}
        {summary && measured && (
          <>
            <p className="learn-sentence" data-testid="row-advice">
              {told.advice(advise(summary, rows), length)}
            </p>
            <p data-testid="row-figures">
              {told.measured({
                ...{ kind: plan.kind, count: summary.count, length: length(summary.lengthMm), planned: length(summary.plannedMm) },
                spread: summary.isCounted ? length(summary.spreadMm) : null,
                pitch: length(measured.figures.pitchMm),
              })}{' '}
              {!summary.isCounted && told.uncertain(plan.kind, summary.count)}
            </p>
            <p className="quiet">{words.standing(week.measuring)}</p>
          </>
        )}
      </div>
      {/* Of stitches side by side none is told from the next. */}
      {measured && plan.kind !== 'side-by-side' && (
        <PutRight
          kind={plan.kind}
          count={measured.figures.count}
          marked={measured.stitches.length}
          notFound={photo.notFound}
          chosen={chosen}
          onOpen={(isOpen) => {
            setPuttingRight(isOpen)
            setChosen(isOpen && canPutRight(plan.kind) ? 0 : null)
          }}
          onChoose={setChosen}
          onCount={photo.count}
          onChange={photo.change}
          onBack={measured.isPutRight ? photo.back : null}
        />
      )}
      {state.at === 'seen' && state.looked.window && !state.isExample && measured && week.sendsPictures && (
        <SendPicture key={turn} page={page} exercise={exercise} window={state.looked.window} />
      )}
      <SentPictures page={page} sent={week.pictures.filter((one) => one.exercise === exercise)} />
      {rows.length > 0 && state.at !== 'looking' && <Rows rows={rows} length={length} />}
      <footer className="learn-foot">
        {state.at === 'looking' ? (
          <div className="learn-turn">
            <button type="button" onClick={stop}>
              {words.stop}
            </button>
            <span />
          </div>
        ) : (
          <>
            {summary && state.at === 'seen' && !state.isExample && (
              <div className="learn-turn photo-keep">
                <button
                  type="button"
                  className="learn-main"
                  disabled={isKept}
                  onClick={() => {
                    page.tell({ kind: 'row', exercise, row: summary })
                    setKept(true)
                  }}
                >
                  {isKept ? words.kept : words.keep}
                </button>
              </div>
            )}
            {state.at === 'seen' && state.isExample && <p className="quiet photo-example">{words.exampleOnly}</p>}
            {!isPuttingRight && (
              <>
                <div className="learn-turn photo-take">
                  <FileButton label={words.take} isCamera isMain={!summary || isKept} onFile={file} />
                  <FileButton label={words.choose} onFile={file} />
                </div>
                <button
                  type="button"
                  onClick={() => {
                    example.current += 1
                    const seed = example.current
                    began()
                    look(true, (service) => service.example(done, plan, seed))
                  }}
                >
                  {words.example}
                </button>
              </>
            )}
          </>
        )}
      </footer>
    </div>
  )
}

interface FileButtonProps {
  readonly label: string
  readonly isCamera?: boolean
  readonly isMain?: boolean
  readonly onFile: (file: File | undefined) => void
}

function FileButton({ label, isCamera = false, isMain = false, onFile }: FileButtonProps) {
  return (
    <label className={isMain ? 'photo-file learn-main' : 'photo-file'}>
      {label}
      <input
        type="file"
        accept="image/*"
        {...(isCamera ? { capture: 'environment' as const } : {})}
        onChange={(event) => {
          onFile(event.target.files?.[0])
          event.target.value = ''
        }}
      />
    </label>
  )
}

/** Her own rows, and nobody else's. */
function Rows({ rows, length }: { readonly rows: readonly RowSummary[]; readonly length: (mm: number) => string }) {
  const words = useWords().photo
  return (
    <details className="learn-slips" open>
      <summary>{words.rows(rows.length)}</summary>
      <ol className="photo-rows">
        {rows.map((row, index) => (
          <li key={index}>{words.row(length(row.lengthMm), row.isCounted ? length(row.spreadMm) : null)}</li>
        ))}
      </ol>
    </details>
  )
}
