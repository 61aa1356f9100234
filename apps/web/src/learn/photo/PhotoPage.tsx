/** A practice row photographed: what it measures, shown over the picture, and the one thing to change. The picture stays on the device. */
import type { WeekAnswer } from '@lemmata/contract'
import { forLearner, workSampler } from '@lemmata/core/exercise'
import type { Point } from '@lemmata/core/geometry'
import { stitchIn } from '@lemmata/core/language'
import {
  advise,
  CARD_MM,
  DOT_MM,
  DOTS,
  type PracticeRow,
  practiceRow,
  ROW_MM,
  ROW_WORDS,
  type RowPlan,
  type RowSummary,
  summaryOf,
  TARGET_MM,
  TARGETS,
  type Verdict,
  WINDOW,
} from '@lemmata/core/photo'
import { UNTOUCHED } from '@lemmata/core/practice'
import { formatStitchLength } from '@lemmata/core/units'
import { useEffect, useMemo, useRef, useState } from 'react'
import { practiceIn } from '../kept.ts'
import type { KeptInPage } from '../use-kept.ts'
import { useLanguage, useWords } from '../words/index.ts'
import { usePhoto } from './use-photo.ts'

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
      {planned ? <Measure {...{ page, week, exercise }} {...planned} /> : <p>{words.photo.notThis}</p>}
    </main>
  )
}

function Measure({ page, week, exercise, done, plan }: Omit<Props, 'onBack'> & PracticeRow) {
  const words = useWords().photo
  const language = useLanguage()
  const told = ROW_WORDS[language]
  const { state, look, again, stop } = usePhoto()
  const rows = (practiceIn(page.kept).exercises.get(exercise) ?? UNTOUCHED).rows
  // A stitch's unevenness is told in tenths of a millimetre: three places of an inch.
  const length = (mm: number): string => formatStitchLength(mm, week.sampler.units)
  const [isKept, setKept] = useState(false)
  const example = useRef(0)
  const file = (chosen: File | undefined): void => {
    if (!chosen) return
    setKept(false)
    look(false, (service) => service.look(chosen, plan))
  }
  const verdict = state.at === 'seen' ? state.looked.verdict : null
  const figures = verdict?.state === 'measured' || verdict?.state === 'whole' ? verdict.figures : null
  const isCounted = verdict?.state === 'measured'
  const summary = figures && summaryOf(figures, plan, isCounted)
  return (
    <>
      {state.at === 'waiting' && <Before plan={plan} length={length} />}
      {state.at === 'looking' && (
        <p className="learn-sentence" role="status">
          {words.looking}
        </p>
      )}
      {state.at === 'unread' && (
        <p className="learn-sentence" role="alert">
          {words.unread}
        </p>
      )}
      {state.at === 'seen' && state.looked.window && (
        <WindowSeen
          window={state.looked.window}
          verdict={state.looked.verdict}
          label={words.window}
          onTouch={verdict?.state === 'touch' ? (at) => again((service) => service.again(plan, at)) : null}
        />
      )}
      <div aria-live="polite">
        {verdict?.state === 'refused' && (
          <p className="learn-sentence" data-testid="row-refused">
            {told.refused[verdict.why]}
          </p>
        )}
        {verdict?.state === 'touch' && <p className="learn-sentence">{told.touch}</p>}
        {summary && figures && (
          <>
            <p className="learn-sentence" data-testid="row-advice">
              {told.advice(advise(summary, rows), length)}
            </p>
            <p data-testid="row-figures">
              {told.measured({
                ...{ kind: plan.kind, count: summary.count, length: length(summary.lengthMm), planned: length(summary.plannedMm) },
                spread: isCounted ? length(summary.spreadMm) : null,
                pitch: length(figures.pitchMm),
              })}{' '}
              {!isCounted && told.uncertain(summary.count)}
            </p>
            <p className="quiet">{words.trial}</p>
          </>
        )}
      </div>
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
            <div className="learn-turn photo-take">
              <FileButton label={words.take} isCamera onFile={file} />
              <FileButton label={words.choose} isCamera={false} onFile={file} />
            </div>
            <button
              type="button"
              onClick={() => {
                example.current += 1
                const seed = example.current
                setKept(false)
                look(true, (service) => service.example(done, plan, seed))
              }}
            >
              {words.example}
            </button>
          </>
        )}
      </footer>
    </>
  )
}

/** What to lay, and how to hold the phone. */
function Before({ plan, length }: { readonly plan: RowPlan; readonly length: (mm: number) => string }) {
  const words = useWords().photo
  return (
    <>
      <CardSketch plan={plan} />
      <ol className="photo-how">
        {words.how({ row: length(ROW_MM), stitch: length(plan.stitchMm), card: length(CARD_MM.width) }).map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ol>
      <p className="quiet">{words.stays}</p>
    </>
  )
}

/** The card on a row, in the colours of hers. */
function CardSketch({ plan }: { readonly plan: RowPlan }) {
  const { width, height } = CARD_MM
  const half = ROW_MM / 2
  return (
    <svg viewBox={`${-width / 2 - 4} ${-height / 2 - 4} ${width + 8} ${height + 8}`} className="photo-card" aria-hidden="true">
      <rect x={-width / 2 - 4} y={-height / 2 - 4} width={width + 8} height={height + 8} fill={plan.clothHex} />
      <path
        d={`M ${-width / 2} ${-height / 2} h ${width} v ${height} h ${-width} Z M ${WINDOW.left} ${WINDOW.top} V ${WINDOW.bottom} H ${WINDOW.right} V ${WINDOW.top} Z`}
        fill="#fff"
        stroke="#8a7a66"
        strokeWidth="0.4"
      />
      <path
        d={`M ${-half} 0 H ${half}`}
        stroke={plan.threadHex}
        strokeWidth={Math.max(1, plan.acrossMm)}
        strokeDasharray={plan.gapMm > 0 ? '3 2.6' : undefined}
      />
      {TARGETS.map(({ x, y }, index) => (
        <g key={`${x} ${y}`}>
          <circle cx={x} cy={y} r={(TARGET_MM.outer + TARGET_MM.white) / 2} fill="none" stroke="#000" strokeWidth={TARGET_MM.outer - TARGET_MM.white} />
          <circle cx={x} cy={y} r={TARGET_MM.inner} />
          {index === 0 && <circle cx={x} cy={y} r={TARGET_MM.eye} fill="#fff" />}
        </g>
      ))}
      {DOTS.map(({ x, y }) => (
        <circle key={`${x} ${y}`} cx={x} cy={y} r={DOT_MM} />
      ))}
    </svg>
  )
}

function FileButton({ label, isCamera, onFile }: { readonly label: string; readonly isCamera: boolean; readonly onFile: (file: File | undefined) => void }) {
  return (
    <label className={isCamera ? 'photo-file learn-main' : 'photo-file'}>
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

interface SeenProps {
  readonly window: ImageBitmap
  readonly verdict: Verdict
  readonly label: string
  readonly onTouch: ((at: Point) => void) | null
}

/** Cloth before the first stitch that is seen, mm. */
const BEFORE_MM = 5

/** The window laid flat, with each stitch that was read marked over it. */
function WindowSeen({ window, verdict, label, onTouch }: SeenProps) {
  const canvas = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    const drawn = canvas.current
    if (!drawn) return
    drawn.width = window.width
    drawn.height = window.height
    drawn.getContext('2d')?.drawImage(window, 0, 0)
  }, [window])
  const along = useRef<HTMLDivElement>(null)
  const stitches = verdict.state === 'measured' || verdict.state === 'whole' ? verdict.stitches : []
  const [wide, tall] = [WINDOW.right - WINDOW.left, WINDOW.bottom - WINDOW.top]
  const first = stitches.length === 0 ? null : Math.min(...stitches.flatMap(([a, b]) => [a.x, b.x]))
  useEffect(() => {
    const strip = along.current
    if (strip && first !== null) strip.scrollLeft = ((first - BEFORE_MM - WINDOW.left) / wide) * strip.scrollWidth
  }, [first, wide])
  return (
    // Wider than a phone, so that each stitch is seen: it is drawn along under the thumb.
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what can be scrolled is reached by the keyboard too.
    <div ref={along} className="photo-along" tabIndex={0} role="group" aria-label={label}>
      <div className="photo-window">
        <canvas ref={canvas} role="img" aria-label={label} />
        <svg viewBox={`${WINDOW.left} ${WINDOW.top} ${wide} ${tall}`} aria-hidden="true">
          {stitches.map(([a, b], index) => (
            <g key={index} className={index % 2 === 0 ? 'photo-stitch' : 'photo-stitch other'}>
              <path d={`M ${a.x} ${a.y} L ${b.x} ${b.y}`} className="under" />
              <path d={`M ${a.x} ${a.y} L ${b.x} ${b.y}`} />
            </g>
          ))}
        </svg>
        {onTouch && (
          <button
            type="button"
            className="photo-touch"
            aria-label={label}
            onClick={(event) => {
              const box = event.currentTarget.getBoundingClientRect()
              onTouch({ x: WINDOW.left + ((event.clientX - box.left) / box.width) * wide, y: WINDOW.top + ((event.clientY - box.top) / box.height) * tall })
            }}
          />
        )}
      </div>
    </div>
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
