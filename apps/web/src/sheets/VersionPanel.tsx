/** One learner's version: whose it is, which hand, and what that learner has chosen of what is left free. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import { nameOfStitch } from '@lemmata/core/exercise'
import type { Exercise, LearnerChoice, LearnerVersion, MarkStyle, Sampler } from '@lemmata/core/sampler'
import { Button, Checkbox, Segmented, Select } from 'antd'
import { MARKS } from '../sampler/marks.ts'
import { Field, LengthField, NumberField, TextField } from '../sampler/fields.tsx'
import { edit } from '../store/index.ts'

interface Props {
  readonly sampler: Sampler
  readonly version: LearnerVersion
  /** The exercises of the lesson that is shown, as the class works them. */
  readonly done: readonly WorkedExercise[]
  readonly onDropped: () => void
}

export function VersionPanel({ sampler, version, done, onDropped }: Props) {
  const at = (sampler.learnerVersions ?? []).findIndex((one) => one.id === version.id)
  const put = (change: Partial<LearnerVersion>): void => edit({ kind: 'put-version', version: { ...version, ...change }, at })
  const open = done.filter(({ exercise }) => (exercise.free ?? []).length > 0 || (exercise.substitutes ?? []).length > 0)
  const choose = (exercise: Exercise, change: Partial<LearnerChoice>): void => {
    const choice = Object.fromEntries(Object.entries({ ...version.choices[exercise.id], ...change }).filter(([, value]) => value !== undefined))
    const { [exercise.id]: _before, ...others } = version.choices
    put({ choices: Object.keys(choice).length > 0 ? { ...others, [exercise.id]: choice } : others })
  }
  return (
    <section className="panel version-panel" aria-label={`${version.name}, a learner’s version`}>
      <div className="version-head">
        <TextField label="Whose version" value={version.name} onChange={(name) => name !== '' && put({ name })} />
        <Field label="Hand">
          {() => (
            <Segmented<'right' | 'left'>
              aria-label="The learner’s hand"
              value={version.hand ?? 'right'}
              onChange={(hand) => put({ hand })}
              options={[
                { value: 'left', label: 'Left' },
                { value: 'right', label: 'Right' },
              ]}
            />
          )}
        </Field>
        <Checkbox checked={version.settled ?? false} onChange={(event) => put({ settled: event.target.checked })}>
          Nothing left open: clear orders
        </Checkbox>
        <span className="grow" />
        <Button
          size="small"
          danger
          onClick={() => {
            edit({ kind: 'drop-version', id: version.id })
            onDropped()
          }}
        >
          Drop this version
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
          choice={version.choices[one.exercise.id] ?? {}}
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
  readonly onChange: (change: Partial<LearnerChoice>) => void
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
          usual={assigned.thread.value.colour.name}
          options={sampler.threads.map((thread) => ({ value: thread.id, label: thread.colour.name }))}
          onChange={(thread) => onChange({ thread })}
        />
      )}
      {free.includes('strands') && (
        <NumberField label="Strands" value={choice.strands ?? assigned.strands.value} min={1} max={12} onChange={(strands) => onChange({ strands })} />
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
