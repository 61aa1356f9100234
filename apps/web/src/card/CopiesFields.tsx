/** Live copies of a guide: round a centre, along a line, in rows, mirrored. Change the first, and all follow. */
import type { Guide } from '@lemmata/core/guide'
import { motifOf, usualCopies } from '@lemmata/core/layout'
import type { Copies, DrawnGuide, GuideGroup, Sampler } from '@lemmata/core/sampler'
import type { LengthUnit } from '@lemmata/core/units'
import { Checkbox, Select } from 'antd'
import { Field, LengthField, NumberField } from '../sampler/fields.tsx'
import { edit } from '../store/index.ts'

const WAYS: readonly { readonly value: Copies['kind'] | 'none'; readonly label: string }[] = [
  { value: 'none', label: 'none: once on the cloth' },
  { value: 'round', label: 'round a centre' },
  { value: 'rows', label: 'in rows' },
  { value: 'along', label: 'along a line' },
  { value: 'mirror', label: 'itself and its mirror image' },
]

export function CopiesFields({ sampler, drawn }: { sampler: Sampler; drawn: DrawnGuide }) {
  const motif = motifOf(sampler.drawing, drawn.id)
  const others = motif ? namesIn(sampler, motif, drawn.id) : []
  return (
    <>
      <CopiesOf
        label="Copies"
        sampler={sampler}
        copies={drawn.copies}
        guides={[drawn.guide]}
        onChange={(copies) => edit({ kind: 'change-guide', id: drawn.id, ...(copies ? { set: { copies } } : { set: {}, clear: ['copies'] }) })}
      />
      {motif && (
        <>
          <p className="why">One motif with {others.join(', ')}: moved, turned and copied together.</p>
          <CopiesOf
            label="Copies of the motif"
            sampler={sampler}
            copies={motif.copies}
            guides={sampler.drawing.guides.filter((one) => motif.members.includes(one.id)).map((one) => one.guide)}
            onChange={(copies) => edit({ kind: 'change-group', id: motif.id, ...(copies ? { set: { copies } } : { set: {}, clear: ['copies'] }) })}
          />
        </>
      )}
    </>
  )
}

/** What else belongs to it, as it is called. */
function namesIn({ exercises, drawing }: Sampler, motif: GuideGroup, but: string): readonly string[] {
  const names = motif.members
    .filter((id) => id !== but)
    .map((id) => exercises.find((one) => one.on.some((on) => on.guide === id))?.name ?? drawing.guides.find((one) => one.id === id)?.name ?? 'a sketch')
  return [...new Set(names)]
}

interface CopiesProps {
  readonly label: string
  readonly sampler: Sampler
  readonly copies: Copies | undefined
  /** What is copied. */
  readonly guides: readonly Guide[]
  readonly onChange: (copies: Copies | null) => void
}

function CopiesOf({ label, sampler, copies, guides, onChange }: CopiesProps) {
  return (
    <>
      <Field label={label}>
        {(id) => (
          <Select<Copies['kind'] | 'none'>
            id={id}
            value={copies?.kind ?? 'none'}
            options={[...WAYS]}
            onChange={(kind) => onChange(kind === 'none' ? null : usualCopies(kind, guides, sampler))}
          />
        )}
      </Field>
      {copies && <Figures copies={copies} unit={sampler.units} onChange={onChange} />}
    </>
  )
}

function Figures({ copies, unit, onChange }: { copies: Copies; unit: LengthUnit; onChange: (copies: Copies) => void }) {
  const length = (label: string, value: number, change: (mm: number) => Copies) => (
    <LengthField label={label} valueMm={value} unit={unit} min={-1000} max={2000} decimals={1} onChange={(mm) => onChange(change(mm))} />
  )
  switch (copies.kind) {
    case 'round':
      return (
        <>
          <div className="pair">
            <NumberField label="How many" value={copies.count} min={2} max={72} onChange={(count) => onChange({ ...copies, count })} />
            <NumberField label="Over" suffix="°" value={spanOf(copies)} min={-360} max={360} onChange={(degrees) => onChange(withSpan(copies, degrees))} />
          </div>
          <div className="pair">
            <Turned turned={copies.upright !== true} onChange={(turned) => onChange(turned ? without(copies) : { ...copies, upright: true })} />
          </div>
          <div className="pair">
            {length('Centre, from the left', copies.centre[0], (mm) => ({ ...copies, centre: [mm, copies.centre[1]] }))}
            {length('Centre, from the top', copies.centre[1], (mm) => ({ ...copies, centre: [copies.centre[0], mm] }))}
          </div>
        </>
      )
    case 'along':
      return (
        <div className="pair">
          <NumberField label="How many" value={copies.count} min={2} max={200} onChange={(count) => onChange({ ...copies, count })} />
          <Turned turned={copies.upright !== true} onChange={(turned) => onChange(turned ? without(copies) : { ...copies, upright: true })} />
        </div>
      )
    case 'rows':
      return (
        <>
          <div className="pair">
            <NumberField label="Side by side" value={copies.columns} min={1} max={60} onChange={(columns) => onChange({ ...copies, columns })} />
            <NumberField label="One under another" value={copies.rows} min={1} max={60} onChange={(rows) => onChange({ ...copies, rows })} />
          </div>
          <div className="pair">
            {length('Each to the right', copies.stepMm[0], (mm) => ({ ...copies, stepMm: [mm, copies.stepMm[1]] }))}
            {length('Each below', copies.stepMm[1], (mm) => ({ ...copies, stepMm: [copies.stepMm[0], mm] }))}
          </div>
          <Checkbox
            checked={copies.brick === true}
            onChange={(event) => {
              const { brick: _brick, ...rest } = copies
              onChange(event.target.checked ? { ...rest, brick: true } : rest)
            }}
          >
            every second row half a step aside
          </Checkbox>
        </>
      )
    case 'mirror': {
      const [[x1, y1], [x2, y2]] = copies.line
      const upright = Math.abs(x1 - x2) < Math.abs(y1 - y2)
      return upright
        ? length('Mirrored at, from the left', x1, (mm) => ({
            ...copies,
            line: [
              [mm, y1],
              [mm, y2],
            ],
          }))
        : length('Mirrored at, from the top', y1, (mm) => ({
            ...copies,
            line: [
              [x1, mm],
              [x2, mm],
            ],
          }))
    }
  }
}

type Round = Extract<Copies, { kind: 'round' }>

/** Degrees; all round where nothing is said. */
function spanOf({ spanRad }: Round): number {
  return spanRad === undefined ? 360 : Math.round((spanRad * 18_000) / Math.PI) / 100
}

/** Over a part of a turn both ends are taken; all round each is as far from the next. */
function withSpan(copies: Round, degrees: number): Round {
  const { spanRad: _before, ...rest } = copies
  return Math.abs(degrees) >= 360 || degrees === 0 ? rest : { ...rest, spanRad: (degrees * Math.PI) / 180 }
}

function Turned({ turned, onChange }: { turned: boolean; onChange: (turned: boolean) => void }) {
  return (
    <Checkbox checked={turned} onChange={(event) => onChange(event.target.checked)}>
      turned as they go
    </Checkbox>
  )
}

function without<Kind extends Extract<Copies, { kind: 'round' | 'along' }>>({
  upright: _upright,
  ...rest
}: Kind): Omit<Kind, 'upright'> & { readonly kind: Kind['kind'] } {
  return rest
}
