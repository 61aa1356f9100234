/** The sampler taken to another hoop or card: what becomes of each exercise is worked before anything is changed. */
import { surroundingsOf } from '@lemmata/core/assign'
import type { Result } from '@lemmata/core/base'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { HOOP_SIZES, outerOf } from '@lemmata/core/materials'
import { type AnotherSize, type RefitChange, type Refitted, stitchesOf, takeTo, whatChanges } from '@lemmata/core/refit'
import { applyOperation, layExercises, type Sampler } from '@lemmata/core/sampler'
import { counted, formatLength } from '@lemmata/core/units'
import { problemInWords } from '@lemmata/contract'
import { Modal, Segmented, Select } from 'antd'
import { useEffect, useMemo, useState } from 'react'
import { workElsewhere } from '../compute/workers.ts'
import { Field, LengthField } from '../sampler/fields.tsx'
import { edit } from '../store/index.ts'

interface Props {
  readonly sampler: Sampler
  readonly done: readonly WorkedExercise[]
  readonly results: ReadonlyMap<string, Result<WorkedExercise>>
  readonly onClose: () => void
}

export function SizeDialog({ sampler, done, results, onClose }: Props) {
  const [kind, setKind] = useState<AnotherSize['kind']>('hoop')
  const [nominalMm, setNominal] = useState(() => nextHoop(sampler))
  const [card, setCard] = useState({ widthMm: 150, heightMm: 100 })
  const size = useMemo<AnotherSize>(() => (kind === 'hoop' ? { kind, nominalMm } : { kind, ...card }), [kind, nominalMm, card])
  const taken = useMemo(() => takeTo(sampler, size, done), [sampler, size, done])
  const changes = useChanges(sampler, taken, results)
  const percent = taken.ok ? Math.round(taken.value.factor * 100) : 0
  return (
    <Modal
      open
      title="To another size"
      okText={`Take it to ${percent} %`}
      okButtonProps={{ disabled: !taken.ok }}
      onOk={() => {
        if (taken.ok) edit(taken.value.operation)
        onClose()
      }}
      onCancel={onClose}
      width={620}
    >
      <p className="why">
        Places and outlines are made larger or smaller; stitches keep their length, so there are more or fewer of them. One undo takes it back.
      </p>
      <div className="size-fields">
        <Field label="Into">
          {() => (
            <Segmented<AnotherSize['kind']>
              aria-label="Into"
              value={kind}
              onChange={setKind}
              options={[
                { value: 'hoop', label: 'A round hoop' },
                { value: 'card', label: 'A card or frame' },
              ]}
            />
          )}
        </Field>
        {kind === 'hoop' ? (
          <Field label="Hoop">
            {(id) => (
              <Select
                id={id}
                value={nominalMm}
                onChange={setNominal}
                options={HOOP_SIZES.map((hoop) => ({ value: hoop.nominalMm, label: `${hoop.inches} in (${hoop.nominalMm} mm)` }))}
              />
            )}
          </Field>
        ) : (
          <div className="two">
            <LengthField
              label="Wide"
              valueMm={card.widthMm}
              unit={sampler.units}
              min={25}
              max={1500}
              decimals={1}
              onChange={(widthMm) => setCard({ ...card, widthMm })}
            />
            <LengthField
              label="High"
              valueMm={card.heightMm}
              unit={sampler.units}
              min={25}
              max={1500}
              decimals={1}
              onChange={(heightMm) => setCard({ ...card, heightMm })}
            />
          </div>
        )}
      </div>
      {taken.ok ? (
        <WhatChanges changes={changes} sampler={sampler} />
      ) : (
        <p className="wrong">{taken.problems.map((one) => problemInWords(one, sampler.units)).join(' ')}</p>
      )}
    </Modal>
  )
}

/** The next smaller hoop, else the next larger one. */
function nextHoop({ workingHoop }: Sampler): number {
  const now = workingHoop ? Math.max(...outerOf(workingHoop)) : 203
  return (HOOP_SIZES.filter((one) => one.nominalMm < now - 1).at(-1) ?? HOOP_SIZES.find((one) => one.nominalMm > now + 1))?.nominalMm ?? 152
}

/** Null while it is worked. */
function useChanges(sampler: Sampler, taken: Result<Refitted>, results: Props['results']): readonly RefitChange[] | null {
  const [changes, setChanges] = useState<readonly RefitChange[] | null>(null)
  useEffect(() => {
    setChanges(null)
    const made = taken.ok ? applyOperation(sampler, taken.value.operation) : taken
    if (!made.ok) return
    let isWanted = true
    const after = new Map<string, Result<WorkedExercise>>()
    const laid = layExercises(made.value).flatMap((one, index) => {
      const id = made.value.exercises[index]?.id ?? ''
      if (one.ok) return [one.value]
      after.set(id, one)
      return []
    })
    workElsewhere(laid, surroundingsOf(made.value)).then(
      (worked) => {
        worked.forEach((one, index) => after.set(laid[index]?.exercise.id ?? '', one))
        if (isWanted) setChanges(whatChanges(sampler, results, after))
      },
      () => isWanted && setChanges([]),
    )
    return () => {
      isWanted = false
    }
  }, [sampler, taken, results])
  return changes
}

function WhatChanges({ changes, sampler }: { changes: readonly RefitChange[] | null; sampler: Sampler }) {
  if (!changes) return <p role="status">Working it at that size …</p>
  const told = changes.filter((one) => one.problems.length > 0)
  const { before, after } = stitchesOf(changes)
  return (
    <>
      <p role="status">
        {before} stitches become {after}.{' '}
        {told.length === 0
          ? 'All of it can be worked as it is now.'
          : `${counted(told.length, 'exercise', 'exercises')} of ${changes.length} will want a look:`}
      </p>
      <div className="size-changes" tabIndex={told.length > 0 ? 0 : -1} role="group" aria-label="What changes">
        {told.map((one) => (
          <div key={one.id}>
            <strong>{one.name}</strong> <span className="quiet">{inNumbers(one, sampler)}</span>
            {one.problems.map((problem) => (
              <p key={problem.code} className={problem.severity === 'error' ? 'wrong' : ''}>
                {problemInWords({ ...problem, about: [] }, sampler.units)}
              </p>
            ))}
          </div>
        ))}
      </div>
    </>
  )
}

function inNumbers({ before, after }: RefitChange, { units }: Sampler): string {
  if (!after) return 'cannot be worked so'
  return `${before ? `${before.stitches} stitches, then ` : ''}${after.stitches} of ${formatLength(after.pitchMm, units)}`
}
