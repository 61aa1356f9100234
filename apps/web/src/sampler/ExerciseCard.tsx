/** What is known and chosen about the selected exercise. */
import { problemInWords } from '@lemmata/contract'
import type { Problem, Result } from '@lemmata/core/base'
import { mendFor, problemsOnCloth } from '@lemmata/core/mend'
import { strandsInWords, surroundingsOf } from '@lemmata/core/assign'
import { fittedShare, isStretched, nameOfStitch, possibleSubstitutes, spokenSize, type WorkedExercise, workSubstitutes } from '@lemmata/core/exercise'
import { nameNeedle } from '@lemmata/core/materials'
import { motionWord } from '@lemmata/core/order'
import type { Exercise, MarkStyle, Sampler } from '@lemmata/core/sampler'
import { roleWord, sizeInWords } from '@lemmata/core/sheets'
import { findStitch } from '@lemmata/core/stitches'
import { counted, formatLength, formatMinutes, formatThread } from '@lemmata/core/units'
import { App, Button, Select } from 'antd'
import { useMemo } from 'react'
import { edit, undo } from '../store/index.ts'
import { Field, LengthField, NumberField, TextField } from './fields.tsx'
import { GuideSizes } from './GuideSizes.tsx'
import { MARKS } from './marks.ts'
import { ProblemLine } from './ProblemLine.tsx'
import { Trials } from './Trials.tsx'
import { VersionField } from './VersionField.tsx'

interface Props {
  readonly sampler: Sampler
  readonly exercise: Exercise
  readonly result: Result<WorkedExercise> | null
}

export function ExerciseCard({ sampler, exercise, result }: Props) {
  const { message } = App.useApp()
  const stitch = findStitch(exercise.stitch, sampler.stitches)
  const done = result?.ok ? result.value : null
  const drawn = sampler.drawing.guides.find((one) => one.id === exercise.on[0]?.guide) ?? null
  const remove = (): void => {
    edit({ kind: 'remove-exercise', id: exercise.id })
    message.info({
      duration: 6,
      content: (
        <span>
          {exercise.name} is taken off.{' '}
          <Button size="small" type="link" onClick={undo}>
            Put it back
          </Button>
        </span>
      ),
    })
  }
  return (
    <div className="card" data-testid="exercise-card">
      <TextField label="Name" value={exercise.name} onChange={(name) => name !== '' && edit({ kind: 'change-exercise', id: exercise.id, set: { name } })} />
      <GuideSizes drawn={drawn} unit={sampler.units} />
      {done && <Lengths sampler={sampler} exercise={exercise} done={done} />}
      <Field label="Marks on the cloth">
        {(id) => (
          <Select<MarkStyle>
            id={id}
            value={exercise.marks ?? stitch?.marks ?? 'guide-only'}
            options={[...MARKS]}
            onChange={(marks) =>
              edit({ kind: 'change-exercise', id: exercise.id, set: { marks, ...(marks === 'every-nth' && exercise.nth === undefined ? { nth: 3 } : {}) } })
            }
          />
        )}
      </Field>
      {stitch && (
        <VersionField
          document={stitch}
          value={exercise.variant ?? null}
          {...(drawn ? { guide: drawn.guide.kind } : {})}
          onChange={(variant) =>
            edit({ kind: 'change-exercise', id: exercise.id, ...(variant === null ? { set: {}, clear: ['variant'] } : { set: { variant } }) })
          }
        />
      )}
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
      {done && <Figures sampler={sampler} done={done} />}
      {done && <Trials exercise={exercise} setting={settingInWords(done, sampler)} />}
      {problemsHere(result, sampler).map((problem) => (
        <ProblemLine key={problem.code + problem.path.join()} problem={problem} mend={mendFor(problem, exercise, done, sampler)} />
      ))}
      <div>
        <Button size="small" danger onClick={remove}>
          Take off
        </Button>
      </div>
    </div>
  )
}

function problemsHere(result: Result<WorkedExercise> | null, sampler: Sampler): readonly Problem[] {
  return result?.ok ? problemsOnCloth(result.value, sampler) : (result?.problems ?? [])
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

/** Asked and fitted, side by side. */
function Lengths({ sampler, exercise, done }: { sampler: Sampler; exercise: Exercise; done: WorkedExercise }) {
  const { units } = sampler
  const [first] = done.pieces
  const share = fittedShare(first.worked.fitted)
  const set = (id: string, value: number): void => edit({ kind: 'set-parameters', id: exercise.id, set: { [id]: value } })
  return (
    <div className="pair">
      {[...done.assigned.parameters.values()].map((parameter) => {
        if (parameter.kind === 'length') {
          const now = parameter.value * (isStretched(parameter, done.assigned.document) ? share : 1)
          const hint = first.guide.kind === 'spots' ? undefined : `fitted ${formatLength(now, units, 2)}${parameter.given ? '' : '; usual'}`
          return (
            <LengthField
              key={parameter.id}
              label={parameter.name}
              valueMm={parameter.value}
              unit={units}
              min={0.1}
              max={60}
              hint={hint}
              onChange={(mm) => set(parameter.id, mm)}
            />
          )
        }
        const isShare = parameter.kind === 'share'
        return (
          <NumberField
            key={parameter.id}
            label={parameter.name}
            value={parameter.value}
            min={parameter.min ?? 0}
            max={parameter.max ?? 50}
            step={isShare ? 0.05 : 1}
            onChange={(value) => set(parameter.id, value)}
          />
        )
      })}
    </div>
  )
}

function Figures({ sampler, done }: { sampler: Sampler; done: WorkedExercise }) {
  const { fitted } = done.pieces[0].worked
  const { units } = sampler
  const legs = fitted.legs.length > 1 ? ` (${fitted.legs.map((leg) => `${Math.round(leg.count)} of ${formatLength(leg.pitchMm, units, 2)}`).join(', ')})` : ''
  const parts = done.difficulty.parts
    .slice(0, 3)
    .map((part) => `${PART_WORDS[part.id] ?? motionWord(part.id as Parameters<typeof motionWord>[0])} (${Math.round(part.score)})`)
  return (
    <>
      <dl className="facts-list">
        <dt>Stitches</dt>
        <dd data-testid="fitted-count">
          {done.stitches}
          {legs}
          {done.pieces.length > 1 ? ` in ${done.pieces.length} pieces` : ''}
        </dd>
        <dt>Size</dt>
        <dd>{sizeInWords(spokenSize(done), units)}</dd>
        {done.pieces[0].guide.kind !== 'spots' && (
          <>
            <dt>Pitch</dt>
            <dd data-testid="fitted-pitch">{formatLength(fitted.pitchMm, units, 2)}</dd>
          </>
        )}
        <dt>Reads as wide as</dt>
        <dd>{formatLength(done.widthMm, units, 2)}</dd>
        <dt>Thread</dt>
        <dd>
          {done.threads.map((used) => (
            <div key={`${used.role} ${used.thread.id} ${used.strands.value}`}>
              {done.threads.length > 1 ? `${roleWord(used, done)}: ` : ''}
              {formatThread(used.use.total)}, {counted(used.use.needlefuls, 'needleful')}
            </div>
          ))}
        </dd>
        <dt>Time</dt>
        <dd>{formatMinutes(done.minutes.total)}</dd>
      </dl>
      <p className="why" style={{ margin: 0 }}>
        Difficulty {Math.round(done.difficulty.score)}: mostly {parts.join(', ')}.
      </p>
    </>
  )
}

const PART_WORDS: Readonly<Record<string, string>> = {
  memory: 'the sequence',
  short: 'short stitches',
  bend: 'the curve',
  corner: 'corners',
  unmarked: 'holes without a mark',
  strands: 'the strand count',
  minutes: 'the time it takes',
}
