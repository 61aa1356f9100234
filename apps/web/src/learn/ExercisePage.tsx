/** One piece of work, move by move: one a swipe, a key or a press; the hand moving, in her hand; what she ticks, times, asks and is stuck in. */
import type { WeekAnswer } from '@lemmata/contract'
import { forLearner, needlefulsOf, type WorkedExercise, workSampler } from '@lemmata/core/exercise'
import { cautionIn, stitchIn } from '@lemmata/core/language'
import { UNTOUCHED } from '@lemmata/core/practice'
import { alikeInWords, SHEET_WORDS, stepLetter, threadsAlike } from '@lemmata/core/sheets'
import { stepSentence } from '@lemmata/core/steps'
import { useEffect, useMemo, useRef, useState } from 'react'
import { HandPicture } from '../stitches/HandPicture.tsx'
import { useHand } from '../stitches/use-hand.ts'
import { readAloud } from '../teach/read-aloud.ts'
import { useAwake } from '../teach/use-awake.ts'
import { minutesSince, practiceIn } from './kept.ts'
import type { KeptInPage } from './use-kept.ts'
import { useProse } from './words/use-prose.ts'
import { useWords } from './words/index.ts'

interface Props {
  readonly page: KeptInPage
  readonly week: WeekAnswer
  readonly exercise: string
  readonly onBack: () => void
  /** To where a practice row of it is photographed. */
  readonly onPhoto: () => void
}

export function ExercisePage({ page, week, exercise, onBack, onPhoto }: Props) {
  const done = useMemo(() => {
    const { sampler } = forLearner(week.sampler, week.learner)
    return workSampler(sampler, new Set([exercise])).done[0] ?? null
  }, [week.sampler, week.learner, exercise])
  const words = useWords().piece
  if (!done)
    return (
      <main className="learn-week">
        <p>{words.gone}</p>
        <button type="button" onClick={onBack}>
          {words.back}
        </button>
      </main>
    )
  return <Moves {...{ page, week, done, onBack, onPhoto }} />
}

/** A finger that goes so far to the side turns to the next move, px. */
const SWIPE_PX = 44

function Moves({ page, week, done, onBack, onPhoto }: Omit<Props, 'exercise'> & { readonly done: WorkedExercise }) {
  const { piece: words, photo } = useWords()
  const state = useHand(done, week.learner.hand === 'left', true)
  const { step, steps, at, last, go, hand, setHand, play, playing } = state
  const [side, setSide] = useState<'front' | 'back'>('front')
  const from = useRef<number | null>(null)
  useAwake()
  const { exercise, assigned } = done
  const practice = practiceIn(page.kept).exercises.get(exercise.id) ?? UNTOUCHED
  const sentence = step ? stepSentence(step, assigned) : ''
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.target instanceof HTMLTextAreaElement) return
      if (event.key === 'ArrowRight' || event.key === 'PageDown') go(1)
      else if (event.key === 'ArrowLeft' || event.key === 'PageUp') go(-1)
      else if (event.key === 'Escape') onBack()
      else return
      event.preventDefault()
    }
    document.addEventListener('keydown', onKey)
    return () => document.removeEventListener('keydown', onKey)
  }, [go, onBack])
  const lesson = week.lessons.find((one) => week.sampler.lessons.find((own) => own.id === one.id)?.exercises.includes(exercise.id))
  return (
    <main className="learn-moves">
      <header className="learn-head">
        <button type="button" className="learn-back" onClick={onBack} aria-label={words.backToWeek}>
          ‹
        </button>
        <div>
          <h1>{exercise.name}</h1>
          <p className="quiet">
            {stitchIn(assigned.document, assigned.language)}
            {lesson && `, ${words.lesson(lesson.number)}`}
          </p>
        </div>
        <button type="button" onClick={() => setHand(hand === 'left' ? 'right' : 'left')}>
          {words.hands[hand]}
        </button>
      </header>
      <div className="learn-course" aria-hidden="true">
        {steps.map((one, index) => (
          <i key={one.number} className={index < at ? 'past' : index === at ? 'now' : ''} />
        ))}
        <span>{words.place(at + 1, steps.length)}</span>
      </div>
      <div
        className="learn-picture"
        onPointerDown={(event) => {
          from.current = event.clientX
        }}
        onPointerUp={(event) => {
          const by = event.clientX - (from.current ?? event.clientX)
          from.current = null
          if (Math.abs(by) >= SWIPE_PX) go(by < 0 ? 1 : -1)
        }}
      >
        {step && <HandPicture done={done} state={state} clothHex={week.sampler.cloth.colour.hex} side={side} heightMm={90} leastNumberPx={28} />}
      </div>
      <p className="learn-sentence" aria-live="polite" data-testid="learn-sentence">
        {step && <b>{stepLetter(step.number)}</b>} {sentence}
      </p>
      <div className="learn-small">
        <button type="button" onClick={play}>
          {playing ? words.stop : words.moving}
        </button>
        <button type="button" aria-pressed={side === 'back'} onClick={() => setSide(side === 'front' ? 'back' : 'front')}>
          {side === 'front' ? words.turnOver : words.frontAgain}
        </button>
        {'speechSynthesis' in window && (
          <button type="button" onClick={() => readAloud(sentence, assigned.language)}>
            {words.read}
          </button>
        )}
        <button type="button" onClick={onPhoto}>
          {photo.open}
        </button>
      </div>
      <InTheNeedle done={done} />
      <Threaded page={page} done={done} />
      <Ticks page={page} done={done} />
      <Slips done={done} />
      <Said week={week} lesson={lesson?.id ?? null} exercise={exercise.id} />
      <Ask page={page} exercise={exercise.id} />
      <footer className="learn-foot">
        <div className="learn-turn">
          <button type="button" onClick={() => go(-1)} disabled={at === 0}>
            {words.back}
          </button>
          <button type="button" className="learn-main" onClick={() => go(1)} disabled={at >= last}>
            {words.nextMove}
          </button>
        </div>
        <div className="learn-turn">
          <button
            type="button"
            aria-pressed={practice.state === 'can'}
            onClick={() => page.tell({ kind: 'can', exercise: exercise.id, can: practice.state !== 'can' })}
          >
            {practice.state === 'can' && '✓ '}
            {words.canDo}
          </button>
          <button
            type="button"
            aria-pressed={practice.state === 'stuck'}
            onClick={() =>
              page.tell({ kind: 'stuck', exercise: exercise.id, stuck: practice.state !== 'stuck', step: practice.state === 'stuck' ? null : at + 1 })
            }
          >
            {practice.state === 'stuck' ? words.notStuck : words.stuck}
          </button>
        </div>
        <Timer page={page} exercise={exercise.id} minutes={practice.minutes} />
      </footer>
    </main>
  )
}

function InTheNeedle({ done }: { readonly done: WorkedExercise }) {
  const words = alikeInWords(done, SHEET_WORDS[done.assigned.language])
  return (
    <p className="learn-needle">
      {threadsAlike(done).map(({ all }, index) => (
        <span key={words[index]}>
          {all.map((one) => (
            <i key={one.thread.id} className="learn-colour" style={{ background: one.thread.colour.hex }} aria-hidden="true" />
          ))}{' '}
          {words[index]}
        </span>
      ))}
    </p>
  )
}

/** So many times the needle was threaded: the thread that a piece takes, counted where it is cut. */
function Threaded({ page, done }: { readonly page: KeptInPage; readonly done: WorkedExercise }) {
  const words = useWords().piece
  const exercise = done.exercise.id
  const { needlefuls } = practiceIn(page.kept).exercises.get(exercise) ?? UNTOUCHED
  const tell = (count: number): void => page.tell({ kind: 'needlefuls', exercise, count })
  return (
    <p className="learn-threaded">
      <span role="status">{words.needlefuls(needlefuls, needlefulsOf(done))}</span>
      <button type="button" aria-label={words.fewerNeedlefuls} disabled={needlefuls === 0} onClick={() => tell(-1)}>
        −
      </button>
      <button type="button" aria-label={words.moreNeedlefuls} onClick={() => tell(1)}>
        +
      </button>
    </p>
  )
}

function Ticks({ page, done }: { readonly page: KeptInPage; readonly done: WorkedExercise }) {
  const words = useWords().piece
  const { exercise, pieces } = done
  if (pieces.length < 2) return null
  const worked = (practiceIn(page.kept).exercises.get(exercise.id) ?? UNTOUCHED).pieces
  return (
    <fieldset className="learn-pieces">
      <legend>{words.pieces(worked.length, pieces.length)}</legend>
      {pieces.map((_, piece) => (
        <label key={piece}>
          <input
            type="checkbox"
            aria-label={words.pieceNumber(piece + 1)}
            checked={worked.includes(piece)}
            onChange={(event) => page.tell({ kind: 'piece', exercise: exercise.id, piece, worked: event.target.checked })}
          />
        </label>
      ))}
    </fieldset>
  )
}

function Slips({ done }: { readonly done: WorkedExercise }) {
  const words = useWords().piece
  const { document, language } = done.assigned
  const { look, slips = [], cautions = [] } = document
  const prose = useProse(language)
  const [front, back] = [look?.front, look?.back].map((text) => (text === undefined ? null : prose(text)))
  return (
    <details className="learn-slips">
      <summary>{words.look}</summary>
      {front !== null && (
        <p>
          <b>{words.front}</b> {front}
        </p>
      )}
      {back !== null && (
        <p>
          <b>{words.backSide}</b> {back}
        </p>
      )}
      {slips.map(({ see, mend }) => (
        <p key={see}>
          <b>{prose(see) ?? see}.</b> {prose(mend) ?? mend}
        </p>
      ))}
      {cautions.map((one) => (
        <p key={one} className="caution">
          {words.care(cautionIn(one, language))}
        </p>
      ))}
    </details>
  )
}

/** What the class was told of this piece, or of its lesson as a whole. */
function Said({ week, lesson, exercise }: { readonly week: WeekAnswer; readonly lesson: string | null; readonly exercise: string }) {
  const words = useWords().piece
  const said = week.said.filter((one) => one.exercise === exercise || (one.exercise === null && one.lesson === lesson))
  if (said.length === 0) return null
  return (
    <details className="learn-slips">
      <summary>{words.forClass(said.length)}</summary>
      {said.map((one) => (
        <p key={one.id}>
          {one.asked !== null && <b>{one.asked} </b>}
          {one.said}
        </p>
      ))}
    </details>
  )
}

function Ask({ page, exercise }: { readonly page: KeptInPage; readonly exercise: string }) {
  const words = useWords().piece
  const [asked, setAsked] = useState('')
  const mine = practiceIn(page.kept).questions.filter((one) => one.exercise === exercise)
  return (
    <details className="learn-slips">
      <summary>{words.ask(mine.length)}</summary>
      {mine.map((one) => (
        <p key={one.id}>{one.asked}</p>
      ))}
      <textarea aria-label={words.question} rows={3} maxLength={500} value={asked} onChange={(event) => setAsked(event.target.value)} />
      <button
        type="button"
        disabled={asked.trim() === ''}
        onClick={() => {
          page.tell({ kind: 'question', exercise, asked: asked.trim() })
          setAsked('')
        }}
      >
        {words.send}
      </button>
    </details>
  )
}

const TICK_MS = 10_000

/** Goes on while the page is closed: it is kept since when. */
function Timer({ page, exercise, minutes }: { readonly page: KeptInPage; readonly exercise: string; readonly minutes: number }) {
  const words = useWords().piece
  const { timed } = page.kept
  const [now, setNow] = useState(Date.now)
  useEffect(() => {
    if (!timed) return
    setNow(Date.now())
    const tick = setInterval(() => setNow(Date.now()), TICK_MS)
    return () => clearInterval(tick)
  }, [timed])
  const stop = (): void => {
    if (!timed) return
    page.tell({ kind: 'minutes', exercise: timed.exercise, minutes: minutesSince(timed.since, Date.now()) })
    page.change((before) => ({ ...before, timed: null }))
  }
  return (
    <p className="learn-timer">
      {timed ? (
        <>
          <span role="timer">
            {timed.exercise === exercise ? '' : `${words.anotherPiece} `}
            {words.minutes(minutesSince(timed.since, now))}
          </span>
          <button type="button" onClick={stop}>
            {words.stopTime}
          </button>
        </>
      ) : (
        <>
          <span>{words.practised(minutes)}</span>
          <button type="button" onClick={() => page.change((before) => ({ ...before, timed: { exercise, since: new Date().toISOString() } }))}>
            {words.time}
          </button>
        </>
      )}
    </p>
  )
}
