/** Where does the needle go next? Two minutes between lessons: touch the place, say how the thread lies, and see what comes of it. */
import type { WeekAnswer } from '@lemmata/contract'
import { aroundOf, askMotion, consequenceOf, RECALL_WORDS, toldInWords } from '@lemmata/core/recall'
import { stitchIn } from '@lemmata/core/language'
import { stepSentence } from '@lemmata/core/steps'
import { useEffect, useMemo, useState } from 'react'
import type { KeptInPage } from '../use-kept.ts'
import { dayIn, useLanguage, useWords } from '../words/index.ts'
import { AskedPicture, frameFor, type PlaceToTouch } from './AskedPicture.tsx'
import { type AskedNow, useSitting } from './use-sitting.ts'

interface Props {
  readonly page: KeptInPage
  readonly week: WeekAnswer
  readonly onBack: () => void
}

export function TrainerPage({ page, week, onBack }: Props) {
  const words = useWords()
  const sitting = useSitting(page.kept, week)
  const { asked, at, count, exercise, isAgain, isOver, on, more, next } = sitting
  const { name = '' } = week.sampler.exercises.find((one) => one.id === exercise) ?? {}
  return (
    <main className="learn-moves asked">
      <header className="learn-head">
        <button type="button" className="learn-back" onClick={onBack} aria-label={words.piece.backToWeek}>
          ‹
        </button>
        <div>
          <h1>{isOver ? words.train.title : name}</h1>
          <p className="quiet">
            {isOver ? '' : `${asked ? stitchIn(asked.done.assigned.document, asked.done.assigned.language) : ''}${isAgain ? `, ${words.train.again}` : ''}`}
          </p>
        </div>
        {!isOver && <p className="quiet asked-count">{words.piece.place(at + 1, count)}</p>}
      </header>
      {isOver ? (
        <Over count={count} next={next} today={week.today} onMore={more} onBack={onBack} />
      ) : asked ? (
        <Ask
          key={at}
          asked={asked}
          clothHex={week.sampler.cloth.colour.hex}
          units={week.sampler.units}
          seed={seedOf(`${asked.motion.key} ${week.today} ${at}`)}
          onAnswered={(right) => {
            if (!isAgain) page.tell({ kind: 'recall', exercise: asked.done.exercise.id, motion: asked.motion.key, right })
          }}
          onNext={on}
        />
      ) : (
        <Gone onNext={() => on(true)} />
      )}
    </main>
  )
}

/** What was asked before and is not there any more: another stitch was chosen for the piece. */
function Gone({ onNext }: { readonly onNext: () => void }) {
  useEffect(onNext)
  return null
}

function Over({
  count,
  next,
  today,
  onMore,
  onBack,
}: Pick<Props, 'onBack'> & { readonly count: number; readonly next: string | null; readonly today: string; readonly onMore: () => void }) {
  const words = useWords()
  const language = useLanguage()
  const when = next === null ? null : next <= today ? words.train.today : words.train.comesBack(dayIn(next, words.day, language))
  return (
    <section className="asked-over" role="status">
      <h2>{count > 0 ? words.train.over : words.train.nothing}</h2>
      <p>{when ?? words.train.later}</p>
      {count > 0 && (
        <button type="button" onClick={onMore}>
          {words.train.more}
        </button>
      )}
      <button type="button" className="learn-main" onClick={onBack}>
        {words.piece.backToWeek}
      </button>
    </section>
  )
}

interface AskProps {
  readonly asked: AskedNow
  readonly clothHex: string
  readonly units: WeekAnswer['sampler']['units']
  readonly seed: number
  readonly onAnswered: (right: boolean) => void
  readonly onNext: (right: boolean) => void
}

const LETTERS = 'ABCD'

function Ask({ asked, clothHex, units, seed, onAnswered, onNext }: AskProps) {
  const { quiz, motion, done } = asked
  const { language } = done.assigned
  const words = RECALL_WORDS[language]
  const chrome = useWords().train
  const frame = useMemo(() => frameFor(aroundOf(quiz, motion)), [quiz, motion])
  const question = useMemo(() => askMotion(quiz, motion, frame, seed), [quiz, motion, frame, seed])
  const [hole, setHole] = useState<number | null>(null)
  const [way, setWay] = useState<number | null>(null)
  const [shows, setShows] = useState<'came-of-it' | 'right'>('came-of-it')
  const { holes, thread, before } = question
  const pickedHole = hole === null ? null : (holes[hole] ?? null)
  const pickedWay = way === null ? null : (thread?.choices[way] ?? null)
  const mistake = pickedHole?.mistake ?? pickedWay?.mistake ?? null
  const isFound = holes.length === 0 || (pickedHole !== null && pickedHole.mistake === null)
  const isAnswered = mistake !== null || (isFound && (thread === null || pickedWay !== null))
  const wrong = useMemo(() => (mistake ? consequenceOf(quiz, question, mistake) : null), [quiz, question, mistake])
  const answer = (next: { hole?: number; way?: number }): void => {
    if (isAnswered) return
    if (next.hole !== undefined) setHole(next.hole)
    if (next.way !== undefined) setWay(next.way)
    const chosen = next.hole === undefined ? thread?.choices[next.way ?? -1] : holes[next.hole]
    if (!chosen) return
    if (chosen.mistake !== null) onAnswered(false)
    else if (next.way !== undefined || thread === null) onAnswered(true)
  }
  const isAskingThread = isFound && thread !== null
  useEffect(() => {
    const onKey = ({ key }: KeyboardEvent): void => {
      const index = LETTERS.indexOf(key.toUpperCase())
      if (index < 0 || isAnswered) return
      answer(isAskingThread ? { way: index } : { hole: index })
    }
    document.addEventListener('keydown', onKey)
    return () => document.removeEventListener('keydown', onKey)
  })
  const showsWrong = wrong !== null && shows === 'came-of-it' && wrong.seen !== null
  const step = showsWrong ? (wrong.seen?.step ?? before) : isAnswered ? motion.step : before
  const places = holes.map((one, index): PlaceToTouch => {
    const state = hole === null ? 'open' : one.mistake === null ? 'right' : index === hole ? 'wrong' : 'past'
    return { letter: LETTERS[index] ?? '', at: one.at, state }
  })
  const asks = isAskingThread && thread ? words.thread[thread.about] : words.asks[question.entry && question.asks === 'up' ? 'out' : question.asks]
  return (
    <>
      <AskedPicture
        asked={asked}
        frame={frame}
        step={step}
        seen={showsWrong ? (wrong.seen?.demonstration ?? null) : null}
        clothHex={clothHex}
        // How it goes is seen without what was asked on it.
        places={isAnswered && !showsWrong ? [] : places.filter((one) => one.state !== 'past')}
        dot={isAnswered ? null : question.entry}
        onTouch={(index) => answer({ hole: index })}
        label={showsWrong ? chrome.cameOfIt : isAnswered ? chrome.howItGoes : chrome.before(asks)}
      />
      <div className="asked-said" aria-live="polite">
        {isAnswered ? (
          <>
            <p className="learn-sentence" data-testid="asked-verdict">
              <b className={wrong ? 'wrong' : 'well'}>{wrong ? chrome.no : chrome.yes}</b> {wrong ? toldInWords(wrong.told, language, units) : ''}
            </p>
            <p className="asked-right">{stepSentence(motion.step, done.assigned)}</p>
          </>
        ) : (
          <p className="learn-sentence" data-testid="asked">
            {asks}
          </p>
        )}
      </div>
      {isAskingThread && !isAnswered && (
        <div className="asked-ways">
          {thread?.choices.map((one, index) => (
            <button key={one.way} type="button" onClick={() => answer({ way: index })}>
              {words.ways[one.way]}
            </button>
          ))}
        </div>
      )}
      <footer className="learn-foot">
        <div className="learn-turn">
          {wrong?.seen ? (
            <button type="button" onClick={() => setShows(shows === 'right' ? 'came-of-it' : 'right')}>
              {shows === 'right' ? chrome.cameOfIt : chrome.howItGoes}
            </button>
          ) : (
            <span />
          )}
          <button type="button" className="learn-main" disabled={!isAnswered} onClick={() => onNext(wrong === null)}>
            {chrome.on}
          </button>
        </div>
      </footer>
    </>
  )
}

/** The same for the same words; 0 to 1. */
function seedOf(text: string): number {
  let hash = 7
  for (const letter of text) hash = (hash * 31 + (letter.codePointAt(0) ?? 0)) % 9973
  return hash / 9973
}
