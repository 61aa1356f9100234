/** Of an exercise, what is on the cloth: where it lies, its lengths, its marks, and what comes of them. */
import { fittedShare, isStretched, learnedTimes, rowCounts, spokenSize, type WorkedExercise } from '@lemmata/core/exercise'
import { keepPitch } from '@lemmata/core/refit'
import type { Exercise, MarkStyle, Sampler } from '@lemmata/core/sampler'
import { roleWord, sizeInWords } from '@lemmata/core/sheets'
import { findStitch } from '@lemmata/core/stitches'
import { counted, formatLength, formatMinutes, formatThread } from '@lemmata/core/units'
import { evenCounts } from '@lemmata/core/draw'
import { Button, Select } from 'antd'
import { Field, LengthField, NumberField } from '../sampler/fields.tsx'
import { VersionField } from '../sampler/VersionField.tsx'
import { edit } from '../store/index.ts'
import { CopiesFields } from './CopiesFields.tsx'
import { GuideFields, WithinGuide } from './GuideFields.tsx'
import { GuideSizes } from './GuideSizes.tsx'
import { PiecesFields } from './PiecesFields.tsx'
import { MARKS } from './marks.ts'

interface Props {
  readonly sampler: Sampler
  readonly exercise: Exercise
  readonly done: WorkedExercise | null
}

export function ClothGroup({ sampler, exercise, done }: Props) {
  const stitch = findStitch(exercise.stitch, sampler.stitches)
  const drawn = sampler.drawing.guides.find((one) => one.id === exercise.on[0]?.guide) ?? null
  return (
    <div className="group">
      {done && <Lengths sampler={sampler} exercise={exercise} done={done} />}
      {done && <ComesOutEven sampler={sampler} exercise={exercise} done={done} />}
      {drawn && <GuideFields key={drawn.id} drawn={drawn} unit={sampler.units} />}
      <GuideSizes drawn={drawn} unit={sampler.units} />
      {drawn && <WithinGuide sampler={sampler} drawn={drawn} />}
      {drawn && <CopiesFields sampler={sampler} drawn={drawn} />}
      {done && <PiecesFields key={exercise.id} sampler={sampler} exercise={exercise} done={done} />}
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
      {done && <Figures sampler={sampler} done={done} />}
    </div>
  )
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

/** Neat lengths near the asked one that divide the line exactly: one press takes one. */
function ComesOutEven({ sampler, exercise, done }: { sampler: Sampler; exercise: Exercise; done: WorkedExercise }) {
  const [first] = done.pieces
  const { fitted } = first.worked
  const length = [...done.assigned.parameters.values()].find((one) => one.kind === 'length')
  // Where a repeat is one length and nothing else, and the line has no corners to fit between.
  if (!length || first.guide.kind !== 'line' || fitted.legs.length !== 1 || Math.abs(fitted.askedMm - length.value) > 1e-6) return null
  const even = evenCounts(fitted.lengthMm, length.value, length.min ?? 0.5, length.max ?? 20).filter((one) => Math.abs(one.pitchMm - length.value) > 1e-6)
  const drawn = sampler.drawing.guides.find((one) => one.id === exercise.on[0]?.guide)
  const kept = drawn ? keepPitch(drawn, done) : []
  if (even.length + kept.length === 0) return null
  return (
    <>
      {even.length > 0 && (
        <p className="why comes-even">
          Comes out even:
          {even.map((one) => (
            <Button key={one.count} size="small" onClick={() => edit({ kind: 'set-parameters', id: exercise.id, set: { [length.id]: one.pitchMm } })}>
              {one.count} of {formatLength(one.pitchMm, sampler.units, 2)}
            </Button>
          ))}
        </p>
      )}
      {kept.length > 0 && (
        <p className="why comes-even">
          Or keep {formatLength(fitted.askedMm, sampler.units, 2)} and make the line:
          {kept.map((one) => (
            <Button key={one.count} size="small" onClick={() => edit(one.operation)}>
              {formatLength(one.lengthMm, sampler.units, sampler.units === 'mm' ? 1 : 3)}, {one.count}
            </Button>
          ))}
        </p>
      )}
    </>
  )
}

/** "24, 22, 18: 2 drop out, then 4"; how a row of an interlocking fill follows from the one before. */
function rowsInWords(rows: readonly number[]): string {
  const changes = rows.slice(1).map((count, index) => (rows[index] ?? 0) - count)
  const said = changes.map((fewer) => (fewer > 0 ? `${fewer} drop out` : fewer < 0 ? `${-fewer} are added` : 'as many'))
  return `${rows.join(', ')}: ${said.join(', then ')}`
}

function Figures({ sampler, done }: { sampler: Sampler; done: WorkedExercise }) {
  const { worked } = done.pieces[0]
  const { fitted } = worked
  const rows = rowCounts(worked)
  const { units } = sampler
  const legs = fitted.legs.length > 1 ? ` (${fitted.legs.map((leg) => `${Math.round(leg.count)} of ${formatLength(leg.pitchMm, units, 2)}`).join(', ')})` : ''
  return (
    <dl className="facts-list">
      <dt>Stitches</dt>
      <dd data-testid="fitted-count">
        {done.stitches}
        {legs}
        {done.pieces.length > 1 ? ` in ${done.pieces.length} pieces` : ''}
      </dd>
      {rows.length > 1 && (
        <>
          <dt>Row by row</dt>
          <dd>{rowsInWords(rows)}</dd>
        </>
      )}
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
      <dd>
        {formatMinutes(done.minutes.total)}
        {done.exercise.learned && learnedTimes(done.exercise) !== 1 && (
          <small className="quiet">
            {' '}
            by your classes ({counted(done.exercise.learned.learners, 'learner')}); reckoned {formatMinutes(done.minutes.total / learnedTimes(done.exercise))}
          </small>
        )}
      </dd>
    </dl>
  )
}
