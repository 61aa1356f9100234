/** This week: what is on, piece by piece, how far she is, what comes next; what was before, to catch up; and what is kept of her. */
import type { WeekAnswer } from '@lemmata/contract'
import { forLearner, type WorkedExercise, workSampler } from '@lemmata/core/exercise'
import { needleIn, threadIn } from '@lemmata/core/language'
import { nameThread } from '@lemmata/core/materials'
import { lessonNow, UNTOUCHED, whatNext } from '@lemmata/core/practice'
import { letterOf } from '@lemmata/core/sheets'
import { teachingOrder } from '@lemmata/core/sampler'
import { useMemo, useState } from 'react'
import { ExercisePicture } from '../teach/ExercisePicture.tsx'
import { downloadText } from '../stitches/download.ts'
import { eventsIn, practiceIn } from './kept.ts'
import { talk } from './talk.ts'
import { troubleInWords } from './trouble.ts'
import type { KeptInPage } from './use-kept.ts'
import { dayIn, useLanguage, useWords } from './words/index.ts'

interface Props {
  readonly page: KeptInPage
  readonly week: WeekAnswer
  readonly onOpen: (exercise: string) => void
  readonly onTrain: () => void
}

export function WeekPage({ page, week, onOpen, onTrain }: Props) {
  const words = useWords()
  const language = useLanguage()
  const { kept, connected, trouble } = page
  const practice = practiceIn(kept)
  const { sampler, lessons, today, learner } = week
  const seen = sampler.lessons.map(({ id, exercises }) => ({ id, exercises, on: lessons.find((one) => one.id === id)?.on[0] ?? null }))
  const now = lessonNow(seen, today)
  const letters = new Map(teachingOrder(sampler).map((one, index) => [one.id as string, letterOf(index)]))
  const nameOf = (id: string): string => sampler.exercises.find((one) => one.id === id)?.name ?? id
  const next = whatNext(practice, seen, today, () => 0)
  const [open, setOpen] = useState(now)
  // Of the lesson that is open alone: a phone works no whole sampler.
  const worked = useMemo(() => {
    const own = forLearner(sampler, learner).sampler
    return new Map(workSampler(own, new Set(own.lessons.find((one) => one.id === open)?.exercises ?? [])).done.map((one) => [one.exercise.id as string, one]))
  }, [sampler, learner, open])
  return (
    <main className="learn-week">
      <header className="learn-head">
        <div>
          <h1>{sampler.name}</h1>
          <p className="quiet">
            {learner.name}, {week.className}
          </p>
        </div>
      </header>
      <State connected={connected} unsent={kept.unsent.length} trouble={trouble} />
      <p className="learn-next">
        <b>{words.week.next}</b> {words.next(next, { piece: nameOf, lesson: (id) => lessons.find((one) => one.id === id)?.title ?? '' })}
      </p>
      <button type="button" className="learn-train" onClick={onTrain}>
        <span>{words.week.train}</span>
        <span className="quiet">{words.week.trainHint}</span>
      </button>
      {lessons.map((lesson) => {
        const exercises = sampler.lessons.find((one) => one.id === lesson.id)?.exercises ?? []
        const isOpen = open === lesson.id
        const isHidden = lesson.seenFrom !== null
        const done = exercises.filter((id) => practice.exercises.get(id)?.state === 'can').length
        return (
          <section key={lesson.id} className="learn-lesson">
            <h2>
              <button type="button" aria-expanded={isOpen} disabled={isHidden} onClick={() => setOpen(isOpen ? null : lesson.id)}>
                <span className="learn-number">{lesson.number}</span>
                <span>
                  {lesson.title}
                  <span className="quiet">
                    {lesson.on.map((day) => dayIn(day, words.day, language)).join(words.week.and)}
                    {isHidden
                      ? `, ${words.week.seenFrom(dayIn(lesson.seenFrom, words.shortDay, language))}`
                      : `${lesson.on.length > 0 ? ', ' : ''}${words.week.done(done, exercises.length)}`}
                    {lesson.id === now && ` · ${words.week.onNow}`}
                  </span>
                </span>
              </button>
            </h2>
            {isOpen && !isHidden && <Bag of={exercises.flatMap((id) => worked.get(id) ?? [])} />}
            {isOpen && !isHidden && (
              <ul>
                {exercises.map((id) => {
                  const { state, minutes } = practice.exercises.get(id) ?? UNTOUCHED
                  return (
                    <li key={id}>
                      <button type="button" className={`learn-row ${state}`} onClick={() => onOpen(id)}>
                        <span className="learn-letter">{letters.get(id)}</span>
                        <Swatch done={worked.get(id)} clothHex={sampler.cloth.colour.hex} />
                        <span>{nameOf(id)}</span>
                        <span className="quiet">
                          {words.week.states[state]}
                          {minutes > 0 && ` · ${words.piece.minutes(minutes)}`}
                        </span>
                      </button>
                    </li>
                  )
                })}
              </ul>
            )}
          </section>
        )
      })}
      <Mine page={page} week={week} />
    </main>
  )
}

/** What a lesson is worked with: each thread and needle once, in the order in which they are needed. */
function Bag({ of }: { readonly of: readonly WorkedExercise[] }) {
  const words = useWords()
  const language = useLanguage()
  const threads = new Map<string, { readonly kind: string; readonly colours: Map<string, string> }>()
  const needles = new Set<string>()
  for (const { threads: used } of of)
    for (const { kind, thread, needle } of used) {
      const name = language === 'en' ? nameThread(kind).toLowerCase() : threadIn(kind, language)
      const one = threads.get(name) ?? { kind: name, colours: new Map<string, string>() }
      one.colours.set(thread.colour.name, thread.colour.hex)
      threads.set(name, one)
      needles.add(needleIn(needle.value, language))
    }
  if (needles.size === 0) return null
  return (
    <p className="learn-bag">
      <b>{words.week.bag}</b>{' '}
      {[...threads.values()].map(({ kind, colours }) => (
        <span key={kind}>
          {words.week.threadsIn(kind)}{' '}
          {[...colours].map(([colour, hex], index) => (
            <span key={colour}>
              {index > 0 && ', '}
              <i className="learn-colour" style={{ background: hex }} aria-hidden="true" /> {colour}
            </span>
          ))}
          ;{' '}
        </span>
      ))}
      {words.list([...needles])}.
    </p>
  )
}

function Swatch({ done, clothHex }: { readonly done: WorkedExercise | undefined; readonly clothHex: string }) {
  return <span className="learn-swatch">{done && <ExercisePicture done={done} clothHex={clothHex} widthPx={64} heightPx={44} />}</span>
}

function State({ connected, unsent, trouble }: { readonly connected: boolean; readonly unsent: number; readonly trouble: Error | null }) {
  const all = useWords()
  const words = all.week
  const waits = unsent === 0 ? '' : ` ${words.waits(unsent)}`
  return (
    <p className="learn-state" role="status">
      {trouble ? troubleInWords(trouble, all) : connected ? waits.trim() : `${words.lost}${waits}`}
    </p>
  )
}

/** Her link, large print, and everything about her: out, or away. */
function Mine({ page, week }: Pick<Props, 'page' | 'week'>) {
  const all = useWords()
  const words = all.mine
  const { kept, change, leave } = page
  const [said, setSaid] = useState('')
  const [sure, setSure] = useState(false)
  const key = kept.key ?? ''
  const language = useLanguage()
  const hasRows = [...practiceIn(kept).exercises.values()].some((one) => one.rows.length > 0)
  const save = async (name: string, type: string, text: () => Promise<string>): Promise<void> => {
    try {
      downloadText(name, await text(), type)
    } catch (thrown) {
      setSaid(troubleInWords(thrown, all))
    }
  }
  const everything = async (): Promise<string> => JSON.stringify(await talk.everything(key), null, 2)
  const notebook = async (): Promise<string> => {
    const { notebookTable } = await import('../photo/notebook.ts')
    return notebookTable(forLearner(week.sampler, week.learner).sampler, eventsIn(kept), week.learner.id, language)
  }
  return (
    <details className="learn-mine">
      <summary>{words.title}</summary>
      <label className="learn-choice">
        <input type="checkbox" checked={kept.large} onChange={(event) => change((before) => ({ ...before, large: event.target.checked }))} /> {words.large}
      </label>
      {kept.link !== null && (
        <p>
          {words.elsewhere}
          <br />
          <a href={`/learn/${kept.link}`}>{`${location.origin}/learn/${kept.link}`}</a>
        </p>
      )}
      {hasRows && (
        <button type="button" onClick={() => void save(words.notebookName, 'text/csv', notebook)}>
          {words.notebook}
        </button>
      )}
      <button type="button" onClick={() => void save(words.fileName, 'application/json', everything)}>
        {words.file}
      </button>
      {sure ? (
        <p>
          {words.sure}{' '}
          <button type="button" className="wrong" onClick={() => void talk.forget(key).then(leave, (thrown: unknown) => setSaid(troubleInWords(thrown, all)))}>
            {words.delete}
          </button>{' '}
          <button type="button" onClick={() => setSure(false)}>
            {words.keep}
          </button>
        </p>
      ) : (
        <button type="button" onClick={() => setSure(true)}>
          {words.deleteAsk}
        </button>
      )}
      <p role="status">{said}</p>
    </details>
  )
}
