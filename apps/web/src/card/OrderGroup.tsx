/** Of an exercise, its place in the course: its parts, how it compares, what would ease it, its pins, its practice. */
import type { Surroundings } from '@lemmata/core/assign'
import { strandsInWords, surroundingsOf } from '@lemmata/core/assign'
import { spokenSize, type WorkedExercise } from '@lemmata/core/exercise'
import { motionWord } from '@lemmata/core/order'
import { KnotGlyph } from '../look/Glyphs.tsx'
import { catchUp, comparisonInWords, type Easing, partWord, practiceAsked } from '@lemmata/core/plan'
import { type Exercise, type FreeSetting, layExercise, type Pins, type Sampler } from '@lemmata/core/sampler'
import { sizeInWords } from '@lemmata/core/sheets'
import { formatMinutes } from '@lemmata/core/units'
import { Button, Checkbox, Segmented, Select } from 'antd'
import { useEffect, useState } from 'react'
import { useWorked } from '../compute/use-worked.ts'
import { Field, NumberField, TextField } from '../sampler/fields.tsx'
import { edit } from '../store/index.ts'
import type { Course } from '../order/use-course.ts'
import { startOrderWorker } from '../order/use-finder.ts'

interface Props {
  readonly sampler: Sampler
  readonly exercise: Exercise
  readonly done: WorkedExercise | null
  readonly course: Course
}

export function OrderGroup({ sampler, exercise, done, course }: Props) {
  if (!done) return <p className="quiet">It has not been worked, so nothing is known of how hard it is.</p>
  return (
    <div className="group order-side">
      <Parts done={done} />
      <Step exercise={exercise} course={course} />
      <Comparisons done={done} course={course} />
      <LessonTitle sampler={sampler} exercise={exercise} />
      <PinFields sampler={sampler} exercise={exercise} course={course} />
      <Easings key={exercise.id} done={done} sampler={sampler} />
      <Practice done={done} sampler={sampler} course={course} />
      <FreeFields exercise={exercise} />
      <UsedAgain done={done} sampler={sampler} course={course} />
      <Joining exercise={exercise} course={course} />
    </div>
  )
}

/** Why it stands where it stands, what is new in it, and whether it rises too far. */
function Step({ exercise, course }: Pick<Props, 'exercise' | 'course'>) {
  const { steps, ramp } = course.description
  const at = steps.findIndex((one) => one.id === exercise.id)
  const step = steps[at]
  if (!step) return null
  const before = course.course.find((item) => item.id === steps[at - 1]?.id)
  return (
    <>
      {step.tooSteep && before && (
        <p className="problem">
          <KnotGlyph />
          <span>
            It rises {Math.round(step.rise)} above “{before.name}”; {Math.round(ramp.limit)} is the most that is easily followed. Motions says what would fill
            it.
          </span>
        </p>
      )}
      <p className="why">
        {step.why}
        {step.newMotions.length > 0 && ` New: ${step.newMotions.map(motionWord).join(', ')}.`}
      </p>
    </>
  )
}

function LessonTitle({ sampler, exercise }: Pick<Props, 'sampler' | 'exercise'>) {
  const lesson = sampler.lessons.find((one) => one.exercises.includes(exercise.id))
  if (!lesson) return null
  return (
    <TextField label="Title of its lesson" value={lesson.title} onChange={(title) => title !== '' && edit({ kind: 'rename-lesson', id: lesson.id, title })} />
  )
}

function Parts({ done }: { done: WorkedExercise }) {
  const { score, parts } = done.difficulty
  const most = Math.max(1, ...parts.map((part) => part.score))
  return (
    <>
      <h3>Difficulty {Math.round(score)}</h3>
      <ul className="parts">
        {parts.slice(0, 6).map((part) => (
          <li key={part.id}>
            <span>{partWord(part.id)}</span>
            <span className="bar-line" aria-hidden="true">
              <span style={{ width: `${(100 * part.score) / most}%` }} />
            </span>
            <span>{part.score.toFixed(1)}</span>
          </li>
        ))}
      </ul>
    </>
  )
}

/** With the exercises just before and after it in the order. */
function Comparisons({ done, course }: { done: WorkedExercise; course: Course }) {
  const { results } = useWorked()
  const { steps } = course.description
  const at = steps.findIndex((step) => step.id === done.exercise.id)
  const others = [steps[at - 1], steps[at + 1]].flatMap((step) => {
    const other = step ? results.get(step.id) : undefined
    return other?.ok ? [other.value] : []
  })
  return (
    <ul className="plain-list why">
      {others.map((other) => (
        <li key={other.exercise.id}>{comparisonInWords(done.difficulty, other.difficulty, other.exercise.name)}</li>
      ))}
    </ul>
  )
}

/** Worked in the worker: each is the exercise done once more. */
function Easings({ done, sampler }: { done: WorkedExercise; sampler: Sampler }) {
  const [easings, setEasings] = useState<readonly Easing[] | null>(null)
  const [failed, setFailed] = useState<string | null>(null)
  const { exercise } = done
  useEffect(() => {
    const laid = layExercise(exercise, sampler.drawing)
    if (!laid.ok) return
    let dropped = false
    const worker = startOrderWorker()
    const around: Surroundings = surroundingsOf(sampler)
    worker
      .ask((service) => service.ease(laid.value, around))
      .then(
        (found) => {
          if (!dropped) setEasings(found)
        },
        (thrown: unknown) => {
          if (!dropped) setFailed(thrown instanceof Error ? thrown.message : 'This could not be tried.')
        },
      )
    return () => {
      dropped = true
      worker.end()
    }
  }, [exercise, sampler])
  if (failed !== null) return <p className="wrong">{failed}</p>
  if (easings === null) return <p className="why">Trying what would make it easier …</p>
  return (
    <>
      <h3>What would make it easier</h3>
      {easings.length === 0 && <p className="why">Nothing in its setting: what is hard here is the motion itself.</p>}
      <ul className="plain-list">
        {easings.map((easing) => (
          <li key={easing.sentence} className="easing">
            <span className="why">{easing.sentence}</span>
            <Button size="small" onClick={() => edit(easing.operation)}>
              Do it
            </Button>
          </li>
        ))}
      </ul>
    </>
  )
}

const HOLDS = [
  { value: 'tight', label: 'tight' },
  { value: 'easy', label: 'easy' },
  { value: 'free', label: 'free' },
] as const

function Practice({ done, sampler, course }: { done: WorkedExercise; sampler: Sampler; course: Course }) {
  const { exercise, pieces } = done
  const [first] = pieces
  const step = course.description.steps.find((one) => one.id === exercise.id)
  const hold = exercise.hold ?? 'easy'
  const asked = practiceAsked({
    level: sampler.brief.level,
    hold,
    known: step !== undefined && step.newMotions.length === 0,
    pitchMm: first.worked.fitted.pitchMm,
    count: done.stitches,
  })
  return (
    <>
      <h3>What is good enough</h3>
      <Segmented
        size="small"
        aria-label="What is good enough"
        options={[...HOLDS]}
        value={hold}
        onChange={(value) => edit({ kind: 'change-exercise', id: exercise.id, set: { hold: value } })}
      />
      {first.guide.kind === 'line' && <p className="why">{asked.sentence}</p>}
    </>
  )
}

const FREE: readonly { readonly value: FreeSetting; readonly label: string }[] = [
  { value: 'colour', label: 'colour' },
  { value: 'strands', label: 'strands' },
  { value: 'length', label: 'stitch length' },
  { value: 'marks', label: 'marks' },
]

/** What learners may choose for themselves; the sheet says it. */
function FreeFields({ exercise }: { exercise: Exercise }) {
  return (
    <>
      <h3>Learners may choose</h3>
      <Checkbox.Group<FreeSetting>
        className="pins"
        aria-label="Learners may choose"
        options={[...FREE]}
        value={[...(exercise.free ?? [])]}
        onChange={(free) =>
          edit(
            free.length > 0
              ? { kind: 'change-exercise', id: exercise.id, set: { free } }
              : { kind: 'change-exercise', id: exercise.id, set: {}, clear: ['free'] },
          )
        }
      />
    </>
  )
}

function PinFields({ sampler, exercise, course }: { sampler: Sampler; exercise: Exercise; course: Course }) {
  const pins: Pins = exercise.pins ?? {}
  const set = (change: Partial<Pins>): void => {
    const next = Object.fromEntries(
      Object.entries({ ...pins, ...change }).filter(([, value]) => value !== undefined && value !== false && !(Array.isArray(value) && value.length === 0)),
    )
    edit(
      Object.keys(next).length > 0
        ? { kind: 'change-exercise', id: exercise.id, set: { pins: next } }
        : { kind: 'change-exercise', id: exercise.id, set: {}, clear: ['pins'] },
    )
  }
  const others = course.course.filter((item) => item.id !== exercise.id).map((item) => ({ value: item.id, label: item.name }))
  const several = (label: string, key: 'before' | 'after' | 'together') => (
    <Field label={label}>
      {(id) => (
        <Select<string[]>
          id={id}
          size="small"
          mode="multiple"
          value={[...(pins[key] ?? [])]}
          options={others}
          placeholder="anything"
          showSearch={{ optionFilterProp: 'label' }}
          onChange={(ids) => set({ [key]: ids })}
        />
      )}
    </Field>
  )
  return (
    <>
      <h3>Pins</h3>
      <div className="pins">
        <Checkbox checked={pins.first ?? false} onChange={(event) => set({ first: event.target.checked })}>
          first
        </Checkbox>
        <Checkbox checked={pins.last ?? false} onChange={(event) => set({ last: event.target.checked })}>
          last
        </Checkbox>
        <Checkbox checked={pins.excluded ?? false} onChange={(event) => set({ excluded: event.target.checked })}>
          not taught
        </Checkbox>
      </div>
      <Field label="In lesson">
        {(id) => (
          <Select<string>
            id={id}
            size="small"
            value={pins.lesson ?? ''}
            options={[{ value: '', label: 'any' }, ...sampler.lessons.map((lesson, index) => ({ value: lesson.id, label: `${index + 1}. ${lesson.title}` }))]}
            onChange={(lesson) => set({ lesson: lesson === '' ? undefined : lesson })}
          />
        )}
      </Field>
      {several('Before', 'before')}
      {several('After', 'after')}
      {several('In one lesson with', 'together')}
      <NumberField
        label="Part done at home, %"
        value={exercise.homePercent ?? 0}
        min={0}
        max={90}
        step={10}
        onChange={(homePercent) => edit({ kind: 'change-exercise', id: exercise.id, set: { homePercent } })}
      />
    </>
  )
}

/** Later exercises in the same stitch, with their settings beside these, so that learners know what they practise for. */
function UsedAgain({ done, sampler, course }: { done: WorkedExercise; sampler: Sampler; course: Course }) {
  const { results } = useWorked()
  const order = course.plan.lessons.flat()
  const later = order.slice(order.indexOf(done.exercise.id) + 1).flatMap((id): WorkedExercise[] => {
    const result = results.get(id)
    return result?.ok && (result.value.exercise.stitch === done.exercise.stitch || result.value.assigned.base === done.exercise.stitch) ? [result.value] : []
  })
  const setting = (one: WorkedExercise): string => `${strandsInWords(one.assigned.main.strands.value)}, ${sizeInWords(spokenSize(one), sampler.units)}`
  return (
    <>
      <h3>Where it is used again</h3>
      {later.length === 0 ? (
        <p className="why">Nowhere in this course.</p>
      ) : (
        <ul className="plain-list why">
          <li>Here: {setting(done)}.</li>
          {later.map((one) => (
            <li key={one.exercise.id}>
              {one.exercise.name}: {setting(one)}.
            </li>
          ))}
        </ul>
      )}
    </>
  )
}

function Joining({ exercise, course }: { exercise: Exercise; course: Course }) {
  const { course: items, plan, settings } = course
  const lesson = plan.lessons.findIndex((ids) => ids.includes(exercise.id))
  const way = catchUp(items, plan, lesson, settings)
  const names = new Map(items.map((item) => [item.id, item.name] as const))
  return (
    <>
      <h3>Joining at lesson {lesson + 1}</h3>
      <p className="why">
        {way.ids.length === 0
          ? 'Nothing of the earlier lessons is needed.'
          : `Work first: ${way.ids.map((id) => names.get(id)).join(', ')} (${formatMinutes(way.minutes)}).`}
      </p>
    </>
  )
}
