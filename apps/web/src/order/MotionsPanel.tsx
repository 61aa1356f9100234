/** Where each motion is first met and when it comes back; where the ramp is too steep; marks that fade. */
import { surroundingsOf } from '@lemmata/core/assign'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { motionWord } from '@lemmata/core/order'
import { newExercise } from '@lemmata/core/layout'
import { MAIN_ROLE } from '@lemmata/core/notation'
import { fadeMarks, FADING, findGaps, type Gap, type GapFilling } from '@lemmata/core/plan'
import { layExercises, type MarkStyle, type Sampler } from '@lemmata/core/sampler'
import { findStitch } from '@lemmata/core/stitches'
import { listInWords } from '@lemmata/core/units'
import { Button, Select } from 'antd'
import { useState } from 'react'
import { useWorked } from '../compute/use-worked.ts'
import { KnotGlyph } from '../look/Glyphs.tsx'
import { Field } from '../sampler/fields.tsx'
import { edit } from '../store/index.ts'
import { newIds } from '../store/new-ids.ts'
import { arrangeAs, type Course } from './use-course.ts'
import { startOrderWorker } from './use-finder.ts'

export function MotionsPanel({ sampler, course }: { sampler: Sampler; course: Course }) {
  const { description, plan } = course
  const gaps = findGaps(description, course.course)
  const lessons = plan.lessons.length
  return (
    <section className="order-side" aria-label="Motions and gaps">
      <h2>Motions</h2>
      {description.motions.length === 0 && <p className="why">Nothing but coming up and going down yet.</p>}
      <div style={{ overflowX: 'auto' }}>
        <table className="motions">
          <thead>
            <tr>
              <th scope="col">
                <span className="visually-hidden">Motion</span>
              </th>
              {Array.from({ length: lessons }, (_, lesson) => (
                <th key={lesson} scope="col" aria-label={`lesson ${lesson + 1}`}>
                  {lesson + 1}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {description.motions.map((story) => (
              <tr key={story.motion}>
                <th scope="row" title={motionWord(story.motion)}>
                  {motionWord(story.motion)}
                </th>
                {Array.from({ length: lessons }, (_, lesson) => {
                  const sign = lesson === story.first ? 'first met' : story.later.includes(lesson) ? 'again' : ''
                  return (
                    <td key={lesson}>
                      <Sign kind={sign} />
                    </td>
                  )
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="why">
        <Sign kind="first met" /> first met, <Sign kind="again" /> again
      </p>
      <h2 style={{ marginTop: 14 }}>Gaps</h2>
      {gaps.length === 0 && <p className="why">No step is too high, and every motion that could comes back in time.</p>}
      <ul className="plain-list">
        {gaps.map((gap) => (
          <GapLine key={gap.kind === 'steep' ? gap.then : gap.kind === 'alike' ? gap.ids.join() : gap.motion} gap={gap} sampler={sampler} course={course} />
        ))}
      </ul>
      <Fading sampler={sampler} course={course} />
    </section>
  )
}

function Sign({ kind }: { kind: string }) {
  if (kind === '') return null
  return (
    <svg width="13" height="13" viewBox="0 0 13 13" role="img" aria-label={kind} style={{ verticalAlign: '-1px' }}>
      {kind === 'first met' ? (
        <circle cx="6.5" cy="6.5" r="5" fill="var(--indigo)" />
      ) : (
        <circle cx="6.5" cy="6.5" r="4" fill="none" stroke="var(--verdigris)" strokeWidth="2" />
      )}
    </svg>
  )
}

function GapLine({ gap, sampler, course }: { gap: Gap; sampler: Sampler; course: Course }) {
  const names = new Map(course.course.map((item) => [item.id, item.name] as const))
  const [offers, setOffers] = useState<readonly GapFilling[] | string | null>(null)
  if (gap.kind === 'alike')
    return (
      <li className="problem">
        <KnotGlyph />
        <span>
          {listInWords(gap.ids.map((id) => names.get(id) ?? id))} follow one another and are all of one kind ({gap.family}). Put something of another texture
          between.
        </span>
      </li>
    )
  if (gap.kind === 'no-return')
    return (
      <li className="problem">
        <KnotGlyph />
        <span>
          {motionWord(gap.motion)} is met in “{names.get(gap.first)}”{' '}
          {gap.met === 'once'
            ? 'and never again. Add a second exercise with it'
            : 'and does not come back two to four lessons later. Move one of its exercises'}
          , or let it go.
        </span>
      </li>
    )
  const ask = (): void => {
    setOffers('busy')
    const worker = startOrderWorker()
    const laid = layExercises(sampler).flatMap((one) => (one.ok ? [one.value] : []))
    const steps = course.description.steps
    const earlier = steps
      .slice(
        0,
        steps.findIndex((step) => step.id === gap.then),
      )
      .map((step) => step.id)
    worker
      .ask((service) => service.fill(gap, laid, earlier, surroundingsOf(sampler)))
      .then(setOffers, (thrown: unknown) => setOffers(thrown instanceof Error ? thrown.message : 'This could not be tried.'))
      .finally(() => worker.end())
  }
  return (
    <li className="problem">
      <KnotGlyph />
      <span>
        From “{names.get(gap.before)}” to “{names.get(gap.then)}” is a step of {Math.round(gap.rise)}; {Math.round(gap.limit)} is the most that is easily
        followed.{' '}
        {offers === null && (
          <Button size="small" onClick={ask}>
            What would fill it?
          </Button>
        )}
        {offers === 'busy' && <span className="quiet">Trying the stitches …</span>}
        {typeof offers === 'string' && offers !== 'busy' && <span className="wrong">{offers}</span>}
        {Array.isArray(offers) && offers.length === 0 && <span className="quiet">Nothing in the library lies between without bringing something new.</span>}
        {Array.isArray(offers) && (
          <ul className="plain-list">
            {offers.map((offer: GapFilling, index) => (
              <li key={index} className="easing">
                <span className="why">
                  <b>{offer.name}</b>, {Math.round(offer.difficulty)}: {offer.because}
                </span>
                <Button size="small" onClick={() => addOffer(offer, gap, sampler, course)}>
                  Add it
                </Button>
              </li>
            ))}
          </ul>
        )}
      </span>
    </li>
  )
}

/** A new exercise in the next free place, taught just before the one that was too steep: one step, one undo. */
function addOffer(offer: GapFilling, gap: Extract<Gap, { kind: 'steep' }>, sampler: Sampler, course: Course): void {
  const document = findStitch(offer.stitch, sampler.stitches)
  if (!document) return
  const ids = newIds()
  const { parameters, marks, strands } = offer.set
  const add = newExercise(document, sampler, ids, {
    ...(parameters ? { parameters } : {}),
    ...(marks ? { marks } : {}),
    ...(strands === undefined ? {} : { materials: { [MAIN_ROLE]: { strands } } }),
  })
  const lessons = course.plan.lessons.map((taught) => taught.flatMap((id) => (id === gap.then ? [ids.exercise, id] : [id])))
  edit({ kind: 'batch', operations: [add, arrangeAs(sampler, { lessons })] })
}

const STYLES: Readonly<Record<string, string>> = { 'every-hole': 'every hole', 'every-nth': 'every third', 'guide-only': 'the line', none: 'nothing' }

function Fading({ sampler, course }: { sampler: Sampler; course: Course }) {
  const { results } = useWorked()
  const [first, setFirst] = useState<MarkStyle>('every-hole')
  const [last, setLast] = useState<MarkStyle>('guide-only')
  const order = course.plan.lessons.flat().flatMap((id): WorkedExercise[] => {
    const result = results.get(id)
    return result?.ok ? [result.value] : []
  })
  const changes = fadeMarks(order, first, last)
  const names = new Map(sampler.exercises.map((exercise) => [exercise.id, exercise.name] as const))
  const choice = (label: string, value: MarkStyle, onChange: (style: MarkStyle) => void) => (
    <Field label={label}>
      {(id) => (
        <Select<MarkStyle>
          id={id}
          size="small"
          value={value}
          options={FADING.map((style) => ({ value: style, label: STYLES[style] ?? style }))}
          onChange={onChange}
        />
      )}
    </Field>
  )
  const apply = (): void => {
    edit({
      kind: 'batch',
      operations: changes.map(({ id, to }) => ({ kind: 'change-exercise', id, set: { marks: to, ...(to === 'every-nth' ? { nth: 3 } : {}) } })),
    })
  }
  return (
    <>
      <h2 style={{ marginTop: 14 }}>Marks that fade</h2>
      <div className="two">
        {choice('At first', first, setFirst)}
        {choice('In the end', last, setLast)}
      </div>
      {changes.length === 0 ? (
        <p className="why">The marks of the lines fade like this already.</p>
      ) : (
        <>
          <ul className="plain-list why">
            {changes.map((change) => (
              <li key={change.id}>
                {names.get(change.id)}: {STYLES[change.to]} instead of {STYLES[change.from] ?? change.from}
                {change.before === 0
                  ? ', as its motion is new'
                  : `, as its motions were worked ${change.before === 1 ? 'once' : `${change.before} times`} before`}
              </li>
            ))}
          </ul>
          <Button size="small" onClick={apply}>
            Fade the marks
          </Button>
        </>
      )}
    </>
  )
}
