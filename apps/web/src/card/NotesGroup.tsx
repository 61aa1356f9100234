/** Of an exercise, what is noted: its name, the stitches also allowed, the trials. */
import { problemInWords } from '@lemmata/contract'
import { strandsInWords, surroundingsOf } from '@lemmata/core/assign'
import { nameOfStitch, possibleSubstitutes, type WorkedExercise, workSubstitutes } from '@lemmata/core/exercise'
import { nameNeedle } from '@lemmata/core/materials'
import type { Exercise, Sampler } from '@lemmata/core/sampler'
import { counted, formatLength } from '@lemmata/core/units'
import { setAsideOnCloth } from '@lemmata/core/mend'
import { Button, Select } from 'antd'
import { useMemo } from 'react'
import { useWorked } from '../compute/use-worked.ts'
import { Field, TextField } from '../sampler/fields.tsx'
import { edit } from '../store/index.ts'
import { Trials } from './Trials.tsx'

interface Props {
  readonly sampler: Sampler
  readonly exercise: Exercise
  readonly done: WorkedExercise | null
}

export function NotesGroup({ sampler, exercise, done }: Props) {
  return (
    <div className="group">
      <TextField label="Name" value={exercise.name} onChange={(name) => name !== '' && edit({ kind: 'change-exercise', id: exercise.id, set: { name } })} />
      <Field label="Also allowed">
        {(id) => (
          <Select<string[]>
            id={id}
            mode="multiple"
            placeholder="another stitch that a learner may take"
            value={(exercise.substitutes ?? []).map((one) => one.stitch)}
            options={(done ? possibleSubstitutes(done, sampler.stitches) : []).map((document) => ({ value: document.id, label: document.name }))}
            showSearch={{ optionFilterProp: 'label' }}
            onChange={(stitches) =>
              edit({
                kind: 'change-exercise',
                id: exercise.id,
                // What was set for a stitch that stays, stays.
                set: { substitutes: stitches.map((one) => exercise.substitutes?.find((other) => other.stitch === one) ?? { stitch: one }) },
              })
            }
          />
        )}
      </Field>
      {done && <Substitutes sampler={sampler} done={done} />}
      {done && <SetAside sampler={sampler} exercise={exercise} done={done} />}
      {done && <Trials exercise={exercise} setting={settingInWords(done, sampler)} />}
    </div>
  )
}

/** Cautions that were left as they are, each with the way back. */
function SetAside({ sampler, exercise, done }: Props & { done: WorkedExercise }) {
  const { done: among } = useWorked()
  const problems = setAsideOnCloth(done, sampler, among)
  if (problems.length === 0) return null
  const putBack = (code: string): void => {
    const rest = exercise.setAside?.filter((one) => one !== code) ?? []
    edit({ kind: 'change-exercise', id: exercise.id, ...(rest.length > 0 ? { set: { setAside: rest } } : { set: {}, clear: ['setAside'] }) })
  }
  return (
    <div className="set-aside">
      <b>Set aside</b>
      {problems.map((problem) => (
        <p key={problem.code + problem.path.join()} className="why">
          {problemInWords(problem, sampler.units)}{' '}
          <Button size="small" type="text" onClick={() => putBack(problem.code)}>
            Put back
          </Button>
        </p>
      ))}
    </div>
  )
}

/** What a sample was worked with, as the log keeps it. */
function settingInWords({ assigned, stitches }: WorkedExercise, { units }: Sampler): string {
  const lengths = [...assigned.parameters.values()].map(
    (one) => `${one.name.toLowerCase()} ${one.kind === 'length' ? formatLength(one.value, units, 2) : Number(one.value.toFixed(2))}`,
  )
  return [strandsInWords(assigned.main.strands.value), ...lengths.slice(0, 2), counted(stitches, 'stitch', 'stitches')].join(', ')
}

/** Each allowed stitch with what it would be worked with, and how it compares. */
function Substitutes({ sampler, done }: { sampler: Sampler; done: WorkedExercise }) {
  const worked = useMemo(() => workSubstitutes(done, surroundingsOf(sampler)), [done, sampler])
  return worked.map(({ substitute, result }) => (
    <p key={substitute.stitch} className={result.ok ? 'why' : 'wrong'} style={{ margin: 0 }}>
      <b>Or {nameOfStitch(substitute.stitch, sampler.stitches).toLowerCase()}:</b>{' '}
      {result.ok
        ? `${strandsInWords(result.value.assigned.main.strands.value)}, ${nameNeedle(result.value.assigned.main.needle.value).toLowerCase()} needle, ${counted(result.value.stitches, 'stitch', 'stitches')}, difficulty ${Math.round(result.value.difficulty.score)}.`
        : result.problems[0] && problemInWords(result.problems[0], sampler.units)}
    </p>
  ))
}
