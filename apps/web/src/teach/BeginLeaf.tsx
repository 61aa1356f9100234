/** What a lesson begins with: what one knows already, what is new, what lies on the table. */
import { stitchIn } from '@lemmata/core/language'
import { nameThread } from '@lemmata/core/materials'
import { motionWord } from '@lemmata/core/order'
import { lessonStory } from '@lemmata/core/plan'
import { listInWords } from '@lemmata/core/units'
import { Spool } from '../thread/fields.tsx'
import { ExercisePicture } from './ExercisePicture.tsx'
import type { Shown } from './shown.ts'

/** More cannot be kept in mind, nor read from the last row. */
const MOST_KNOWN = 2

export function BeginLeaf({ shown: { sampler, lessons, course, lesson, letters } }: { readonly shown: Shown }) {
  const { known, fresh } = lessonStory(lessons, course, lesson.lesson.id)
  const threads = [
    ...new Map(lesson.exercises.flatMap((one) => one.threads.map((used) => [used.thread.id, [used.thread, used.kind] as const] as const))).values(),
  ]
  return (
    <section className="teach-page" aria-label="What it begins with">
      <h1>
        <span className="teach-number">{lesson.number}</span> {lesson.lesson.title}
      </h1>
      {known.length > 0 && (
        <>
          <h2>You know this already</h2>
          {known.slice(0, MOST_KNOWN).map(({ done, lesson: number, motions }) => (
            <div key={done.exercise.id} className="teach-known">
              <ExercisePicture done={done} clothHex={sampler.cloth.colour.hex} widthPx={260} heightPx={90} />
              <p>
                <b>{stitchIn(done.assigned.document, 'en')}</b>, {letters.get(done.exercise.id)} of lesson {number}
                {motions.length > 0 && `: ${listInWords(motions.map(motionWord))}`}. Warm up: four on the edge of the cloth.
              </p>
            </div>
          ))}
        </>
      )}
      <h2>New today</h2>
      <ul className="teach-list">
        {fresh.map(({ done, motions, isFirstOfAll }) => (
          <li key={done.exercise.id}>
            <b>
              {letters.get(done.exercise.id)} {done.exercise.name}
            </b>
            , {done.assigned.document.name.toLowerCase()}
            {motions.length > 0
              ? `: ${listInWords(motions.map(motionWord))}`
              : isFirstOfAll
                ? ': the needle goes down and comes up, evenly'
                : ': no new motion, in new company'}
          </li>
        ))}
      </ul>
      <h2>On the table</h2>
      <p className="teach-threads">
        {threads.map(([one, kind]) => (
          <span key={one.id}>
            <Spool hex={one.colour.hex} /> {one.colour.name}
            <span className="quiet">, {nameThread(kind).toLowerCase()}</span>
          </span>
        ))}
      </p>
    </section>
  )
}
