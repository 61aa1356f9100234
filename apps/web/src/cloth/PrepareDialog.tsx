/** The cloth before the first stitch: the piece, the class's pieces on a width of cloth, what is done when, and the hoop. */
import { cutForClass, hoopingChecks, preparationOf } from '@lemmata/core/cutting'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { clothCare } from '@lemmata/core/materials'
import type { Cutting, Sampler } from '@lemmata/core/sampler'
import { counted, formatLength } from '@lemmata/core/units'
import { toldInWords } from '@lemmata/core/words'
import { problemInWords } from '@lemmata/contract'
import { Modal, Select } from 'antd'
import { dayInWords, daysBefore } from '../look/dates.ts'
import { Field, LengthField } from '../sampler/fields.tsx'
import { edit } from '../store/index.ts'
import { FeltList } from './FeltList.tsx'
import { PlanPicture } from './PlanPicture.tsx'

interface Props {
  readonly sampler: Sampler
  readonly done: readonly WorkedExercise[]
  readonly onClose: () => void
}

const WASHED: readonly { readonly value: NonNullable<Cutting['washed']>; readonly label: string }[] = [
  { value: 'before-cutting', label: 'Before it is cut' },
  { value: 'after-cutting', label: 'Piece by piece, after cutting' },
  { value: 'not', label: 'Not at all' },
]
const PARTS = { drawn: 'the cloth as it is drawn', edges: 'for edges that fray', shrinkage: 'for what it may shrink' } as const

export function PrepareDialog({ sampler, done, onClose }: Props) {
  const { brief, cloth, units } = sampler
  const care = clothCare(cloth.kind)
  const { piece, count, spares, boltMm, washed, shrinkage, plan } = cutForClass(sampler)
  const change = (set: Cutting): void => edit({ kind: 'change-brief', set: { cutting: { ...brief.cutting, ...set } } })
  const length = (mm: number): string => formatLength(mm, units, units === 'mm' ? 0 : 1)
  return (
    <Modal open title="Preparing the cloth" footer={null} onCancel={onClose} width={760}>
      <div className="marking-columns">
        <div>
          <h3 className="slip-heading">
            Cut {counted(count, 'piece', 'pieces')} of {length(piece.widthMm)} by {length(piece.heightMm)}
          </h3>
          <p className="why">
            {brief.learners === 0 ? 'Your own.' : `${counted(brief.learners, 'learner', 'learners')}, ${spares > 0 ? `${spares} to spare, ` : ''}and your own.`}{' '}
            {piece.parts.map((part) => `${length(part.widthMm)} ${PARTS[part.what]}`).join(', ')}, rounded up.
          </p>
          {piece.problems.map((problem) => (
            <p key={problem.code} className="marking-caution">
              {problemInWords(problem, units)}
            </p>
          ))}
          <div className="prepare-fields">
            <LengthField
              label="The cloth is wide"
              valueMm={boltMm}
              unit={units}
              min={100}
              max={5000}
              decimals={0}
              onChange={(next) => change({ boltMm: next })}
            />
            <Field label="It is washed">
              {(id) => (
                <Select id={id} value={washed} disabled={care.shrinkPercent === null} onChange={(next) => change({ washed: next })} options={[...WASHED]} />
              )}
            </Field>
          </div>
          {plan.ok ? (
            <>
              <p>
                Buy <strong>{units === 'mm' ? `${(plan.value.toBuyMm / 1000).toFixed(1)} m` : length(plan.value.toBuyMm)}</strong>:{' '}
                {counted(plan.value.rows, 'row', 'rows')} of {plan.value.columns} across {length(plan.value.usableMm)} that can be used
                {shrinkage > 0 ? `, after shrinking by up to ${Math.round(shrinkage * 100)} %` : ''}.
                {plan.value.spare > 0 ? ` ${counted(plan.value.spare, 'piece', 'pieces')} can be cut to spare.` : ''}
              </p>
              <PlanPicture plan={plan.value} label={`${count} pieces in ${plan.value.rows} rows of ${plan.value.columns}`} />
            </>
          ) : (
            <p className="wrong">{plan.problems.map((one) => problemInWords(one, units)).join(' ')}</p>
          )}
        </div>
        <div className="marking-side">
          <h3>Before the first lesson</h3>
          <ul className="prepare-steps dated">
            {preparationOf(sampler).map((step) => (
              <li key={step.code}>
                <span className="prepare-when">
                  {brief.startDate ? dayInWords(daysBefore(brief.startDate, step.daysBefore)) : `${counted(step.daysBefore, 'day', 'days')} before`}
                </span>
                <span>{toldInWords(step, { unit: units })}</span>
              </li>
            ))}
          </ul>
          <FeltList done={done} unit={units} pieces={count} name={sampler.name} />
          <h3>Each time it goes into the hoop</h3>
          <ul className="prepare-steps">
            {hoopingChecks(sampler).map((one) => (
              <li key={one.code}>{toldInWords(one, { unit: units })}</li>
            ))}
          </ul>
          <p className="quiet">Shrinkage is the most that is usual for such cloth; wash a marked square of yours to know.</p>
        </div>
      </div>
    </Modal>
  )
}
