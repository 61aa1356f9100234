/** What is kept with each lesson: what was asked, answered once for all; finds that all may read; how it went, and what to change next time. */
import type { ClassDocument, LessonNote } from '@lemmata/core/classes'
import { listInWords } from '@lemmata/core/units'
import { Button, Checkbox, Input } from 'antd'
import dayjs from 'dayjs'
import { useState } from 'react'
import { editClass } from '../store/index.ts'
import { newId } from '../store/new-ids.ts'

/** Asked by a learner on her own page. */
export interface Asked {
  readonly id: string
  readonly name: string
  readonly exercise: string
  readonly asked: string
}

interface Props {
  readonly lessons: readonly {
    readonly id: string
    readonly number: number
    readonly title: string
    readonly on: string | null
    readonly exercises: readonly string[]
  }[]
  readonly notes: ClassDocument['notes']
  /** Not answered yet. */
  readonly asked: readonly Asked[]
  readonly nameOf: (exercise: string) => string
}

type Of<Kind extends LessonNote['kind']> = Extract<LessonNote, { readonly kind: Kind }>
const day = (): string => dayjs().format('YYYY-MM-DD')
const keep = (id: string, note: LessonNote | null): void => editClass({ kind: 'set-note', id, note })

export function NotesView({ lessons, notes = {}, asked, nameOf }: Props) {
  const all = Object.entries(notes)
  return (
    <div className="class-notes">
      {lessons.map((lesson) => {
        const own = all.filter(([, note]) => note.lesson === lesson.id)
        return (
          <section key={lesson.id} aria-label={`Lesson ${lesson.number}, ${lesson.title}`}>
            <h2>
              {lesson.number} {lesson.title} {lesson.on !== null && <span className="quiet">{dayjs(lesson.on).format('ddd D MMM')}</span>}
            </h2>
            <OpenQuestions lesson={lesson.id} asked={asked.filter((one) => lesson.exercises.includes(one.exercise))} nameOf={nameOf} />
            {own.map(([id, note]) => (
              <Kept key={id} id={id} note={note} nameOf={nameOf} />
            ))}
            <Tip lesson={lesson.id} />
            <LessonRecord key={`r-${lesson.id}`} lesson={lesson.id} notes={notes} />
          </section>
        )
      })}
    </div>
  )
}

/** Several that ask the same are answered in one. */
function OpenQuestions({
  lesson,
  asked,
  nameOf,
}: {
  readonly lesson: string
  readonly asked: readonly Asked[]
  readonly nameOf: (exercise: string) => string
}) {
  const [chosen, setChosen] = useState<readonly string[]>([])
  const [question, setQuestion] = useState<string | null>(null)
  const [answer, setAnswer] = useState('')
  const [shared, setShared] = useState(true)
  if (asked.length === 0) return null
  const of = asked.filter((one) => chosen.includes(one.id))
  const exercises = [...new Set(of.map((one) => one.exercise))]
  const save = (): void => {
    const note: Of<'question'> = {
      ...{ kind: 'question', lesson, on: day(), asked: (question ?? of[0]?.asked ?? '').trim(), answer: answer.trim(), of: of.map((one) => one.id), shared },
      ...(exercises.length === 1 && exercises[0] !== undefined ? { exercise: exercises[0] } : {}),
    }
    keep(newId('n'), note)
    setChosen([])
    setQuestion(null)
    setAnswer('')
  }
  return (
    <div className="class-asked">
      {asked.map((one) => (
        <Checkbox
          key={one.id}
          checked={chosen.includes(one.id)}
          onChange={(event) => setChosen(event.target.checked ? [...chosen, one.id] : chosen.filter((id) => id !== one.id))}
        >
          <b>{one.name}</b>, {nameOf(one.exercise)}: {one.asked}
        </Checkbox>
      ))}
      {of.length > 0 && (
        <div className="class-answer">
          <Input aria-label="Asked" maxLength={400} value={question ?? of[0]?.asked ?? ''} onChange={(event) => setQuestion(event.target.value)} />
          <Input.TextArea
            aria-label="Answer"
            placeholder={of.length > 1 ? `One answer to these ${of.length}` : 'Your answer'}
            autoSize={{ minRows: 2 }}
            maxLength={1000}
            value={answer}
            onChange={(event) => setAnswer(event.target.value)}
          />
          <Checkbox checked={shared} onChange={(event) => setShared(event.target.checked)}>
            The whole class reads it on their pages, without a name
          </Checkbox>
          <Button type="primary" disabled={answer.trim() === ''} onClick={save}>
            Answer
          </Button>
        </div>
      )}
    </div>
  )
}

function Kept({ id, note, nameOf }: { readonly id: string; readonly note: LessonNote; readonly nameOf: (exercise: string) => string }) {
  if (note.kind === 'record') return null
  const of = note.kind !== 'vote' && note.exercise !== undefined ? `${nameOf(note.exercise)}: ` : ''
  return (
    <div className="class-note">
      <p>
        {note.kind === 'question' && (
          <>
            {of}
            <b>{note.asked}</b> {note.answer || <span className="caution">Not answered yet.</span>}
          </>
        )}
        {note.kind === 'tip' && (
          <>
            {of}
            {note.tip}
          </>
        )}
        {note.kind === 'vote' && (
          <>
            <b>{note.about}</b> {listInWords(note.ways.map((one) => `${one.name}: ${one.votes}`))}
          </>
        )}
      </p>
      {note.kind === 'question' && note.answer === '' && <LateAnswer id={id} note={note} />}
      {note.kind === 'question' && note.answer !== '' && (
        <Checkbox checked={note.shared === true} onChange={(event) => keep(id, { ...note, shared: event.target.checked })}>
          Shown to the class
        </Checkbox>
      )}
      {note.kind === 'tip' && <span className="quiet">Shown to the class</span>}
      <Button
        size="small"
        aria-label={`Take away: ${note.kind === 'tip' ? note.tip : note.kind === 'vote' ? note.about : note.asked}`}
        onClick={() => keep(id, null)}
      >
        Take away
      </Button>
    </div>
  )
}

/** Asked in the room, and answered when there was time to look. */
function LateAnswer({ id, note }: { readonly id: string; readonly note: Of<'question'> }) {
  const [answer, setAnswer] = useState('')
  return (
    <Input.Search
      aria-label={`Answer to ${note.asked}`}
      enterButton="Answer"
      maxLength={1000}
      value={answer}
      onChange={(event) => setAnswer(event.target.value)}
      onSearch={() => answer.trim() !== '' && keep(id, { ...note, answer: answer.trim() })}
    />
  )
}

function Tip({ lesson }: { readonly lesson: string }) {
  const [tip, setTip] = useState('')
  const save = (): void => {
    if (tip.trim() === '') return
    keep(newId('n'), { kind: 'tip', lesson, on: day(), tip: tip.trim() })
    setTip('')
  }
  return (
    <Input.Search
      aria-label="A tip for the whole class"
      placeholder="Something a learner found, for the whole class; without her name unless she wants it there"
      enterButton="Show it to the class"
      maxLength={1000}
      value={tip}
      onChange={(event) => setTip(event.target.value)}
      onSearch={save}
    />
  )
}

function LessonRecord({ lesson, notes }: { readonly lesson: string; readonly notes: NonNullable<ClassDocument['notes']> }) {
  const id = `r-${lesson}`
  const kept = notes[id]
  const before = kept?.kind === 'record' ? kept : { done: '', change: '' }
  const [done, setDone] = useState(before.done)
  const [change, setChange] = useState(before.change)
  const save = (): void => {
    if (done.trim() === before.done && change.trim() === before.change) return
    const isEmpty = done.trim() === '' && change.trim() === ''
    keep(id, isEmpty ? null : { kind: 'record', lesson, on: day(), done: done.trim(), change: change.trim() })
  }
  return (
    <div className="class-record">
      <label>
        What was done and said
        <Input.TextArea autoSize={{ minRows: 2 }} maxLength={1000} value={done} onChange={(event) => setDone(event.target.value)} onBlur={save} />
      </label>
      <label>
        What to change next time
        <Input.TextArea autoSize={{ minRows: 2 }} maxLength={1000} value={change} onChange={(event) => setChange(event.target.value)} onBlur={save} />
      </label>
    </div>
  )
}
