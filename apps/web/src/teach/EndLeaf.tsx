/** Until next time: what to do at home, what comes next and when, what to bring; and what was asked and voted on in this lesson. */
import { courseOnDates } from '@lemmata/core/calendar'
import type { ClassDocument } from '@lemmata/core/classes'
import { nameNeedle, nameThread } from '@lemmata/core/materials'
import { homeMinutesOf, lessonStory } from '@lemmata/core/plan'
import { listInWords } from '@lemmata/core/units'
import { dayWords } from '../calendar/LessonRows.tsx'
import type { Shown } from './shown.ts'

export function EndLeaf({ shown: { sampler, lessons, course, lesson, letters }, group }: { readonly shown: Shown; readonly group: ClassDocument | undefined }) {
  const home = Math.round(homeMinutesOf(lesson.lesson, course))
  const next = lessons.find((one) => one.number === lesson.number + 1)
  const dates = group?.calendar ? courseOnDates(sampler, group.calendar, course) : null
  const on = next && dates?.laid.lessons.find((one) => one.lesson === next.lesson.id)?.on[0]
  const story = next ? lessonStory(lessons, course, next.lesson.id) : null
  const bring = [
    ...(story?.newThreads ?? []).map(({ kind, threads }) => `${nameThread(kind).toLowerCase()} in ${listInWords(threads.map((one) => one.colour.name))}`),
    ...(story && story.newNeedles.length > 0 ? [listInWords(story.newNeedles.map(nameNeedle))] : []),
  ]
  const notes = Object.entries(group?.notes ?? {}).filter(([, note]) => note.lesson === lesson.lesson.id && note.kind !== 'record')
  return (
    <section className="teach-page" aria-label="Until next time">
      <h1>Until next time</h1>
      {home > 0 && (
        <>
          <h2>At home, about {home} minutes</h2>
          <p>
            {listInWords(
              lesson.exercises.filter((one) => (one.exercise.homePercent ?? 0) > 0).map((one) => `${letters.get(one.exercise.id)} ${one.exercise.name}`),
            )}
            . Two short sittings teach more than one long one.
          </p>
        </>
      )}
      {next ? (
        <>
          <h2>
            Next: {on ? `${dayWords(on)}, ` : ''}
            {next.lesson.title}
          </h2>
          <p>{bring.length > 0 ? `Bring ${bring.join('; ')}.` : 'Bring your bag: nothing new is needed.'}</p>
        </>
      ) : (
        <h2>The last stitch is in: what is left is finishing.</h2>
      )}
      {notes.length > 0 && <h2>Asked and voted</h2>}
      {notes.map(([id, note]) => (
        <p key={id}>
          {note.kind === 'question' ? (
            <>
              <b>{note.asked}</b> {note.answer || 'No answer yet.'}
            </>
          ) : note.kind === 'vote' ? (
            <>
              <b>{note.about}</b> {listInWords(note.ways.map((one) => `${one.name}: ${one.votes}`))}
            </>
          ) : note.kind === 'tip' ? (
            note.tip
          ) : null}
        </p>
      ))}
    </section>
  )
}
