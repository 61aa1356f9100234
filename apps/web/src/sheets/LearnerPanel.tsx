/** One learner: her name, her hand, and what she has chosen of what is left free. */
import type { Learner, LearnerChoice } from '@lemmata/core/classes'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { nameOfStitch } from '@lemmata/core/exercise'
import type { Exercise, MarkStyle, Sampler } from '@lemmata/core/sampler'
import { App, Button, Checkbox, Segmented, Select } from 'antd'
import { MARKS } from '../card/marks.ts'
import { Field, LengthField, NumberField, TextField } from '../sampler/fields.tsx'
import { editClass, undo } from '../store/index.ts'

interface Props {
  readonly sampler: Sampler
  readonly learner: Learner
  /** The exercises of the lesson that is shown, as the class works them. */
  readonly done: readonly WorkedExercise[]
  readonly onRemoved: () => void
}

type Change = { readonly [Key in keyof LearnerChoice]: LearnerChoice[Key] }

export function LearnerPanel({ sampler, learner, done, onRemoved }: Props) {
  const { message } = App.useApp()
  const { id, name } = learner
  const open = done.filter(({ exercise }) => (exercise.free ?? []).length > 0 || (exercise.substitutes ?? []).length > 0)
  const choose = (exercise: Exercise, change: Change): void => {
    const clear = (Object.keys(change) as (keyof LearnerChoice)[]).filter((key) => change[key] === undefined)
    const set = Object.fromEntries(Object.entries(change).filter(([, value]) => value !== undefined)) as LearnerChoice
    editClass({ kind: 'choose', learner: id, exercise: exercise.id, set, clear })
  }
  const remove = (): void => {
    editClass({ kind: 'remove-learner', id })
    onRemoved()
    message.info({
      duration: 6,
      content: (
        <span>
          {name} is taken out of the class.{' '}
          <Button size="small" type="link" onClick={undo}>
            Put back
          </Button>
        </span>
      ),
    })
  }
  return (
    <section className="panel version-panel" aria-label={`${name}, a learner`}>
      <div className="version-head">
        <TextField label="Name" value={name} onChange={(next) => next !== '' && editClass({ kind: 'change-learner', id, set: { name: next } })} />
        <Field label="Hand">
          {() => (
            <Segmented<'right' | 'left'>
              aria-label="The learner’s hand"
              value={learner.hand ?? 'right'}
              onChange={(hand) => editClass({ kind: 'change-learner', id, set: { hand } })}
              options={[
                { value: 'left', label: 'Left' },
                { value: 'right', label: 'Right' },
              ]}
            />
          )}
        </Field>
        <Checkbox
          checked={learner.settled ?? false}
          onChange={({ target }) =>
            editClass({ kind: 'change-learner', id, ...(target.checked ? { set: { settled: true } } : { set: {}, clear: ['settled'] }) })
          }
        >
          Nothing left open: clear orders
        </Checkbox>
        <span className="grow" />
        <Button size="small" danger onClick={remove}>
          Take out of the class
        </Button>
      </div>
      {open.length === 0 && (
        <p className="why">Nothing here is left to choose. What learners may choose is set in Order, on an exercise; other stitches are allowed on its card.</p>
      )}
      {open.map((one) => (
        <Choices
          key={one.exercise.id}
          sampler={sampler}
          done={one}
          choice={learner.choices[one.exercise.id] ?? {}}
          onChange={(change) => choose(one.exercise, change)}
        />
      ))}
    </section>
  )
}

interface ChoicesProps {
  readonly sampler: Sampler
  readonly done: WorkedExercise
  readonly choice: LearnerChoice
  readonly onChange: (change: Change) => void
}

function Choices({ sampler, done, choice, onChange }: ChoicesProps) {
  const { exercise, assigned } = done
  const free = exercise.free ?? []
  const substitutes = exercise.substitutes ?? []
  const length = [...assigned.parameters.values()].find((parameter) => parameter.kind === 'length')
  return (
    <div className="version-row">
      <h3>{exercise.name}</h3>
      {substitutes.length > 0 && (
        <Choice
          label="Stitch"
          value={choice.stitch}
          usual={nameOfStitch(exercise.stitch, sampler.stitches)}
          options={substitutes.map(({ stitch }) => ({ value: stitch, label: nameOfStitch(stitch, sampler.stitches) }))}
          onChange={(stitch) => onChange({ stitch })}
        />
      )}
      {free.includes('colour') && (
        <Choice
          label="Colour"
          value={choice.thread}
          usual={assigned.main.thread.value.colour.name}
          options={sampler.threads.map((thread) => ({ value: thread.id, label: thread.colour.name }))}
          onChange={(thread) => onChange({ thread })}
        />
      )}
      {free.includes('strands') && (
        <NumberField label="Strands" value={choice.strands ?? assigned.main.strands.value} min={1} max={12} onChange={(strands) => onChange({ strands })} />
      )}
      {free.includes('length') && length && (
        <LengthField
          label={`${length.name} length`}
          valueMm={choice.parameters?.[length.id] ?? length.value}
          unit={sampler.units}
          min={0.1}
          max={60}
          onChange={(mm) => onChange({ parameters: { ...choice.parameters, [length.id]: mm } })}
        />
      )}
      {free.includes('marks') && (
        <Choice<MarkStyle> label="Marks" value={choice.marks} usual="as the class" options={[...MARKS]} onChange={(marks) => onChange({ marks })} />
      )}
      {Object.keys(choice).length > 0 && (
        <Button size="small" onClick={() => onChange({ stitch: undefined, thread: undefined, strands: undefined, parameters: undefined, marks: undefined })}>
          As the class
        </Button>
      )}
    </div>
  )
}

interface ChoiceProps<Value extends string> {
  readonly label: string
  readonly value: Value | undefined
  readonly usual: string
  readonly options: readonly { readonly value: Value; readonly label: string }[]
  readonly onChange: (value: Value | undefined) => void
}

function Choice<Value extends string>({ label, value, usual, options, onChange }: ChoiceProps<Value>) {
  return (
    <Field label={label}>
      {(id) => (
        <Select<Value | ''>
          id={id}
          value={value ?? ''}
          options={[{ value: '' as const, label: `not chosen (${usual})` }, ...options]}
          onChange={(chosen) => onChange(chosen === '' ? undefined : chosen)}
        />
      )}
    </Field>
  )
}
